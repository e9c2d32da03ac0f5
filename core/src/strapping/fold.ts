import { applies, chosenOf, type KnownFacts } from '../brace';
import type { Newtons } from '../quantity';
import type { LiveRecord } from '../record';
import { allFull, limbsNoted, lossesSince, screenOverridden } from '../screening';
import { donningBegun, strapDone, strapLost, strapTension } from './entries';
import { runSequence, type Needed, type RunnerState, type Running, type Sequence } from './sequence';

/** How far it is put on, by which list. */
export type StrappingState = RunnerState & {
  /** the list in use; undefined while it is asked which of several */
  list: Sequence | undefined;
  /** the lists by which it may be put on for the first time */
  lists: Sequence[];
  /** lists for another case than this one: not offered */
  unsuited: Sequence[];
  /** lists for this case that are read: putting it on again, taking it off, making it ready */
  others: Sequence[];
  settled: { minutes: number; dropped?: number } | undefined;
  /** what the order has to say first, and does not */
  waits: Needed[];
  /** the list moves somebody who may not move alone, and nobody has said that the facility's policy is known */
  asksPolicy: boolean;
  /** movement or sensation was lost at a step, and no record since shows it back */
  lost: { entry: string; step: string } | undefined;
  /** what each strap pulls with, as it was last measured since the brace went on anew */
  tensions: Record<string, Newtons>;
};

const missing = ({ needs = [] }: Sequence, { ordered }: KnownFacts): Needed[] =>
  needs.filter((what) => ordered[what] === undefined);

/** What every one of several lists waits for: none of them can begin without it. */
const missingInAll = (lists: readonly Sequence[], facts: KnownFacts): Needed[] =>
  lists.length === 0
    ? []
    : missing(lists[0]!, facts).filter((what) => lists.every((one) => missing(one, facts).includes(what)));

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
  const loss = record.last(strapLost);
  const notes = record.of(limbsNoted);
  const before = notes.findLast(({ body }) => body.moment === 'before')?.body.limbs ?? allFull;
  const last = notes.at(-1);
  // a loss is cleared by a record that shows no less than before, or by the orthotist who overrides it with a reason
  const isCleared =
    loss === undefined ||
    (last !== undefined && record.isAfter(last, loss) && lossesSince(before, last.body.limbs).length === 0) ||
    record
      .of(screenOverridden)
      .some((one) => ['new-weakness', 'limbs-worse'].includes(one.body.finding) && record.isAfter(one, loss));
  const tensions = record
    .of(strapTension)
    .filter((entry) => record.isAfter(entry, begun))
    .map(({ body }) => [body.part, body.newtons] as const);
  return {
    ...runSequence(list ?? { steps: [] }, done, { facts, lists: sequences, answers }),
    unsuited: all.filter((one) => !lists.includes(one)),
    others: sequences.filter((one) => one.purpose !== 'first-donning' && applies(one, facts)),
    list,
    lists,
    settled: walk && {
      minutes: walk.minutes!,
      ...(walk.dropped === undefined ? {} : { dropped: walk.dropped }),
    },
    waits: list ? missing(list, facts) : missingInAll(lists, facts),
    // what went on before anybody asked stays on
    asksPolicy: list?.handling !== undefined && begun?.body.policy !== true && done.length === 0,
    lost: isCleared ? undefined : { entry: loss.id, step: loss.body.step },
    tensions: Object.fromEntries(tensions),
  };
}
