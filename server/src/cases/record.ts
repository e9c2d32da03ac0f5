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

/** A case as it was after an append: its entries and what they fold to. */
export interface Snapshot {
  /** hash of the newest entry: what is kept is never older than the case's head */
  head: string;
  entries: AnyRecordedEntry[];
  state: CaseState | undefined;
}

/** Cases in use. This process knows one engine version only, so the head alone tells snapshots apart. */
const snapshots = new LRUCache<string, Snapshot>({ max: 200 });

/**
 * A case up to its head. Reads and folds only when it was not the last to write.
 * @param row the case's row, read in the same transaction
 */
export async function snapshotOf(manager: EntityManager, row: CaseRow, zone: string): Promise<Snapshot> {
  const known = snapshots.get(row.id);
  if (known?.head === row.head) return known;
  const entries = await entriesAfter(manager, row.id, 0);
  return { head: row.head, entries, state: await foldOf(manager, row, entries, zone) };
}

/** Keeps a case for its next append, once its transaction has been committed. */
export function keepSnapshot(caseId: string, snapshot: Snapshot): void {
  snapshots.set(caseId, snapshot);
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
