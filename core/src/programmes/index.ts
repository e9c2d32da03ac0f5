export { stages, type Programme, type ProgrammeCheck, type Stage } from './programme';
export {
  chartBandFaults,
  chartOf,
  checksOf,
  modelProblems,
  stepsOf,
  type BraceModel,
  type ModelProblem,
} from './model';
export { modelSchema, programmeSchema } from './schema';
export { canonicalText, contentHash, pinOf, type Pin } from './pin';
export { programmes } from './all';
