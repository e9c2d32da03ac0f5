export {
  leastStep,
  planProblems,
  wearDays,
  wearDaysFrom,
  wearKindFor,
  wearGrowth,
  type GrowingPlan,
  type WearPlan,
  type WearProblem,
} from './plan';
export {
  letterSent,
  taughtHow,
  wearPlanned,
  wearRead,
  wearTaught,
  wearTold,
  type TaughtHow,
} from './entries';
export { foldWearing, type WearingState, type WornOn } from './fold';
export { planFaults } from './faults';
export {
  minutesPlanned,
  replan,
  ruleActions,
  wearRuleSchema,
  type DayTold,
  type Replanned,
  type RuleAction,
  type WearRule as ClinicWearRule,
} from './clinic-rule';
export {
  isDoubtful,
  usualWornRule,
  wornByDay,
  wornRuleProblems,
  type TemperatureSeries,
  type WornDay,
  type WornRule,
} from './worn';
export { wornDays } from './worn-days';
export { wearByFamily, wearLinesSchema, wearRules, type WearByFamily, type WearLine } from './family';
