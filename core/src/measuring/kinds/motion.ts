import { array, object, string } from 'yup';
import { joints, planes } from '../../anatomy';
import { name } from '../../brace';
import { measuringKind, modes, step } from './kind';

/** A joint's motion in one plane, neutral zero, inside the ordered window only. */
export const motion = measuringKind({
  states: object({
    ...step,
    joint: string().oneOf(joints).required(),
    plane: string().oneOf(planes).required(),
    modes: modes().min(1).required(),
    /** modes in which it may be tested as well */
    mayAlso: modes(),
    /** injuries with which it is not moved passively unless the order says so */
    notWith: array().of(name()).max(10),
  }),
  unit: 'degrees',
  instrument: 'goniometer',
  isReading: false,
  isOfPerson: false,
  same: ({ joint, plane }) => `motion ${joint} ${plane}`,
});
