import fc from 'fast-check';
import Flatbush from 'flatbush';
import { bodyOf } from './body';
import type { Point } from './outline';
import { regions, type Region } from './region';
import { someBody } from './test-bodies';

/** Twice the signed area of a triangle. */
const turn = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Where a closed line crosses itself, found with an index over its pieces' boxes. */
export function crossings(ring: readonly Point[]): Point[] {
  const pieces = ring.map((from, i) => [from, ring[(i + 1) % ring.length]!] as const);
  const index = new Flatbush(pieces.length);
  for (const [[x1, y1], [x2, y2]] of pieces)
    index.add(Math.min(x1, x2), Math.min(y1, y2), Math.max(x1, x2), Math.max(y1, y2));
  index.finish();
  return pieces.flatMap(([a, b], i) =>
    index
      .search(Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1]))
      .flatMap((j) => {
        if (j <= i + 1 || (i === 0 && j === pieces.length - 1)) return [];
        const [c, d] = pieces[j]!;
        const crosses = turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
        return crosses ? [a] : [];
      }),
  );
}

/** The sharpest turn of a line at one of its points, in degrees. */
export const sharpest = (line: readonly Point[]): number =>
  line.slice(1, -1).reduce((most, at, i) => {
    const [before, after] = [line[i]!, line[i + 2]!];
    const [x1, y1, x2, y2] = [at[0] - before[0], at[1] - before[1], after[0] - at[0], after[1] - at[1]];
    const angle = Math.abs(Math.atan2(x1 * y2 - y1 * x2, x1 * x2 + y1 * y2));
    return Math.max(most, (angle * 180) / Math.PI);
  }, 0);

// a corner of a box turns by 90 degrees at one point; an arc of the smallest round is made of steps of about 28
const corner = 50;

/**
 * Draws a number of bodies by chance and looks at every outline.
 * @returns what is wrong with the first that is wrong, made as small as it still is; undefined when none is
 */
export function sweep(region: Region, bodies: number, seed: number): string | undefined {
  const sides = regions[region] === 'pair' ? (['left', 'right'] as const) : (['midline'] as const);
  let turnOf = 0;
  const { failed, errorInstance } = fc.check(
    fc.property(someBody(region), ({ build, readings, told }) => {
      const side = sides[turnOf++ % sides.length]!;
      for (const { id, skin, contours, lines, hidden } of bodyOf(region, side, readings, build).views) {
        const where = `${id} of ${told}`;
        for (const [x, y] of [...skin, ...lines.flat(), ...hidden.flat()])
          if (!Number.isFinite(x) || !Number.isFinite(y)) throw new Error(`no number in ${where}`);
        const [crossed] = crossings(skin);
        if (crossed) throw new Error(`crosses itself at ${crossed.join()}: ${where}`);
        for (const line of contours)
          if (sharpest(line) > corner) throw new Error(`turns by ${sharpest(line).toFixed(0)}: ${where}`);
      }
    }),
    { numRuns: bodies, seed },
  );
  return failed ? (errorInstance as Error).message : undefined;
}
