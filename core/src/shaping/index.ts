export {
  bendLedger,
  bendOf,
  judgeBend,
  type Bend,
  type BendProblem,
  type FrameLimits,
  type Upright,
} from './bends';
export { padAdvice, type Pad, type PadAdvice, type Scar } from './pads';
export type { WorkDone } from './kind';
export {
  canBeDone,
  directionsOf,
  isPlaced,
  measuredOf,
  operationSchema,
  partsWorkedOn,
  waysOf,
  type Operation,
  type OperationKind,
} from './operations';
export { scarSeen, workDone, padPlaced, barBent } from './entries';
export { foldShaping, isAnswered, type ShapingState } from './fold';
export { foreignWork, isForeignWork } from './faults';
