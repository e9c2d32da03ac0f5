import { faultAt, type BodyIn, type EntryFault } from '../record';
import type { screenLooked, screenOverridden } from './entries';
import { askedFindings, type Finding, type ScreeningState } from './screening';

/** Findings that are not looked for in this family. */
export const foreignFindings = (
  ofFamily: readonly Finding[],
  { answers }: BodyIn<typeof screenLooked>,
): EntryFault[] =>
  answers.flatMap(({ finding }, i) =>
    askedFindings(ofFamily).includes(finding)
      ? []
      : faultAt(`body.answers[${i}].finding`, 'is not looked for in this family'),
  );

/** Why movement and sensation are not noted: the family does not ask for them. */
export const foreignLimbs = (limbs: unknown): EntryFault[] =>
  limbs === undefined
    ? faultAt('kind', 'is not noted in this family: movement and sensation are for trunk and neck')
    : [];

/** Why there is nothing to override: the finding does not block, or another look said so. */
export const overrideFaults = (
  { blocking }: ScreeningState,
  { finding: name, of }: BodyIn<typeof screenOverridden>,
): EntryFault[] =>
  blocking.some(({ finding, entry }) => finding === name && entry === of)
    ? []
    : faultAt('body.of', 'names no finding that blocks');
