export { faces, otherSide, pairedSides, sides, sidesFrom, type Face, type Side } from './side';
export {
  endsOf,
  joints,
  jointsFrom,
  motionEnds,
  namedAngle,
  planes,
  signedAngle,
  type Joint,
  type JointAngle,
  type JointPlane,
  type MotionEnd,
  type Plane,
} from './joint';
export { regionNames, regions, type Region } from './region';
export { datumOf, landmarkLevel, landmarks, type Landmark } from './landmark';
export { ellipsePerimeter, semiAxes } from './ellipse';
export { statureForAge } from './stature';
export { buildOf, templateStature, type Build } from './build';
export { legForm, legGirth, type LegForm, type LegEdges } from './leg-form';
export { legFormOf } from './leg-view';
export { bandsAlong, crossing, smooth, type Point } from './outline';
export { nothingRead, type BodyReadings } from './body-readings';
export { type BodyView } from './body-view';
export { bodyOf, type Body } from './body';
export { wholeBody, type WholeBody } from './whole-body';
export { arcAngle, curveFromInclinations, kyphosisIndex } from './spine-curve';
