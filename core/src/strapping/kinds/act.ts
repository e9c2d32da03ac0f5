import { object, string } from 'yup';
import { common, stepKind } from '../kind';

/** Something done with the brace, the patient, a helper or an aid. */
export const act = stepKind(
  object({
    ...common,
    on: string().oneOf(['brace', 'patient', 'helper', 'aid']).required(),
    part: string(),
  }),
  { again: false },
);
