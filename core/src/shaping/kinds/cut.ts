import { array, object } from 'yup';
import { finite, name } from '../../brace';
import { amount, asStated, common, operationKind } from '../kind';

/** A strap shortened: folded and fixed, or cut for good. */
export const cut = operationKind(
  object({
    ...common,
    ...amount,
    /** straps that are brought to one length, two by two, and how far the two may be off */
    pairs: array()
      .of(
        object({ of: array().of(name()).length(2).required(), within: finite().min(0).max(200) })
          .noUnknown()
          .required(),
      )
      .max(10),
  }),
  {
    on: ['strap'],
    ways: () => ['folded', 'cut'],
    measured: asStated,
  },
);
