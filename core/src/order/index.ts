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
export { orderGiven } from './entries';
export { foldOrder, type GivenOrder } from './fold';
export { orderFaults } from './faults';
