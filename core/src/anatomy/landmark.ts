import type { Millimetres } from '../quantity';

/**
 * Places felt on the leg, with their level along it: the distance from the middle of the kneecap
 * as a fraction of stature, proximal positive. Drawing proportions, an estimate: the reading taken
 * at the mark is what counts.
 */
export const landmarks = {
  'kneecap-upper-edge': 0.0147,
  'mid-kneecap': 0,
  'kneecap-lower-pole': -0.0147,
  'fibular-neck': -0.038,
  'tibial-tuberosity': -0.0315,
  'calf-greatest-girth': -0.088,
  malleoli: -0.253,
} as const;

export type Landmark = keyof typeof landmarks;

/** @returns the landmark's level in mm from the middle of the kneecap, for a stature in mm */
export const levelOf = (landmark: Landmark, stature: Millimetres): Millimetres =>
  landmarks[landmark] * stature;
