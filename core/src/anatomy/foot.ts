import type { Millimetres } from '../quantity';
import { moved, oval, smooth, smoothRing, type Point } from './outline';

/*
 * The foot as parts of an outline and lines in it, in mm from the middle of the malleoli, for a template foot 258 mm
 * long; drawn by eye, an estimate. In the front and back views the lateral side lies at negative x, in the outer view
 * the toes at positive x.
 */

/** factors on the template foot */
export interface FootSize {
  /** of everything */
  size: number;
  /** of the widths, at the malleoli's height and at the heel's */
  ankle: number;
  heel: number;
}

export interface Drawn {
  parts: Point[][];
  /** parts whose corners are finer: fingers and toes */
  small: Point[][];
  lines: Point[][];
  /** what lies behind something else */
  hidden: Point[][];
}

const turn =
  (size: number, wide: (y: number) => number = () => 1) =>
  (points: readonly Point[]): Point[] =>
    points.map(([x, y]): Point => [x * size * wide(y), y * size]);

/** the heel's width is the foot's from the heel's level down, the ankle's at the malleoli */
const widthBetween =
  ({ ankle, heel }: FootSize, heelLevel: Millimetres) =>
  (y: number) => {
    const share = Math.min(1, Math.max(0, -y / -heelLevel));
    return ankle + (heel - ankle) * share;
  };
const heelAt = -41;

const toes: readonly (readonly [x: number, y: number, rx: number, ry: number])[] = [
  [24, -53.5, 13, 11],
  [5.5, -55, 7.6, 8.8],
  [-8, -54.5, 7, 8],
  [-20, -53, 6.6, 7.4],
  [-31.5, -51, 6.4, 6.8],
];

/** The foot from the front: instep, the five toes with the great one medially. */
export function footFromFront(foot: FootSize): Drawn {
  const to = turn(foot.size, widthBetween(foot, heelAt));
  const instep = smoothRing([
    [-34, 24],
    [-37.5, 4],
    [-36.5, -10],
    [-37.5, -24],
    [-40.5, -40],
    [-38, -54],
    [-24, -58],
    [0, -59],
    [24, -60],
    [38, -54],
    [39, -40],
    [37.5, -22],
    [37.5, -6],
    [38, 6],
    [34, 24],
    [0, 34],
  ]);
  const nail = ([x, y, rx, ry]: (typeof toes)[number]) => oval(x, y + ry * 0.12, rx * 0.5, ry * 0.42, 2.6);
  return {
    parts: [to(instep)],
    small: toes.map(([x, y, rx, ry]) => to(oval(x, y, rx, ry, 2.3))),
    lines: [
      ...toes.map(([x, y, rx, ry]) =>
        to(
          smooth([
            [x - rx * 0.98, y - 1],
            [x - rx * 0.8, y + ry * 0.78],
            [x, y + ry],
            [x + rx * 0.8, y + ry * 0.78],
            [x + rx * 0.98, y - 1],
          ]),
        ),
      ),
      to(nail(toes[0]!)),
      to(
        smooth([
          [22, -36],
          [18, -16],
          [12, 6],
        ]),
      ),
      to(
        smooth([
          [3, -40],
          [3, -22],
          [4, -2],
        ]),
      ),
      to(
        smooth([
          [-14, -38],
          [-9, -22],
          [-3, -4],
        ]),
      ),
    ],
    hidden: [],
  };
}

/** The heel and foot from behind: the heel's width, the tendon above it, the small toes seen past it. */
export function footFromBehind(foot: FootSize): Drawn {
  const to = turn(foot.size, widthBetween(foot, heelAt));
  const heel = smoothRing([
    [-33, 24],
    [-36.5, 4],
    [-32, -14],
    [-30, -28],
    [-31, -42],
    [-30, -54],
    [-20, -63],
    [0, -65.5],
    [20, -63],
    [30, -54],
    [31, -42],
    [30, -28],
    [32.5, -12],
    [37, 5],
    [33, 24],
    [0, 34],
  ]);
  const forefoot = smoothRing([
    [-28, -46],
    [-42, -49],
    [-46, -57],
    [-42, -63],
    [-20, -64.5],
    [12, -64],
    [32, -62],
    [35, -54],
    [32, -46],
    [0, -44],
  ]);
  return {
    parts: [to(heel), to(forefoot)],
    small: [],
    lines: [
      to(
        smooth([
          [-10, 30],
          [-8, 0],
          [-10, -18],
          [-16, -30],
        ]),
      ),
      to(
        smooth([
          [10, 30],
          [8, 0],
          [10, -18],
          [16, -30],
        ]),
      ),
      to(
        smooth([
          [-30.5, -40],
          [-30, -54],
          [-20, -62],
        ]),
      ),
      to(
        smooth([
          [30.5, -40],
          [30, -54],
          [20, -62],
        ]),
      ),
      to(
        smooth([
          [-38, -62],
          [-38, -56],
          [-35, -50],
        ]),
      ),
      to(
        smooth([
          [-20, -50],
          [0, -53],
          [20, -50],
        ]),
      ),
    ],
    hidden: [],
  };
}

/** The foot from its outer side: heel, instep, toes in their places; the inner arch behind it as a hidden line. */
export function footFromOutside({ size }: FootSize): Drawn {
  const to = turn(size);
  const sole = -64;
  const foot = smoothRing([
    [-26, 34],
    [-35, 16],
    [-47, -2],
    [-58, -22],
    [-65, -40],
    [-63, -55],
    [-50, sole + 0.6],
    [-24, sole],
    [6, sole + 2.2],
    [36, sole + 3.4],
    [66, sole + 2],
    [104, sole],
    [150, sole],
    [178, sole + 0.5],
    [189, sole + 6],
    [190, -50],
    [182, -44],
    [164, -38.5],
    [138, -32],
    [106, -20],
    [76, -5],
    [54, 8],
    [40, 22],
    [28, 36],
    [0, 42],
  ]);
  const toe = (x: number, length: number, height: number): Point[] =>
    smooth([
      [x - length, sole + height * 0.94],
      [x - length * 0.35, sole + height],
      [x - 1, sole + height * 0.72],
      [x, sole + height * 0.3],
      [x - 4, sole + 1],
    ]);
  return {
    parts: [to(foot)],
    small: [],
    lines: [
      to(toe(136, 20, 13)),
      to(toe(152, 18, 14.5)),
      to(toe(165, 16, 16)),
      to(toe(176, 14, 17.5)),
      to(oval(-4, 0, 11, 13)),
      to(
        smooth([
          [-22, 4],
          [-26, -14],
          [-16, -30],
          [6, -40],
        ]),
      ),
      to(
        smooth([
          [62, -14],
          [92, -30],
          [122, -46],
        ]),
      ),
    ],
    hidden: [
      to(
        smooth([
          [-22, sole + 2],
          [4, sole + 12],
          [34, sole + 19],
          [66, sole + 15],
          [98, sole + 3],
        ]),
      ),
    ],
  };
}

/** Parts and lines, each turned into another place. */
export const drawnBy = (
  { parts, small, lines, hidden }: Drawn,
  to: (points: readonly Point[]) => Point[],
): Drawn => ({
  parts: parts.map(to),
  small: small.map(to),
  lines: lines.map(to),
  hidden: hidden.map(to),
});

/** The same beside another datum. */
export const drawnAt = (drawn: Drawn, dx: number, dy: number): Drawn =>
  drawnBy(drawn, (points) => moved(points, dx, dy));
