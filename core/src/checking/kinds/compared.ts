import { object, string } from 'yup';
import { notReversed } from '../../brace';
import { outside } from '../../setting';
import { checkKind, common, unlessOff, within } from '../kind';

/** A quantity held against what was read before it went on: within so much of that measuring step, in its unit. */
export const compared = checkKind(
  object({ ...common, step: string().strict().required(), ...within }).test(...notReversed),
  {
    judge: ({ step, least, most }, found, { read }) => {
      const before = read?.[step];
      return found?.value === undefined || before === undefined
        ? { state: 'open' }
        : unlessOff(outside(found.value - before, least, most), 'not-as-before');
    },
  },
);
