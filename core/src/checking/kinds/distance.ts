import { rule } from '../../faults';
import { object, string } from 'yup';
import { finite } from '../../brace';
import { outside } from '../../setting';
import { checkKind, common, unlessOff } from '../kind';

/** A distance between a part and a landmark within a tolerance, mm: the model's own, or the family's. */
export const distance = checkKind(
  object({
    ...common,
    tolerance: string().oneOf(['model']),
    from: finite(),
    to: finite(),
    /** what was found moves its parts on the figure: along the limb, or behind their place */
    moves: string().oneOf(['along', 'behind']),
  }).test(...rule('distance-limits'), ({ tolerance, from, to }) =>
    tolerance === 'model'
      ? from === undefined && to === undefined
      : from !== undefined && to !== undefined && from <= to,
  ),
  {
    // what is left to the model has the model's limits by now
    judge: ({ from, to }, found) =>
      found?.value === undefined || from === undefined || to === undefined
        ? { state: 'open' }
        : unlessOff(outside(found.value, from, to), 'outside-tolerance'),
  },
);
