import { faultAt, type EntryFault } from '../faults';
import { sidesFrom, type Side } from '../anatomy';
import { type BodyIn } from '../record';
import type { measureRead, motionTested } from './entries';
import {
  isMeasured,
  isOfPerson,
  readingBounds,
  unitOf,
  type MeasuredStep,
  type MeasuringStep,
} from './protocol';

/** Why something of a measuring step is none of this case: a step that it does not have, a side where it is not taken. */
export function foreignStepOfMeasuring(
  steps: readonly MeasuringStep[],
  braced: Side,
  { step: id, side }: { step: string; side: Side },
): EntryFault[] {
  const step = steps.find((one) => one.id === id);
  if (!step) return faultAt('body.step', 'no-measuring-step');
  const taken: readonly Side[] = isOfPerson(step) ? ['midline'] : sidesFrom(braced);
  return taken.includes(side)
    ? []
    : faultAt('body.side', 'side-of-step', { words: taken.join(', '), step: id });
}

/** The same of a reading, and a value that no body has. */
export function foreignReading(
  steps: readonly MeasuringStep[],
  braced: Side,
  body: BodyIn<typeof measureRead>,
): EntryFault[] {
  const step = steps.find(({ id }) => id === body.step);
  return [
    ...foreignStepOfMeasuring(steps, braced, body),
    ...(isMeasured(step) ? outOfBounds(step, body.value) : []),
  ];
}

function outOfBounds(step: MeasuredStep, value: number): EntryFault[] {
  const { least, most } = readingBounds(step);
  return value < least || value > most
    ? faultAt('body.value', 'out-of-bounds', { least, most, unit: unitOf(step) })
    : [];
}

/** Why a deviation is of no step of this case. */
export const foreignPrecision = (
  steps: readonly MeasuringStep[],
  { step }: { step: string },
): EntryFault[] => (steps.some(({ id }) => id === step) ? [] : faultAt('body.step', 'no-measuring-step'));

/**
 * Why a motion is none of this case.
 * @param isLimited the order limits a motion of this family: then one may stand without a step
 */
export function foreignMotion(
  steps: readonly MeasuringStep[],
  braced: Side,
  isLimited: boolean,
  { step, side }: BodyIn<typeof motionTested>,
): EntryFault[] {
  if (step !== undefined) return foreignStepOfMeasuring(steps, braced, { step, side });
  if (!isLimited) return faultAt('body.step', 'motion-needed');
  return sidesFrom(braced).includes(side)
    ? []
    : faultAt('body.side', 'side-of-case', { words: sidesFrom(braced).join(', ') });
}
