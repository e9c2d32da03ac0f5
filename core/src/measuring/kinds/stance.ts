import { array, object, string } from 'yup';
import { stances } from '../../brace';
import { measuringKind, step } from './kind';

/** How the patient stands, sits or lies: the named way is confirmed; where none is named it is noted. */
export const stance = measuringKind({
  states: object({
    ...step,
    stance: string().oneOf(stances),
    /** as right as the named one, where that cannot be */
    others: array().of(string().oneOf(stances).required()),
  }),
  unit: undefined,
  instrument: undefined,
  isReading: false,
  isOfPerson: true,
  // how somebody stands is looked at again for each brace
  same: () => undefined,
});
