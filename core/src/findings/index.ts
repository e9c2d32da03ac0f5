export { findingLevels, type CaseFinding, type FindingLevel, type Told, type Withheld } from './finding';
export { findingsAhead, urgencyOf, type FindingAhead } from './ahead';
export { firstReviewWithin, proposedReview, reviewBy, type ReviewBy } from './review-by';
export { findingsOf } from './findings-of';
export { stagesWith } from './stages-with';
export { toldOfOrder } from './told';
export { isSame, withheldFaults, withholding, type SignedOver } from './withheld';
