export {
  askedFindings,
  dangerSignsOf,
  findingNow,
  findingRule,
  findings,
  isDangerSign,
  formerFindingNames,
  type DangerSign,
  type Finding,
} from './asked';
export {
  circulationRegions,
  judgeCirculation,
  pulses,
  slowRefill,
  type CirculationNote,
  type CirculationState,
  type Pulse,
} from './circulation';
export { referrals, type FindingRule, type Referral } from './danger-signs';
export {
  answersToFinding,
  byNerveBlock,
  judgeScreening,
  type AnswerToFinding,
  type FindingAnswer,
  type KnownFinding,
  type Override,
} from './screening';
export {
  allFull,
  degreesOfFunction,
  judgeLimbs,
  limbFunctions,
  limbs,
  lossesSince,
  type DegreeOfFunction,
  type Limb,
  type LimbFunction,
  type LimbLoss,
  type LimbsFelt,
  type LimbsNote,
  type LimbsState,
} from './limbs';
export { circulationNoted, limbsNoted, screenLooked, screenOverridden } from './entries';
export { foldLimbs, foldScreening, type LookedState } from './fold';
export { foreignCirculation, foreignFindings, foreignLimbs, overrideFaults } from './faults';
