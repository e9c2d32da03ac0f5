export { limitedMotion, notCarriedOut } from './carries-out';
export type { FamilyWords } from './family-words';
export { ownFamilyFaults } from './own-faults';
export { orderedThings, programmeSchema, type OrderedThing, type Programme } from './programme';
export {
  chartBandFaults,
  chartOf,
  checksOf,
  modelProblems,
  modelSchema,
  operationsOf,
  partsOf,
  programmeOf,
  stepsOf,
  type BraceModel,
  type ModelProblem,
} from './model';
export { kneePad, kneeStrap } from './knee-ligament-frame';
export { currentModel, currentProgramme, withIncrement } from './upcast';
export { canonicalText, contentHash, pinOf, type Pin } from './pin';
export { programmes } from './all';
export { ownInjuries, withOwnInjuries } from './own-injuries';
export {
  familyDifferences,
  isBeforeSafetyChange,
  withDifferences,
  type FamilyDifference,
} from './own-safety';
