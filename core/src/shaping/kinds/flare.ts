import { object } from 'yup';
import { amount, asStated, common, operationKind } from '../kind';

/** An edge turned outwards, off the skin. */
export const flare = operationKind(object({ ...common, ...amount }), {
  on: ['shell', 'panel', 'cuff'],
  ways: () => [],
  measured: asStated,
});
