import type { Degrees, Millimetres } from '../quantity';
import { heldLength } from './held';
import { landmarkLevel, type Landmark } from './landmark';
import type { Build } from './build';
import type { Region } from './region';

/** What was read of a body part, as far as it moves its outline. All lengths in mm. */
export interface BodyReadings {
  girths: readonly { from: Landmark; distance: Millimetres; girth: Millimetres }[];
  lengths: readonly { from: Landmark; to: Landmark; length: Millimetres }[];
  widths: readonly { at: Landmark; across: 'mediolateral' | 'anteroposterior'; width: Millimetres }[];
  /** leaning forward positive, at shares of the way from the first landmark down to the last */
  inclinations: readonly { at: number; angle: Degrees }[];
  footLength?: Millimetres;
}

export const nothingRead: BodyReadings = { girths: [], lengths: [], widths: [], inclinations: [] };

/** Length of the template's foot. */
export const templateFoot: Millimetres = 258;
/** From the heel to the ball of the template's foot. */
const templateBall: Millimetres = 186;
/** a tape along the back is a little longer than its height */
export const alongTheBack = 1.03;

/**
 * Proportions with what was read of lengths: a long back is drawn long, a long foot long.
 * @returns the proportions, and the landmarks at which a length was held within what a body can be
 */
export function fitted(
  region: Region,
  readings: BodyReadings,
  build: Build,
): { build: Build; held: Landmark[] } {
  const held: Landmark[] = [];
  const hold = (factor: number, at: Landmark) => {
    const { factor: to, held: was } = heldLength(factor);
    if (was) held.push(at);
    return to;
  };
  const level = (landmark: Landmark) => landmarkLevel(region, landmark, build);
  let fit = build;
  const ball = readings.lengths.find(({ to }) => to === 'ball-of-foot')?.length;
  if (readings.footLength !== undefined)
    fit = { ...fit, foot: build.foot * hold(readings.footLength / (templateFoot * build.foot), 'heel') };
  else if (ball !== undefined)
    fit = { ...fit, foot: build.foot * hold(ball / (templateBall * build.foot), 'heel') };
  // what is read along a foot is no height
  if (region === 'ankle') return { build: fit, held };
  const factors = readings.lengths.flatMap(({ from, to, length }) => {
    const [a, b] = [level(from), level(to)];
    if (a === undefined || b === undefined || a === b) return [];
    const drawn = Math.abs(a - b) * (from === 'c7' ? alongTheBack : 1);
    return [{ to, factor: hold(length / drawn, to), long: length, a, b }];
  });
  if (factors.length === 0) return { build: fit, held };
  const mean = factors.reduce((sum, { factor }) => sum + factor, 0) / factors.length;
  switch (region) {
    case 'leg':
      return { build: { ...fit, shank: build.shank * mean }, held };
    case 'trunk':
      return { build: { ...fit, trunk: build.trunk * mean }, held };
    case 'neck': {
      // what lies below the neck's foot stays: a longer neck alone carries the chin higher
      const necks = factors.map(({ a, b, factor }) => {
        const [chin, below] = [Math.max(a, b), Math.min(a, b)];
        return (Math.abs(a - b) * factor + below) / chin;
      });
      const neck = necks.reduce((sum, one) => sum + one, 0) / necks.length;
      return { build: { ...fit, neck: build.neck * Math.max(0.15, neck) }, held };
    }
    default:
      return { build: fit, held };
  }
}
