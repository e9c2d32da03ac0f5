import { median } from './median';
import { normalCdf, normalDensity } from './normal';

/** The quantile of the standard normal distribution, by bisection over its distribution function and one Newton step. */
function normalQuantile(probability: number): number {
  let [low, high] = [-40, 40];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < probability) low = middle;
    else high = middle;
  }
  const z = (low + high) / 2;
  return z - (normalCdf(z) - probability) / Math.max(normalDensity(z), 1e-300);
}

export interface TheilSen {
  slope: number;
  /** median of y - slope x */
  intercept: number;
  /** of the slope; absent when there are too few points for one at this confidence */
  interval: readonly [number, number] | undefined;
}

/**
 * How many of Kendall's S fall at or below each value under no trend: exact, by recursion over n.
 * @returns the probability that S is at least s
 */
function kendallTail(n: number, s: number): number {
  let counts = [1];
  for (let k = 2; k <= n; k += 1) {
    const next = new Array<number>(counts.length + k - 1).fill(0);
    counts.forEach((count, i) => {
      for (let j = 0; j < k; j += 1) next[i + j]! += count;
    });
    counts = next;
  }
  const all = counts.reduce((sum, count) => sum + count, 0);
  const pairs = (n * (n - 1)) / 2;
  return counts.reduce((sum, count, inversions) => sum + (pairs - 2 * inversions >= s ? count : 0), 0) / all;
}

/**
 * Slope through points as the median of all pairwise slopes, with Sen's distribution-free interval
 * (Sen, JASA 63, 1968): the slopes of rank (N - C)/2 and (N + C)/2 + 1, or the outermost ones, C the critical
 * value of Kendall's S, exact up to ten points, normal beyond. It covers the true slope at least as often as
 * asked.
 * @param xs rising or not, at least two different
 * @param ys as many as xs
 * @param confidence two-sided, 0.95 where it is not said
 * @returns undefined when no two points differ in x
 */
export function theilSen(
  xs: readonly number[],
  ys: readonly number[],
  confidence = 0.95,
): TheilSen | undefined {
  const slopes = xs
    .flatMap((x, i) =>
      xs.slice(i + 1).flatMap((later, j) => (later === x ? [] : [(ys[i + 1 + j]! - ys[i]!) / (later - x)])),
    )
    .sort((a, b) => a - b);
  if (slopes.length === 0) return undefined;
  const slope = median(slopes);
  const n = xs.length;
  const critical = criticalS(n, (1 - confidence) / 2);
  const rank = (at: number) => slopes[Math.min(slopes.length, Math.max(1, at)) - 1]!;
  const half = (by: number) => (slopes.length + by) / 2;
  return {
    slope,
    intercept: median(xs.map((x, i) => ys[i]! - slope * x).sort((a, b) => a - b)),
    interval:
      critical === undefined
        ? undefined
        : [rank(Math.floor(half(-critical))), rank(Math.ceil(half(critical)) + 1)],
  };
}

/** The smallest S whose upper tail is at most alpha; none when even a perfect order is likelier than that. */
function criticalS(n: number, alpha: number): number | undefined {
  const pairs = (n * (n - 1)) / 2;
  if (n > 10) return normalQuantile(1 - alpha) * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  for (let s = pairs % 2; s <= pairs; s += 2) if (kendallTail(n, s) <= alpha) return s;
  return undefined;
}
