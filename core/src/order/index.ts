export { isAskedFor, knownInjuries, mayHaveSide, type KnownInjury } from './injuries';
export { isFixed, isFree, limitsOf, windowOf, type MotionWindow } from './limits';
export {
  compartments,
  heightNames,
  lockMoments,
  orderedPostures,
  panelNames,
  troubles,
  weightBearing,
  type HeightName,
  type Injury,
  type MotionLimit,
  type Order,
  type OrderedAngle,
  type OrderedLock,
  type OrderPhase,
  type Trouble,
} from './order-body';
export {
  angleOn,
  hasEnded,
  heldAngle,
  orderedOn,
  orderProblems,
  phaseInForce,
  testWindow,
  troubleAdvice,
  windowOn,
  type OrderProblem,
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
