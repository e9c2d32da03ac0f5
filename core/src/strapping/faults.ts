import { faultAt, type EntryFault } from '../faults';
import { partNamed, type Part } from '../brace';
import { type BodyIn } from '../record';
import type { donningBegun, strapDone, strapLost, strapTension } from './entries';
import type { Sequence } from './sequence';

/** Why a list is none by which this brace is put on for the first time, or is begun without what goes before it. */
export function foreignList(
  sequences: readonly Sequence[],
  { list, policy }: BodyIn<typeof donningBegun>,
): EntryFault[] {
  const lists = sequences.filter(({ purpose }) => purpose === 'first-donning');
  if (lists.length === 0) return faultAt('kind', 'no-sequence');
  const begun = lists.find(({ id }) => id === list) ?? (list === undefined && lists.length === 1 && lists[0]);
  if (list !== undefined && !begun) return faultAt('body.list', 'no-list');
  return begun && begun.handling && policy !== true ? faultAt('body.policy', 'policy-needed') : [];
}

/** Why a step is none of putting this brace on. */
export const foreignStep = (
  sequences: readonly Sequence[],
  { step }: Pick<BodyIn<typeof strapDone> | BodyIn<typeof strapLost>, 'step'>,
): EntryFault[] =>
  sequences.some(({ steps }) => steps.some(({ id }) => id === step)) ? [] : faultAt('body.step', 'no-step');

/** Why a tension is of nothing that pulls on this brace. */
export const foreignTension = (
  parts: readonly Part[],
  { part }: Pick<BodyIn<typeof strapTension>, 'part'>,
): EntryFault[] => (partNamed(parts, part)?.kind === 'strap' ? [] : faultAt('body.part', 'no-strap'));
