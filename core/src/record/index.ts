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
  type Upcaster,
} from './kind';
export { stages, type Stage } from './stages';
