import {
  chooseSetting,
  groundsOn,
  isChosenFirst,
  judgeSetting,
  madeFromOf,
  sameMade,
  wantedOn,
  type MadeSetting,
} from '../../setting';
import { finding, type CaseFinding, type FindingRule, type Judging } from '../finding';
import { toldAbout } from '../told';

/** Settings that hold a joint: what of them is ordered and not so is never signed over. */
export const holdsJoint: readonly string[] = ['stops', 'lock', 'angle', 'pieces'];

/** Wrong whatever is ordered: a pair that differs, a number that does not exist. */
const wrongByItself: readonly string[] = ['pair-differs', 'not-opposite', 'outside', 'stops-cross'];

/**
 * What is fitted against the order of the day: a new order, or a phase that has begun, that the brace does not meet. Beyond the
 * order comes first of all; a brace that is stricter than ordered waits to be changed.
 */
export const againstOrder: FindingRule = (judging) =>
  judging.state.order ? judging.state.setting.made.flatMap((one) => ofSetting(judging, one)) : [];

function ofSetting(judging: Judging, { setting, made, chosen }: MadeSetting): CaseFinding[] {
  const { state, day } = judging;
  const order = state.order!;
  if (!made || !madeFromOf(setting).includes('order')) return [];
  const wanted = wantedOn(setting, state, day);
  if (wanted === undefined) return [];
  const judged = judgeSetting(setting, made, wanted);
  const isNewer = judging.writtenAt(order.entry) > judging.writtenAt(made.entry);
  const common = {
    about: setting.id,
    // of a new order the day it came; of a phase the day it is
    day: isNewer ? judging.dayOf(order.entry) : day,
    entries: [order.entry, made.entry],
    thing: setting.id,
  };
  if (judged.state === 'wrong' && wrongByItself.includes(judged.why)) return [];
  // a lock that nobody ordered and a part that should be out hold more than ordered, not less
  const isBeyond =
    judged.state === 'wrong' && judged.why !== 'not-ordered' && holdsJoint.includes(setting.kind);
  if (isBeyond)
    return [
      finding('exceeds-order', 'set', {
        ...common,
        level: 'today',
        withholds: ['signature', 'plan', 'teach-back'],
        mayBeOverridden: false,
        told: toldAbout(judging, order.entry),
      }),
    ];
  if (judged.state === 'wrong') return [finding('not-as-ordered', 'set', { ...common, level: 'by-date' })];
  if (judged.state !== 'right' || !isChosenFirst(setting)) return [];
  // right as far as it goes, and another is chosen for this day; what the joint reached once says nothing of it
  const choice = chooseSetting(
    setting,
    groundsOn({ ...state, motion: undefined }, day, chosen?.decided.buffer),
  );
  return choice?.ok && !sameMade(choice.made, made)
    ? [finding('stricter-than-ordered', 'set', { ...common, level: 'by-date', withholds: [] })]
    : [];
}
