import type { Side } from '../anatomy';
import { measuringProgress, type MeasuringTaken, type StepState, type TakenReading } from './progress';
import type { GirthStep, MeasuringStep, ReadingStep } from './protocol';

/** A girth for tests, 15 cm above the middle of the kneecap where nothing else is said. */
export const girthStep = (id: string, more: Partial<GirthStep> = {}): GirthStep => ({
  kind: 'girth',
  id,
  from: 'mid-kneecap',
  distance: 150,
  tolerance: 5,
  withinPerson: 2.5,
  shared: 3,
  plausible: [250, 950],
  ...more,
});

/** Any other reading, of one repeat. */
export const readingStep = (kind: ReadingStep['kind'], id: string, more: object = {}): ReadingStep =>
  ({
    kind,
    id,
    tolerance: 5,
    withinPerson: 2,
    shared: 3,
    plausible: [10, 2000],
    repeats: 1,
    ...more,
  }) as unknown as ReadingStep;

export const taken = (step: string, side: Side, ...values: (number | undefined)[]): TakenReading[] =>
  values.map((value, i) => ({
    step,
    side,
    ...(value === undefined ? {} : { value }),
    entry: `${step} ${side} ${i}`,
  }));

/** The states of steps after some readings, the right side braced. */
export const statesOf = (
  steps: readonly MeasuringStep[],
  readings: readonly TakenReading[],
  more: Partial<MeasuringTaken> = {},
): StepState[] => measuringProgress(steps, 'right', { readings, skipped: [], ...more }).states;
