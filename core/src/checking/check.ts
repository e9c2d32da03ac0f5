import type { InferType } from 'yup';
import { oneOfKinds, statesOf } from '../brace';
import type { CheckContext, CheckRule, CheckValue, Judged, Moment } from './kind';
import { alike } from './kinds/alike';
import { angleAtStop } from './kinds/angle-at-stop';
import { compared } from './kinds/compared';
import { distance } from './kinds/distance';
import { fingers } from './kinds/fingers';
import { mark } from './kinds/mark';
import { proximalTo } from './kinds/proximal-to';
import { quantity } from './kinds/quantity';
import { seen } from './kinds/seen';

/** Every kind of check, each from its own file: what it states and how it is judged. A check without its limits is refused. */
const checkKinds = {
  distance,
  'angle-at-stop': angleAtStop,
  'proximal-to': proximalTo,
  alike,
  fingers,
  compared,
  mark,
  quantity,
  seen,
};

export const checkSchema = oneOfKinds(statesOf(checkKinds));
/** A check as a programme states it: a tolerance may be left to the model. Its wording hangs on its id. */
export type ProgrammeCheck = InferType<typeof checkSchema>;
export type CheckKind = ProgrammeCheck['kind'];

/** One thing looked at with the brace on. */
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

const ruleOf = ({ kind }: FitCheck): CheckRule<FitCheck> => checkKinds[kind].rule as CheckRule<FitCheck>;

/** Moments at which the leg bears weight. */
const onTheLeg: readonly Moment['is'][] = ['standing', 'after-walking'];

/** A moment as it is asked where the order lets the leg bear nothing: seated in the place of standing and of a walk. */
export const momentUnder = (is: Moment['is'], bearsNothing: boolean): Moment['is'] =>
  bearsNothing && onTheLeg.includes(is) ? 'seated' : is;

/**
 * A check as many times as it has moments, each answered for itself.
 * @param bearsNothing whether the order lets the leg bear no weight, or touch only
 */
export const atEachMoment = (check: FitCheck, bearsNothing = false): FitCheck[] =>
  check.moments?.length
    ? check.moments
        .map((moment) => ({ ...check, moment: { ...moment, is: momentUnder(moment.is, bearsNothing) } }))
        .filter(({ moment }, i, all) => all.findIndex((one) => one.moment.is === moment.is) === i)
    : [check];

/** Whether it may be said of it that the joint does not come to this end. */
export const mayNotReach = (check: FitCheck): boolean => ruleOf(check).mayNotReach === true;

/**
 * Judges one check, at its moment where it has several.
 * @param value the last one recorded, if any
 */
export function judgeCheck(check: FitCheck, value: CheckValue | undefined, context: CheckContext): Judged {
  const { notBefore = 0, notAfter = Infinity } = check.moment ?? {};
  const { minutes } = context;
  if (value && minutes !== undefined && minutes < notBefore) return { state: 'open', why: 'too-early' };
  const judged = ruleOf(check).judge(check, value, context);
  // what was found wrong is wrong whenever it was looked at; right, it proves nothing about the time that has gone
  return judged.state === 'pass' && minutes !== undefined && minutes > notAfter
    ? { state: 'open', why: 'too-late' }
    : judged;
}

/** One that is looked at once more when the brace has been worn a while: it is due, and nobody waits for it to sign. */
export const isLater = ({ moment }: Pick<FitCheck, 'moment'>): boolean => moment?.is === 'later';

/** All checks together: one that fails fails the fitting, one that is open, and is none for later, leaves it open. */
export function checkingResult(
  checks: readonly { check: Pick<FitCheck, 'moment'>; judged: Judged }[],
): 'open' | 'pass' | 'fail' {
  if (checks.some(({ judged }) => judged.state === 'fail')) return 'fail';
  const now = checks.filter(({ check }) => !isLater(check));
  return checks.length > 0 && (now.length === 0 || now.some(({ judged }) => judged.state === 'open'))
    ? 'open'
    : 'pass';
}

/** A check that failed and may not wait: the limb is not safe in it, or the joint goes beyond the order. */
export interface UnsafeCheck {
  check: string;
  why: 'limb-safety' | 'outside-order';
  /** somebody is called about it; else what presses is moved here and now */
  calls: boolean;
  entry: string;
}

/**
 * The failed checks that raise a call of today, hold a growing plan and let nothing pass.
 * @param checks with what each came to
 */
export const unsafeChecks = (
  checks: readonly { check: FitCheck; judged: Judged; entry?: string }[],
): UnsafeCheck[] =>
  checks.flatMap(({ check, judged, entry }): UnsafeCheck[] => {
    if (judged.state !== 'fail' || entry === undefined) return [];
    if (judged.reason === 'outside-order')
      return [{ check: check.id, why: 'outside-order', calls: true, entry }];
    // one whose cures call nobody is mended where it is found: a strap on the nerve is moved
    const calls = check.cures?.some((cure) => 'call' in cure) ?? true;
    return check.limbSafety ? [{ check: check.id, why: 'limb-safety', calls, entry }] : [];
  });
