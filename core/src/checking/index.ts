export {
  checkingResult,
  judgeCheck,
  type CheckContext,
  type CheckValue,
  type FitCheck,
  type Judged,
} from './check';
