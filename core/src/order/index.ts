export { compartmentOf, type Compartment } from './compartment';
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
  isOneSchedule,
  minusReadings,
  readPhases,
  untilReadings,
  weekReadings,
  type PhaseQuestion,
  type ReadingOf,
  type ReadPhase,
  type ReadSchedule,
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
