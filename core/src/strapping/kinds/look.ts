import { object, string } from 'yup';
import { common, stepKind } from '../kind';

/** Something looked at before going on. */
export const look = stepKind(object({ ...common, part: string() }), { again: false });
