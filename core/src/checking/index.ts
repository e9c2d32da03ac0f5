export {
  checkingResult,
  judgeCheck,
  unsafeChecks,
  type CheckContext,
  type CheckValue,
  type FitCheck,
  type Judged,
  type UnsafeCheck,
} from './check';
