import { object } from 'yup';
import { amount, asStated, common, operationKind } from '../kind';

/** A part formed by heat. */
export const mould = operationKind(object({ ...common, ...amount }), {
  on: ['panel', 'shell', 'cuff'],
  ways: () => [],
  measured: asStated,
});
