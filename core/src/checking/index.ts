export {
  checkingResult,
  checkSchema,
  judgeCheck,
  unsafeChecks,
  type CheckContext,
  type CheckValue,
  type FitCheck,
  type Judged,
  type ProgrammeCheck,
  type UnsafeCheck,
} from './check';
