import { LRUCache } from 'lru-cache';
import type { EntityManager } from 'typeorm';
import type { CaseRow } from '../database/entities';
import { Problem } from '../problem';
import { caseMac, type Mac } from '../sealing/seal-key';

/** The newest entry of each case that this process has acknowledged. */
const acknowledged = new LRUCache<string, { seq: number; head: string }>({ max: 100_000 });

/** Remembers what a client was told is stored. */
export function acknowledge(caseId: string, seq: number, head: string): void {
  acknowledged.set(caseId, { seq, head });
}

/**
 * Whether a case stands where it was left: its row is keyed, not older than what was acknowledged last, and holds what the
 * newest seal names. A row that was put back carries a valid key of its own time, so that alone finds nothing.
 * @param row locked
 * @throws Problem 409; nothing may be added to such a case until it was verified
 */
export async function checkStanding(manager: EntityManager, mac: Mac, row: CaseRow): Promise<void> {
  const known = acknowledged.get(row.id);
  const wentBack =
    known !== undefined && (row.seq < known.seq || (row.seq === known.seq && row.head !== known.head));
  const [sealed] = await manager.query<{ seq: number; head: string; hash: string | null }[]>(
    'SELECT h.`seq`, h.`head`, e.`hash` FROM `seal_head` h LEFT JOIN `entry` e ON e.`case` = h.`case` AND e.`seq` = h.`seq` ' +
      'WHERE h.`case` = ? ORDER BY h.`seal` DESC LIMIT 1',
    [row.id],
  );
  const lostSealed = sealed !== undefined && (sealed.seq > row.seq || sealed.hash !== sealed.head);
  const isKeyed = row.seq === 0 || caseMac(mac, row) === row.mac;
  if (wentBack || lostSealed || !isKeyed) throw new Problem('record-does-not-hold');
}
