/**
 * Within-person standard deviation from pairs of readings: s_w = sqrt(sum d^2 / 2n).
 * Source: Bland and Altman, Lancet 1986.
 * @returns undefined without pairs
 */
export function withinPersonDeviation(pairs: readonly (readonly [number, number])[]): number | undefined {
  if (pairs.length === 0) return undefined;
  const squares = pairs.reduce((sum, [first, second]) => sum + (first - second) ** 2, 0);
  return Math.sqrt(squares / (2 * pairs.length));
}

/**
 * The difference that two readings on the same person stay below in 95 % of pairs:
 * 1.96 sqrt(2) s_w. Source: Bland and Altman, Lancet 1986.
 */
export function repeatabilityCoefficient(withinPerson: number): number {
  return 1.96 * Math.SQRT2 * withinPerson;
}
