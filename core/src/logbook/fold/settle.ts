import { group } from 'd3-array';
import type { AnyRecordedEntry } from '../entry';

export type LineStatus = 'live' | 'replaced' | 'withdrawn' | 'conflict';

/** An entry in the record with what became of it. */
export interface RecordLine {
  entry: AnyRecordedEntry;
  status: LineStatus;
  /** the entries that replaced or withdrew it */
  heirs: AnyRecordedEntry[];
}

/**
 * What holds, out of all that was written. A correction takes the place of what it corrects; a
 * withdrawal takes an entry out; two corrections of the same entry are a conflict, of which the earlier
 * holds until one is withdrawn.
 * @param entries of one case, by rising seq
 */
export function settle(entries: readonly AnyRecordedEntry[]): {
  lines: RecordLine[];
  live: AnyRecordedEntry[];
} {
  const heirsOf = group(
    entries.filter((entry) => entry.replaces !== undefined),
    (entry) => entry.replaces!,
  );
  const isWithdrawn = (entry: AnyRecordedEntry) =>
    (heirsOf.get(entry.id) ?? []).some((heir) => heir.kind === 'record.withdrawn');
  const successors = (id: string) =>
    (heirsOf.get(id) ?? []).filter((heir) => heir.kind !== 'record.withdrawn' && !isWithdrawn(heir));
  const statusOf = (entry: AnyRecordedEntry): LineStatus => {
    if (isWithdrawn(entry)) return 'withdrawn';
    if (successors(entry.id).length > 0) return 'replaced';
    if (
      entry.replaces !== undefined &&
      entry.kind !== 'record.withdrawn' &&
      successors(entry.replaces).length > 1
    )
      return 'conflict';
    return 'live';
  };
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const place = (entry: AnyRecordedEntry): number => {
    const original = entry.replaces === undefined ? undefined : byId.get(entry.replaces);
    return original ? place(original) : entry.seq;
  };
  const lines = entries.map((entry) => ({
    entry,
    status: statusOf(entry),
    heirs: heirsOf.get(entry.id) ?? [],
  }));
  const holds = ({ entry, status }: RecordLine) =>
    entry.kind !== 'record.withdrawn' &&
    (status === 'live' || (status === 'conflict' && successors(entry.replaces!)[0] === entry));
  const live = lines
    .filter(holds)
    .map(({ entry }) => ({ entry, at: place(entry) }))
    .sort((a, b) => a.at - b.at)
    .map(({ entry }) => entry);
  return { lines, live };
}
