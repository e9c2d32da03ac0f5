import type { MotionWindow } from '../order';
import type { HingeStops } from '../setting';
import type { Millimetres } from '../quantity';

/** One thing looked at with the brace on. Its wording hangs on its id. */
export type FitCheck =
  /** a distance within a tolerance, mm */
  | { kind: 'distance'; id: string; from: Millimetres; to: Millimetres }
  /** the joint's angle at a stop, brace tightened: inside the ordered window */
  | { kind: 'angle-at-stop'; id: string; stop: 'extension' | 'flexion' }
  /** a part lies proximal of a place on the limb: both as mm below the mark */
  | { kind: 'proximal-to'; id: string }
  /** a question that yes passes; `limbSafety`: one that is not so ends the fitting until somebody has looked */
  | { kind: 'seen'; id: string; limbSafety?: boolean };

export interface CheckValue {
  check: string;
  value?: number;
  reference?: number;
  seen?: boolean;
  entry: string;
}

export interface CheckContext {
  window: MotionWindow;
  stops: HingeStops | undefined;
}

export type Judged =
  | { state: 'open' | 'pass' }
  | { state: 'not-needed'; reason: 'no-stop-ordered' }
  | {
      state: 'fail';
      reason: 'outside-tolerance' | 'outside-order' | 'not-proximal' | 'not-seen';
      by?: number;
    };

/**
 * Judges one check. The stop is the hinge's angle, not the knee's: what counts is the knee, measured.
 * @param value the last one recorded, if any
 */
export function judgeCheck(check: FitCheck, value: CheckValue | undefined, context: CheckContext): Judged {
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
    const isLimbSafety = check.kind === 'seen' && (check.limbSafety ?? limbSafetyBefore.includes(check.id));
    return isLimbSafety ? [{ check: check.id, why: 'limb-safety', entry }] : [];
  });
