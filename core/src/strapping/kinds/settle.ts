import { object, string } from 'yup';
import { finite } from '../../brace';
import { common, stepKind } from '../kind';

/** Time for the brace to settle. */
export const settle = stepKind(
  object({
    ...common,
    how: string().oneOf(['walk', 'sit', 'lie']).required(),
    minutes: finite().positive().max(240).required(),
  }),
  { again: false },
);
