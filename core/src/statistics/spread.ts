export interface Spread {
  mean: number;
  /** sample standard deviation (n - 1); 0 for a single value */
  deviation: number;
  /** largest less smallest */
  range: number;
}

/**
 * Mean, sample standard deviation and range of at least one value.
 * Two passes, so that large values close together keep their digits.
 * @returns undefined for an empty list
 */
export function meanAndDeviation(values: readonly number[]): Spread | undefined {
  if (values.length === 0) return undefined;
  const rough = values.reduce((sum, value) => sum + value, 0) / values.length;
  const mean = rough + values.reduce((sum, value) => sum + (value - rough), 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return {
    mean,
    deviation: values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : 0,
    range: Math.max(...values) - Math.min(...values),
  };
}
