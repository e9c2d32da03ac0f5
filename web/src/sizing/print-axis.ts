import type { CaseState } from '@estribo/core/logbook';
import { isMeasured, unitOf, type ReadingUnit } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { formatReading } from '../parts/format';

/** The unit an axis of the chart is in: that of the step it means. */
export function unitOfAxis(state: Pick<CaseState, 'measuring'>, reading: string): ReadingUnit {
  const step = state.measuring.steps.find(({ id }) => id === reading);
  return isMeasured(step) ? unitOf(step) : 'mm';
}

/** A value of an axis with its unit. */
export const formatAxis = (
  state: Pick<CaseState, 'measuring'>,
  reading: string,
  value: number,
  unit: LengthUnit,
): string => formatReading(value, unitOfAxis(state, reading), unit);
