export {
  resolveSteps,
  type GirthStep,
  type MarkStep,
  type MeasuringStep,
  type PostureStep,
  type ProtocolStep,
} from './protocol';
export { assessReadings, type AssessedReading } from './reading';
export {
  measuringProgress,
  stepAt,
  type MeasuringProgress,
  type StepState,
  type TakenReading,
} from './progress';
export { judgePosture } from './posture';
export { sideDifference } from './sides';
