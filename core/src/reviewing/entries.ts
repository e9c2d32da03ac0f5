import { skinStates } from './adjustment';
import { body, finite, oneOf, text, whole, kind } from '../record';

export const reviewFound = kind('review.found', {
  nature: 'fact',
  stages: ['review'],
  permission: 'reviewing.write',
  body: body({
    skin: oneOf(...skinStates).required(),
    pain: whole().min(0).max(10).required(),
    /** worn a day on average */
    hours: finite().min(0).max(24),
    note: text(800),
    /** by telephone: what the patient says, nothing looked at; absent where the patient was seen */
    by: oneOf('telephone'),
  }),
});
