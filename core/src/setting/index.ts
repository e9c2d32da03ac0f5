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
  isOnHinge,
  isWhole,
  judgeSetting,
  madeFromOf,
  mayBeEmpty,
  mayBeInOrOut,
  placesOf,
  sameMade,
  settingSchema,
  stopsSettingOf,
  wantedOf,
  type Setting,
  type SettingKind,
  type StopsSetting,
} from './settings';
export { settingChosen, settingMade, stopsChosen, stopsFitted } from './entries';
export {
  bodyOfMade,
  choiceOn,
  foldSettings,
  foldStops,
  groundsOn,
  isSet,
  madeIn,
  wantedOn,
  type LookAtBrace,
  type MadeSetting,
  type SettingFlag,
  type StopsState,
} from './fold';
export { choiceFor, decideSetting, settingDecision } from './decision';
export { foreignSetting, isForeignMade, settingRoleFaults } from './faults';
