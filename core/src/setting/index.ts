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
export {
  judgeSetting,
  onePlace,
  placesOf,
  settingMoments,
  settingSchema,
  type JudgedSetting,
  type Setting,
  type SettingKind,
  type SettingMade,
  type Wanted,
} from './settings';
