import { object } from 'yup';
import { common, operationKind } from '../kind';

/** A bar bent cold, by so many degrees at a place; the frame says where and how far. */
export const bend = operationKind(object(common), {
  on: ['bar'],
  ways: () => [],
  directions: ['towards-limb', 'away-from-limb'],
  measured: () => ({ unit: 'degrees' }),
  placed: true,
  ofFrame: true,
});
