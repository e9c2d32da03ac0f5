export {
  people,
  pulls,
  purposes,
  runSequence,
  sequenceSchema,
  type RunnerState,
  type RunnerStep,
  type Sequence,
  type SequenceStep,
  type StepDone,
} from './sequence';
