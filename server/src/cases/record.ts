import { foldCase, type AnyRecordedEntry, type CaseState } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { LRUCache } from 'lru-cache';
import { MoreThan, type EntityManager } from 'typeorm';
import { registered } from '../catalogue/registry';
import { entryEntity, type CaseRow, type EntryRow } from '../database/entities';

/** A row as the entry it holds; undefined when its content was erased. */
export function recordedEntry({ content, seq, receivedAt }: EntryRow): AnyRecordedEntry | undefined {
  return content === null
    ? undefined
    : { ...(JSON.parse(content) as AnyRecordedEntry), seq, receivedAt: receivedAt.toISOString() };
}

/** Entries of a case after a seq, by rising seq. */
export async function entriesAfter(
  manager: EntityManager,
  caseId: string,
  after: number,
  limit?: number,
): Promise<AnyRecordedEntry[]> {
  const rows = await manager.getRepository(entryEntity).find({
    where: { case: caseId, seq: MoreThan(after) },
    order: { seq: 'ASC' },
    ...(limit === undefined ? {} : { take: limit }),
  });
  return rows.flatMap((row) => recordedEntry(row) ?? []);
}

interface Snapshot {
  head: string;
  entries: AnyRecordedEntry[];
}

/** Entries of cases in use, told apart by the chain's head: what is kept is never older than its head. */
const snapshots = new LRUCache<string, Snapshot>({ max: 200 });

/**
 * All entries of a case up to its head. Reads only what came after the last time.
 * @param row the case's row, read in the same transaction
 */
export async function entriesOf(manager: EntityManager, row: CaseRow): Promise<AnyRecordedEntry[]> {
  const known = snapshots.get(row.id);
  if (known?.head === row.head) return known.entries;
  return entriesAfter(manager, row.id, 0);
}

/** Keeps the entries of a case for its next append, once its transaction has been committed. */
export function keepEntries(caseId: string, head: string, entries: AnyRecordedEntry[]): void {
  snapshots.set(caseId, { head, entries });
}

/** The state of a case from its entries. */
export async function foldOf(
  manager: EntityManager,
  row: CaseRow,
  entries: readonly AnyRecordedEntry[],
  zone: string,
): Promise<CaseState | undefined> {
  const [programme, model] = await Promise.all([
    registered<Programme>(manager, 'programme', row.programmeHash),
    registered<BraceModel>(manager, 'model', row.modelHash),
  ]);
  return programme && model && foldCase(entries, { programme, model, zone });
}
