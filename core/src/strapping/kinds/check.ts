import { object, string } from 'yup';
import { common, id, stepKind } from '../kind';

/** A check answered now, before going on; it stands among the checks as well. */
export const check = stepKind(object({ ...common, check: id(), moment: string().strict() }), {
  again: false,
});
