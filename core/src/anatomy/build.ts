import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';
import { statureForAge } from './stature';

/** Stature the template body is drawn for. */
export const templateStature: Millimetres = 1700;

/**
 * A body's lengths as factors on the template's: how long its head, neck, trunk, arms, thighs, shanks and feet are
 * drawn, and how thick (girth) where nothing was read.
 */
export interface Build {
  stature: Millimetres;
  head: number;
  neck: number;
  trunk: number;
  arm: number;
  thigh: number;
  shank: number;
  foot: number;
  girth: number;
}

/** Stature in head heights by age: 4 at birth, 5 at two years, 6 at six, 7 at twelve, 7.5 grown (Stratz, memory). */
const headHeights = monotoneCurve([0, 2, 6, 12, 18], [4, 5, 6, 7, 7.5]);
/** Share of stature that is legs, one less the relative sitting height, by age (memory, rounded; an estimate). */
const legShare = monotoneCurve([0, 2, 4, 6, 10, 14, 18], [0.34, 0.41, 0.43, 0.45, 0.47, 0.48, 0.48]);
const grown = 18;
/** what the template is of: head, neck and trunk together, legs, in shares of stature */
const template = { head: 1 / 7.5, legs: legShare(grown) };

/** The age whose median stature it is, for a body of unknown age. */
function ageForStature(stature: Millimetres): number {
  let [low, high] = [0, grown];
  if (stature >= statureForAge(grown)) return grown;
  for (let i = 0; i < 30; i += 1) {
    const middle = (low + high) / 2;
    if (statureForAge(middle) < stature) low = middle;
    else high = middle;
  }
  return high;
}

/**
 * The proportions of a body. A child's head is larger and its legs are shorter for its length; both change with age.
 * @param stature in mm
 * @param years age; when it is not known, the age whose median that stature is
 */
export function buildOf(stature: Millimetres, years = ageForStature(stature)): Build {
  const age = Math.min(grown, Math.max(0, years));
  const scale = stature / templateStature;
  const head = 1 / headHeights(age) / template.head;
  const legs = legShare(age) / template.legs;
  const trunk = (1 - legShare(age) - 1 / headHeights(age)) / (1 - template.legs - template.head);
  return {
    stature,
    head: head * scale,
    neck: trunk * scale,
    trunk: trunk * scale,
    arm: ((legs + 1) / 2) * scale,
    thigh: legs * scale,
    shank: legs * scale,
    foot: scale,
    girth: scale,
  };
}
