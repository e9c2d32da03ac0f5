export { knownInjuries, mayHaveSide, type Injury, type KnownInjury } from './injuries';
export {
  limitsOf,
  lockMoments,
  windowOf,
  type MotionLimit,
  type MotionWindow,
  type OrderedLock,
} from './limits';
export {
  compartments,
  hasEnded,
  heightNames,
  orderedPostures,
  orderProblems,
  panelNames,
  phaseInForce,
  troubleAdvice,
  troubles,
  weightBearing,
  windowOn,
  type HeightName,
  type Order,
  type OrderedAngle,
  type OrderPhase,
  type OrderProblem,
  type Trouble,
} from './order';
export { orderChanged, orderGiven } from './entries';
export {
  readPhases,
  weekReadings,
  type PhaseQuestion,
  type ReadPhase,
  type ReadSchedule,
  type WeekReading,
} from './phase-text';
export {
  changeProblem,
  gapsOf,
  orderChanges,
  replanned,
  type ChangeProblem,
  type OrderChange,
  type OrderGap,
  type Replanned,
} from './replan';
export { foldOrder, notHeld, type GivenOrder } from './fold';
export { changeFaults, orderFaults } from './faults';
