import { faultAt, type EntryFault } from '../faults';
import type { Region } from '../anatomy';
import { type BodyIn } from '../record';
import { askedFindings, isDangerSign, type Finding } from './asked';
import { circulationRegions } from './circulation';
import type { screenLooked, screenOverridden } from './entries';
import type { ScreeningState } from './screening';

/** Findings that are not looked for in this family; a danger sign that was found is answered wherever it is. */
export const foreignFindings = (
  family: { region: Region; findings: readonly Finding[] },
  { answers }: BodyIn<typeof screenLooked>,
): EntryFault[] =>
  answers.flatMap(({ finding }, i) =>
    isDangerSign(finding) || askedFindings(family).includes(finding)
      ? []
      : faultAt(`body.answers[${i}].finding`, 'not-looked-for'),
  );

/** Why movement and sensation are not noted: the family does not ask for them. */
export const foreignLimbs = (limbs: unknown): EntryFault[] =>
  limbs === undefined ? faultAt('kind', 'no-limbs-here') : [];

/** Why pulse and refill are not noted: they are a limb's. */
export const foreignCirculation = (region: Region): EntryFault[] =>
  circulationRegions.includes(region) ? [] : faultAt('kind', 'no-circulation-here');

/** Why there is nothing to override: the finding does not block, or another look said so. */
export const overrideFaults = (
  { blocking }: ScreeningState,
  { finding: name, of }: BodyIn<typeof screenOverridden>,
): EntryFault[] =>
  blocking.some(({ finding, entry }) => finding === name && entry === of)
    ? []
    : faultAt('body.of', 'no-finding-that-blocks');
