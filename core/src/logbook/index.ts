export { foreignFaults, isOutsideModel, roleFaults } from './belongs';
export { boundsOf, type Bounds } from './bounds';
export type { UrgentCall } from './calls';
export {
  clock,
  closingReasons,
  isOnLabel,
  visitPurposes,
  type ClosingReason,
  type VisitPurpose,
} from './case-entries';
export type { CaseKeeping, FittedLabel } from './case-keeping';
export { brokenLink, chainHash, chainStart, saltedHash } from './chain';
export { judgeDecision, type DecisionJudgement } from './decision';
export { staysDue, type Buckle, type Ribbon, type WornSpan } from './buckle';
export { caseRibbon, firstVisit } from './due';
export {
  current,
  ofTodaysKind,
  readEntry,
  type AnyEntry,
  type AnyRecordedEntry,
  type Entry,
  type RecordedEntry,
} from './entry';
export { foldCase, type FoldContext } from './fold-case';
export {
  stageAt,
  stageCover,
  stagePermission,
  stillNeeded,
  type StageCover,
  type StageState,
  type StageStatus,
  type StillNeeded,
} from './stage-states';
export type { CaseState, RecordLine } from './state';
export { intentFaults, intentInForce } from './intent';
export { dayFaults, visitFaults } from './days';
export { formerKinds, isKind, kinds, kindSent, type BodyOf, type KindName } from './kinds';
export { rankModels, type RankedModel, type ModelToRank } from './rank-models';
export { frameOf, takenOver, type TakenOver } from './take-over';
export type { PlannedVisit } from './visits';
