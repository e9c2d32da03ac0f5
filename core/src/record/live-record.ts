import { dayOf, type ClinicDay } from '../calendar';
import type { Decided } from './decision';
import type { BodyIn, Recorded } from './entry';
import type { EntryKind } from './kind';
import type { SettledRecord } from './settle';

/** A kind as the record is asked for its entries. */
type Kind = Pick<EntryKind, 'kind' | 'body'>;

/** The entries that hold, asked by kind. */
export interface LiveRecord {
  all: readonly Recorded[];
  of: <K extends Kind>(kind: K) => Recorded<BodyIn<K>>[];
  last: <K extends Kind>(kind: K) => Recorded<BodyIn<K>> | undefined;
  /** the clinic's day on which it was observed */
  dayIn: (entry: { observedAt: string }) => ClinicDay;
  /** whether an entry stands behind another in the record; a correction stands where the corrected one stood */
  isAfter: (entry: { id: string }, mark: { id: string } | undefined) => boolean;
  /** the id of the entry that holds in the place of one, itself when nothing corrected it */
  heldBy: (id: string) => string | undefined;
  /** the entry that one corrects */
  corrects: (entry: { replaces?: string }) => Recorded | undefined;
  /** a decision with what has happened to its inputs since */
  decided: <B extends { madeFrom: string[] }>(
    entry: { id: string; body: B } | undefined,
    differs: (body: B) => boolean,
  ) => Decided<B> | undefined;
}

/**
 * @param settled what holds, out of all that was written
 * @param zone the clinic's
 */
export function liveRecord({ lines, live, heldBy }: SettledRecord, zone: string): LiveRecord {
  const place = new Map(live.map(({ id }, i) => [id, i]));
  const written = new Map(lines.map(({ entry }) => [entry.id, entry]));
  const of = <K extends Kind>({ kind }: K) =>
    live.filter((entry) => entry.kind === kind) as Recorded<BodyIn<K>>[];
  return {
    all: live,
    of,
    last: (kind) => of(kind).at(-1),
    dayIn: ({ observedAt }) => dayOf(observedAt, zone),
    isAfter: ({ id }, mark) => mark === undefined || place.get(id)! > place.get(mark.id)!,
    heldBy: (id) => heldBy.get(id),
    corrects: ({ replaces }) => (replaces === undefined ? undefined : written.get(replaces)),
    decided: (entry, differs) =>
      entry && {
        entry: entry.id,
        decided: entry.body,
        staleBecause: entry.body.madeFrom.filter((id) => !place.has(id)),
        wouldDiffer: differs(entry.body),
      },
  };
}
