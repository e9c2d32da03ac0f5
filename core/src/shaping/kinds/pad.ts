import { object } from 'yup';
import { amount, asStated, common, operationKind } from '../kind';

/** A pad placed, split round a scar or a crest, or left out; how far it stands over its plastic, where that is measured. */
export const pad = operationKind(object({ ...common, ...amount }), {
  on: ['pad'],
  // what is measured has one way: it is placed
  ways: ({ unit }) => (unit ? [] : ['placed', 'split', 'left-out']),
  measured: asStated,
});
