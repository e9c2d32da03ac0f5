import type { Millimetres } from '../quantity';
import { templateStature, type Build } from './build';
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
    'chin-line': 0.0477,
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
    waist: -0.2,
    'upper-arm-greatest-girth': -0.082,
    olecranon: -0.186,
  },
  ankle: {
    'calf-greatest-girth': 0.165,
    malleoli: 0,
    heel: -0.024,
    'ball-of-foot': -0.0375,
    sole: -0.0385,
  },
} as const satisfies Record<Region, Record<string, number>>;

type Levels = typeof levels;
export type Landmark = { [R in Region]: keyof Levels[R] }[Region];

/** The mark from which levels of a region are counted. */
export const datumOf: Record<Region, Landmark> = {
  leg: 'mid-kneecap',
  trunk: 'waist',
  neck: 'trapezius-top',
  shoulder: 'acromion',
  ankle: 'malleoli',
};

/** Every landmark of any region. */
export const landmarks = [
  ...new Set(Object.values(levels).flatMap((region) => Object.keys(region))),
] as Landmark[];

/** Which of a body's lengths a place's level goes by: below the datum and above it. */
const lengths: Record<Region, readonly [below: keyof Build, above: keyof Build]> = {
  leg: ['shank', 'thigh'],
  trunk: ['trunk', 'trunk'],
  neck: ['trunk', 'neck'],
  shoulder: ['arm', 'arm'],
  ankle: ['foot', 'shank'],
};
/** Places that go by another length than their neighbours. */
const byTheTrunk: readonly Landmark[] = ['axilla', 'chest', 'shoulder-joint-space', 'waist'];

/**
 * @returns the level in mm from the region's datum on a body of these proportions, or undefined when the region has
 * no such place
 */
export function landmarkLevel(region: Region, landmark: Landmark, build: Build): Millimetres | undefined {
  const level = (levels[region] as Partial<Record<Landmark, number>>)[landmark];
  if (level === undefined) return undefined;
  const [below, above] = lengths[region];
  const length = region === 'shoulder' && byTheTrunk.includes(landmark) ? 'trunk' : level < 0 ? below : above;
  return level * templateStature * build[length];
}
