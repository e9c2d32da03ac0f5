import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';
import { armFromFront } from './arm';
import { drawnAt, drawnBy, type Drawn } from './foot';
import { headFromBehind, headFromFront, headFromSide, headLevels } from './head';
import { between, levelsBetween, mirrored, smooth, smoothRing, type Point } from './outline';
import { chinAbove, crotchOfLeg, type TrunkForm } from './trunk-form';

/*
 * Trunk, neck, head, arms and thighs as parts of one outline, in mm from the waist. In the front view the body's right
 * is at negative x; from behind it is the same outline with other lines in it.
 */

const both = (line: readonly Point[]): Point[][] => [[...line], mirrored(line)];
const join = (...drawn: Drawn[]): Drawn => ({
  parts: drawn.flatMap(({ parts }) => parts),
  small: drawn.flatMap(({ small }) => small),
  lines: drawn.flatMap(({ lines }) => lines),
  hidden: drawn.flatMap(({ hidden }) => hidden),
});

/** Head and neck at their height over the waist. */
function neckAndHead(form: TrunkForm, view: 'front' | 'back' | 'side'): Drawn {
  const { neck, neckFoot, bent, build } = form;
  const y = headLevels(form);
  const head = { front: headFromFront, back: headFromBehind, side: headFromSide }[view](form);
  const lean = view === 'side' ? bent(neckFoot) : 0;
  const n = (share: number, at: number): Point => [neck * share, y(at)];
  // the neck reaches up behind the jaw and down into the shoulders; a very thick one widens steadily from the cheek
  const cheek: Point = [Math.min(neck * 0.86, 72 * build.head), y(chinAbove + 61)];
  const jaw: Point = [Math.min(neck * 0.92, 77 * build.head), y(chinAbove + 31)];
  const throat: Point = [Math.min(neck * 0.95, 84 * build.head), y(78)];
  const column =
    view === 'side'
      ? []
      : [
          smoothRing([
            cheek,
            jaw,
            throat,
            n(0.96, 52),
            n(1, 26),
            n(1.1, 8),
            n(1.25, -16),
            n(-1.25, -16),
            n(-1.1, 8),
            n(-1, 26),
            n(-0.96, 52),
            ...mirrored([throat, jaw, cheek]),
          ]),
        ];
  const g = build.girth;
  const lines =
    view === 'front'
      ? [
          ...both(smooth([n(0.9, 78), n(0.62, 40), [14 * g, y(-20)], [9 * g, y(-34)]])),
          ...both(
            smooth([
              [84 * g, y(2)],
              [70 * g, y(-10)],
              [62 * g, y(-24)],
            ]),
          ),
        ]
      : view === 'back'
        ? [...both(smooth([n(0.34, 60), n(0.3, 20), [22 * g, y(-20)]]))]
        : [
            smooth([
              [-22 * g, y(132)],
              [-14 * g, y(92)],
              [8 * g, y(40)],
              [26 * g, y(-26)],
            ]),
          ];
  return drawnAt(join(head, { parts: column, small: [], lines, hidden: [] }), lean, neckFoot);
}

/** The arm of one side at its shoulder. */
function armAt(form: TrunkForm, side: 'right' | 'left'): Drawn {
  const [x, y] = form.shoulder;
  const arm = drawnAt(armFromFront(form.arm), x, y);
  return side === 'right' ? drawnBy(arm, mirrored) : arm;
}

/** Between the trunk and the arm that hangs beside it, from a level upwards: where a drawing is cut that leaves the arm out. */
export const besideTrunk = (
  { arm, shoulder, width }: TrunkForm,
  low: Millimetres,
  high: Millimetres,
): Point[] =>
  levelsBetween(low, high, 20).map((y): Point => {
    const level = y - shoulder[1];
    return [(width(y) + shoulder[0] + arm.axis(level) - arm.half(level)) / 2, y];
  });

/** How far hips have run over into thighs at a level: 0 above them, 1 below the crotch. */
const intoThigh = ({ scaled: s }: TrunkForm, level: number): number => {
  const share = Math.min(1, Math.max(0, (s(-150) - level) / s(130)));
  return share * share * (3 - 2 * share);
};

/** Half the width of the hips, which run over into the thighs' outer edges. */
function hipEdge(form: TrunkForm, level: number): number {
  const { leg, legAxis, ofLeg, width, scaled: s } = form;
  const share = intoThigh(form, level);
  const hip = width(Math.max(s(-222), level));
  return share === 0 ? hip : hip * (1 - share) + (legAxis + leg.edges(level - ofLeg(0)).lateral) * share;
}

/** The thighs as far as the middle of the kneecap. */
function thighs(form: TrunkForm): Point[][] {
  const { leg, legAxis, ofLeg, build } = form;
  const levels = levelsBetween(ofLeg(crotchOfLeg * 1.2 * build.thigh), ofLeg(0), 6);
  return both(
    between(levels, (level) => [legAxis - leg.edges(level - ofLeg(0)).medial, hipEdge(form, level)]),
  );
}

/** Trunk with all that hangs on it, from the front or from behind. */
export function upperBody(form: TrunkForm, view: 'front' | 'back'): Drawn {
  const { width, scaled: s, shoulder, chest, neckFoot, build } = form;
  const g = build.girth;
  const c = (x: number) => x * chest * g;
  const y = headLevels(form);
  const neckY = (at: number) => neckFoot + y(at);
  const torso = between(levelsBetween(s(300), s(-222)), (level) => [
    -hipEdge(form, level),
    hipEdge(form, level),
  ]);
  const slope = smooth([
    [form.neck * 0.9, neckY(16)],
    [Math.max(form.neck * 1.15, 78 * g), neckY(3)],
    [c(122), neckY(-14)],
    [c(160), neckY(-27)],
    [shoulder[0], shoulder[1] - s(4)],
  ]);
  const yoke: Point[] = [
    ...slope,
    [shoulder[0], s(300)],
    [Math.min(c(172), width(s(250))), s(246)],
    [-Math.min(c(172), width(s(250))), s(246)],
    [-shoulder[0], s(300)],
    ...mirrored(slope).reverse(),
  ];
  const inset = (share: number, level: number): Point => [share * width(s(level)), s(level)];
  const neckLines = neckAndHead(form, view);
  const lines: Point[][] =
    view === 'front'
      ? [
          ...both(
            smooth([
              [s(9), s(345)],
              [c(56), s(356)],
              [c(118), s(358)],
              [c(176), s(350)],
            ]),
          ),
          smooth([
            [s(-14), s(350)],
            [0, s(340)],
            [s(14), s(350)],
          ]),
          ...both(smooth([inset(0.1, 190), inset(0.44, 172), inset(0.8, 190), [c(160), s(232)]])),
          [
            [0, s(330)],
            [0, s(172)],
          ],
          ...both(smooth([[s(3), s(160)], inset(0.3, 118), inset(0.62, 74), inset(0.8, 52)])),
          smooth([
            [s(-7), s(-24)],
            [0, s(-31)],
            [s(7), s(-24)],
            [0, s(-17)],
            [s(-7), s(-24)],
          ]),
          ...both(smooth([inset(0.9, -44), inset(0.66, -96), inset(0.34, -150), [s(12), s(-196)]])),
          [
            [0, s(-10)],
            [0, s(52)],
          ],
          smooth([
            [s(-26), s(-186)],
            [0, s(-194)],
            [s(26), s(-186)],
          ]),
          ...both(
            smooth([
              [c(176), s(318)],
              [c(170), s(276)],
              [c(162), s(240)],
            ]),
          ),
          [
            [0, s(-214)],
            [0, s(-330)],
          ],
        ]
      : [
          [
            [0, s(392)],
            [0, s(-92)],
          ],
          ...both(
            smooth([
              [c(140), s(330)],
              [c(96), s(316)],
              [c(58), s(318)],
              [c(50), s(280)],
              [c(62), s(222)],
              [c(86), s(206)],
              [c(110), s(232)],
              [c(130), s(286)],
            ]),
          ),
          ...both(smooth([inset(0.22, 150), inset(0.2, 60), inset(0.22, -20)])),
          ...both(smooth([inset(0.86, -32), inset(0.52, -26), inset(0.24, -52)])),
          ...both(
            smooth([
              [s(24), s(-66)],
              [s(30), s(-72)],
              [s(24), s(-78)],
            ]),
          ),
          [
            [0, s(-112)],
            [0, s(-330)],
          ],
          ...both(smooth([inset(0.05, -222), inset(0.36, -228), inset(0.66, -212)])),
          smooth([
            [s(-12), s(398)],
            [0, s(392)],
            [s(12), s(398)],
          ]),
        ];
  return join(
    neckLines,
    { parts: [torso, yoke, ...thighs(form)], small: [], lines, hidden: [] },
    armAt(form, 'right'),
    armAt(form, 'left'),
  );
}

/** Front and back of the trunk and neck from the right side, at any level up to the head. */
export function sideEdges(form: TrunkForm): (level: number) => { front: number; back: number } {
  const { scaled: s, depth, neck, neckFoot, bent, build } = form;
  const y = (at: number) => neckFoot + headLevels(form)(at);
  const g = build.girth;
  const [low, upper] = [s(300), s(345)];
  const straight = (level: number) => {
    const { front, back } = depth(level);
    return { front: front - bent(level), back: back - bent(level) };
  };
  const centre = -27 * g;
  const rising = (pairs: readonly (readonly [number, number])[]) => {
    const kept = pairs.filter(([level], i) => i === 0 || level > pairs[i - 1]![0] + 1);
    return monotoneCurve(
      kept.map(([level]) => level),
      kept.map(([, x]) => x),
    );
  };
  const throat = rising([
    [low, straight(low).front],
    [upper, Math.min(straight(upper).front, 46 * g + neck * 0.1)],
    [y(-24), centre + neck * 1.06],
    [y(10), centre + neck],
    [y(56), centre + neck],
    [y(104), Math.min(centre + neck, 58 * build.head)],
  ]);
  const nape = rising([
    [low, straight(low).back],
    [upper, straight(upper).back],
    [y(-24), Math.min(centre - neck * 1.22, straight(upper).back + 24 * g)],
    [y(8), centre - neck * 1.04],
    [y(56), centre - neck],
    [y(104), Math.max(centre - neck * 1.04, -84 * build.head)],
  ]);
  return (level) =>
    level <= low ? depth(level) : { front: throat(level) + bent(level), back: nape(level) + bent(level) };
}

/** The body from its right side without its arms; an arm is shown as what hides the trunk. */
export function bodyFromSide(form: TrunkForm): Drawn {
  const { scaled: s, depth, middle, bent, leg, ofLeg, build } = form;
  const edges = sideEdges(form);
  const top = form.neckFoot + headLevels(form)(104);
  const hip = middle(s(-205)) + 2 * build.girth;
  const torso = between(levelsBetween(top, s(-500), 6), (level) => {
    const share = intoThigh(form, level);
    const trunk = edges(Math.max(level, s(-222)));
    if (share === 0) return [trunk.back, trunk.front];
    const thigh = leg.edges(level - ofLeg(0));
    return [
      trunk.back * (1 - share) + (hip - thigh.back) * share,
      trunk.front * (1 - share) + (hip + thigh.front) * share,
    ];
  });
  const at = (y: number, x: number): Point => [x * build.girth + bent(s(y)), s(y)];
  return join(neckAndHead(form, 'side'), {
    parts: [torso],
    small: [],
    lines: [
      smooth([
        [depth(s(150)).front - s(6), s(150)],
        [depth(s(100)).front - s(44), s(92)],
        [depth(s(60)).front - s(92), s(50)],
      ]),
      smooth([
        [depth(s(-30)).front - s(70), s(-36)],
        [middle(s(-30)) - s(6), s(-26)],
        [depth(s(-50)).back + s(46), s(-46)],
      ]),
      smooth([
        [hip + s(18), s(-128)],
        [hip + s(4), s(-156)],
        [hip - s(8), s(-190)],
      ]),
      smooth([
        [depth(s(-200)).back + s(16), s(-224)],
        [hip - s(60), s(-238)],
        [hip - s(30), s(-230)],
      ]),
    ],
    hidden: [
      smooth([at(352, 6), at(340, -46), at(300, -62), at(240, -56), at(180, -50), at(140, -48)]),
      smooth([at(352, 6), at(326, 38), at(280, 46), at(220, 38), at(140, 30)]),
    ],
  });
}
