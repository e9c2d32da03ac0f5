export { proposeAdjustment, type Adjustment, type ReviewFinding, type SkinFinding } from './adjustment';
export { changesSince, type VisitFigures, type VisitChange } from './changes';
export { sizeByGirths } from './size-now';
export { exampleMotion, motionInWindow, type MotionTest } from './motion';
