import { isReading, unitOf, type MeasuringStep } from '@estribo/core/measuring';
import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import { language } from '../messages';
import { formatReading } from '../parts/format';

/** A reading's number for the figure's dimension: the distance of a tape, the value of what is read. */
export function figureLabel(
  step: MeasuringStep,
  value: number | undefined,
  unit: LengthUnit,
): string | undefined {
  if (step.kind === 'girth') return formatLength(Math.abs(step.distance), unit, language);
  return value === undefined || !isReading(step) ? undefined : formatReading(value, unitOf(step), unit);
}
