import { object } from 'yup';
import { name } from '../../brace';
import { common, stepKind } from '../kind';

/** Something set now: the numbers are taken here. */
export const set = stepKind(object({ ...common, setting: name() }), { again: false });
