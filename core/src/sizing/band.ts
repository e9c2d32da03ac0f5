import type { Chart, ChartAxis } from './chart';

/** A band closed up, with its place on the axis. */
export interface BandEdges {
  size: string;
  from: number;
  to: number;
}

/**
 * A printed band as a half-open interval: its resolution closed up, so that 34-36 and 37-39 in whole
 * centimetres meet at 36.5.
 */
export const closedUp = (axis: ChartAxis, size: string): readonly [number, number] | undefined => {
  const band = axis.bands.find((candidate) => candidate.size === size);
  return band && [band.from - axis.resolution / 2, band.to + axis.resolution / 2];
};

/**
 * The edges of an axis from its smallest size to its largest, closed up.
 * @param sizes in rising order
 */
export function bandEdges(axis: ChartAxis, sizes: readonly string[]): BandEdges[] {
  const half = axis.resolution / 2;
  const edges: BandEdges[] = [];
  for (let i = 0; i < sizes.length; i += 1) {
    // most charts have their bands in the order of their sizes
    const here = axis.bands[i];
    const band = here?.size === sizes[i] ? here : axis.bands.find(({ size }) => size === sizes[i]);
    if (band) edges.push({ size: band.size, from: band.from - half, to: band.to + half });
  }
  return edges;
}

/** Charts never change once they are read: their edges are computed once. */
const known = new WeakMap<ChartAxis, { sizes: readonly string[]; edges: readonly BandEdges[] }>();

/** The bands an axis of a chart has, as printed: its sizes, or the rows or columns of a two-way table. */
export function axisBands(chart: Pick<Chart, 'sizes' | 'table'>, axis: ChartAxis): readonly BandEdges[] {
  if (chart.table)
    return bandEdges(
      axis,
      axis.bands.map(({ size }) => size),
    );
  const found = known.get(axis);
  if (found?.sizes === chart.sizes) return found.edges;
  const edges = bandEdges(axis, chart.sizes);
  known.set(axis, { sizes: chart.sizes, edges });
  return edges;
}

const settled = new WeakMap<ChartAxis, { chart: string; edges: readonly BandEdges[] }>();

/**
 * The bands of an axis as a reading is judged by them: made to meet. Where the chart leaves a gap, or two bands
 * overlap, the chart's rule for readings between says whose the stretch is: the larger size's, the smaller
 * one's, or half of it each. No reading then lies in two bands, and none between the smallest and the largest
 * lies in none.
 */
export function judgingBands(
  chart: Pick<Chart, 'sizes' | 'table' | 'between'>,
  axis: ChartAxis,
): readonly BandEdges[] {
  const key = `${chart.between} ${chart.table ? '' : chart.sizes.join(' ')}`;
  const found = settled.get(axis);
  if (found?.chart === key) return found.edges;
  const printed = axisBands(chart, axis);
  const edges: BandEdges[] = [];
  for (let i = 0; i < printed.length; i += 1) {
    const { size, from, to } = printed[i]!;
    const next = printed[i + 1];
    // a chart whose bands do not rise is told by the lint: here they are kept from overlapping
    const low = Math.max(i === 0 ? from : edges[i - 1]!.to, -Infinity);
    const high = next ? border(chart.between, to, next.from) : to;
    edges.push({ size, from: low, to: Math.max(low, high) });
  }
  settled.set(axis, { chart: key, edges });
  return edges;
}

/** Where two neighbouring bands meet: `end` of the smaller one, `start` of the larger one, as printed. */
function border(between: Chart['between'], end: number, start: number): number {
  if (between === 'larger') return Math.min(end, start);
  if (between === 'smaller') return Math.max(end, start);
  return (end + start) / 2;
}

/** A stretch of an axis that the chart leaves out, between two sizes. */
export interface ChartGap {
  below: BandEdges;
  above: BandEdges;
}

/** The gap of a chart as printed in which a value lies; undefined when a band holds it or it is off the chart. */
export function gapAt(bands: readonly BandEdges[], value: number): ChartGap | undefined {
  for (let i = 0; i + 1 < bands.length; i += 1) {
    const [below, above] = [bands[i]!, bands[i + 1]!];
    if (value >= below.to && value < above.from) return { below, above };
  }
  return undefined;
}
