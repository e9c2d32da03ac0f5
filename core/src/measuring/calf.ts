import { otherSide, type Side } from '../anatomy';
import { inSight, stepAt, type StepState } from './progress';

/**
 * A calf more than 3 cm larger than the other, 10 cm below the tibial tuberosity: an item of the Wells rule
 * for thrombosis (Wells 1997, memory). A prompt to refer, not a diagnosis.
 * @returns the larger side, by how many mm and the last reading that says so, when it is so
 */
export function calfPrompt(
  states: readonly StepState[],
  braced: Side,
): { side: Side; by: number; entry: string } | undefined {
  const step = states.find(
    ({ step: one }) => one.kind === 'girth' && one.from === 'tibial-tuberosity' && one.distance === -100,
  )?.step;
  if (!step) return undefined;
  const [own, other] = [braced, otherSide(braced)].map((side) => stepAt(states, step.id, side));
  const [read, otherRead] = [inSight(own), inSight(other)];
  if (!read || !otherRead) return undefined;
  const by = read.mean - otherRead.mean;
  const thicker = by > 0 ? own : other;
  return Math.abs(by) > 30
    ? { side: thicker!.side, by: Math.abs(by), entry: thicker!.readings.at(-1)!.entry }
    : undefined;
}
