/**
 * The middle of sorted values, or half way between the two in the middle.
 * @param sorted rising, at least one
 */
export const median = (sorted: readonly number[]): number => {
  const half = sorted.length / 2;
  return Number.isInteger(half) ? (sorted[half - 1]! + sorted[half]!) / 2 : sorted[Math.floor(half)]!;
};
