import { Matrix, inverse } from 'ml-matrix';
import type { Degrees, Millimetres } from '../quantity';
import { bendBar, heightOf, placeOn, type BarShape } from './bar-shape';

/** A bend that was made and not looked at yet: what it should have kept, and how well that is known. */
export interface ExpectedBend {
  along: Millimetres;
  turn: Degrees;
  within: Degrees;
}

/** What the bar was found to be. */
export interface FittedBar {
  shape: BarShape;
  /** by bend, in the order given: what it kept, and how well that is known (one standard deviation) */
  bends: { turn: Degrees; within: Degrees }[];
  /** the largest of what was read that the bends do not explain */
  unexplained: Millimetres;
}

const rad = Math.PI / 180;

/** mm: how well a gap is read by a wedge or a rule; an estimate */
export const gapReadWithin: Millimetres = 0.6;

/**
 * The bar's real shape from what was read at a few places after a pass: how far each bend went, by least squares with what was
 * expected of it as prior (Gauss and Newton, three rounds).
 * @param before the bar before these bends
 * @param bends made since, in their order
 * @param read heights of the bar off the straight-edge, at places along it
 */
export function fitBends(
  before: BarShape,
  bends: readonly ExpectedBend[],
  read: readonly { at: Millimetres; out: Millimetres }[],
): FittedBar {
  const shapeOf = (turns: readonly Degrees[]): BarShape =>
    bends.reduce((shape, { along }, i) => bendBar(shape, along, turns[i]!), before);
  let turns = bends.map(({ turn }) => turn);
  let deviations = bends.map(({ within }) => within);
  const inside = read.filter(({ at }) => heightOf(shapeOf(turns), at) !== undefined);
  if (bends.length > 0 && inside.length > 0)
    for (let round = 0; round < 3; round += 1) {
      const shape = shapeOf(turns);
      const places = bends.map(({ along }) => placeOn(shape, along)?.[0] ?? Infinity);
      // a degree at a place lifts all beyond it by its distance from there
      const rises = inside.map(({ at }) =>
        places.map((x, i) => (bends[i]!.along >= 0 ? Math.max(0, at - x) * rad : Math.max(0, x - at) * rad)),
      );
      const left = inside.map(({ at, out }) => out - (heightOf(shape, at) ?? out));
      const normal = new Matrix(
        bends.map((bend, i) =>
          bends.map(
            (_, j) =>
              rises.reduce((sum, row) => sum + row[i]! * row[j]!, 0) / gapReadWithin ** 2 +
              (i === j ? 1 / bend.within ** 2 : 0),
          ),
        ),
      );
      const right = Matrix.columnVector(
        bends.map(
          (bend, i) =>
            rises.reduce((sum, row, r) => sum + row[i]! * left[r]!, 0) / gapReadWithin ** 2 +
            (bend.turn - turns[i]!) / bend.within ** 2,
        ),
      );
      const covariance = inverse(normal);
      const change = covariance.mmul(right);
      turns = turns.map((turn, i) => turn + change.get(i, 0));
      deviations = bends.map((_, i) => Math.sqrt(covariance.get(i, i)));
    }
  const shape = shapeOf(turns);
  return {
    shape,
    bends: turns.map((turn, i) => ({ turn, within: deviations[i]! })),
    unexplained: Math.max(0, ...inside.map(({ at, out }) => Math.abs(out - (heightOf(shape, at) ?? out)))),
  };
}
