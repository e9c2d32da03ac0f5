export {
  proposeAdjustment,
  referBecause,
  referReasons,
  type Adjustment,
  type ReferReason,
  type ReviewFinding,
  type SkinFinding,
} from './adjustment';
export {
  changesSince,
  orderedMotion,
  type VisitFigures,
  type VisitChange,
  type VisitMotion,
} from './changes';
export { sizeByGirths } from './size-now';
export { exampleMotion, motionInWindow, type MotionTest } from './motion';
export { reviewFound } from './entries';
export { foldReviewing, type ReviewingState, type ReviewVisit } from './fold';
export {
  followedOf,
  followedSchema,
  isGrowing,
  sideOfReading,
  type FollowedByFamily,
  type FollowedMotion,
} from './followed';
export { reliefOf, signTest, type Relief, type ReliefVisit } from './relief';
