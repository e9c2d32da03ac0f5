export {
  purposes,
  runSequence,
  sequenceSchema,
  type RunnerState,
  type RunnerStep,
  type Running,
  type Sequence,
  type StepDone,
} from './sequence';
export { breaths, people, pulls } from './kind';
export { checkOfStep, partsOfStep, type SequenceStep, type StepKind } from './steps';
export { donningBegun, strapDone } from './entries';
export { foldStrapping, type StrappingState } from './fold';
export { foreignList, foreignStep } from './faults';
