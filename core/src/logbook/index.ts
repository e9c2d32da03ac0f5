export { foreignFaults, isOutsideModel, roleFaults } from './belongs';
export { boundsOf, type Bounds } from './bounds';
export { brokenLink, chainHash, chainStart, saltedHash } from './chain';
export { choiceFor, decideSetting, decideSignature, decideSize } from './decide';
export { judgeDecision, type DecisionJudgement } from './decision';
export { caseRibbon, firstVisit, staysDue, type Buckle, type Ribbon, type WornSpan } from './due';
export { engineVersion } from './engine';
export {
  ofTodaysKind,
  readEntry,
  type AnyEntry,
  type AnyRecordedEntry,
  type Entry,
  type EntryFault,
  type RecordedEntry,
} from './entry';
export { foldCase, type FoldContext } from './fold/fold-case';
export { bodyOfMade, choiceOn, groundsOn, madeIn, wantedOn } from './fold/fold-setting';
export type { LineStatus, RecordLine } from './fold/settle';
export { stageAt, stands, stillNeeded, type StillNeeded } from './fold/stage-states';
export type {
  CaseState,
  Decided,
  LookAtBrace,
  MadeSetting,
  PlannedVisit,
  ReviewVisit,
  StageState,
  StageStatus,
  UrgentCall,
} from './fold/state';
export { intentFaults, intentInForce } from './intent';
export { isKind, kinds, kindSent, type BodyOf, type KindName } from './kinds';
export { fitModels, type Fit, type FitModel } from './fit';
