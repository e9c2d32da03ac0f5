import { object, string } from 'yup';
import { joints } from '../../anatomy';
import { finite } from '../../brace';
import { measuringKind, orWord, step } from './kind';

/**
 * The joint's angle, read with the goniometer: put at a target, at what the order says of it, or, where none is named, relaxed near
 * the middle of its motion and noted.
 */
export const posture = measuringKind({
  states: object({
    ...step,
    joint: string().oneOf(joints).required(),
    target: orWord('as-ordered', finite()),
    tolerance: finite().required().positive(),
  }),
  unit: 'degrees',
  instrument: 'goniometer',
  isReading: false,
  isOfPerson: false,
  // an angle is put for the readings that follow it
  same: () => undefined,
});
