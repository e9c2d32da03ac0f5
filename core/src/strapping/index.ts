export {
  runSequence,
  type RunnerState,
  type RunnerStep,
  type SequenceStep,
  type StepDone,
  type StrapPlace,
} from './sequence';
