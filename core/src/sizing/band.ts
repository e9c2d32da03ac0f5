import type { Millimetres } from '../quantity';
import type { ChartAxis } from './chart';

/**
 * A printed band as a half-open interval: its resolution closed up, so that 34-36 and 37-39 in whole
 * centimetres meet at 36.5.
 */
export const closedUp = (axis: ChartAxis, size: string): readonly [Millimetres, Millimetres] | undefined => {
  const band = axis.bands.find((candidate) => candidate.size === size);
  return band && [band.from - axis.resolution / 2, band.to + axis.resolution / 2];
};

/**
 * The edges of an axis from its smallest size to its largest, closed up.
 * @param sizes in rising order
 */
export function bandEdges(
  axis: ChartAxis,
  sizes: readonly string[],
): { size: string; from: Millimetres; to: Millimetres }[] {
  return sizes.flatMap((size) => {
    const edges = closedUp(axis, size);
    return edges ? [{ size, from: edges[0], to: edges[1] }] : [];
  });
}
