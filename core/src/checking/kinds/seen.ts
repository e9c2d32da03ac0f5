import { object } from 'yup';
import { checkKind, common } from '../kind';

/** A question that yes passes. */
export const seen = checkKind(object(common), {
  judge: (_, found) => {
    if (found?.seen === undefined) return { state: 'open' };
    return found.seen ? { state: 'pass' } : { state: 'fail', reason: 'not-seen' };
  },
});
