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
  return sizes.flatMap((size) => {
    const edges = closedUp(axis, size);
    return edges ? [{ size, from: edges[0], to: edges[1] }] : [];
  });
}

/** The bands an axis of a chart has: its sizes, or the rows or columns of a two-way table. */
export const axisBands = (chart: Pick<Chart, 'sizes' | 'table'>, axis: ChartAxis): BandEdges[] =>
  bandEdges(axis, chart.table ? axis.bands.map(({ size }) => size) : chart.sizes);
