import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';
import { semiAxes } from './ellipse';
import { girthProfile, type GirthAt } from './limb-profile';

/** Stature the template is drawn for, and the one assumed when none was read. */
const templateStature: Millimetres = 1700;

/**
 * An average adult leg, standing: level from the middle of the kneecap, girth, depth over width,
 * share of the width that lies medial of the leg's axis, share of the depth that lies in front of it.
 * Drawn by eye to anatomical proportion; an estimate.
 */
const template: readonly (readonly [Millimetres, Millimetres, number, number, number])[] = [
  [-440, 246, 1.06, 0.5, 0.47],
  [-428, 250, 1.08, 0.52, 0.47],
  [-405, 226, 1.2, 0.5, 0.46],
  [-375, 212, 1.2, 0.5, 0.48],
  [-335, 226, 1.15, 0.5, 0.5],
  [-285, 264, 1.12, 0.5, 0.48],
  [-235, 318, 1.1, 0.5, 0.45],
  [-190, 354, 1.08, 0.52, 0.425],
  [-148, 368, 1.08, 0.535, 0.42],
  [-110, 362, 1.07, 0.53, 0.435],
  [-78, 347, 1.05, 0.52, 0.475],
  [-54, 344, 1.05, 0.515, 0.52],
  [-25, 354, 1.05, 0.51, 0.55],
  [0, 370, 1.06, 0.51, 0.575],
  [25, 379, 1.05, 0.52, 0.57],
  [60, 398, 1.02, 0.545, 0.545],
  [100, 430, 1, 0.525, 0.54],
  [150, 472, 1, 0.5, 0.545],
  [200, 510, 1.01, 0.485, 0.545],
  [260, 546, 1.02, 0.48, 0.535],
  [330, 576, 1.02, 0.49, 0.52],
];

const levels = template.map((row) => row[0]);
const course = (column: 1 | 2 | 3 | 4) =>
  monotoneCurve(
    levels,
    template.map((row) => row[column]),
  );
const [templateGirth, depthToWidth, medialShare, frontShare] = [course(1), course(2), course(3), course(4)];

/** How far the skin lies from the leg's axis at one level, in mm, all positive. */
export interface LegEdges {
  medial: Millimetres;
  lateral: Millimetres;
  front: Millimetres;
  back: Millimetres;
}

export interface LegForm {
  stature: Millimetres;
  /** uppermost and lowest level drawn; the lowest is the sole */
  top: Millimetres;
  sole: Millimetres;
  girth: (level: Millimetres) => Millimetres;
  edges: (level: Millimetres) => LegEdges;
  /** level of a place given as a level of the template */
  scaled: (templateLevel: Millimetres) => Millimetres;
}

/**
 * The form of one leg from its girths: at every level the skin's distance from the axis, each
 * section taken as an ellipse. An estimate for drawing, exact only where a girth was read.
 * @param readings girths with their level from the middle of the kneecap
 * @param stature in mm; sets the lengths
 */
export function legForm(readings: readonly GirthAt[], stature: Millimetres = templateStature): LegForm {
  const scale = stature / templateStature;
  const top = levels.at(-1)! * scale;
  const girth = girthProfile((level) => templateGirth(level / scale) * scale, readings, [
    levels[0]! * scale,
    top,
  ]);
  return {
    stature,
    top,
    sole: -500 * scale,
    girth,
    scaled: (templateLevel) => templateLevel * scale,
    edges: (level) => {
      const at = level / scale;
      const { halfWidth, halfDepth } = semiAxes(girth(level), depthToWidth(at));
      return {
        medial: 2 * halfWidth * medialShare(at),
        lateral: 2 * halfWidth * (1 - medialShare(at)),
        front: 2 * halfDepth * frontShare(at),
        back: 2 * halfDepth * (1 - frontShare(at)),
      };
    },
  };
}
