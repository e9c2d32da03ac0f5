import { faultAt, type BodyIn, type EntryFault } from '../record';
import type { donningBegun, strapDone } from './entries';
import type { Sequence } from './sequence';

/** Why a list is none by which this brace is put on for the first time. */
export function foreignList(
  sequences: readonly Sequence[],
  { list }: BodyIn<typeof donningBegun>,
): EntryFault[] {
  const lists = sequences.filter(({ purpose }) => purpose === 'first-donning');
  if (lists.length === 0)
    return faultAt('kind', 'is not for this brace: no putting-on sequence is covered for it');
  return list === undefined || lists.some(({ id }) => id === list)
    ? []
    : faultAt('body.list', 'is no list by which this brace is put on');
}

/** Why a step is none of putting this brace on. */
export const foreignStep = (
  sequences: readonly Sequence[],
  { step }: BodyIn<typeof strapDone>,
): EntryFault[] =>
  sequences.some(({ steps }) => steps.some(({ id }) => id === step))
    ? []
    : faultAt('body.step', 'is no step of this brace’s sequence');
