import { object } from 'yup';
import { checkKind, common } from '../kind';

/** A part lies proximal of a place on the limb: both as mm below the mark. */
export const proximalTo = checkKind(object(common), {
  judge: (_, found) => {
    if (found?.value === undefined || found.reference === undefined) return { state: 'open' };
    const over = found.value - found.reference;
    return over >= 0 ? { state: 'fail', reason: 'not-proximal', by: over } : { state: 'pass' };
  },
});
