import { object } from 'yup';
import { common, id, stepKind } from '../kind';

/** Work on the brace that comes in the middle of it: a strap cut, an edge flared. */
export const work = stepKind(object({ ...common, operation: id() }), { again: false });
