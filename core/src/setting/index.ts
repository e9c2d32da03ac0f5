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
  onePlace,
  outside,
  placesAlong,
  settingMoments,
  waysToGo,
  type JudgedSetting,
  type SettingChoice,
  type SettingMade,
  type Wanted,
  type WantedBy,
} from './kind';
export { stopsAt, valuesOfStops } from './kinds/stops';
export {
  changeFault,
  chooseSetting,
  daysOfChange,
  existingAt,
  isChosenFirst,
  isWhole,
  judgeSetting,
  madeFromOf,
  mayBeInOrOut,
  placesOf,
  sameMade,
  settingSchema,
  wantedOf,
  type Setting,
  type SettingKind,
} from './settings';
export { settingChosen, settingMade, stopsChosen, stopsFitted } from './entries';
