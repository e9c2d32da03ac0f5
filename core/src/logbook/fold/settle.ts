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

/** The record with what holds of it. */
export interface SettledRecord {
  lines: RecordLine[];
  /** the entries that hold, each in the place of what it corrects */
  live: AnyRecordedEntry[];
  /** by the id of an entry that was corrected, the id of the one that holds in its place */
  heldBy: ReadonlyMap<string, string>;
}

/**
 * What holds, out of all that was written. An entry and its corrections, and theirs, are one family, of which
 * one holds: the last correction that nobody withdrew. A withdrawal takes one entry out and leaves its
 * corrections; where two corrections stand side by side they are a conflict, of which the earlier branch holds
 * until one is withdrawn. What cannot be read, or is not in force, replaces nothing.
 * @param entries of one case, by rising seq
 * @param unreadable ids of those among them that cannot be read
 */
export function settle(
  entries: readonly AnyRecordedEntry[],
  unreadable: ReadonlySet<string> = new Set(),
): SettledRecord {
  const idle = (entry: AnyRecordedEntry): LineStatus | undefined =>
    unreadable.has(entry.id) ? 'unreadable' : entry.otherwise !== undefined ? 'not-in-force' : undefined;
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  // an entry replaces one of an earlier seq: no family is a ring, whatever stands in the record
  const parentOf = (entry: AnyRecordedEntry): AnyRecordedEntry | undefined => {
    const parent = entry.replaces === undefined ? undefined : byId.get(entry.replaces);
    return parent && parent.seq < entry.seq && idle(entry) === undefined ? parent : undefined;
  };
  const heirsOf = group(
    entries.filter((entry) => parentOf(entry) !== undefined),
    (entry) => entry.replaces!,
  );
  const heirs = (id: string) => heirsOf.get(id) ?? [];
  const corrections = (id: string) => heirs(id).filter(({ kind }) => kind !== 'record.withdrawn');
  const isWithdrawn = ({ id }: AnyRecordedEntry) => heirs(id).some(({ kind }) => kind === 'record.withdrawn');

  /** the entries of a family that nothing stands in the place of, by id of each member; filled from the newest back */
  const tips = new Map<string, AnyRecordedEntry[]>();
  for (const entry of entries.toReversed()) {
    const below = corrections(entry.id).flatMap(({ id }) => tips.get(id)!);
    const itself = isWithdrawn(entry) || idle(entry) !== undefined ? [] : [entry];
    tips.set(entry.id, below.length > 0 ? below : itself);
  }
  const roots = new Map<string, AnyRecordedEntry>();
  for (const entry of entries) {
    const parent = parentOf(entry);
    roots.set(entry.id, parent ? roots.get(parent.id)! : entry);
  }
  const familyOf = (entry: AnyRecordedEntry) => tips.get(roots.get(entry.id)!.id)!;
  const statusOf = (entry: AnyRecordedEntry): LineStatus => {
    if (isWithdrawn(entry)) return 'withdrawn';
    const standing = idle(entry);
    if (standing) return standing;
    if (entry.kind === 'record.withdrawn') return 'live';
    if (!tips.get(entry.id)!.includes(entry)) return 'replaced';
    return familyOf(entry).length > 1 ? 'conflict' : 'live';
  };
  const holds = (entry: AnyRecordedEntry) =>
    entry.kind !== 'record.withdrawn' && familyOf(entry)[0] === entry;
  return {
    lines: entries.map((entry) => ({ entry, status: statusOf(entry), heirs: heirs(entry.id) })),
    live: entries
      .filter(holds)
      .map((entry) => ({ entry, at: roots.get(entry.id)!.seq }))
      .sort((a, b) => a.at - b.at)
      .map(({ entry }) => entry),
    heldBy: new Map(
      entries.flatMap((entry): [string, string][] => {
        const held = familyOf(entry)[0];
        return held ? [[entry.id, held.id]] : [];
      }),
    ),
  };
}
