import {
  callMade,
  caseClosed,
  caseHandedOver,
  caseMoved,
  caseNoted,
  caseOpened,
  caseReopened,
  labelRead,
  visitPlanned,
} from './case-entries';
import { checkRecorded, checkSigned } from '../checking';
import { recordWithdrawn, type BodyIn, type EntryKind, type FormerKind } from '../record';
import { measureMarked, measurePrecision, measureRead, measureSkipped, motionTested } from '../measuring';
import { reviewFound } from '../reviewing';
import { orderChanged, orderGiven } from '../order';
import { circulationNoted, limbsNoted, screenLooked, screenOverridden } from '../screening';
import {
  hingePlaced,
  settingChosen,
  settingFelt,
  settingHandedOver,
  settingMade,
  settingTurned,
  stopsChosen,
  stopsFitted,
} from '../setting';
import {
  barBent,
  barRead,
  bendsPlanned,
  contourTaken,
  heatWent,
  markLooked,
  padPlaced,
  pressureMarked,
  scarSeen,
  workDone,
} from '../shaping';
import { sizeChosen } from '../sizing';
import { donningBegun, strapDone, strapLost, strapTension } from '../strapping';
import { letterSent, wearPlanned, wearRead, wearTaught, wearTold } from '../wearing';

/** Every kind of entry. */
export const declared = [
  caseOpened,
  caseMoved,
  caseClosed,
  caseReopened,
  caseHandedOver,
  caseNoted,
  labelRead,
  visitPlanned,
  recordWithdrawn,
  callMade,
  screenLooked,
  limbsNoted,
  circulationNoted,
  screenOverridden,
  orderGiven,
  orderChanged,
  measureRead,
  measureMarked,
  measureSkipped,
  measurePrecision,
  motionTested,
  sizeChosen,
  settingChosen,
  settingMade,
  settingTurned,
  settingFelt,
  settingHandedOver,
  hingePlaced,
  scarSeen,
  contourTaken,
  barRead,
  bendsPlanned,
  heatWent,
  pressureMarked,
  markLooked,
  workDone,
  donningBegun,
  strapDone,
  strapLost,
  strapTension,
  checkRecorded,
  checkSigned,
  wearPlanned,
  wearTaught,
  wearTold,
  wearRead,
  letterSent,
  reviewFound,
] as const;

type Declared = (typeof declared)[number];
export type KindName = Declared['kind'];
/** The body of a kind, as written today. */
export type BodyOf<K extends KindName> = BodyIn<Extract<Declared, { kind: K }>>;

export const kinds = Object.fromEntries(declared.map((one) => [one.kind, one])) as unknown as Record<
  KindName,
  EntryKind
>;
export const isKind = (text: string): text is KindName => Object.hasOwn(kinds, text);

/** Kinds that are written no more; old entries and late outboxes have them. */
export const formerKinds: Readonly<Record<string, FormerKind>> = Object.fromEntries(
  [stopsChosen, stopsFitted, padPlaced, barBent].map((one) => [one.kind, one]),
);

/** What is asked of an entry as it was sent: its kind, also where that is written no more. */
export const kindSent = (text: string): EntryKind | FormerKind | undefined =>
  isKind(text) ? kinds[text] : Object.hasOwn(formerKinds, text) ? formerKinds[text] : undefined;

/**
 * Kinds that another case of the same person may take over: what was seen and read of the body. What was decided, ordered or
 * done to a brace belongs to its own.
 */
export const takenOverKinds = [
  'screen.looked',
  'limbs.noted',
  'circulation.noted',
  'measure.read',
  'measure.marked',
  'motion.tested',
] as const satisfies readonly KindName[];
export const isTakenOver = (kind: string): boolean => (takenOverKinds as readonly string[]).includes(kind);
