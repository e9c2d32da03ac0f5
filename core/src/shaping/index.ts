export {
  bendOf,
  bendProblems,
  coronalSet,
  frameSchema,
  jawOf,
  judgeBend,
  keepOuts,
  placeProblems,
  turnOf,
  type BarData,
  type Bend,
  type BendProblem,
  type FrameLimits,
  type KeepOut,
} from './bends';
export {
  barAfter,
  barTolerance,
  benchOrder,
  gapLeft,
  gapsAlong,
  gapStep,
  isBent,
  largestGap,
  onBar,
  planGrid,
  planRequest,
  type BarBend,
  type BarState,
  type GapAt,
  type MadeBend,
  type NoPlan,
  type PlannedWork,
  type PlanRequest,
} from './bar';
export { alongAt, heightOf, placeOn, type BarShape } from './bar-shape';
export { bendDone, leavesOf, type BenchPass } from './bench-passes';
export { planBends, type BendChoice } from './bend-plan';
export {
  contourOfBack,
  contourOfEdge,
  targetOf,
  type Contour,
  type ContourSource,
  type Station,
} from './contour';
export { contactLimit, formingWindow, type Cooling } from './cooling';
export { heatClock, type HeatNow } from './heat';
export {
  heatRun,
  heatRuns,
  plasticSchema,
  type HeatCaution,
  type HeatRun,
  type HeatStage,
  type PlasticData,
} from './heat-runs';
export { barMaterials, elasticAngle, materialRules, type BarMaterial } from './material';
export { padAdvice, type Pad, type PadAdvice } from './pads';
export { decideBends, plannedDecision } from './planned';
export { isOpenMark, type PressureMark } from './pressure-marks';
export { partsOnZones, prominencesOf, zoneKinds, type OnZone, type Zone } from './zones';
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
export {
  barBent,
  barRead,
  bendsPlanned,
  contourTaken,
  heatWent,
  markLooked,
  markWays,
  padPlaced,
  pressureMarked,
  scarSeen,
  workDone,
  type MarkWay,
} from './entries';
export { foldShaping, isAnswered, type ShapingState } from './fold';
export {
  barsHeatOnBody,
  foreignContour,
  foreignHeat,
  foreignMark,
  foreignWork,
  isForeignWork,
  isHeatUnfelt,
} from './faults';
export { lastLengths, otherOfPair, unevenPairs, type Lengthened } from './lengths';
