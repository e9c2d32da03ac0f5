import { array, boolean, object, string, type InferType } from 'yup';
import { finite, oneOfKinds, optionalCondition, placeSchema, type OneOfKinds } from '../brace';
import type { MotionWindow } from '../order';
import type { HingeStops } from '../setting';

export const moments = ['lying', 'seated', 'standing', 'after-walking', 'later'] as const;

const momentSchema = object({
  is: string().oneOf(moments).required(),
  /** minutes since the brace went on, from when and until when it counts */
  notBefore: finite().min(0).max(1440),
  notAfter: finite().min(0).max(1440),
})
  .noUnknown()
  .required();
/** When a check is looked at: how the patient is, and how long the brace has been on. */
export type Moment = InferType<typeof momentSchema>;

const common = {
  id: string().strict().required().min(1).max(80),
  /** where it is looked at, for the figure */
  at: placeSchema.optional().default(undefined),
  /** the parts it is about */
  parts: array().of(string().strict().required()),
  /** when it is looked at: each moment is answered for itself */
  moments: array().of(momentSchema).max(6),
  /** only where this holds */
  when: optionalCondition,
  /** what mends it: a stage, and there the setting, step or part */
  cures: array().of(
    object({ stage: string().strict().required(), thing: string().strict() }).noUnknown().required(),
  ),
};

/** What each kind of check states; its wording hangs on its id. A check without its limits is refused. */
export const checkKinds = {
  /** a distance within a tolerance, mm: the model's own, or the family's */
  distance: object({
    ...common,
    tolerance: string().oneOf(['model']),
    from: finite(),
    to: finite(),
    /** what was found moves its parts on the figure: along the limb, or behind their place */
    moves: string().oneOf(['along', 'behind']),
  }).test(
    'limits',
    'must leave its tolerance to the model, or state from and to',
    ({ tolerance, from, to }) =>
      tolerance === 'model'
        ? from === undefined && to === undefined
        : from !== undefined && to !== undefined && from <= to,
  ),
  /** the joint's angle at a stop, brace tightened: inside the ordered window */
  'angle-at-stop': object({ ...common, stop: string().oneOf(['extension', 'flexion']).required() }),
  /** a part lies proximal of a place on the limb: both as mm below the mark */
  'proximal-to': object(common),
  /** both of a pair alike, mm */
  alike: object({ ...common, within: finite().min(0).required() }),
  /** so many fingers go between part and body */
  fingers: object({ ...common, least: finite().min(0).required(), most: finite().min(0).required() }).test(
    'limits',
    'must not have most under least',
    ({ least, most }) => !(least > most),
  ),
  /** a quantity held against what was read before it went on: within so much of that measuring step, in its unit */
  compared: object({
    ...common,
    step: string().strict().required(),
    least: finite().required(),
    most: finite().required(),
  }).test('limits', 'must not have most under least', ({ least, most }) => !(least > most)),
  /** the mark that is read on the part now is the one that was set */
  mark: object({ ...common, setting: string().strict().required() }),
  /** a quantity that must lie in a range: seconds of refill, degrees, kilograms */
  quantity: object({
    ...common,
    unit: string().oneOf(['s', 'degrees', 'kg', 'count']).required(),
    least: finite(),
    most: finite(),
    limbSafety: boolean().strict(),
  }).test(
    'limits',
    'must state least or most, and not most under least',
    ({ least, most }) =>
      (least !== undefined || most !== undefined) && !((least ?? -Infinity) > (most ?? Infinity)),
  ),
  /** a question that yes passes; `limbSafety`: one that is not so ends the fitting until somebody has looked */
  seen: object({ ...common, limbSafety: boolean().strict() }),
};

/** A check as a programme states it: a tolerance may be left to the model. */
export type ProgrammeCheck = OneOfKinds<typeof checkKinds>;
export const checkSchema = oneOfKinds(checkKinds);

/** One thing looked at with the brace on. Its wording hangs on its id. */
export type FitCheck = (
  | Exclude<ProgrammeCheck, { kind: 'distance' }>
  | (Omit<Extract<ProgrammeCheck, { kind: 'distance' }>, 'from' | 'to' | 'tolerance'> & {
      from: number;
      to: number;
    })
) & {
  /** the one of its moments that is answered here, where it has several */
  moment?: Moment;
};

/** A check as many times as it has moments, each answered for itself. */
export const atEachMoment = (check: FitCheck): FitCheck[] =>
  check.moments?.length ? check.moments.map((moment) => ({ ...check, moment })) : [check];

export interface CheckValue {
  check: string;
  value?: number;
  reference?: number;
  seen?: boolean;
  /** the joint did not come to this end */
  notReached?: boolean;
  entry: string;
}

export interface CheckContext {
  window: MotionWindow;
  stops: HingeStops | undefined;
  /** what was read of a measuring step before, by its id */
  read?: Readonly<Record<string, number | undefined>>;
  /** minutes since the brace went on, when it was looked at */
  minutes?: number | undefined;
  /** the mark that a setting was set to, by its id */
  marks?: Readonly<Record<string, number | undefined>>;
}

export type Judged =
  | { state: 'pass' }
  /** `too-early`: it was looked at sooner after donning than it counts */
  | { state: 'open'; why?: 'too-early' }
  /** the joint does not come to this end: nothing is proved on it, and nothing hinders */
  | { state: 'not-reached' }
  | { state: 'not-needed'; reason: 'no-stop-ordered' }
  | {
      state: 'fail';
      reason:
        | 'outside-tolerance'
        | 'outside-order'
        | 'not-proximal'
        | 'not-alike'
        | 'not-so-many'
        | 'not-as-before'
        | 'not-at-mark'
        | 'not-seen';
      by?: number;
    };

/**
 * Judges one check. The stop is the hinge's angle, not the knee's: what counts is the knee, measured.
 * @param value the last one recorded, if any
 */
export function judgeCheck(check: FitCheck, value: CheckValue | undefined, context: CheckContext): Judged {
  const { notBefore } = check.moment ?? {};
  if (value && notBefore !== undefined && context.minutes !== undefined && context.minutes < notBefore)
    return { state: 'open', why: 'too-early' };
  switch (check.kind) {
    case 'distance': {
      if (value?.value === undefined) return { state: 'open' };
      const over = Math.max(check.from - value.value, value.value - check.to, 0);
      return over > 0 ? { state: 'fail', reason: 'outside-tolerance', by: over } : { state: 'pass' };
    }
    case 'angle-at-stop': {
      const limit = context.window[check.stop];
      const fitted = context.stops?.[check.stop];
      if (limit === undefined && (fitted === undefined || fitted === null))
        return { state: 'not-needed', reason: 'no-stop-ordered' };
      if (value?.notReached) return { state: 'not-reached' };
      if (value?.value === undefined) return { state: 'open' };
      if (limit === undefined) return { state: 'pass' };
      const over = check.stop === 'extension' ? limit - value.value : value.value - limit;
      return over > 0 ? { state: 'fail', reason: 'outside-order', by: over } : { state: 'pass' };
    }
    case 'proximal-to': {
      if (value?.value === undefined || value.reference === undefined) return { state: 'open' };
      const over = value.value - value.reference;
      return over >= 0 ? { state: 'fail', reason: 'not-proximal', by: over } : { state: 'pass' };
    }
    case 'alike': {
      if (value?.value === undefined || value.reference === undefined) return { state: 'open' };
      const over = Math.abs(value.value - value.reference) - check.within;
      return over > 0 ? { state: 'fail', reason: 'not-alike', by: over } : { state: 'pass' };
    }
    case 'fingers': {
      if (value?.value === undefined) return { state: 'open' };
      return value.value < check.least || value.value > check.most
        ? { state: 'fail', reason: 'not-so-many' }
        : { state: 'pass' };
    }
    case 'quantity': {
      if (value?.value === undefined) return { state: 'open' };
      const { least = -Infinity, most = Infinity } = check;
      const over = Math.max(least - value.value, value.value - most, 0);
      return over > 0 ? { state: 'fail', reason: 'outside-tolerance', by: over } : { state: 'pass' };
    }
    case 'compared': {
      const before = context.read?.[check.step];
      if (value?.value === undefined || before === undefined) return { state: 'open' };
      const change = value.value - before;
      const over = Math.max(check.least - change, change - check.most, 0);
      return over > 0 ? { state: 'fail', reason: 'not-as-before', by: over } : { state: 'pass' };
    }
    case 'mark': {
      const set = context.marks?.[check.setting];
      if (value?.value === undefined || set === undefined) return { state: 'open' };
      const off = Math.abs(value.value - set);
      return off > 0 ? { state: 'fail', reason: 'not-at-mark', by: off } : { state: 'pass' };
    }
    case 'seen':
      if (value?.seen === undefined) return { state: 'open' };
      return value.seen ? { state: 'pass' } : { state: 'fail', reason: 'not-seen' };
  }
}

/** All checks together: one that fails fails the fitting, one that is open leaves it open. */
export function checkingResult(judged: readonly Judged[]): 'open' | 'pass' | 'fail' {
  if (judged.some(({ state }) => state === 'fail')) return 'fail';
  return judged.some(({ state }) => state === 'open') ? 'open' : 'pass';
}

/** A check that failed and may not wait: the limb is not safe in it, or the joint goes beyond the order. */
export interface UnsafeCheck {
  check: string;
  why: 'limb-safety' | 'outside-order';
  entry: string;
}

/** The limb-safety checks of programmes that were released before a check could say that it is one. */
const limbSafetyBefore = ['fibular-neck-clear', 'toes-warm-moving-felt'];

/**
 * The failed checks that raise a call of today, hold a growing plan and let nothing pass.
 * @param checks with what each came to
 */
export const unsafeChecks = (
  checks: readonly { check: FitCheck; judged: Judged; entry?: string }[],
): UnsafeCheck[] =>
  checks.flatMap(({ check, judged, entry }): UnsafeCheck[] => {
    if (judged.state !== 'fail' || entry === undefined) return [];
    if (judged.reason === 'outside-order') return [{ check: check.id, why: 'outside-order', entry }];
    const isLimbSafety =
      (check.kind === 'seen' && (check.limbSafety ?? limbSafetyBefore.includes(check.id))) ||
      (check.kind === 'quantity' && check.limbSafety === true);
    return isLimbSafety ? [{ check: check.id, why: 'limb-safety', entry }] : [];
  });
