import { rule } from '../../faults';
import { object, string } from 'yup';
import { finite } from '../../brace';
import { outside } from '../../setting';
import { checkKind, common, unlessOff } from '../kind';

/** A quantity that must lie in a range: seconds of refill, degrees, kilograms, a count. */
export const quantity = checkKind(
  object({
    ...common,
    unit: string().oneOf(['s', 'degrees', 'mm', 'kg', 'count']).required(),
    least: finite(),
    most: finite(),
  }).test(
    ...rule('quantity-limits'),
    ({ least, most }) =>
      (least !== undefined || most !== undefined) && !((least ?? -Infinity) > (most ?? Infinity)),
  ),
  {
    judge: ({ unit, least = -Infinity, most = Infinity }, found, { refillBefore = -Infinity }) =>
      found?.value === undefined
        ? { state: 'open' }
        : // a refill that was as slow before the brace went on is no new sign
          unlessOff(
            outside(found.value, least, unit === 's' ? Math.max(most, refillBefore) : most),
            'outside-tolerance',
          ),
  },
);
