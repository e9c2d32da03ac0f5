export * from './protocol';
export { assessReadings, type AssessedReading } from './reading';
export {
  measuringProgress,
  inSight,
  nextStep,
  settledReading,
  stepAt,
  untested,
  type MeasuringProgress,
  type OwnPrecision,
  type SkippedStep,
  type StepState,
  type TakenMotion,
  type TakenReading,
} from './progress';
export { judgePosture } from './posture';
export { sideDifference } from './sides';
export { coneVolume, girthsFrom, segmentVolume } from './volume';
export { calfPrompt } from './calf';
export { footLength, shoeScales, shoeSize, type ShoeScale } from './shoe-size';
export {
  questionReading,
  type Expectation,
  type PlausibilityContext,
  type Question,
  type Slip,
} from './plausibility';
export {
  ownRepeatability,
  pairsNeeded,
  pairsOf,
  type OwnRepeatability,
  type ReadingPair,
} from './own-repeatability';
export { bodyReadings, mirroredReadings } from './body-readings';
export { measureRead, measureMarked, measureSkipped, measurePrecision, motionTested } from './entries';
export {
  looksReversed,
  motionRange,
  parseNeutralZero,
  formatNeutralZero,
  type NeutralZero,
} from './neutral-zero';
export {
  foldMeasuring,
  foldMotions,
  lastMotion,
  limitedSteps,
  type MeasuringState,
  type TestedMotion,
} from './fold';
export { foreignMotion, foreignPrecision, foreignReading, foreignStepOfMeasuring } from './faults';
