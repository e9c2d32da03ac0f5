import { object } from 'yup';
import { amount, asStated, common, operationKind } from '../kind';

/** A strap shortened: folded and fixed, or cut for good. */
export const cut = operationKind(object({ ...common, ...amount }), {
  on: ['strap'],
  ways: () => ['folded', 'cut'],
  measured: asStated,
});
