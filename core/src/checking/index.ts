export {
  atEachMoment,
  checkingResult,
  isLater,
  checkSchema,
  judgeCheck,
  mayNotReach,
  unsafeChecks,
  type CheckKind,
  type FitCheck,
  type ProgrammeCheck,
  type UnsafeCheck,
} from './check';
export { moments, type CheckContext, type CheckValue, type Cure, type Judged, type Moment } from './kind';
export { checkRecorded, checkSigned, shownThings, type ShownThing } from './entries';
export { answersSinceDonning, foldChecking, isSignedPass, type CheckingState } from './fold';
export { decideSignature, isBarred, narrowerChecks, signatureDecision } from './decision';
export { foreignAnswer, nothingToSign } from './faults';
