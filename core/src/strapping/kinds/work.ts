import { object } from 'yup';
import { name } from '../../brace';
import { common, stepKind } from '../kind';

/** Work on the brace that comes in the middle of it: a strap cut, an edge flared. */
export const work = stepKind(object({ ...common, operation: name() }), { again: false });
