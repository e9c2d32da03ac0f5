export {
  askedFindings,
  dangerSigns,
  findingRule,
  judgeScreening,
  type Finding,
  type FindingAnswer,
  type FindingRule,
  type KnownFinding,
  type Override,
  referrals,
  type Referral,
  type ScreeningState,
} from './screening';
export { findings } from './findings';
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
export { screenLooked, limbsNoted, screenOverridden } from './entries';
export { foldLimbs, foldScreening } from './fold';
export { foreignFindings, foreignLimbs, overrideFaults } from './faults';
