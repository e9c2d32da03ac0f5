export {
  handlings,
  needed,
  purposes,
  runSequence,
  sequenceSchema,
  type Needed,
  type RunnerState,
  type RunnerStep,
  type Running,
  type Sequence,
  type StepDone,
} from './sequence';
export { breaths, people, pulls } from './kind';
export { checkOfStep, partsOfStep, type SequenceStep, type StepKind } from './steps';
export { donningBegun, strapDone, strapLost, strapTension } from './entries';
export { girthAtStrap } from './girth';
export { samePull, strapPressure, tensionsCompared, type StrapPressure } from './pressure';
export {
  closureSafety,
  endLies,
  overlapHolds,
  strapLength,
  usualShear,
  type StrapEnds,
  type StrapLength,
} from './length';
export { foldStrapping, type StrappingState } from './fold';
export { foreignList, foreignStep, foreignTension } from './faults';
