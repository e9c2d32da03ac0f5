import type { Millimetres } from '../quantity';
import { inSight, type StepState } from './progress';

/**
 * Volume between two girths a height apart, the segment taken as a truncated cone:
 * h (C1^2 + C1 C2 + C2^2) / (12 pi).
 * @returns in the cube of the unit given
 */
export const coneVolume = (girth1: number, girth2: number, height: number): number =>
  (height * (girth1 ** 2 + girth1 * girth2 + girth2 ** 2)) / (12 * Math.PI);

/**
 * Volume of a limb between its outermost girths, cone upon cone.
 * @param girths with their level, any order
 * @returns mm^3, or undefined with fewer than two girths
 */
export function segmentVolume(
  girths: readonly { level: Millimetres; girth: Millimetres }[],
): number | undefined {
  if (girths.length < 2) return undefined;
  const rising = [...girths].sort((a, b) => a.level - b.level);
  return rising
    .slice(1)
    .reduce(
      (sum, above, i) => sum + coneVolume(rising[i]!.girth, above.girth, above.level - rising[i]!.level),
      0,
    );
}

/** The girths of one side that are read from one mark, with their level from it. */
export const girthsFrom = (
  states: readonly StepState[],
  side: StepState['side'],
  mark: string,
): { level: Millimetres; girth: Millimetres }[] =>
  states.flatMap((state) => {
    const { step, side: at } = state;
    const read = inSight(state);
    return step.kind === 'girth' && at === side && step.from === mark && read
      ? [{ level: step.distance, girth: read.mean }]
      : [];
  });
