import type { Degrees, Millimetres } from '../quantity';

/**
 * A bar in the plane it is bent in: its neutral line from the lower end to the upper one. Its held place, a hinge's centre or the
 * mark on the sacrum, is the origin; x runs along the straight-edge, proximal positive, y away from the limb.
 */
export type BarShape = readonly (readonly [x: Millimetres, y: Millimetres])[];

const rad = Math.PI / 180;

/** A straight bar that reaches so far from its held place. */
export const straightBar = ({
  proximal,
  distal,
}: {
  proximal: Millimetres;
  distal: Millimetres;
}): BarShape =>
  distal > 0
    ? [
        [-distal, 0],
        [0, 0],
        [proximal, 0],
      ]
    : [
        [0, 0],
        [proximal, 0],
      ];

const held = (shape: BarShape): number => {
  const at = shape.findIndex(([x, y]) => x === 0 && y === 0);
  return at < 0 ? 0 : at;
};

/**
 * Where a length along the bar from its held place comes to lie.
 * @param along proximal positive
 * @returns the point and the index of the first vertex at or beyond it; undefined off the bar's end
 */
function pointAlong(
  shape: BarShape,
  along: Millimetres,
): { point: readonly [number, number]; before: number } | undefined {
  const direction = along < 0 ? -1 : 1;
  let left = Math.abs(along);
  for (let i = held(shape); ; i += direction) {
    const [from, to] = [shape[i], shape[i + direction]];
    if (!from || !to) return left < 1e-9 && from ? { point: from, before: i } : undefined;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const length = Math.hypot(dx, dy);
    if (left <= length) {
      const share = length === 0 ? 0 : left / length;
      return { point: [from[0] + dx * share, from[1] + dy * share], before: i };
    }
    left -= length;
  }
}

/** Where a place on the bar lies; undefined off its end. */
export const placeOn = (shape: BarShape, along: Millimetres): readonly [number, number] | undefined =>
  pointAlong(shape, along)?.point;

/**
 * The bar after a bend: all beyond its place is turned about it, the held place stays.
 * @param along the bar from its held place, proximal positive
 * @param turn away from the limb positive
 * @returns the same bar when the place is off its end
 */
export function bendBar(shape: BarShape, along: Millimetres, turn: Degrees): BarShape {
  const at = pointAlong(shape, along);
  if (!at) return shape;
  const [px, py] = at.point;
  // beyond a place distal of the held one the bar runs the other way: away is the other sense
  const angle = (along < 0 ? -turn : turn) * rad;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const about = ([x, y]: readonly [number, number]): readonly [number, number] => [
    px + (x - px) * cos - (y - py) * sin,
    py + (x - px) * sin + (y - py) * cos,
  ];
  return along < 0
    ? [...shape.slice(0, at.before).map(about), at.point, ...shape.slice(at.before)]
    : [...shape.slice(0, at.before + 1), at.point, ...shape.slice(at.before + 1).map(about)];
}

/** The whole bar turned about its held place: nothing rigid holds it there. */
export const turnBar = (shape: BarShape, turn: Degrees): BarShape => {
  const [cos, sin] = [Math.cos(turn * rad), Math.sin(turn * rad)];
  return shape.map(([x, y]) => [x * cos - y * sin, x * sin + y * cos]);
};

/**
 * How far the bar stands off the straight-edge at a place along it.
 * @param shape its x rising
 * @param x along the straight-edge
 * @returns undefined beyond its ends
 */
export function heightOf(shape: BarShape, x: Millimetres): Millimetres | undefined {
  for (let i = 1; i < shape.length; i += 1) {
    const [[x0, y0], [x1, y1]] = [shape[i - 1]!, shape[i]!];
    if (x >= x0 && x <= x1) return x1 === x0 ? y0 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  }
  return undefined;
}

/**
 * How far along the bar from its held place a place on the straight-edge lies.
 * @returns undefined beyond its ends
 */
export function alongAt(shape: BarShape, x: Millimetres): Millimetres | undefined {
  const direction = x < 0 ? -1 : 1;
  let along = 0;
  for (let i = held(shape); ; i += direction) {
    const [from, to] = [shape[i], shape[i + direction]];
    if (!from || !to) return undefined;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (direction * (to[0] - x) >= 0)
      return direction * (along + (to[0] === from[0] ? 0 : length * ((x - from[0]) / (to[0] - from[0]))));
    along += length;
  }
}

/** A measured bar: through points off the straight-edge, straight between them, its held place among them. */
export function barThrough(points: readonly { at: Millimetres; out: Millimetres }[]): BarShape {
  const rising = [...points].sort((a, b) => a.at - b.at);
  const at0 = heightOf(
    rising.map(({ at, out }) => [at, out] as const),
    0,
  );
  const base = at0 ?? 0;
  const around = rising.map(({ at, out }) => [at, out - base] as const).filter(([x]) => x !== 0);
  return [...around.filter(([x]) => x < 0), [0, 0], ...around.filter(([x]) => x > 0)];
}

/** A measured bar to its ends: beyond what was read it goes on as it was going. */
export function reaching(
  shape: BarShape,
  { proximal, distal }: { proximal: Millimetres; distal: Millimetres },
): BarShape {
  const on = (from: readonly [number, number], to: readonly [number, number], x: Millimetres) =>
    [x, to[1] + ((to[1] - from[1]) * (x - to[0])) / (to[0] - from[0] || 1)] as const;
  const [first, second] = [shape[0]!, shape[1]];
  const [last, before] = [shape.at(-1)!, shape.at(-2)];
  return [
    ...(second && first[0] > -distal ? [on(second, first, -distal)] : []),
    ...shape,
    ...(before && last[0] < proximal ? [on(before, last, proximal)] : []),
  ];
}
