import {
  Clipper64,
  ClipType,
  EndType,
  FillRule,
  inflatePaths,
  intersect,
  JoinType,
  ramerDouglasPeuckerPaths,
  union,
  type Path64,
  type Paths64,
} from 'clipper2-ts';
import type { Millimetres } from '../quantity';

/** x to the viewer's right, y along the body (proximal positive), both in mm from the region's datum. */
export type Point = readonly [x: Millimetres, y: Millimetres];

/** A smooth line through points (Catmull-Rom), eight steps a span. */
export function smooth(points: readonly Point[]): Point[] {
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]!;
  const out: Point[] = [points[0]!];
  for (let i = 0; i + 1 < points.length; i += 1) out.push(...span(at(i - 1), at(i), at(i + 1), at(i + 2)));
  return out;
}

/** A smooth closed line through points; the first one is not said twice. */
export function smoothRing(points: readonly Point[]): Point[] {
  const at = (i: number) => points[(i + points.length) % points.length]!;
  return points.flatMap((_, i) => span(at(i - 1), at(i), at(i + 1), at(i + 2)));
}

function span(a: Point, b: Point, c: Point, d: Point): Point[] {
  const bend = (p: number, q: number, r: number, s: number, t: number) =>
    0.5 * (2 * q + (r - p) * t + (2 * p - 5 * q + 4 * r - s) * t * t + (3 * q - p - 3 * r + s) * t ** 3);
  return Array.from({ length: 8 }, (_, i): Point => {
    const t = (i + 1) / 8;
    return [bend(a[0], b[0], c[0], d[0], t), bend(a[1], b[1], c[1], d[1], t)];
  });
}

/** An oval; a squareness above 2 gives it corners. */
export function oval(x: number, y: number, halfWidth: number, halfHeight: number, squareness = 2): Point[] {
  const power = (value: number) => Math.sign(value) * Math.abs(value) ** (2 / squareness);
  return Array.from({ length: 49 }, (_, i): Point => {
    const angle = (i / 48) * 2 * Math.PI;
    return [x + halfWidth * power(Math.cos(angle)), y + halfHeight * power(Math.sin(angle))];
  });
}

/** A finger: round at its tip and its root, its width running from one to the other. */
export function finger(from: Point, to: Point, rootRadius: number, tipRadius: number): Point[] {
  const along = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const round = ([x, y]: Point, radius: number, start: number) =>
    Array.from({ length: 13 }, (_, i): Point => {
      const angle = start + (i / 12) * Math.PI;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  return [...round(to, tipRadius, along - Math.PI / 2), ...round(from, rootRadius, along + Math.PI / 2)];
}

/** A part of the body between two edges at every level, from above down and up again. */
export function between(
  levels: readonly Millimetres[],
  edges: (level: Millimetres) => readonly [Millimetres, Millimetres],
): Point[] {
  return [
    ...levels.map((level): Point => [edges(level)[0], level]),
    ...levels.toReversed().map((level): Point => [edges(level)[1], level]),
  ];
}

/** Levels from one to another, a few mm apart, both included. */
export function levelsBetween(from: Millimetres, to: Millimetres, stride = 8): Millimetres[] {
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / stride));
  return Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
}

export const mirrored = (points: readonly Point[]): Point[] => points.map(([x, y]): Point => [-x, y]);
export const moved = (points: readonly Point[], dx: number, dy: number): Point[] =>
  points.map(([x, y]): Point => [x + dx, y + dy]);

// the clipper counts in whole numbers: hundredths of a millimetre
const grain = 100;
const taken = (points: readonly Point[]): Path64 =>
  points.map(([x, y]) => ({ x: Math.round(x * grain), y: Math.round(y * grain) }));
const given = (path: Path64): Point[] => path.map(({ x, y }): Point => [x / grain, y / grain]);
/** Grown or shrunk with round corners; `fine` is how far in mm the arcs may lie off. */
const grown = (paths: Paths64, by: number, fine: number) =>
  lean(inflatePaths(paths, by * grain, JoinType.Round, EndType.Polygon, 2, fine * grain), fine / 2);
/** The same lines with fewer points. */
const lean = (paths: Paths64, fine: number): Paths64 => ramerDouglasPeuckerPaths(paths, fine * grain);

/** Signed area of a closed line (shoelace formula). */
export const signedArea = (ring: readonly Point[]): number =>
  ring.reduce((sum, [x1, y1], i) => {
    const [x2, y2] = ring[(i + 1) % ring.length]!;
    return sum + (x1 * y2 - x2 * y1) / 2;
  }, 0);

const largest = (rings: readonly Point[][]): Point[] =>
  rings.reduce<Point[]>(
    (most, ring) => (Math.abs(signedArea(ring)) > Math.abs(signedArea(most)) ? ring : most),
    [],
  );

/**
 * The outline round overlapping parts of a body: one closed line that never crosses itself and has no corner,
 * whatever the parts' sizes. Inward corners (an armpit) and outward ones are rounded; a smooth edge stays where
 * it is.
 * @param parts closed lines, in any direction; each meets at least one other
 * @param fillet radius in mm of inward corners
 * @param round radius in mm of outward corners
 */
export function outlineOf(parts: readonly (readonly Point[])[], fillet = 7, round = 5): Point[] {
  const whole = union(
    parts.map((part) => taken(signedArea(part) < 0 ? part.toReversed() : part)),
    FillRule.NonZero,
  );
  const fine = Math.min(0.2, 0.03 * fillet, 0.03 * round);
  const soft = grown(grown(grown(lean(whole, fine / 2), fillet, fine), -fillet - round, fine), round, fine);
  const ring = largest(soft.map(given));
  // a speck of rounding in whole hundredths is no corner
  const clean = ring.filter(([x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length]!;
    return Math.hypot(nx - x, ny - y) > 3 * fine;
  });
  return signedArea(clean) < 0 ? clean.toReversed() : clean;
}

/**
 * A band along a line, so wide to either side, cut square at its ends; where it bends sharply it does not fold over itself.
 * @returns one closed line; of a line that crosses itself several, each to lie over those before
 */
export function bandsAlong(line: readonly Point[], half: number): Point[][] {
  const rings = inflatePaths([taken(line)], half * grain, JoinType.Round, EndType.Butt, 2, 0.1 * grain);
  if (rings.length < 2 || line.length < 4) return [largest(rings.map(given))];
  const middle = Math.floor(line.length / 2);
  return [line.slice(0, middle + 1), line.slice(middle)].flatMap((part) => bandsAlong(part, half));
}

const far = 1e5;

/** What a drawing is cut to: a closed line with straight edges, far away where nothing is cut. */
export function windowOf({
  left = -far,
  right = far,
  low = -far,
  high = far,
}: {
  left?: Millimetres;
  right?: Millimetres;
  low?: Millimetres;
  high?: Millimetres;
}): Point[] {
  return [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ];
}

export interface CutOutline {
  /** closed, for filling */
  skin: Point[];
  /** the skin's own line, in one piece for every stretch between two cuts */
  contours: Point[][];
  /** break lines where the drawing ends and the body does not */
  cuts: Point[][];
}

/** Cuts an outline to a window; where it is cut a break line swings to and fro. */
export function cutTo(outline: readonly Point[], window: readonly Point[]): CutOutline {
  const ring = largest(intersect([taken(outline)], [taken(window)], FillRule.NonZero).map(given));
  const skin = signedArea(ring) < 0 ? ring.toReversed() : ring;
  const edges = window.map((from, i) => [from, window[(i + 1) % window.length]!] as const);
  const on = ([x, y]: Point, [[x1, y1], [x2, y2]]: readonly [Point, Point]) =>
    Math.abs((x - x1) * (y2 - y1) - (y - y1) * (x2 - x1)) / Math.hypot(x2 - x1, y2 - y1) < 0.05;
  const cutEdge = (i: number) => {
    const [from, to] = [skin[i]!, skin[(i + 1) % skin.length]!];
    return edges.some((edge) => on(from, edge) && on(to, edge));
  };
  const isCut = skin.map((_, i) => cutEdge(i));
  const start = isCut.findIndex((cut, i) => cut && !isCut[(i + 1) % skin.length]);
  if (start < 0) return { skin, contours: [[...skin, skin[0]!]], cuts: [] };
  const swung: Point[] = [];
  const contours: Point[][] = [];
  const cuts: Point[][] = [];
  let contour: Point[] = [];
  for (let step = 1; step <= skin.length; step += 1) {
    const i = (start + step) % skin.length;
    const [from, to] = [skin[i]!, skin[(i + 1) % skin.length]!];
    if (isCut[i]) {
      if (contour.length > 0) contours.push([...contour, from]);
      contour = [];
      const line = breakLine(from, to);
      cuts.push(line);
      swung.push(...line.slice(0, -1));
    } else {
      contour.push(from);
      swung.push(from);
    }
  }
  return { skin: swung, contours, cuts };
}

/** From one edge to the other, once to either side, as a round bar is broken off on a drawing. */
function breakLine([x1, y1]: Point, [x2, y2]: Point): Point[] {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const swing = Math.min(0.035, 7 / Math.hypot(dx, dy));
  return Array.from({ length: 25 }, (_, i): Point => {
    const t = i / 24;
    const off = swing * Math.sin(2 * Math.PI * t) * Math.sin(Math.PI * t);
    return [x1 + dx * t - dy * off, y1 + dy * t + dx * off];
  });
}

/** What of some lines lies inside an outline, a little within its edge. */
export function inside(
  lines: readonly (readonly Point[])[],
  outline: readonly Point[],
  within = 2,
): Point[][] {
  if (lines.length === 0) return [];
  const clipper = new Clipper64();
  clipper.addOpenSubject(lines.map(taken));
  clipper.addClip(grown([taken(outline)], -within, 0.12));
  const [closed, open]: [Paths64, Paths64] = [[], []];
  clipper.execute(ClipType.Intersection, FillRule.NonZero, closed, open);
  return open.map(given).filter((line) => line.length > 1);
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
