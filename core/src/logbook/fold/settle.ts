import { group } from 'd3-array';
import type { AnyRecordedEntry } from '../entry';

/**
 * What became of an entry. `unreadable`: it stands in the record and cannot be read; `not-in-force`: a
 * decision made while the server was away that comes out otherwise from the entries the server has.
 */
export type LineStatus = 'live' | 'replaced' | 'withdrawn' | 'conflict' | 'unreadable' | 'not-in-force';

/** An entry in the record with what became of it. */
export interface RecordLine {
  entry: AnyRecordedEntry;
  status: LineStatus;
  /** the entries that replaced or withdrew it */
  heirs: AnyRecordedEntry[];
  /** it reached the server long after it was observed: it waited in a browser, or was written down later */
  late?: true;
  /** a fact outside what the model has: a foreign piece, a bend its maker forbids */
  outside?: true;
}

/**
 * What holds, out of all that was written. A correction takes the place of what it corrects; a
 * withdrawal takes an entry out; two corrections of the same entry are a conflict, of which the earlier
 * holds until one is withdrawn. What cannot be read, or is not in force, replaces nothing.
 * @param entries of one case, by rising seq
 * @param unreadable ids of those among them that cannot be read
 */
export function settle(
  entries: readonly AnyRecordedEntry[],
  unreadable: ReadonlySet<string> = new Set(),
): {
  lines: RecordLine[];
  live: AnyRecordedEntry[];
} {
  const idle = (entry: AnyRecordedEntry): LineStatus | undefined =>
    unreadable.has(entry.id) ? 'unreadable' : entry.otherwise !== undefined ? 'not-in-force' : undefined;
  const heirsOf = group(
    entries.filter((entry) => entry.replaces !== undefined && idle(entry) === undefined),
    (entry) => entry.replaces!,
  );
  const isWithdrawn = (entry: AnyRecordedEntry) =>
    (heirsOf.get(entry.id) ?? []).some((heir) => heir.kind === 'record.withdrawn');
  const successors = (id: string) =>
    (heirsOf.get(id) ?? []).filter((heir) => heir.kind !== 'record.withdrawn' && !isWithdrawn(heir));
  const statusOf = (entry: AnyRecordedEntry): LineStatus => {
    if (isWithdrawn(entry)) return 'withdrawn';
    const standing = idle(entry);
    if (standing) return standing;
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
    let first = entry;
    for (;;) {
      const original = first.replaces === undefined ? undefined : byId.get(first.replaces);
      // an entry replaces one of an earlier seq: the walk ends, whatever stands in the record
      if (!original || original.seq >= first.seq) return first.seq;
      first = original;
    }
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
