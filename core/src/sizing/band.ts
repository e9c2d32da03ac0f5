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

/** The bands an axis of a chart has: its sizes, or the rows or columns of a two-way table. */
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
