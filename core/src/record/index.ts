export {
  anyId,
  body,
  day,
  entryId,
  finite,
  ids,
  instant,
  name,
  oneOf,
  pin,
  side,
  text,
  whole,
  yes,
} from './fields';
export {
  former,
  kind,
  type CaseAtHand,
  type EntryKind,
  type EntryStage,
  type FormerKind,
  type HeldAgainst,
  type Upcaster,
} from './kind';
export { stages, type Stage } from './stages';
export { type BodyIn, type Received, type Recorded, type Written } from './entry';
export { recordWithdrawn } from './entries';
export {
  provenance,
  stands,
  type ComputedDecision,
  type Decided,
  type DecidedUnder,
  type Provenance,
} from './decision';
export { engineVersion } from './engine';
export { settle, type LineStatus, type SettledLine } from './settle';
export { liveRecord, type LiveRecord } from './live-record';
