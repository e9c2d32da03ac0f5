import { meanAndDeviation } from '../statistics';
import type { ReadingStep } from './protocol';

export interface AssessedReading {
  /** in the step's unit: mm, degrees, kg or years; so are all the numbers here */
  values: number[];
  mean: number;
  /** largest less smallest repeat */
  range: number;
  /**
   * what the protocol still asks for: a second reading, a third when two disagree; `settle`: one of three or
   * more agrees with no other, and is rejected or answered by another reading
   */
  needs: 'second' | 'third' | 'settle' | undefined;
  /** places of the values that agree with no other one, when that is what is asked about */
  alone: number[];
  /** every reading agrees with another, and still they are apart by more than the tolerance */
  restless: boolean;
  /** s_w / sqrt(n): the part another repeat makes smaller */
  repeatPart: number;
  /** u_B: the part repeats share */
  sharedPart: number;
  /** standard uncertainty, sqrt(s_w^2/n + u_B^2) */
  uncertainty: number;
}

/**
 * The reading of a step from its repeats. u^2 = s_w^2/n + u_B^2 (JCGM 100:2008, pooled s: 4.2.4);
 * s_w is the protocol's or the clinic's own, never the spread of two readings that happen to agree.
 * @param step the protocol with tolerance and deviations
 * @param values the repeats in the step's unit, in order
 * @returns undefined before the first repeat
 */
export function assessReadings(
  step: Pick<ReadingStep, 'tolerance' | 'withinPerson' | 'shared' | 'repeats'>,
  values: readonly number[],
): AssessedReading | undefined {
  const spread = meanAndDeviation(values);
  if (!spread) return undefined;
  const count = values.length;
  const apart = spread.range > step.tolerance;
  // each agrees with at least one other, or it is asked about: a slip of the hand is never averaged in
  const alone =
    count > 2
      ? values.flatMap((value, at) =>
          values.some((other, i) => i !== at && Math.abs(other - value) <= step.tolerance) ? [] : [at],
        )
      : [];
  const repeatPart = step.withinPerson / Math.sqrt(count);
  return {
    values: [...values],
    mean: spread.mean,
    range: spread.range,
    needs:
      count < (step.repeats ?? 2)
        ? 'second'
        : count === 2 && apart
          ? 'third'
          : alone.length > 0
            ? 'settle'
            : undefined,
    alone,
    restless: count > 2 && apart && alone.length === 0,
    repeatPart,
    sharedPart: step.shared,
    uncertainty: Math.hypot(repeatPart, step.shared),
  };
}
