import { group } from 'd3-array';
import type { Recorded } from './entry';

/**
 * What became of an entry. `unreadable`: it stands in the record and cannot be read; `not-in-force`: a
 * decision made while the server was away that comes out otherwise from the entries the server has.
 */
export type LineStatus = 'live' | 'replaced' | 'withdrawn' | 'conflict' | 'unreadable' | 'not-in-force';

/** An entry in the record with what became of it. */
export interface SettledLine<Entry extends Recorded> {
  entry: Entry;
  status: LineStatus;
  /** the entries that replaced or withdrew it */
  heirs: Entry[];
}

/** The record with what holds of it. */
export interface SettledRecord<Entry extends Recorded = Recorded> {
  lines: SettledLine<Entry>[];
  /** the entries that hold, each in the place of what it corrects */
  live: Entry[];
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
export function settle<Entry extends Recorded>(
  entries: readonly Entry[],
  unreadable: ReadonlySet<string> = new Set(),
): SettledRecord<Entry> {
  const idle = (entry: Entry): LineStatus | undefined =>
    unreadable.has(entry.id) ? 'unreadable' : entry.otherwise !== undefined ? 'not-in-force' : undefined;
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  // an entry replaces one of an earlier seq: no family is a ring, whatever stands in the record
  const parentOf = (entry: Entry): Entry | undefined => {
    const parent = entry.replaces === undefined ? undefined : byId.get(entry.replaces);
    return parent && parent.seq < entry.seq && idle(entry) === undefined ? parent : undefined;
  };
  const heirsOf = group(
    entries.filter((entry) => parentOf(entry) !== undefined),
    (entry) => entry.replaces!,
  );
  const heirs = (id: string) => heirsOf.get(id) ?? [];
  const corrections = (id: string) => heirs(id).filter(({ kind }) => kind !== 'record.withdrawn');
  const isWithdrawn = ({ id }: Entry) => heirs(id).some(({ kind }) => kind === 'record.withdrawn');

  /** the entries of a family that nothing stands in the place of, by id of each member; filled from the newest back */
  const tips = new Map<string, Entry[]>();
  for (const entry of entries.toReversed()) {
    const below = corrections(entry.id).flatMap(({ id }) => tips.get(id)!);
    const itself = isWithdrawn(entry) || idle(entry) !== undefined ? [] : [entry];
    tips.set(entry.id, below.length > 0 ? below : itself);
  }
  const roots = new Map<string, Entry>();
  for (const entry of entries) {
    const parent = parentOf(entry);
    roots.set(entry.id, parent ? roots.get(parent.id)! : entry);
  }
  const familyOf = (entry: Entry) => tips.get(roots.get(entry.id)!.id)!;
  const statusOf = (entry: Entry): LineStatus => {
    if (isWithdrawn(entry)) return 'withdrawn';
    const standing = idle(entry);
    if (standing) return standing;
    if (entry.kind === 'record.withdrawn') return 'live';
    if (!tips.get(entry.id)!.includes(entry)) return 'replaced';
    return familyOf(entry).length > 1 ? 'conflict' : 'live';
  };
  const holds = (entry: Entry) => entry.kind !== 'record.withdrawn' && familyOf(entry)[0] === entry;
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
