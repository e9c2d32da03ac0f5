export {
  looksReversed,
  motionRange,
  parseNeutralZero,
  printNeutralZero,
  type NeutralZero,
} from './neutral-zero';
export {
  chooseStops,
  hardwareKinds,
  pairProblems,
  usableArc,
  type Arc,
  type HingeStops,
  type StopChoice,
  type StopHardware,
  type StopProblem,
  type StopRule,
} from './stops';
export { settingMoments, onePlace, type JudgedSetting, type SettingMade, type Wanted } from './kind';
export {
  isWhole,
  judgeSetting,
  mayBeInOrOut,
  placesOf,
  settingSchema,
  wantedOf,
  type Setting,
  type SettingKind,
} from './settings';
