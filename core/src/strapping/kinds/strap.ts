import { rule } from '../../faults';
import { object, string } from 'yup';
import { common, pulls, stepKind } from '../kind';

/** A part closed: a strap, a buckle, a belt; or several of them, in turn or together. */
export const strap = stepKind(
  object({ ...common, part: string().strict().min(1).max(80), pull: string().oneOf(pulls) }).test(
    ...rule('part-or-over'),
    ({ part, over }) => (part === undefined) !== (over === undefined),
  ),
  { again: true },
);
