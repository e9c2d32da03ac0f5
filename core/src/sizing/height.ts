import type { HeightName } from '../order';
import { normalWithin } from '../statistics';
import type { Chart } from './chart';
import { uncertaintyOf, type Readings } from './axis';

/**
 * The height a size comes in, apart from the size. The order says which; a length that the model names for a
 * height is held against it, and the disagreement is told. Common practice, no source.
 */
export interface HeightMatch {
  /** absent: the order says nothing of it, and is asked */
  ordered?: HeightName;
  /** what the length that was read suits best; `height` absent: none of them */
  read?: { reading: string; height?: HeightName; probability: number };
  /** readings that would check the height and are not there */
  missing: string[];
}

/** A height that the length suits with less than this is not named. */
const least = 0.01;

/**
 * @param ordered what the order says of the height
 * @returns undefined for a model of one height
 */
export function matchHeight(
  { heights }: Chart,
  readings: Readings,
  ordered: HeightName | undefined,
): HeightMatch | undefined {
  if (!heights || heights.length === 0) return undefined;
  const judged = heights.flatMap(({ height, reading, from, to }) => {
    const read = reading === undefined ? undefined : readings[reading];
    return read
      ? [
          {
            height,
            reading: reading!,
            probability: normalWithin(read.mean, uncertaintyOf(read), from ?? -Infinity, to ?? Infinity),
          },
        ]
      : [];
  });
  // what was read for the ordered height checks it; where that was not read, what was read for another
  const own = judged.filter(({ height }) => height === ordered);
  const best = [...judged].sort((a, b) => b.probability - a.probability)[0];
  const lengths = heights.flatMap(({ reading }) => reading ?? []);
  return {
    ...(ordered === undefined ? {} : { ordered }),
    ...(best
      ? {
          read:
            best.probability > least
              ? best
              : { reading: (own[0] ?? best).reading, probability: best.probability },
        }
      : {}),
    missing: [...new Set(lengths)].filter((reading) => readings[reading] === undefined),
  };
}
