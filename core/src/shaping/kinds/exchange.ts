import { object } from 'yup';
import { name } from '../../brace';
import { common, operationKind } from '../kind';

/** One part taken out and another put in: a lower panel, a thicker pad. */
export const exchange = operationKind(object({ ...common, for: name() }), {
  on: ['panel', 'pad'],
  ways: () => [],
  measured: () => undefined,
});
