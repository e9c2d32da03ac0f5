import { object } from 'yup';
import { common, id, stepKind } from '../kind';

/** Something set now: the numbers are taken here. */
export const set = stepKind(object({ ...common, setting: id() }), { again: false });
