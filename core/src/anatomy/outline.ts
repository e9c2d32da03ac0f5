import type { Millimetres } from '../quantity';

/** x to the viewer's right, y along the limb (proximal positive), both in mm from the mark. */
export type Point = readonly [x: Millimetres, y: Millimetres];

export interface Outline {
  /** the skin, from the top of one edge round the foot to the top of the other */
  skin: Point[];
  /** inner form lines: kneecap, muscle bellies, malleoli, toes */
  lines: Point[][];
  /** which way x grows: 1 when medial (front view) or the toes (outer view) lie to the viewer's right */
  facing: 1 | -1;
}

/** A smooth line through points (Catmull-Rom, centripetal enough for a foot), eight steps a span. */
export function smooth(points: readonly Point[]): Point[] {
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]!;
  const bend = (a: number, b: number, c: number, d: number, t: number) =>
    0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t ** 3);
  const out: Point[] = [points[0]!];
  for (let i = 0; i + 1 < points.length; i += 1) {
    for (let step = 1; step <= 8; step += 1) {
      const t = step / 8;
      const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
      out.push([bend(a[0], b[0], c[0], d[0], t), bend(a[1], b[1], c[1], d[1], t)]);
    }
  }
  return out;
}

/** An oval; a squareness above 2 gives it corners. */
export function oval(x: number, y: number, halfWidth: number, halfHeight: number, squareness = 2): Point[] {
  const power = (value: number) => Math.sign(value) * Math.abs(value) ** (2 / squareness);
  return Array.from({ length: 49 }, (_, i): Point => {
    const angle = (i / 48) * 2 * Math.PI;
    return [x + halfWidth * power(Math.cos(angle)), y + halfHeight * power(Math.sin(angle))];
  });
}

/**
 * Where a closed outline is crossed at a level: its outermost points there, smaller first.
 * @returns undefined where the outline does not reach
 */
export function crossing(skin: readonly Point[], level: Millimetres): [Millimetres, Millimetres] | undefined {
  const xs = skin.flatMap(([x1, y1], i) => {
    const [x2, y2] = skin[(i + 1) % skin.length]!;
    if (y1 > level === y2 > level) return [];
    return [x1 + ((level - y1) / (y2 - y1)) * (x2 - x1)];
  });
  return xs.length > 1 ? [Math.min(...xs), Math.max(...xs)] : undefined;
}
