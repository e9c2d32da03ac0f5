import type { Millimetres } from '../quantity';
import type { BodyReadings } from './body-readings';
import { templateStature, type Build } from './build';
import { semiAxes } from './ellipse';
import { heldSizes } from './held';
import { landmarkLevel } from './landmark';
import { girthProfile, softCourse, through } from './limb-profile';

/**
 * An average adult leg, standing: level from the middle of the kneecap, girth, depth over width,
 * share of the width that lies medial of the leg's axis, share of the depth that lies in front of it.
 * Drawn by eye to anatomical proportion; an estimate.
 */
const template: readonly (readonly [Millimetres, Millimetres, number, number, number])[] = [
  [-440, 246, 1.06, 0.5, 0.47],
  [-428, 250, 1.08, 0.515, 0.47],
  [-405, 226, 1.2, 0.505, 0.46],
  [-375, 212, 1.2, 0.5, 0.48],
  [-335, 226, 1.15, 0.505, 0.49],
  [-285, 264, 1.12, 0.508, 0.475],
  [-235, 318, 1.1, 0.515, 0.44],
  [-190, 354, 1.08, 0.53, 0.415],
  [-148, 368, 1.08, 0.535, 0.405],
  [-108, 362, 1.07, 0.518, 0.425],
  [-78, 350, 1.05, 0.505, 0.465],
  [-54, 345, 1.05, 0.5, 0.51],
  [-25, 352, 1.05, 0.508, 0.545],
  [0, 366, 1.06, 0.515, 0.565],
  [25, 379, 1.05, 0.52, 0.56],
  [60, 402, 1.02, 0.53, 0.545],
  [100, 436, 1, 0.522, 0.55],
  [150, 475, 1, 0.5, 0.562],
  [200, 511, 1.01, 0.483, 0.568],
  [260, 546, 1.02, 0.476, 0.56],
  [330, 576, 1.02, 0.48, 0.54],
  [400, 596, 1.02, 0.49, 0.52],
];

const levels = template.map((row) => row[0]);
const course = (column: 1 | 2 | 3 | 4) =>
  softCourse(
    levels,
    template.map((row) => row[column]),
  );
const [templateGirth, depthToWidth, medialShare, frontShare] = [course(1), course(2), course(3), course(4)];
/** where the thigh is cut off in the drawing of a leg, and where the malleoli and the sole are */
export const legTop = 330;
export const malleoliLevel = -0.253 * templateStature;
export const soleLevel = -500;

/** How far the skin lies from the leg's axis at one level, in mm, all positive. */
export interface LegEdges {
  medial: Millimetres;
  lateral: Millimetres;
  front: Millimetres;
  back: Millimetres;
}

export interface LegForm {
  build: Build;
  /** uppermost and lowest level drawn; the lowest is the sole */
  top: Millimetres;
  sole: Millimetres;
  girth: (level: Millimetres) => Millimetres;
  edges: (level: Millimetres) => LegEdges;
  /** level of a place given as a level of the template */
  scaled: (templateLevel: Millimetres) => Millimetres;
  /** levels at which a reading was held within what a leg can be */
  held: Millimetres[];
}

/** Levels of the template as levels of a leg, and back. */
function levelsOf({ thigh, shank, foot }: Build) {
  const ankle = malleoliLevel * shank;
  return {
    scaled: (at: Millimetres) =>
      at >= 0 ? at * thigh : at >= malleoliLevel ? at * shank : ankle + (at - malleoliLevel) * foot,
    template: (level: Millimetres) =>
      level >= 0 ? level / thigh : level >= ankle ? level / shank : malleoliLevel + (level - ankle) / foot,
  };
}

/**
 * The girth all along a leg from what was read of it, as it was read. An estimate between readings.
 * @param readings girths from landmarks of the leg
 * @param build its proportions
 */
export function legGirth(
  readings: Pick<BodyReadings, 'girths'>,
  build: Build,
): (level: Millimetres) => Millimetres {
  const { template: back, scaled } = levelsOf(build);
  return girthProfile(
    (level) => templateGirth(back(level)) * build.girth,
    readings.girths.map(({ from, distance, girth }) => ({
      level: (landmarkLevel('leg', from, build) ?? 0) + distance,
      girth,
    })),
    [scaled(levels[0]!), scaled(legTop)],
  );
}

/**
 * The form of one leg: at every level the skin's distance from the axis, each section taken as an ellipse. An
 * estimate for drawing, exact only where something was read, and held within what a leg can be.
 * @param readings girths and widths from landmarks of the leg
 * @param build its proportions
 */
export function legForm(readings: Pick<BodyReadings, 'girths' | 'widths'>, build: Build): LegForm {
  const { template: back, scaled } = levelsOf(build);
  const average = (level: Millimetres) => templateGirth(back(level)) * build.girth;
  const girths = heldSizes(
    readings.girths.map((read) => ({
      ...read,
      level: (landmarkLevel('leg', read.from, build) ?? 0) + read.distance,
      size: read.girth,
    })),
    average,
  );
  const girth = legGirth({ girths: girths.drawn.map((read) => ({ ...read, girth: read.size })) }, build);
  const half = (level: Millimetres) => semiAxes(girth(level), depthToWidth(back(level)));
  const held = [...girths.held];
  /** what a calliper read, as a factor on the width that the girth gives, fading out within a hand's breadth */
  const read = (across: 'mediolateral' | 'anteroposterior') => {
    const size = (level: Millimetres) =>
      2 * (across === 'mediolateral' ? half(level).halfWidth : half(level).halfDepth);
    const widths = heldSizes(
      readings.widths
        .filter((width) => width.across === across)
        .flatMap(({ at, width }) => {
          const level = landmarkLevel('leg', at, build);
          return level === undefined ? [] : [{ level, size: width }];
        }),
      size,
    );
    held.push(...widths.held);
    const reach = 110 * build.girth;
    return through(
      new Map([
        [soleLevel * 2, 1],
        ...widths.drawn.flatMap(({ level, size: to }): [number, number][] => [
          [level - reach, 1],
          [level, to / size(level)],
          [level + reach, 1],
        ]),
        [legTop * 2, 1],
      ]),
    );
  };
  const [wide, deep] = [read('mediolateral'), read('anteroposterior')];
  return {
    build,
    top: scaled(legTop),
    sole: scaled(soleLevel),
    girth,
    scaled,
    held,
    edges: (level) => {
      const at = back(level);
      const { halfWidth, halfDepth } = half(level);
      const [width, depth] = [2 * halfWidth * wide(level), 2 * halfDepth * deep(level)];
      return {
        medial: width * medialShare(at),
        lateral: width * (1 - medialShare(at)),
        front: depth * frontShare(at),
        back: depth * (1 - frontShare(at)),
      };
    },
  };
}
