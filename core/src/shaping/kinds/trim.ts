import { object } from 'yup';
import { amount, asStated, common, operationKind } from '../kind';

/** An edge taken back. */
export const trim = operationKind(object({ ...common, ...amount }), {
  on: ['shell', 'panel', 'liner'],
  ways: () => [],
  measured: asStated,
});
