import type { LengthUnit } from '@estribo/core/quantity';
import { t } from '../messages';
import { formatDistance } from '../parts/format';
import { readQuantity } from '../parts/reading-field';

/** A length that may be left out; 0 may be typed. */
export function readLengthOr(
  text: string,
  unit: LengthUnit,
  { least, most, absent }: { least: number; most: number; absent: number | undefined },
): { value: number | undefined } | { problem: string } {
  if (text.trim() === '') return { value: absent };
  const read = readQuantity(text, 'distance', unit);
  if ('problem' in read) return read;
  return read.value < least || read.value > most
    ? {
        problem: t('shaping.between', {
          least: formatDistance(least, unit),
          most: formatDistance(most, unit),
        }),
      }
    : read;
}
