import type { Degrees, Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';
import { alongTheBack, type BodyReadings } from './body-readings';
import type { Build } from './build';
import { landmarkLevel } from './landmark';

export interface SpinePoint {
  /** along the tape from the first station */
  along: Millimetres;
  /** forward of the first station */
  x: Millimetres;
  /** below the first station */
  y: Millimetres;
}

/**
 * The course of the back from inclinometer angles along the tape, interpolated: x = integral of sin,
 * y = integral of cos. Leaning forward is positive: going down from a forward lean the back goes backward.
 * @param stations angle at a share of the tape's length, at least two, by rising share
 * @param length of the tape from the first to the last landmark
 * @returns points from the top down
 */
export function curveFromInclinations(
  stations: readonly { at: number; angle: Degrees }[],
  length: Millimetres,
): SpinePoint[] {
  const angle = monotoneCurve(
    stations.map(({ at }) => at),
    stations.map((station) => station.angle),
  );
  const count = 100;
  const step = length / count;
  const points: SpinePoint[] = [{ along: 0, x: 0, y: 0 }];
  for (let i = 0; i < count; i += 1) {
    const theta = (angle((i + 0.5) / count) * Math.PI) / 180;
    const last = points[i]!;
    points.push({
      along: last.along + step,
      x: last.x - Math.sin(theta) * step,
      y: last.y + Math.cos(theta) * step,
    });
  }
  return points;
}

/**
 * The angle an arc subtends, 4 atan(2h/L).
 * @param height of the arc over its chord
 * @param chord between its ends, same unit
 */
export const arcAngle = (height: number, chord: number): Degrees =>
  (4 * Math.atan((2 * height) / chord) * 180) / Math.PI;

/** Kyphosis index 100 h/L (Milne and Lauder 1974, memory). */
export const kyphosisIndex = (height: number, chord: number): number => (100 * height) / chord;

/** Inclinations of the average back that the trunk's template is drawn with, at the same shares. */
const upright: readonly { at: number; angle: Degrees }[] = [
  { at: 0, angle: 24 },
  { at: 0.25, angle: 12 },
  { at: 0.5, angle: -4 },
  { at: 0.75, angle: -12 },
  { at: 1, angle: 12 },
];

/**
 * How far a read back lies in front of the drawn one at each level, the sacrum held where it is.
 * @returns 0 everywhere with fewer than two stations
 */
export function spineCurve({ inclinations, lengths }: BodyReadings, build: Build): (level: number) => number {
  const read = [...inclinations].sort((a, b) => a.at - b.at);
  const top = landmarkLevel('trunk', 'c7', build)!;
  const bottom = landmarkLevel('trunk', 'sacrum', build)!;
  if (read.length < 2) return () => 0;
  const tape =
    lengths.find(({ from, to }) => from === 'c7' && to === 'sacrum')?.length ?? (top - bottom) * alongTheBack;
  const [own, drawn] = [curveFromInclinations(read, tape), curveFromInclinations(upright, tape)];
  const end = own.length - 1;
  const difference = own.map(({ x }, i) => x - own[end]!.x - (drawn[i]!.x - drawn[end]!.x));
  return (level) => {
    const share = Math.min(1, Math.max(0, (top - level) / (top - bottom)));
    return difference[Math.round(share * end)]!;
  };
}
