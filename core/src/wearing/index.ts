export {
  leastStep,
  planProblems,
  wearDays,
  wearKindFor,
  wearGrowth,
  type GrowingPlan,
  type WearPlan,
  type WearProblem,
} from './plan';
export { wearPlanned, wearTaught } from './entries';
export { foldWearing, type WearingState } from './fold';
export { planFaults } from './faults';
export { wearByFamily, wearLinesSchema, type WearByFamily, type WearLine } from './family';
