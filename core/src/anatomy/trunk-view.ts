import { monotoneCurve } from '../statistics';
import type { BodyReadings, BodyView } from './body-view';
import { semiAxes } from './ellipse';
import { landmarkLevel, type Landmark } from './landmark';
import { girthProfile } from './limb-profile';
import { smooth, type Point } from './outline';
import { spineCurve } from './spine-curve';

const templateStature = 1700;

/**
 * An average adult trunk, standing: level from the waist, girth, depth over width, share of the depth that
 * lies in front of its middle, and how far that middle lies in front of the plumb line. Drawn by eye to
 * anatomical proportion; an estimate.
 */
const template: readonly (readonly [number, number, number, number, number])[] = [
  [-205, 950, 0.74, 0.46, -4],
  [-163, 968, 0.74, 0.45, -8],
  [-120, 945, 0.74, 0.46, -8],
  [-75, 890, 0.73, 0.48, -2],
  [-37, 848, 0.72, 0.5, 6],
  [0, 822, 0.73, 0.52, 10],
  [50, 836, 0.74, 0.52, 8],
  [100, 872, 0.74, 0.53, 2],
  [163, 918, 0.73, 0.53, -8],
  [212, 944, 0.7, 0.52, -16],
  [248, 940, 0.66, 0.5, -20],
  [300, 860, 0.6, 0.48, -22],
  [345, 720, 0.56, 0.46, -20],
];
const levels = template.map(([level]) => level);
const course = (column: 1 | 2 | 3 | 4) =>
  monotoneCurve(
    levels,
    template.map((row) => row[column]),
  );
const [templateGirth, depthToWidth, frontShare, templateMiddle] = [
  course(1),
  course(2),
  course(3),
  course(4),
];

/** The trunk from the front, from the back and from its right side. */
export function trunkViews(readings: BodyReadings, _side: unknown, stature: number): BodyView[] {
  const scale = stature / templateStature;
  const s = (mm: number) => mm * scale;
  const girth = girthProfile(
    (level) => templateGirth(level / scale) * scale,
    readings.girths.map(({ from, distance, girth: read }) => ({
      level: (landmarkLevel('trunk', from, stature) ?? 0) + distance,
      girth: read,
    })),
    [s(-330), s(345)],
  );
  const half = (level: number) => semiAxes(girth(level), depthToWidth(level / scale));
  const width = (level: number) => half(level).halfWidth;
  const bent = spineCurve(readings, stature);
  const middle = (level: number) => s(templateMiddle(level / scale)) + bent(level);
  const depth = (level: number) => {
    const { halfDepth } = half(level);
    const share = frontShare(level / scale);
    return {
      front: middle(level) + 2 * halfDepth * share,
      back: middle(level) - 2 * halfDepth * (1 - share),
    };
  };
  const step = (from: number, to: number) =>
    Array.from({ length: 31 }, (_, i) => s(from) + ((s(to) - s(from)) * i) / 30);
  const level = (landmark: Landmark) => landmarkLevel('trunk', landmark, stature);

  // broad hips make broad thighs, a broad chest broad shoulders: what has no reading of its own follows
  const hipScale = width(s(-163)) / s(178);
  const chestScale = Math.sqrt(width(s(212)) / s(174));
  const h = (x: number) => s(x) * hipScale;
  const c = (x: number) => s(x) * chestScale;
  const armpit = Math.min(width(s(236)), c(176));
  const rightHalf: Point[] = [
    ...smooth([
      [s(57), s(452)],
      [s(56), s(425)],
      [s(60), s(402)],
      [s(76), s(385)],
      [c(118), s(368)],
      [c(160), s(356)],
      [c(192), s(342)],
      [c(212), s(318)],
      [c(222), s(284)],
      [c(228), s(240)],
      [c(236), s(190)],
      [c(243), s(140)],
    ]),
    ...smooth([
      [c(196), s(140)],
      [c(190), s(190)],
      [c(180), s(228)],
      [armpit + s(3), s(244)],
      [armpit, s(238)],
    ]),
    ...step(230, -190).map((at): Point => [Math.min(width(at), armpit + (s(232) - at) * 0.5), at]),
    ...smooth([
      [width(s(-194)), s(-194)],
      [width(s(-205)) - s(2), s(-226)],
      [h(170), s(-270)],
      [h(164), s(-310)],
      [h(160), s(-340)],
    ]),
    ...smooth([
      [h(28), s(-340)],
      [h(16), s(-290)],
      [h(8), s(-240)],
      [0, s(-222)],
    ]),
  ];
  const mirrored = (points: readonly Point[]) => points.map(([x, y]): Point => [-x, y]).reverse();
  const both = (line: Point[]): Point[][] => [line, line.map(([x, y]): Point => [-x, y])];
  const front = [...rightHalf, ...mirrored(rightHalf)];
  const inset = (share: number, at: number): Point => [share * width(s(at)), s(at)];

  const frontLines: Point[][] = [
    ...both(
      smooth([
        [s(8), s(342)],
        [c(60), s(352)],
        [c(120), s(356)],
        [c(180), s(346)],
      ]),
    ),
    smooth([
      [s(-16), s(346)],
      [0, s(336)],
      [s(16), s(346)],
    ]),
    ...both(smooth([inset(0.14, 196), inset(0.5, 176), inset(0.82, 196), [c(168), s(236)]])),
    [
      [0, s(326)],
      [0, s(168)],
    ],
    ...both(smooth([[s(3), s(160)], inset(0.3, 118), inset(0.62, 74), inset(0.8, 52)])),
    smooth([
      [s(-7), s(-24)],
      [0, s(-31)],
      [s(7), s(-24)],
      [0, s(-17)],
      [s(-7), s(-24)],
    ]),
    ...both(smooth([inset(0.9, -44), inset(0.66, -96), inset(0.34, -150), [s(10), s(-196)]])),
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
        [c(206), s(300)],
        [c(196), s(264)],
        [c(186), s(236)],
      ]),
    ),
  ];
  const backLines: Point[][] = [
    [
      [0, s(392)],
      [0, s(-92)],
    ],
    ...both(
      smooth([
        [c(150), s(330)],
        [c(96), s(314)],
        [c(58), s(318)],
        [c(50), s(280)],
        [c(62), s(222)],
        [c(86), s(206)],
        [c(112), s(232)],
        [c(138), s(286)],
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
      [0, s(-222)],
    ],
    ...both(
      smooth([
        [s(6), s(-222)],
        [h(60), s(-226)],
        [h(112), s(-212)],
      ]),
    ),
    smooth([
      [s(-12), s(398)],
      [0, s(392)],
      [s(12), s(398)],
    ]),
    ...both(
      smooth([
        [s(36), s(420)],
        [s(44), s(392)],
        [c(96), s(366)],
      ]),
    ),
  ];

  // the side: neck and head cut off at the chin, thigh cut below the hip; the spine bends both contours
  const side: Point[] = [
    ...smooth([
      [s(28) + bent(s(452)), s(452)],
      [s(34) + bent(s(425)), s(425)],
      [s(26) + bent(s(395)), s(395)],
      [s(32) + bent(s(360)), s(360)],
      [depth(s(330)).front * 0.9, s(332)],
      [depth(s(300)).front, s(300)],
    ]),
    ...step(296, -170).map((at): Point => [depth(at).front, at]),
    ...smooth([
      [depth(s(-175)).front, s(-176)],
      [depth(s(-205)).front - s(6), s(-206)],
      [h(104), s(-262)],
      [h(96), s(-340)],
    ]),
    ...smooth([
      [h(-84), s(-340)],
      [h(-94), s(-290)],
      [h(-112), s(-248)],
      [h(-136), s(-218)],
      [depth(s(-180)).back, s(-186)],
      [depth(s(-150)).back - s(3), s(-150)],
      [depth(s(-118)).back, s(-116)],
      [depth(s(-88)).back, s(-88)],
    ]),
    ...step(-84, 340).map((at): Point => [depth(at).back, at]),
    ...smooth([
      [depth(s(345)).back, s(346)],
      [s(-92) + bent(s(372)), s(372)],
      [s(-78) + bent(s(396)), s(396)],
      [s(-60) + bent(s(420)), s(422)],
      [s(-58) + bent(s(452)), s(452)],
    ]),
  ];
  const at = (y: number, x: number): Point => [s(x) + bent(s(y)), s(y)];
  const sideLines: Point[][] = [
    smooth([at(352, 6), at(340, -46), at(300, -62), at(240, -56), at(180, -50), at(140, -48)]),
    smooth([at(352, 6), at(326, 38), at(280, 46), at(220, 38), at(140, 30)]),
    [at(140, -48), at(140, 30)],
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
      [h(20), s(-118)],
      [h(6), s(-150)],
      [h(-6), s(-190)],
    ]),
    smooth([
      [h(-122), s(-236)],
      [h(-84), s(-240)],
      [h(-50), s(-230)],
    ]),
  ];

  const backAt = (landmark: Landmark): Point | undefined => {
    const y = level(landmark);
    return y === undefined ? undefined : [depthAt(y), y];
  };
  // above the shoulders the contour runs over to the neck
  const nape = monotoneCurve([s(345), s(372), s(396)], [depth(s(345)).back - bent(s(345)), s(-92), s(-78)]);
  const depthAt = (y: number) => (y > s(345) ? nape(y) + bent(y) : depth(y).back);
  const along = (point: (y: number) => Point) => (from: Landmark, to: Landmark) => {
    const [a, b] = [level(from), level(to)];
    if (a === undefined || b === undefined) return undefined;
    return Array.from({ length: 41 }, (_, i) => point(a + ((b - a) * i) / 40));
  };
  const onBack: Landmark[] = [
    'c7',
    't9',
    'l1',
    'l5',
    'sacrum',
    'sacrococcygeal-junction',
    'scapula-lower-angle',
  ];
  const atSide: Landmark[] = [
    'axilla',
    'iliac-crest',
    'trochanter',
    'waist',
    'lower-ribs',
    'hips-greatest-girth',
    'chest',
  ];
  const flat =
    (id: 'front' | 'back'): BodyView['place'] =>
    (landmark) => {
      const y = level(landmark);
      if (
        y === undefined ||
        (onBack.includes(landmark) ? id === 'front' : id === 'back' && !atSide.includes(landmark))
      )
        return undefined;
      if (landmark === 'scapula-lower-angle') return [c(86), y];
      return [atSide.includes(landmark) ? (landmark === 'axilla' ? armpit : width(y)) : 0, y];
    };
  const edges = (y: number): [number, number] => [-width(y), width(y)];
  return [
    {
      id: 'front',
      skin: front,
      lines: frontLines,
      edges,
      place: flat('front'),
      along: () => undefined,
      letters: [
        { text: 'R', at: [c(-256), s(400)] },
        { text: 'L', at: [c(256), s(400)] },
      ],
    },
    {
      id: 'back',
      skin: front,
      lines: backLines,
      edges,
      place: flat('back'),
      along: along((y) => [0, y]),
      letters: [
        { text: 'L', at: [c(-256), s(400)] },
        { text: 'R', at: [c(256), s(400)] },
      ],
    },
    {
      id: 'side',
      skin: side,
      lines: sideLines,
      edges: (y) => {
        const { front: fore, back } = depth(y);
        return [back, fore];
      },
      place: (landmark) => {
        const y = level(landmark);
        if (y === undefined) return undefined;
        if (onBack.includes(landmark)) return backAt(landmark);
        return [atSide.includes(landmark) ? middle(y) : depth(Math.min(y, s(340))).front, y];
      },
      along: along((y) => [depthAt(y), y]),
      letters: [],
    },
  ];
}
