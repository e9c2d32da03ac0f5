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
  [-335, 226, 1.15, 0.505, 0.5],
  [-285, 264, 1.12, 0.5, 0.48],
  [-235, 318, 1.1, 0.505, 0.44],
  [-190, 354, 1.08, 0.54, 0.405],
  [-148, 368, 1.08, 0.55, 0.395],
  [-108, 362, 1.07, 0.515, 0.415],
  [-78, 347, 1.05, 0.49, 0.465],
  [-54, 344, 1.05, 0.5, 0.525],
  [-25, 354, 1.05, 0.515, 0.56],
  [0, 368, 1.06, 0.515, 0.585],
  [25, 378, 1.05, 0.52, 0.57],
  [60, 400, 1.02, 0.545, 0.54],
  [100, 434, 1, 0.525, 0.55],
  [150, 474, 1, 0.495, 0.565],
  [200, 510, 1.01, 0.48, 0.57],
  [260, 545, 1.02, 0.475, 0.56],
  [330, 574, 1.02, 0.48, 0.535],
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
