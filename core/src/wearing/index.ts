export {
  leastStep,
  planProblems,
  wearDays,
  wearKindFor,
  wearSteps,
  type GrowingPlan,
  type WearPlan,
  type WearProblem,
} from './plan';
export { wearPlanned, wearTaught } from './entries';
