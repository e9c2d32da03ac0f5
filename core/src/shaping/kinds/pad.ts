import { object } from 'yup';
import { common, operationKind } from '../kind';

/** A pad placed, split round a scar or a crest, or left out. */
export const pad = operationKind(object(common), {
  on: ['pad'],
  ways: () => ['placed', 'split', 'left-out'],
  measured: () => undefined,
});
