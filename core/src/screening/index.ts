export {
  judgeScreening,
  type Finding,
  type FindingAnswer,
  type FindingRule,
  type Override,
  type Referral,
  type ScreeningState,
} from './screening';
export { findings } from './findings';
