import type { Bounds } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { boundsProblem } from '../parts/bounds';
import { formatDistance } from '../parts/format';
import { readQuantity } from '../parts/reading-field';

/** A place on the limb: up is positive, down is a minus. */
export function readPlace(
  what: string,
  text: string,
  unit: LengthUnit,
  bounds: Bounds,
): { value: number } | { problem: string } {
  const read = readQuantity(text, 'distance', unit);
  if ('problem' in read) return read;
  const problem = boundsProblem(what, read.value, bounds, (bound) => formatDistance(bound, unit));
  return problem ? { problem } : read;
}
