import { object } from 'yup';
import { common, id, stepKind } from '../kind';

/** Another list, step for step. */
export const list = stepKind(object({ ...common, list: id() }), { again: false });
