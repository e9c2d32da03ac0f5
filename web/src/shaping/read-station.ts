import type { LengthUnit } from '@estribo/core/quantity';
import { t } from '../messages';
import { formatDistance } from '../parts/format';
import { readQuantity } from '../parts/reading-field';

/** mm: what is taken off an edge or lies in a pad, at least and at most */
export const thickness = { least: 0.5, most: 60 };

/** A length that has to be typed, within bounds. */
export function readLength(
  text: string,
  unit: LengthUnit,
  bounds: { least: number; most: number },
): { value: number } | { problem: string } {
  const read = readLengthOr(text, unit, { ...bounds, absent: undefined });
  if ('problem' in read) return read;
  return read.value === undefined ? { problem: t('common.typeNumber') } : { value: read.value };
}

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
