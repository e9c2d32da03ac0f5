import { formerKinds, ofTodaysKind, type AnyEntry } from '@estribo/core/logbook';
import { canonicalText } from '@estribo/core/programmes';
import type { DataSource } from 'typeorm';
import { audit } from '../audit/audit';
import { entryEntity, keepingEntity, type EntryRow } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { keepingOf } from './keeping';
import { contentHolds } from './verify-case';

/** The newest repair there is; a database that has had it is not searched again. */
const newestForm = 1;

/**
 * Entries of kinds that are written no more were stored as they were sent and hashed as they read today: their case looked
 * tampered with for good. Of each the text that was hashed is put in the place of the one that was sent, which says the same;
 * salt, hashes, seals and places stay. What holds in neither form is left for `verify` to name.
 * @returns how many were repaired
 */
export async function repairFormerKinds(db: DataSource, now: Date): Promise<number> {
  const { recordForm } = await keepingOf(db.manager);
  if (recordForm >= newestForm) return 0;
  return inTransaction(db, async (manager) => {
    const repaired: string[] = [];
    for (const kind of Object.keys(formerKinds)) {
      const rows = await manager
        .getRepository(entryEntity)
        .createQueryBuilder('entry')
        .where('entry.content LIKE :kind', { kind: `%"kind":"${kind}"%` })
        .getMany();
      for (const row of rows) {
        const hashed = contentHashed(row);
        if (hashed === undefined) continue;
        await manager
          .getRepository(entryEntity)
          .update({ case: row.case, seq: row.seq }, { content: hashed });
        repaired.push(`${row.case} ${row.seq}`);
      }
    }
    await manager.getRepository(keepingEntity).update({ id: 1 }, { recordForm: newestForm });
    if (repaired.length > 0)
      await audit(manager, {
        at: now,
        user: null,
        action: 'record.repaired',
        subject: 'clinic',
        detail: { now: { entries: repaired } },
      });
    return repaired.length;
  });
}

/** The text of an entry that its hash is of, where that is not the text stored. */
function contentHashed(row: EntryRow): string | undefined {
  if (row.content === null || contentHolds(row.case, row)) return undefined;
  try {
    const content = canonicalText(ofTodaysKind(JSON.parse(row.content) as AnyEntry));
    return contentHolds(row.case, { ...row, content }) ? content : undefined;
  } catch {
    return undefined;
  }
}
