import { axisBands, gapAt, judgingBands, type BandEdges, type ChartGap } from './band';
import type { Chart, ChartAxis } from './chart';

/** A reading as the match needs it; all in the axis' unit. */
export interface AxisReading {
  mean: number;
  /** standard deviation of the part that another repeat makes smaller */
  repeatPart: number;
  /** standard deviation of the part it shares with the other axes (same tape, same posture) */
  sharedPart: number;
  /** standard deviation of a part that neither repeats nor other axes share in; 0 where it is not said */
  alone?: number;
  /** repeats taken so far */
  repeats: number;
}

/** Readings by the measuring step they are of; absent where there is none yet. */
export type Readings = Readonly<Record<string, AxisReading | undefined>>;

/** An axis of a chart with its reading and the edges of its bands. */
export interface Axis {
  axis: ChartAxis;
  reading: AxisReading;
  /** made to meet by the chart's rule */
  edges: readonly BandEdges[];
  /** the gap of the printed chart that the reading lies in */
  gap: ChartGap | undefined;
}

// written out: Math.hypot is many times slower, and a catalogue asks for it thousands of times
export const uncertaintyOf = ({ repeatPart, sharedPart, alone = 0 }: AxisReading) =>
  Math.sqrt(repeatPart * repeatPart + sharedPart * sharedPart + alone * alone);

/** The axes that have a reading, in the chart's order. */
export function axesOf(chart: Chart, readings: Readings): Axis[] {
  const axes: Axis[] = [];
  for (const axis of chart.axes) {
    const reading = readings[axis.reading];
    if (reading)
      axes.push({
        axis,
        reading,
        edges: judgingBands(chart, axis),
        gap: gapAt(axisBands(chart, axis), reading.mean),
      });
  }
  return axes;
}
