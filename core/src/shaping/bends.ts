import type { WorkDone } from './kind';
import type { Degrees, Millimetres } from '../quantity';

export type Upright = 'medial' | 'lateral';

export interface Bend {
  upright: Upright;
  /** middle of the bend from the hinge's centre, proximal positive */
  place: Millimetres;
  direction: 'towards-limb' | 'away-from-limb';
  amount: Degrees;
}

/** What a frame takes, by its maker. */
export interface FrameLimits {
  /** may it be bent cold at all */
  bendable: boolean;
  /** no bend nearer to the hinge than this */
  hingeZone: Millimetres;
  /** reach of the uprights from the hinge */
  reach: { proximal: Millimetres; distal: Millimetres };
  /** largest single bend */
  increment: Degrees;
  /** all bends of one upright together */
  total: Degrees;
}

export type BendProblem =
  'not-bendable' | 'in-hinge-zone' | 'off-the-upright' | 'over-increment' | 'over-total' | 'back-and-forth';

/** Bends of one upright nearer to each other than this are in one place: about a jaw's width. An estimate. */
const onePlace: Millimetres = 20;

/**
 * What speaks against a bend. A bend already made is recorded all the same; before it, it is said.
 * @param made bends of this frame so far
 */
export function judgeBend(bend: Bend, made: readonly Bend[], limits: FrameLimits): BendProblem[] {
  if (!limits.bendable) return ['not-bendable'];
  const reach = bend.place > 0 ? limits.reach.proximal : limits.reach.distal;
  const problems: BendProblem[] = [];
  if (Math.abs(bend.place) < limits.hingeZone) problems.push('in-hinge-zone');
  if (Math.abs(bend.place) > reach) problems.push('off-the-upright');
  if (bend.amount > limits.increment) problems.push('over-increment');
  if (spent(bend.upright, made) + bend.amount > limits.total) problems.push('over-total');
  const undone = made.some(
    (before) =>
      before.upright === bend.upright &&
      before.direction !== bend.direction &&
      Math.abs(before.place - bend.place) < onePlace,
  );
  if (undone) problems.push('back-and-forth');
  return problems;
}

/**
 * Bends of each upright added up: bending back and forth tires the metal as well, so every amount counts.
 * `turned` is what remains as the upright's angle, towards the limb positive.
 */
export function bendLedger(
  made: readonly Bend[],
  limits: FrameLimits,
): Record<Upright, { spent: Degrees; left: Degrees; turned: Degrees }> {
  const of = (upright: Upright) => {
    const used = spent(upright, made);
    const turned = made
      .filter((bend) => bend.upright === upright)
      .reduce((sum, { direction, amount }) => sum + (direction === 'towards-limb' ? amount : -amount), 0);
    return { spent: used, left: Math.max(0, limits.total - used), turned };
  };
  return { medial: of('medial'), lateral: of('lateral') };
}

const spent = (upright: Upright, made: readonly Bend[]): Degrees =>
  made.filter((bend) => bend.upright === upright).reduce((sum, { amount }) => sum + amount, 0);

/** Work that was done on an upright, as a bend; undefined where it is none. */
export function bendOf({ part, at, direction, amount }: WorkDone): Bend | undefined {
  const upright = (['medial', 'lateral'] as const).find((side) => part === `upright-${side}`);
  return upright === undefined ||
    at === undefined ||
    amount === undefined ||
    (direction !== 'towards-limb' && direction !== 'away-from-limb')
    ? undefined
    : { upright, place: at, direction, amount };
}
