import { isSet, isChosenFirst, wantedOn, type MadeSetting } from '../../setting';
import { isAnswered, isOpenMark } from '../../shaping';
import { stands } from '../../record';
import { circulationRegions, isDangerSign } from '../../screening';
import { finding, type CaseFinding, type FindingRule, type Judging } from '../finding';
import { holdsJoint } from './against-order';

/*
 * What has to be done before a brace is signed for. What of it a family needs stands in its data: its settings, work, lists and
 * checks. Common practice, no source.
 */

/** The limb was not looked at in full, or movement and sensation were not noted. */
export const notLooked: FindingRule = ({ state: { screening, programme, limbs } }) => [
  ...(screening.status === 'open' ? [finding('not-looked', 'screen', { entries: [] })] : []),
  // an earlier list asked for less: the rest is asked when the patient is here again
  ...(screening.status !== 'open' && screening.notAsked.length > 0
    ? [finding('signs-not-asked', 'screen', { left: screening.notAsked.length })]
    : []),
  ...screening.unable
    .filter((answer) => isDangerSign(answer.finding))
    .map((answer) =>
      finding('sign-not-assessed', 'screen', { about: answer.finding, entries: [answer.entry] }),
    ),
  ...(circulationRegions.includes(programme.region) && !screening.circulation
    ? [finding('circulation-not-noted', 'screen')]
    : []),
  ...(programme.limbs && !limbs.before ? [finding('limbs-not-noted', 'screen', { about: 'before' })] : []),
  ...(programme.limbs && !limbs.after ? [finding('limbs-not-noted', 'check', { about: 'after' })] : []),
];

export const noOrder: FindingRule = ({ state: { order } }) =>
  order ? [] : [finding('no-order', 'screen', { withholds: ['signature', 'plan'], mayBeOverridden: false })];

/** The readings are not complete, no size is chosen, or the one that is rests on what has changed. */
export const noSize: FindingRule = ({ state: { sizing, measuring } }) => [
  ...(measuring.done ? [] : [finding('not-measured', 'measure')]),
  ...(sizing.chosen === undefined
    ? [finding('no-size', 'size')]
    : stands(sizing.chosen)
      ? []
      : [finding('size-before-change', 'size', { level: 'by-date', entries: [sizing.chosen.entry] })]),
];

/** Settings that were passed over, are not as they should be, or rest on a choice that has changed. */
export const notSet: FindingRule = (judging) =>
  judging.state.setting.made.flatMap((one) => ofSetting(judging, one));

function ofSetting({ state, day }: Judging, one: MadeSetting): CaseFinding[] {
  const { setting, made, chosen, needed, judged, flags } = one;
  if (!needed || setting.made === 'each-donning') return [];
  const common = { about: setting.id, thing: setting.id, entries: made ? [made.entry] : [] };
  if (!made) {
    const wanted = state.order && wantedOn(setting, state, day);
    // what is ordered of a joint is never signed over; a window that is free orders nothing
    const isOrdered =
      holdsJoint.includes(setting.kind) &&
      wanted !== undefined &&
      wanted !== 'open' &&
      (Number.isFinite(wanted.from) && Number.isFinite(wanted.to)
        ? wanted.from !== 0 || wanted.to !== 0
        : [wanted.from, wanted.to].some((end) => Math.abs(end) !== Infinity));
    return [
      finding('not-set', setting.made === 'at-step' ? 'strap' : 'set', {
        ...common,
        mayBeOverridden: !isOrdered,
      }),
    ];
  }
  const isWrong = judged.state === 'wrong' || judged.state === 'open';
  const isStale = chosen ? !stands(chosen) : isChosenFirst(setting);
  if (isWrong || flags.length > 0 || isStale || !isSet(one)) {
    if (isSet(one)) return [];
    return [finding('set-otherwise', 'set', { ...common, level: 'by-date' })];
  }
  return [];
}

/** Work that is asked for, a run of heat that goes on, a mark of pressure that nobody has seen clear. */
export const workOpen: FindingRule = ({ state: { shaping, sizing } }) => [
  ...(sizing.chosen === undefined ? [] : shaping.work.filter((work) => !isAnswered(work))).map(
    ({ operation }) => finding('work-open', 'shape', { about: operation.id, thing: operation.id }),
  ),
  ...shaping.heat
    .filter(({ ended }) => !ended)
    .map(({ entry, operation }) =>
      finding('heat-running', 'shape', {
        about: operation,
        thing: operation,
        level: 'today',
        entries: [entry],
        withholds: ['signature', 'plan', 'teach-back'],
        mayBeOverridden: false,
      }),
    ),
  ...shaping.marks
    .filter(isOpenMark)
    .map(({ entry, part }) => finding('mark-open', 'shape', { about: part, entries: [entry] })),
];

/** The brace is not on: no list suits, none was chosen, the order does not say how, or steps are left. */
export const notDonned: FindingRule = ({ state: { strapping, programme } }) => {
  if (programme.sequences.every(({ purpose }) => purpose !== 'first-donning')) return [];
  const { list, lists, now, waits, steps, done } = strapping;
  if (lists.length === 0) return [finding('no-list', 'strap')];
  if (waits.length > 0) return [finding('order-silent', 'screen', { about: waits[0]! })];
  if (!list) return [finding('list-not-chosen', 'strap')];
  return now === undefined
    ? []
    : [
        finding(done === 0 ? 'not-donned' : 'donning-open', 'strap', {
          about: now.id,
          thing: now.id,
          left: steps.length - done,
        }),
      ];
};

/** A correction was turned and nobody has said after a walk how it feels. */
export const notFelt: FindingRule = ({ state }) =>
  state.setting.made.flatMap(({ setting, ledger = [] }) => {
    const last = ledger.findLast(({ what, reported }) => what === 'turned' && !reported);
    return setting.kind === 'correction' && setting.felt && last && !last.felt && ledger.at(-1) === last
      ? [finding('not-felt', 'set', { about: setting.id, thing: setting.id, entries: [last.entry] })]
      : [];
  });
