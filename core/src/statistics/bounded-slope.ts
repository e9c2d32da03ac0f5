import { median } from './median';

/** A value that was reached, or only known to be at least so much. */
export interface BoundedPoint {
  x: number;
  y: number;
  /** it was not tried any further: what it would have come to lies at or above y */
  atLeast?: boolean | undefined;
}

/** What is known of a slope: it lies somewhere in here. An end that is infinite is not known. */
export interface BoundedSlope {
  low: number;
  high: number;
}

const rising = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/**
 * The bounds within which the median of all pairwise slopes lies (Theil-Sen; Sen 1968), where some values are only known to be
 * at least so much. A pair whose later value is such a bound has a slope of at least, one whose earlier value is, of at most
 * what the numbers give; one of two bounds says nothing. The median of the least and of the most that each may be encloses
 * the one of what they are.
 * @param points in any order; pairs with the same x are left out
 * @returns undefined where no two points differ in x
 */
export function boundedSlope(points: readonly BoundedPoint[]): BoundedSlope | undefined {
  const pairs = points.flatMap((one, i) =>
    points.slice(i + 1).flatMap((other) => {
      if (one.x === other.x) return [];
      const [early, late] = one.x < other.x ? [one, other] : [other, one];
      const slope = (late.y - early.y) / (late.x - early.x);
      return [{ low: early.atLeast ? -Infinity : slope, high: late.atLeast ? Infinity : slope }];
    }),
  );
  if (pairs.length === 0) return undefined;
  const ends = (end: 'low' | 'high') => {
    const sorted = pairs.map((pair) => pair[end]).sort(rising);
    const middle = median(sorted);
    // half way between what is not known and what is not known the other way
    return Number.isNaN(middle) ? (end === 'low' ? -Infinity : Infinity) : middle;
  };
  return { low: ends('low'), high: ends('high') };
}
