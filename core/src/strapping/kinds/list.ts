import { object } from 'yup';
import { name } from '../../brace';
import { common, stepKind } from '../kind';

/** Another list, step for step. */
export const list = stepKind(object({ ...common, list: name() }), { again: false });
