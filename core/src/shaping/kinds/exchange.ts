import { object } from 'yup';
import { common, id, operationKind } from '../kind';

/** One part taken out and another put in: a lower panel, a thicker pad. */
export const exchange = operationKind(object({ ...common, for: id() }), {
  on: ['panel', 'pad'],
  ways: () => [],
  measured: () => undefined,
});
