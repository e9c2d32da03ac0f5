import { array, object } from 'yup';
import { common, id, stepKind } from '../kind';

/** Steps of before once more, until a check passes. */
export const repeat = stepKind(
  object({ ...common, steps: array().of(id()).min(1).max(20).required(), until: id() }),
  { again: false },
);
