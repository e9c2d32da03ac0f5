import { object, string, number, type InferType } from 'yup';
import { addDays, type ClinicDay } from '../calendar';
import type { Minutes } from '../quantity';
import { leastStep, wearDaysFrom, type GrowingPlan } from './plan';

/** What a growing plan does when something says so. */
export const ruleActions = ['go-on', 'hold', 'step-back'] as const;
export type RuleAction = (typeof ruleActions)[number];

const action = () => string().oneOf(ruleActions).required();

/**
 * The clinic's own rule for a plan that grows: what red skin that stays, pain and a missed day do to it, and after how many
 * clear days it goes on. None ships: without one, nothing is computed and a person decides.
 */
export const wearRuleSchema = object({
  skin: action(),
  pain: action(),
  missed: action(),
  /** clear days in a row before it grows again */
  resumeAfter: number().strict().integer().min(1).max(30).required(),
})
  .strict()
  .noUnknown();
export type WearRule = InferType<typeof wearRuleSchema>;

/** What is told of one day in the brace. */
export interface DayTold {
  day: ClinicDay;
  minutes: Minutes;
  skin: 'clear' | 'red-stays';
  pain: 'none' | 'some';
}

export type Sign = 'skin' | 'pain' | 'missed';

/** A plan made anew from what was worn, with why. */
export interface Replanned {
  plan: GrowingPlan;
  action: RuleAction;
  because: Sign[];
}

/** Less than half of what was planned counts as a missed day. An estimate. */
const missedUnder = 0.5;

const strictest = (actions: readonly RuleAction[]): RuleAction =>
  ruleActions.findLast((one) => actions.includes(one)) ?? 'go-on';

/**
 * A plan that grows, made anew from what was worn, by the clinic's own rule. Held: it stays at what was worn last as planned,
 * for as many days as the rule asks, then grows as before. Stepped back: one growth less. Never for a protective order: there
 * is no such plan.
 * @param told what was told of the days in the brace, by rising day; the last one decides
 * @param rule the clinic's own; without one nothing is computed
 * @returns undefined where nothing changes: no rule, nothing told, or nothing that the rule acts on
 */
export function replan(
  plan: GrowingPlan,
  told: readonly DayTold[],
  rule: WearRule | undefined,
  today: ClinicDay,
): Replanned | undefined {
  const last = told.at(-1);
  if (!rule || !last || last.day < plan.from) return undefined;
  const planned = minutesPlanned(plan, last.day);
  const because: Sign[] = [
    ...(last.skin === 'red-stays' ? (['skin'] as const) : []),
    ...(last.pain === 'some' ? (['pain'] as const) : []),
    ...(last.minutes < planned * missedUnder ? (['missed'] as const) : []),
  ];
  const action = strictest(because.map((sign) => rule[sign]));
  if (action === 'go-on') return undefined;
  const from = today > last.day ? today : addDays(last.day, 1);
  const level = action === 'hold' ? planned : Math.max(leastStep, planned - plan.grow);
  return {
    // it stays at this level until so many clear days have gone, then it grows as it did
    plan: {
      ...plan,
      from,
      firstDay: Math.min(level, plan.ceiling),
      holdUntil: addDays(from, rule.resumeAfter),
    },
    action,
    because,
  };
}

/** What a plan says of a day. */
export const minutesPlanned = (plan: GrowingPlan, day: ClinicDay): Minutes =>
  wearDaysFrom(plan, day, 1)[0]!.minutes;
