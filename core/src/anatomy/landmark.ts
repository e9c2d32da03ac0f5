import type { Millimetres } from '../quantity';
import type { Region } from './region';

/**
 * Places felt on the body, with their level as a fraction of stature from the region's datum, proximal
 * positive: leg the middle of the kneecap, trunk the waist, neck the top of the trapezius, shoulder the
 * top of the shoulder, ankle the malleoli. Drawing proportions, an estimate: the reading taken at the mark
 * is what counts.
 */
const levels = {
  leg: {
    trochanter: 0.245,
    'kneecap-upper-edge': 0.0147,
    'mid-kneecap': 0,
    'knee-joint-space': -0.0125,
    'kneecap-lower-pole': -0.0147,
    'fibular-neck': -0.038,
    'tibial-tuberosity': -0.0315,
    'calf-greatest-girth': -0.088,
    malleoli: -0.253,
  },
  trunk: {
    c7: 0.232,
    'sternal-notch': 0.2,
    axilla: 0.146,
    'scapula-lower-angle': 0.118,
    chest: 0.125,
    t9: 0.1,
    xiphoid: 0.096,
    'lower-ribs': 0.03,
    l1: 0.034,
    waist: 0,
    l5: -0.044,
    'iliac-crest': -0.022,
    sacrum: -0.062,
    'sacrococcygeal-junction': -0.088,
    'hips-greatest-girth': -0.096,
    'pubic-symphysis': -0.108,
    trochanter: -0.112,
  },
  neck: {
    'chin-line': 0.052,
    occiput: 0.07,
    'neck-middle': 0.026,
    'trapezius-top': 0,
    c7: -0.006,
    'sternal-notch': -0.034,
    chest: -0.108,
  },
  shoulder: {
    acromion: 0,
    'shoulder-joint-space': -0.016,
    axilla: -0.066,
    chest: -0.075,
    'upper-arm-greatest-girth': -0.082,
    olecranon: -0.186,
  },
  ankle: {
    'calf-greatest-girth': 0.165,
    malleoli: 0,
    heel: -0.024,
    sole: -0.0385,
  },
} as const satisfies Record<Region, Record<string, number>>;

type Levels = typeof levels;
export type Landmark = { [R in Region]: keyof Levels[R] }[Region];
export type LegLandmark = keyof Levels['leg'];

/** Every landmark of any region. */
export const landmarks = [
  ...new Set(Object.values(levels).flatMap((region) => Object.keys(region))),
] as Landmark[];

/** @returns the level in mm from the middle of the kneecap, for a stature in mm */
export const levelOf = (landmark: LegLandmark, stature: Millimetres): Millimetres =>
  levels.leg[landmark] * stature;

/** @returns the level in mm from the region's datum, or undefined when the region has no such place */
export function landmarkLevel(
  region: Region,
  landmark: Landmark,
  stature: Millimetres,
): Millimetres | undefined {
  const level = (levels[region] as Partial<Record<Landmark, number>>)[landmark];
  return level === undefined ? undefined : level * stature;
}
