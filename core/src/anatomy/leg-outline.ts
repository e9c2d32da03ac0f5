import type { Millimetres } from '../quantity';
import type { LegForm } from './leg-form';
import { oval, smooth, type Outline, type Point } from './outline';
import type { Side } from './side';

const ankleTemplateLevel = -428;
const stride = 4;

/** Levels from high to low (or the reverse), a few mm apart, both ends included. */
function levelsBetween(from: Millimetres, to: Millimetres): Millimetres[] {
  const count = Math.ceil(Math.abs(to - from) / stride);
  return Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
}

/**
 * The leg seen from the front. A right leg has its medial side to the viewer's right, a left one
 * to the viewer's left.
 * @param form of the leg
 * @param side which leg it is
 */
export function frontOutline(form: LegForm, side: Side): Outline {
  const facing = side === 'right' ? 1 : -1;
  const { scaled } = form;
  const ankle = scaled(ankleTemplateLevel);
  const limb = levelsBetween(form.top, ankle);
  const at = (level: Millimetres) => form.edges(level);
  const foot = smooth(
    (
      [
        [-at(ankle).lateral, ankle],
        [-scaled(33), scaled(-446)],
        [-scaled(39), scaled(-462)],
        [-scaled(47), scaled(-480)],
        [-scaled(47), scaled(-492)],
        [-scaled(41), scaled(-498)],
        [-scaled(32), scaled(-500)],
        [-scaled(22), scaled(-501)],
        [-scaled(10), scaled(-502)],
        [scaled(4), scaled(-502)],
        [scaled(16), scaled(-502)],
        [scaled(30), scaled(-503)],
        [scaled(41), scaled(-500)],
        [scaled(44), scaled(-490)],
        [scaled(42), scaled(-474)],
        [scaled(38), scaled(-456)],
        [scaled(35), scaled(-444)],
        [at(ankle).medial, ankle],
      ] satisfies Point[]
    ).map(([x, y]): Point => [x, y]),
  );
  const skin: Point[] = [
    ...limb.map((level): Point => [-at(level).lateral, level]),
    ...foot.slice(1, -1),
    ...limb.toReversed().map((level): Point => [at(level).medial, level]),
  ];
  const inner = (share: number, level: number): Point => {
    const edges = at(scaled(level));
    return [share < 0 ? share * edges.lateral : share * edges.medial, scaled(level)];
  };
  const toes = [
    [16, 29, -503, -483],
    [2, 14, -502, -486],
    [-10, 1, -502, -487],
    [-22, -11, -501, -488],
    [-33, -23, -500, -489],
  ].map(([from, to, low, high]) =>
    smooth([
      [scaled(from!), scaled(low! + 3)],
      [scaled(from! + 1), scaled(high! - 3)],
      [scaled((from! + to!) / 2), scaled(high!)],
      [scaled(to! - 1), scaled(high! - 3)],
      [scaled(to!), scaled(low! + 3)],
    ]),
  );
  const lines: Point[][] = [
    oval(0, 0, scaled(27), scaled(27), 2.3),
    smooth([inner(0.3, 58), inner(0.58, 36), inner(0.76, 58), inner(0.7, 100)]),
    smooth([inner(-0.36, 62), inner(-0.56, 50), inner(-0.72, 74), inner(-0.72, 112)]),
    smooth([inner(-0.2, -32), inner(-0.12, -46), inner(-0.02, -56)]),
    smooth([inner(0.22, -32), inner(0.18, -46), inner(0.1, -56)]),
    smooth([inner(0.16, -72), inner(0.2, -130), inner(0.16, -200)]),
    smooth([inner(0.84, -140), inner(0.66, -180), inner(0.6, -214), inner(0.74, -238)]),
    smooth([inner(-0.86, -112), inner(-0.66, -150), inner(-0.6, -192)]),
    smooth([inner(0.6, -416), inner(0.74, -428), inner(0.66, -439)]),
    smooth([inner(-0.64, -424), inner(-0.78, -437), inner(-0.68, -446)]),
    ...toes,
  ];
  const turned = (points: Point[]) => points.map(([x, y]): Point => [x * facing, y]);
  return { skin: turned(skin), lines: lines.map(turned), facing };
}

/**
 * The leg seen from its outer side. A right leg has its toes to the viewer's right, a left one to
 * the viewer's left.
 * @param form of the leg
 * @param side which leg it is
 */
export function outerOutline(form: LegForm, side: Side): Outline {
  const facing = side === 'right' ? 1 : -1;
  const { scaled } = form;
  const at = (level: Millimetres) => form.edges(level);
  const instep = scaled(-405);
  const heel = scaled(-418);
  const front = levelsBetween(form.top, instep);
  const back = levelsBetween(heel, form.top);
  const foot = smooth([
    [at(instep).front, instep],
    [scaled(46), scaled(-424)],
    [scaled(66), scaled(-440)],
    [scaled(98), scaled(-456)],
    [scaled(134), scaled(-469)],
    [scaled(160), scaled(-475)],
    [scaled(180), scaled(-481)],
    [scaled(188), scaled(-490)],
    [scaled(182), scaled(-498)],
    [scaled(160), scaled(-500)],
    [scaled(120), scaled(-500)],
    [scaled(80), scaled(-498)],
    [scaled(30), scaled(-497)],
    [scaled(-10), scaled(-499)],
    [scaled(-42), scaled(-500)],
    [scaled(-60), scaled(-494)],
    [scaled(-65), scaled(-478)],
    [scaled(-60), scaled(-458)],
    [scaled(-49), scaled(-438)],
    [-at(heel).back, heel],
  ]);
  const skin: Point[] = [
    ...front.map((level): Point => [at(level).front, level]),
    ...foot.slice(1, -1),
    ...back.map((level): Point => [-at(level).back, level]),
  ];
  const inner = (share: number, level: number): Point => {
    const edges = at(scaled(level));
    return [share < 0 ? share * edges.back : share * edges.front, scaled(level)];
  };
  const kneecap = at(0).front;
  const lines: Point[][] = [
    smooth([
      [kneecap - scaled(6), scaled(27)],
      [kneecap - scaled(19), scaled(14)],
      [kneecap - scaled(21), scaled(-6)],
      [kneecap - scaled(10), scaled(-27)],
    ]),
    smooth([inner(0.42, 46), inner(0.2, 84), inner(0.1, 130), inner(0.1, 176)]),
    smooth([inner(-0.5, -6), inner(-0.6, 40), inner(-0.6, 92)]),
    smooth([inner(-0.2, -28), inner(-0.06, -40), inner(-0.16, -54)]),
    smooth([inner(0.34, -78), inner(0.42, -130), inner(0.46, -186)]),
    smooth([inner(-0.9, -178), inner(-0.56, -216), inner(-0.3, -232), inner(-0.12, -222)]),
    oval(scaled(-4), scaled(-436), scaled(11), scaled(13)),
    smooth([inner(-0.6, -330), inner(-0.52, -380), inner(-0.66, -418)]),
    smooth([
      [scaled(164), scaled(-496)],
      [scaled(158), scaled(-488)],
      [scaled(162), scaled(-480)],
    ]),
  ];
  const turned = (points: Point[]) => points.map(([x, y]): Point => [x * facing, y]);
  return { skin: turned(skin), lines: lines.map(turned), facing };
}
