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
  hardwareSchema,
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
  isUnderOrder,
  isWhole,
  judgeSetting,
  madeFromOf,
  mayBeEmpty,
  mayBeInOrOut,
  placesOf,
  sameMade,
  settingSchema,
  statedSchema,
  withStated,
  type StatedSettings,
  stopsSettingOf,
  wantedOf,
  type Setting,
  type SettingKind,
  type StopsSetting,
  madeIn,
} from './settings';
export {
  comforts,
  hingePlaced,
  settingChosen,
  settingFelt,
  settingHandedOver,
  settingMade,
  settingTurned,
  stopsChosen,
  stopsFitted,
} from './entries';
export { mostNow, reachOf, turnFault, wasTooMuch, type HandedOver, type LedgerLine } from './ledger';
export { asNumber, formatTurn, noTurn, opposite, readTurn, sumOfTurns, turnOf, type Turn } from './turns';
export {
  bestPlace,
  centreKnownTo,
  centreOverJointLine,
  fromCentre,
  fromJointLine,
  hingeTravel,
  meanTravel,
  readPath,
  travelOver,
  type BestPlace,
  type Hinge,
  type HingeType,
  pathSchema,
  type PathPoint,
  type Spot,
  type Travel,
} from './hinge-travel';
export { scheduleOf, type ScheduledPhase } from './schedule';
export { motionCourse, type CoursePoint, type MotionCourse } from './motion-course';
export { cameWithIt, workingList, wouldGive, type BenchStep } from './working-list';
export { liftFor, wedgeAngle, wedgeHeight, wedgesFor } from './heel';
export { turnEffects } from './kinds/correction';
export { liftNeeded, liftPlaces } from './kinds/lift';
export {
  bodyOfMade,
  choiceOn,
  foldHinge,
  foldSettings,
  foldStops,
  groundsOn,
  isSet,
  wantedOn,
  type LookAtBrace,
  type MadeSetting,
  type PlacedHinge,
  type SettingFlag,
  type StopsState,
} from './fold';
export { choiceFor, decideSetting, settingDecision } from './decision';
export {
  foreignCorrection,
  mayBeHandedOver,
  notToHandOver,
  foreignSetting,
  foreignTurns,
  isForeignMade,
  noHinge,
  settingRoleFaults,
  turnRoleFaults,
} from './faults';
