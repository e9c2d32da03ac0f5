import { object } from 'yup';
import { finite } from '../../brace';
import { checkKind, common, unlessOff } from '../kind';

/** Both of a pair alike within so much, mm. */
export const alike = checkKind(object({ ...common, within: finite().min(0).required() }), {
  judge: ({ within }, found) =>
    found?.value === undefined || found.reference === undefined
      ? { state: 'open' }
      : unlessOff(Math.abs(found.value - found.reference) - within, 'not-alike'),
});
