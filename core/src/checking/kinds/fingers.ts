import { object } from 'yup';
import { finite, notReversed } from '../../brace';
import { outside } from '../../setting';
import { checkKind, common } from '../kind';

/** So many fingers go between part and body. */
export const fingers = checkKind(
  object({ ...common, least: finite().min(0).required(), most: finite().min(0).required() }).test(
    ...notReversed,
  ),
  {
    judge: ({ least, most }, found) => {
      if (found?.value === undefined) return { state: 'open' };
      return outside(found.value, least, most) > 0
        ? { state: 'fail', reason: 'not-so-many' }
        : { state: 'pass' };
    },
  },
);
