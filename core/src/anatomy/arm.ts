import type { Millimetres } from '../quantity';
import type { BodyReadings } from './body-readings';
import type { Build } from './build';
import { ellipsePerimeter } from './ellipse';
import type { Drawn } from './foot';
import { heldSizes } from './held';
import { landmarkLevel } from './landmark';
import { girthProfile, softCourse } from './limb-profile';
import { between, finger, levelsBetween, smooth, smoothRing, type Point } from './outline';

/*
 * The arm hanging, palm forward, in mm from the top of the shoulder; lateral is positive. Drawn by eye, an estimate.
 */

/** Girth of an average arm by level below the top of the shoulder. */
const template: readonly (readonly [Millimetres, Millimetres])[] = [
  [-560, 168],
  [-520, 172],
  [-450, 226],
  [-370, 266],
  [-316, 258],
  [-250, 280],
  [-190, 300],
  [-139, 310],
  [-90, 332],
  [-40, 330],
];
const templateGirth = softCourse(
  template.map(([level]) => level),
  template.map(([, girth]) => girth),
  24,
);
const wrist = -528;
const elbow = -320;
/** the round of the shoulder: how much of its width the arm has so near its top */
const roundOver = (level: Millimetres) => {
  const share = Math.min(1, Math.max(0, -level / 92));
  return Math.sqrt(1 - (1 - share) ** 2);
};

export interface ArmForm {
  build: Build;
  half: (level: Millimetres) => Millimetres;
  /** how far the arm's middle stands lateral of the top of the shoulder */
  axis: (level: Millimetres) => Millimetres;
  held: Millimetres[];
  scaled: (templateLevel: Millimetres) => Millimetres;
}

/**
 * @param readings girths from landmarks of the shoulder
 * @param build proportions
 * @param away how far it hangs away from the body, mm aside for each mm down
 */
export function armForm(readings: Pick<BodyReadings, 'girths'>, build: Build, away = 0.09): ArmForm {
  const average = (level: Millimetres) => templateGirth(level / build.arm) * build.girth;
  const { drawn, held } = heldSizes(
    readings.girths
      .filter(({ from }) => from === 'upper-arm-greatest-girth')
      .map(({ from, distance, girth }) => ({
        level: landmarkLevel('shoulder', from, build)! + distance,
        size: girth,
      })),
    average,
  );
  const girth = girthProfile(
    average,
    drawn.map(({ level, size }) => ({ level, girth: size })),
    [-640 * build.arm, -40 * build.arm],
  );
  const half = (level: Millimetres) => girth(level) / ellipsePerimeter(1, 1.04);
  const thicker = half(-100 * build.arm) / ((332 * build.girth) / ellipsePerimeter(1, 1.04));
  return {
    build,
    half,
    held,
    axis: (level) => (4 + 18 * (thicker - 1)) * build.arm + Math.max(0, -level - 60 * build.arm) * away,
    scaled: (level) => level * build.arm,
  };
}

/** Where the hand begins. */
const handAt = ({ axis, scaled }: ArmForm): Point => [axis(scaled(wrist)), scaled(wrist)];

/** The five fingers, from their roots to their tips, in mm from the wrist. */
const fingers: readonly (readonly [from: Point, to: Point, root: number, tip: number])[] = [
  [[25, -26], [57, -86], 13, 9],
  [[27, -84], [37, -158], 9.5, 7.4],
  [[9, -88], [13, -172], 9.8, 7.6],
  [[-9, -86], [-11.5, -162], 9.4, 7.2],
  [[-26, -80], [-35, -138], 8.2, 6.4],
];

/** The arm with its hand from the front: parts for an outline, and the lines in it. */
export function armFromFront(form: ArmForm): Drawn {
  const { axis, half, scaled, build } = form;
  const size = build.arm * 0.99;
  const [wx, wy] = handAt(form);
  const wide = half(scaled(wrist)) / (27.2 * build.arm);
  // a thick arm has a thick hand, less so
  const thick = Math.sqrt(Math.min(1.6, Math.max(0.8, wide)));
  // the hand goes on the way the forearm comes
  const slope = (axis(scaled(wrist)) - axis(scaled(elbow))) / scaled(elbow - wrist);
  const [along, aside] = [1 / Math.hypot(1, slope), slope / Math.hypot(1, slope)];
  const at = ([x, y]: Point): Point => {
    const [px, py] = [x * size * thick, y * size];
    return [wx + px * along - py * aside, wy + py * along + px * aside];
  };
  const palm = smoothRing(
    (
      [
        [-20, 16],
        [-27, -8],
        [-34, -44],
        [-35, -82],
        [-16, -96],
        [10, -98],
        [34, -90],
        [36, -58],
        [31, -26],
        [27, -4],
        [20, 16],
        [0, 24],
      ] satisfies Point[]
    ).map(at),
  );
  const side = (level: Millimetres, share: number): Point => [axis(level) + share * half(level), level];
  const inArm = (points: readonly (readonly [share: number, level: number])[]) =>
    smooth(points.map(([share, level]) => side(scaled(level), share)));
  return {
    parts: [
      between(levelsBetween(scaled(-1), scaled(wrist - 14), 4), (level) => {
        const wide = half(level) * roundOver(level / build.arm);
        return [axis(level) - wide, axis(level) + wide];
      }),
      palm,
    ],
    small: fingers.map(([from, to, root, tip]) =>
      finger(at(from), at(to), root * size * thick, tip * size * thick),
    ),
    lines: [
      inArm([
        [-0.7, -150],
        [-0.35, -190],
        [-0.2, -250],
        [0, -290],
      ]),
      inArm([
        [-0.6, elbow + 6],
        [0, elbow - 2],
        [0.55, elbow + 4],
      ]),
      inArm([
        [0.45, -338],
        [0.36, -392],
        [0.12, -452],
      ]),
      // creases at the fingers' roots and across the palm
      ...[1, 2, 3, 4].map((i) => {
        const [[x, y], , root] = fingers[i]!;
        return smooth([at([x - root * 0.7, y - 6]), at([x, y - 8]), at([x + root * 0.7, y - 6])]);
      }),
      smooth([at([30, -64]), at([10, -62]), at([-20, -74])]),
      smooth([at([28, -54]), at([12, -40]), at([6, -14])]),
    ],
    hidden: [],
  };
}
