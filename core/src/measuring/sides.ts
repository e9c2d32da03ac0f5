import type { AssessedReading } from './reading';

/**
 * How much larger the braced side is than the other one. A number without a verdict.
 * @returns undefined until both sides are read
 */
export const sideDifference = (
  braced: AssessedReading | undefined,
  other: AssessedReading | undefined,
): number | undefined => (braced && other ? braced.mean - other.mean : undefined);
