import { otherSide, type Side } from '../anatomy';
import { inSight, stepAt, type StepState } from './progress';

/**
 * A calf more than 3 cm larger than the other, 10 cm below the tibial tuberosity: an item of the Wells rule
 * for thrombosis (Wells 1997, memory). A prompt to refer, not a diagnosis.
 * @returns the larger side and by how many mm, when it is so
 */
export function calfPrompt(
  states: readonly StepState[],
  braced: Side,
): { side: Side; by: number } | undefined {
  const step = states.find(
    ({ step: one }) => one.kind === 'girth' && one.from === 'tibial-tuberosity' && one.distance === -100,
  )?.step;
  if (!step) return undefined;
  const [own, other] = [braced, otherSide(braced)].map((side) => inSight(stepAt(states, step.id, side)));
  if (!own || !other) return undefined;
  const by = own.mean - other.mean;
  return Math.abs(by) > 30 ? { side: by > 0 ? braced : otherSide(braced), by: Math.abs(by) } : undefined;
}
