import { object, string } from 'yup';
import { finite } from '../../brace';
import { common, operationKind } from '../kind';

/** A bar bent cold, by so many degrees at a place; the frame says where and how far. */
export const bend = operationKind(
  object({
    ...common,
    /** with irons, by hand from its mark upwards, or slowly over a firm edge */
    how: string().oneOf(['irons', 'by-hand', 'over-edge']),
    /** degrees that it comes with, where it is bent over an edge */
    from: finite().min(0).max(90),
    /** both bars may be set in varus or valgus by it */
    sets: string().oneOf(['coronal']),
  }),
  {
    on: ['bar'],
    ways: () => [],
    // over an edge a bar goes the one way that it came bent
    directions: ({ how }) => (how === 'over-edge' ? [] : ['towards-limb', 'away-from-limb']),
    measured: () => ({ unit: 'degrees' }),
    // an edge is where the bar is laid over it
    placed: ({ how }) => how !== 'over-edge',
    ofFrame: ({ how }) => how !== 'over-edge',
  },
);
