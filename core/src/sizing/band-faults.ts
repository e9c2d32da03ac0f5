import type { Chart } from './chart';

/** A band of a chart that cannot be: it ends before it begins, or no body has such a reading. */
export interface BandFault {
  /** places in the chart */
  axis: number;
  band: number;
  end: 'from' | 'to';
  fault: 'reversed' | 'no-body';
}

/**
 * A band may begin below and end above what a reading usually is; one that lies wholly beyond these shares of it
 * holds nobody, and is a slip or another unit (estimates, no source).
 */
const beyondUsual = { below: 0.5, above: 1.5 };

/**
 * The bands that a chart is refused for. What is merely odd is told by the lint.
 * @param usual what each reading usually is, from its measuring step, in the axis' unit
 * @param bounds what no body goes beyond, in the axis' unit
 */
export const bandFaults = (
  { axes }: Pick<Chart, 'axes'>,
  usual: (reading: string) => readonly [number, number] | undefined,
  bounds: (reading: string) => { least: number; most: number } | undefined,
): BandFault[] =>
  axes.flatMap(({ reading, bands }, axis) =>
    bands.flatMap(({ from, to }, band): BandFault[] => {
      if (to < from) return [{ axis, band, end: 'to', fault: 'reversed' }];
      const [low, high] = usual(reading) ?? [-Infinity, Infinity];
      const { least, most } = bounds(reading) ?? { least: -Infinity, most: Infinity };
      if (to < low * beyondUsual.below || to > most) return [{ axis, band, end: 'to', fault: 'no-body' }];
      return from > high * beyondUsual.above || from < Math.min(0, least)
        ? [{ axis, band, end: 'from', fault: 'no-body' }]
        : [];
    }),
  );
