import { repeatabilityCoefficient, withinPersonDeviation } from '../statistics';
import type { StepState } from './progress';
import { isReading, protocolOf } from './protocol';

/** As many pairs as a clinic needs before its own deviation is offered. */
export const pairsNeeded = 20;

/** The first two readings of one step on one side. */
export interface ReadingPair {
  protocol: string;
  step: string;
  side: StepState['side'];
  first: number;
  second: number;
}

/** The pairs of a case: the first two readings of every step that has two. */
export const pairsOf = (states: readonly StepState[]): ReadingPair[] =>
  states.flatMap(({ step, side, readings }) => {
    const [first, second] = readings.flatMap(({ value }) => value ?? []);
    return isReading(step) && first !== undefined && second !== undefined
      ? [{ protocol: protocolOf(step), step: step.id, side, first, second }]
      : [];
  });

export interface OwnRepeatability {
  pairs: number;
  /** s_w, in the step's unit */
  withinPerson: number;
  /** 95 % of pairs differ by less */
  coefficient: number;
}

/**
 * A clinic's own repeatability from its pairs. Bland and Altman, Lancet 1986.
 * @returns undefined with fewer than 20 pairs
 */
export function ownRepeatability(
  pairs: readonly Pick<ReadingPair, 'first' | 'second'>[],
): OwnRepeatability | undefined {
  const withinPerson = withinPersonDeviation(pairs.map(({ first, second }) => [first, second] as const));
  return withinPerson === undefined || pairs.length < pairsNeeded
    ? undefined
    : { pairs: pairs.length, withinPerson, coefficient: repeatabilityCoefficient(withinPerson) };
}
