import { applies, chosenOf, type KnownFacts } from '../brace';
import type { LiveRecord } from '../record';
import { donningBegun, strapDone } from './entries';
import { runSequence, type RunnerState, type Running, type Sequence } from './sequence';

/** How far it is put on, by which list. */
export type StrappingState = RunnerState & {
  /** the list in use; undefined while it is asked which of several */
  list: Sequence | undefined;
  /** the lists by which it may be put on for the first time */
  lists: Sequence[];
  /** lists for another case than this one: not offered */
  unsuited: Sequence[];
  settled: { minutes: number; dropped?: number } | undefined;
};

/**
 * The list in use, since the brace was last put on anew.
 * @param answers to the checks that a list asks in its middle
 */
export function foldStrapping(
  record: LiveRecord,
  sequences: readonly Sequence[],
  facts: KnownFacts,
  answers: Running['answers'],
): StrappingState {
  const begun = record.last(donningBegun);
  const done = record
    .of(strapDone)
    .filter((entry) => record.isAfter(entry, begun))
    .map(({ body }) => body);
  const walk = done.findLast(({ minutes }) => minutes !== undefined);
  const all = sequences.filter(({ purpose }) => purpose === 'first-donning');
  // a list for another case is not offered: one for the front ligament never stands beside a rear one that is ordered
  const lists = all.filter((one) => applies(one, facts));
  const list = lists.find(({ id }) => id === begun?.body.list) ?? chosenOf(lists, facts);
  return {
    ...runSequence(list ?? { steps: [] }, done, { facts, lists: sequences, answers }),
    unsuited: all.filter((one) => !lists.includes(one)),
    list,
    lists,
    settled: walk && {
      minutes: walk.minutes!,
      ...(walk.dropped === undefined ? {} : { dropped: walk.dropped }),
    },
  };
}
