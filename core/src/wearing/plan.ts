import { addDays, daysBetween, daysFrom, type ClinicDay } from '../calendar';
import type { Order } from '../order';
import type { Minutes } from '../quantity';

export interface GrowingPlan {
  kind: 'growing';
  from: ClinicDay;
  firstDay: Minutes;
  grow: Minutes;
  everyDays: number;
  ceiling: Minutes;
  /** after so long a break, and how long it is */
  breakAfter?: Minutes | undefined;
  breakFor?: Minutes | undefined;
  /** it stays at the first day's until this day, and grows from then on: held by the clinic's own rule */
  holdUntil?: ClinicDay | undefined;
}

/** Protective braces are worn as ordered; others grow from the first day to a ceiling. */
export type WearPlan = { kind: 'as-ordered'; from: ClinicDay; wearing: string } | GrowingPlan;

export type WearProblem =
  'protective-grows' | 'ceiling-below-first-day' | 'over-a-day' | 'step-too-small' | 'half-a-break';

/** Wearing grows by at least so much at a time, or not at all: less is not kept by a patient's clock. */
export const leastStep: Minutes = 5;

/** The most steps and days a plan is ever laid out for, whatever stands in it: a day in steps of the least. */
const mostSteps = (24 * 60) / leastStep;
const mostDays = 366;

/** Neither skin nor pain ever shortens ordered protective wearing by itself. Common practice, no source. */
export const wearKindFor = (order: Order): WearPlan['kind'] => (order.protective ? 'as-ordered' : 'growing');

export function planProblems(plan: WearPlan, order: Order): WearProblem[] {
  if (plan.kind === 'as-ordered') return [];
  const problems: WearProblem[] = [];
  if (order.protective) problems.push('protective-grows');
  if (plan.ceiling < plan.firstDay) problems.push('ceiling-below-first-day');
  if (plan.ceiling > 24 * 60) problems.push('over-a-day');
  if (plan.grow > 0 && plan.grow < leastStep) problems.push('step-too-small');
  if ((plan.breakAfter === undefined) !== (plan.breakFor === undefined)) problems.push('half-a-break');
  return problems;
}

/** The day from which it grows. */
const growsFrom = ({ from, holdUntil }: GrowingPlan): ClinicDay =>
  holdUntil !== undefined && holdUntil > from ? holdUntil : from;

const minutesOn = (plan: GrowingPlan, day: ClinicDay): Minutes =>
  Math.min(
    plan.ceiling,
    plan.firstDay + Math.max(0, Math.floor(daysBetween(growsFrom(plan), day) / plan.everyDays)) * plan.grow,
  );

/**
 * The plan day by day.
 * @param count how many days from the plan's first, a year at most
 */
export function wearDays(plan: GrowingPlan, count: number): { day: ClinicDay; minutes: Minutes }[] {
  return daysFrom(plan.from, Math.min(count, mostDays)).map((day) => ({
    day,
    minutes: minutesOn(plan, day),
  }));
}

/**
 * The days ahead of a plan, from a day on or from its first, whichever is later.
 * @param count how many, a year at most
 */
export const wearDaysFrom = (
  plan: GrowingPlan,
  from: ClinicDay,
  count: number,
): { day: ClinicDay; minutes: Minutes }[] => {
  const first = from > plan.from ? from : plan.from;
  return daysFrom(first, Math.min(count, mostDays)).map((day) => ({ day, minutes: minutesOn(plan, day) }));
};

/** The days on which wearing grows, until the ceiling is reached; an absurdly slow plan is cut off. */
export function wearGrowth(plan: GrowingPlan): { day: ClinicDay; minutes: Minutes }[] {
  if (plan.grow <= 0) return [];
  const count = Math.ceil((plan.ceiling - plan.firstDay) / plan.grow);
  return Array.from({ length: Math.min(mostSteps, Math.max(0, count)) }, (_, n) => {
    const day = addDays(growsFrom(plan), (n + 1) * plan.everyDays);
    return { day, minutes: minutesOn(plan, day) };
  });
}
