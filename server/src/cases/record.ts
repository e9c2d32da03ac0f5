import { foldCase, type AnyRecordedEntry, type CaseState } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { LRUCache } from 'lru-cache';
import { MoreThan, type EntityManager } from 'typeorm';
import { registered } from '../catalogue/registry';
import { entryEntity, type CaseRow, type EntryRow } from '../database/entities';

/** What a row holds, whose content is no entry at all: shown as unreadable, never an error. */
const illegible = (row: Omit<EntryRow, 'mac'>) =>
  ({
    id: row.id,
    case: row.case,
    stage: 'case',
    kind: 'illegible',
    v: 0,
    observedAt: row.receivedAt.toISOString(),
    zone: 'UTC',
    by: '',
    body: {},
  }) as unknown as AnyRecordedEntry;

function parsed(row: Pick<EntryRow, 'content'>): AnyRecordedEntry | undefined {
  try {
    const content: unknown = JSON.parse(row.content!);
    return typeof content === 'object' && content !== null && !Array.isArray(content)
      ? (content as AnyRecordedEntry)
      : undefined;
  } catch {
    return undefined;
  }
}

/** A row as the entry it holds; undefined when its content was erased. */
export function recordedEntry(row: Omit<EntryRow, 'mac'>): AnyRecordedEntry | undefined {
  if (row.content === null) return undefined;
  return {
    ...(parsed(row) ?? illegible(row)),
    id: row.id,
    seq: row.seq,
    receivedAt: row.receivedAt.toISOString(),
    ...(row.otherwise === null ? {} : { otherwise: JSON.parse(row.otherwise) as object | null }),
  };
}

/** A page of a case's rows: what they hold, and where the next page begins whatever was erased of this one. */
export async function entriesPage(
  manager: EntityManager,
  caseId: string,
  after: number,
  limit: number,
): Promise<{ entries: AnyRecordedEntry[]; next: number; more: boolean }> {
  const rows = await manager.getRepository(entryEntity).find({
    where: { case: caseId, seq: MoreThan(after) },
    order: { seq: 'ASC' },
    take: limit + 1,
  });
  const page = rows.slice(0, limit);
  return {
    entries: page.flatMap((row) => recordedEntry(row) ?? []),
    next: page.at(-1)?.seq ?? after,
    more: rows.length > limit,
  };
}

/** All entries of a case, by rising seq. */
export async function entriesOf(manager: EntityManager, caseId: string): Promise<AnyRecordedEntry[]> {
  const rows = await manager
    .getRepository(entryEntity)
    .find({ where: { case: caseId }, order: { seq: 'ASC' } });
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
  const entries = await entriesOf(manager, row.id);
  return { head: row.head, entries, state: await foldOf(manager, row, entries, zone) };
}

/** Lets go of what was computed: the clinic's zone decides which day an instant was, and has changed. */
export const forgetSnapshots = (): void => snapshots.clear();

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
