import { otherSide, type Side } from '../anatomy';
import { millimetresPerInch } from '../quantity';
import { inSight, stepAt, type StepState } from './progress';
import { isReading, unitOf } from './protocol';

/** What an expectation comes from. */
export type Expectation = 'usual' | 'stature' | 'other-side' | 'last-visit' | 'neighbours';

/** What would explain the difference. */
export type Slip = 'digit-too-many' | 'digit-too-few' | 'inches' | 'centimetres' | 'sides-swapped';

export interface Question {
  against: Expectation;
  /** what was expected, in the step's unit */
  expected: number;
  /** the value that would have been meant, and how it went wrong */
  meant?: { slip: Slip; value: number };
}

/**
 * How far a reading may be from what it is compared with before it is asked about, as a share. Estimates, no
 * source; a reading is questioned, never refused.
 */
const reach: Record<Exclude<Expectation, 'usual'>, number> = {
  'last-visit': 0.12,
  'other-side': 0.14,
  neighbours: 0.3,
  stature: 0.35,
};

export interface PlausibilityContext {
  /** every step's state, the one asked about among them */
  states: readonly StepState[];
  /** a stature in mm, read or estimated from the age */
  stature: number;
  /** means of the last visit, by step, of the braced side */
  lastVisit: Readonly<Record<string, number>>;
  braced: Side;
}

/**
 * Whether a value just read should be asked about before it is taken. A repeat that agrees with what was
 * read and answered for before is not asked about again.
 * @param at the step and side it was read for, and what was read there before
 * @param value in the step's unit
 * @returns the nearest reason to ask, with the slip that would explain it; undefined when nothing is odd
 */
export function questionReading(
  { step, side, readings = [] }: Pick<StepState, 'step' | 'side'> & Partial<Pick<StepState, 'readings'>>,
  value: number,
  { states, stature, lastVisit, braced }: PlausibilityContext,
): Question | undefined {
  if (!isReading(step) || unitOf(step) === 'degrees') {
    const [low, high] = isReading(step) ? step.plausible : [-180, 180];
    return value < low || value > high ? { against: 'usual', expected: (low + high) / 2 } : undefined;
  }
  if (
    readings.some((before) => before.value !== undefined && Math.abs(before.value - value) <= step.tolerance)
  )
    return undefined;
  const meanOf = (id: string, at: Side) => inSight(stepAt(states, id, at))?.mean;
  const other = side === 'midline' ? undefined : meanOf(step.id, otherSide(side));
  const visit = side === braced ? lastVisit[step.id] : undefined;
  const expectations: [Exclude<Expectation, 'usual'>, number | undefined][] = [
    ['last-visit', visit],
    ['other-side', other],
    ['neighbours', fromNeighbours(step.id, side, states, meanOf)],
    ['stature', step.ofStature === undefined ? undefined : step.ofStature * stature],
  ];
  const off = (expected: number) => Math.abs(value - expected) / expected;
  const odd = expectations.find(
    (one): one is [Exclude<Expectation, 'usual'>, number] =>
      one[1] !== undefined && off(one[1]) > reach[one[0]],
  );
  const [low, high] = step.plausible;
  if (!odd && value >= low && value <= high) return undefined;
  const [against, expected] = odd ?? ['usual' as const, (low + high) / 2];
  const swapped =
    odd && visit !== undefined && other !== undefined && Math.abs(value - other) < 0.03 * other
      ? ({ slip: 'sides-swapped', value: other } as const)
      : undefined;
  const meant =
    swapped ?? slipThatFits(value, odd ? [expected * 0.9, expected * 1.1] : [low, high], unitOf(step));
  return { against, expected, ...(meant ? { meant } : {}) };
}

const slips: readonly [Slip, number][] = [
  ['digit-too-many', 1 / 10],
  ['digit-too-few', 10],
  // typed in a field of centimetres, or of millimetres
  ['inches', millimetresPerInch / 10],
  ['inches', millimetresPerInch],
  ['centimetres', 10 / millimetresPerInch],
];

function slipThatFits(
  value: number,
  [low, high]: readonly [number, number],
  unit: string,
): Question['meant'] {
  const found = slips
    .filter(([slip]) => unit === 'mm' || slip.startsWith('digit'))
    .find(([, factor]) => value * factor >= low && value * factor <= high);
  return found && { slip: found[0], value: value * found[1] };
}

/** Other girths from the same mark on this side, scaled by what they usually are to this one. */
function fromNeighbours(
  id: string,
  side: Side,
  states: readonly StepState[],
  meanOf: (id: string, side: Side) => number | undefined,
): number | undefined {
  const own = stepAt(states, id, side)?.step;
  if (own?.kind !== 'girth') return undefined;
  const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
  const guesses = states.flatMap(({ step }) => {
    if (step.kind !== 'girth' || step.id === id || step.from !== own.from) return [];
    const mean = meanOf(step.id, side);
    return mean === undefined ? [] : [(mean * middle(own.plausible)) / middle(step.plausible)];
  });
  return guesses.length === 0 ? undefined : guesses.reduce((sum, guess) => sum + guess, 0) / guesses.length;
}
