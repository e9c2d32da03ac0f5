import { object, string } from 'yup';
import { name } from '../../brace';
import { common, stepKind } from '../kind';

/** A check answered now, before going on; it stands among the checks as well. */
export const check = stepKind(object({ ...common, check: name(), moment: string().strict() }), {
  again: false,
});
