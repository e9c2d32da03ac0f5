import { rule } from '../faults';
import { array, boolean, lazy, object, string, type InferType, type ObjectSchema, type Schema } from 'yup';
import { finite, optionalCondition, placeSchema, name } from '../brace';
import type { MotionWindow } from '../order';
import { referrals } from '../screening';
import type { HingeStops } from '../setting';

export const moments = ['lying', 'seated', 'standing', 'after-walking', 'later'] as const;

const momentSchema = object({
  is: string().oneOf(moments).required(),
  /** minutes since the brace went on, from when and until when it counts */
  notBefore: finite().min(0).max(1440),
  notAfter: finite().min(0).max(1440),
})
  .noUnknown()
  .test(...rule('moment-times'), ({ notBefore, notAfter }) => !(notBefore! > notAfter!))
  .required();
/** When a check is looked at: how the patient is, and how long the brace has been on. */
export type Moment = InferType<typeof momentSchema>;

const openedStage = object({ stage: string().strict().required(), thing: string().strict() })
  .noUnknown()
  .required();
const stopAndCall = object({ call: string().oneOf(referrals).required() }).noUnknown();
/** What mends it: a stage, and there the setting, step or part; or stop, and call. */
export type Cure = InferType<typeof openedStage> | InferType<typeof stopAndCall>;
// a cure is told by what it says: one of two shapes
const cureSchema = lazy((value: unknown) =>
  typeof value === 'object' && value !== null && 'call' in value ? stopAndCall : openedStage,
) as unknown as Schema<Cure>;

/** What every check states. */
export const common = {
  id: name(),
  /** where it is looked at, for the figure */
  at: placeSchema.optional().default(undefined),
  /** the parts it is about */
  parts: array().of(string().strict().required()),
  /** when it is looked at: each moment is answered for itself */
  moments: array().of(momentSchema).max(6),
  /** only where this holds */
  when: optionalCondition,
  /** one that fails ends the fitting until somebody has looked */
  limbSafety: boolean().strict(),
  /** what mends it, in this order */
  cures: array().of(cureSchema).max(12),
};

export const within = { least: finite().required(), most: finite().required() };

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
  /** seconds of refill of this side before the brace went on */
  refillBefore?: number | undefined;
  /** the mark that a setting was set to, by its id */
  marks?: Readonly<Record<string, number | undefined>>;
}

export type Judged =
  /** narrower: the joint moves so many degrees less than the order lets it */
  | { state: 'pass'; narrower?: number }
  /** it was looked at sooner or later after donning than it counts */
  | { state: 'open'; why?: 'too-early' | 'too-late' }
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
export type FailReason = Extract<Judged, { state: 'fail' }>['reason'];

/** What a kind of check does: its schema beside it, one file a kind. */
export interface CheckRule<S> {
  /** @param value the last one recorded, if any */
  judge: (check: S, value: CheckValue | undefined, context: CheckContext) => Judged;
  /** that the joint does not come to this end is an answer */
  mayNotReach?: true;
}

// a schema of any shape: its own type is taken from it
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const checkKind = <S extends ObjectSchema<any>>(states: S, rule: CheckRule<InferType<S>>) => ({
  states,
  rule,
});

/** Passes unless it is off by more than nothing. */
export const unlessOff = (off: number, reason: FailReason): Judged =>
  off > 0 ? { state: 'fail', reason, by: off } : { state: 'pass' };
