import { array, object } from 'yup';
import { name } from '../../brace';
import { common, stepKind } from '../kind';

/** Steps of before once more, until a check passes. */
export const repeat = stepKind(
  object({ ...common, steps: array().of(name()).min(1).max(20).required(), until: name() }),
  { again: false },
);
