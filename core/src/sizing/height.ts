import { normalWithin } from '../statistics';
import type { Chart, HeightChoice } from './chart';
import type { Readings } from './axis';

export type HeightMatch =
  | { by: 'reading'; height: HeightChoice['height']; probability: number; reading: string }
  | { by: 'reading'; height: undefined; reading: string; missing: boolean }
  | { by: 'order' };

/**
 * The height a size comes in, apart from the size: by the reading the model names for it, or by the order.
 * @returns undefined for a model of one height
 */
export function matchHeight({ heights }: Chart, readings: Readings): HeightMatch | undefined {
  if (!heights || heights.length === 0) return undefined;
  const read = heights.filter(({ reading }) => reading !== undefined);
  if (read.length === 0) return { by: 'order' };
  const judged = read.map((choice) => {
    const reading = readings[choice.reading!];
    return {
      ...choice,
      probability: reading
        ? normalWithin(
            reading.mean,
            Math.hypot(reading.repeatPart, reading.sharedPart, reading.alone ?? 0),
            choice.from ?? -Infinity,
            choice.to ?? Infinity,
          )
        : undefined,
    };
  });
  const known = judged.filter((one) => one.probability !== undefined);
  const best = known.sort((a, b) => b.probability! - a.probability!)[0];
  return best && best.probability! > 0.01
    ? { by: 'reading', height: best.height, probability: best.probability!, reading: best.reading! }
    : { by: 'reading', height: undefined, reading: read[0]!.reading!, missing: !best };
}
