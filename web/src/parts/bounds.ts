import type { Bounds } from '@estribo/core/logbook';
import { readingBounds, unitOf, type MeasuredStep } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { t } from '../messages';
import { formatReading, signed } from './format';

/**
 * What is wrong with a number that lies outside its bounds, with the field's name, the bounds and the unit in
 * words; undefined when nothing is.
 * @param unit how the bounds are printed, where it is not a bare number
 */
export function boundsProblem(
  what: string,
  value: number,
  { least, most, whole }: Bounds,
  unit: (value: number) => string = signed,
): string | undefined {
  if (whole && !Number.isInteger(value)) return t('bounds.whole', { what });
  if ((least === undefined || value >= least) && (most === undefined || value <= most)) return undefined;
  if (least === undefined) return t('bounds.most', { what, most: unit(most!) });
  return most === undefined
    ? t('bounds.least', { what, least: unit(least) })
    : t('bounds.between', { what, least: unit(least), most: unit(most) });
}

/** What is wrong with a reading that lies outside what a step can read, its bounds in the unit on the screen. */
export const readingProblem = (
  what: string,
  value: number,
  step: MeasuredStep,
  unit: LengthUnit,
): string | undefined =>
  boundsProblem(what, value, { ...readingBounds(step), whole: false }, (bound) =>
    formatReading(bound, unitOf(step), unit),
  );
