import type { Millimetres } from '../quantity';

/** A pad between two cuffs, pushed against the limb: two levers, the force at the pad, the area it lies on. */
export interface ThreePoint {
  /** N, at the pad */
  force: number;
  /** mm from the pad to the upper and to the lower cuff */
  upper: Millimetres;
  lower: Millimetres;
  /** mm2 */
  padArea?: number | undefined;
}

export interface ThreePointLoads {
  /** N, of each cuff against the pad's force */
  atUpper: number;
  atLower: number;
  /** N m, at the pad */
  moment: number;
  /** Pa, under the pad on average; absent without its area */
  pressure?: number;
}

/**
 * The reactions of three-point bending: a beam on two supports a and b from the load has F b/(a+b) and F a/(a+b) at them and
 * F a b/(a+b) between (statics of a simply supported beam, any handbook of mechanics). An estimate: rigid cuffs, forces
 * square to the limb, no friction, and nothing of the soft tissue. No time that a pressure may be borne follows from it.
 * @returns undefined where a lever or the force is none
 */
export function threePointLoads({ force, upper, lower, padArea }: ThreePoint): ThreePointLoads | undefined {
  if (![force, upper, lower].every((one) => Number.isFinite(one) && one > 0)) return undefined;
  const span = upper + lower;
  return {
    atUpper: (force * lower) / span,
    atLower: (force * upper) / span,
    moment: (force * upper * lower) / span / 1000,
    ...(padArea !== undefined && padArea > 0 ? { pressure: (force / padArea) * 1e6 } : {}),
  };
}

/** N: what estimates are given per, where nobody has read a gauge. */
export const perForce = 10;
