import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import { language, t } from '../messages';
import { readQuantity } from '../parts/reading-field';

/** A girth as it was typed, in mm; asked again when no limb measures that. */
export function readGirth(
  typed: string,
  unit: LengthUnit,
  plausible: readonly [number, number],
): { value: number } | { problem: string } {
  const read = readQuantity(typed, 'length', unit);
  if ('problem' in read || (read.value >= plausible[0] && read.value <= plausible[1])) return read;
  const [from, to] = plausible.map((length) => formatLength(length, unit, language));
  return { problem: t('measuring.noSuchLimb', { from: from!, to: to!, unit }) };
}
