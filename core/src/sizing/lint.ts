import { axisBands } from './band';
import type { Chart, ChartAxis } from './chart';

export type ChartFinding =
  | { finding: 'gap'; reading: string; size: string; next: string; by: number }
  | { finding: 'overlap'; reading: string; size: string; next: string; by: number }
  | { finding: 'not-rising'; reading: string; size: string; next: string }
  | { finding: 'reversed'; reading: string; size: string }
  | { finding: 'looks-like-inches'; reading: string }
  | { finding: 'size-missing'; reading: string; size: string }
  | { finding: 'never-reached'; size: string }
  | { finding: 'table-not-rising'; row: string; column: string };

/**
 * What is odd about a chart: gaps, overlaps, bands that do not rise, a column that looks like inches, an
 * axis that leaves a size out, a size that no body reaches on all axes, a table in which a larger body
 * would get a smaller size. Findings are told; the chart can still be used.
 * @param usual what each reading usually is, from its measuring step, in the axis' unit
 */
export function lintChart(
  chart: Chart,
  usual: Readonly<Record<string, readonly [number, number] | undefined>> = {},
): ChartFinding[] {
  return [
    ...chart.axes.flatMap((axis) => lintAxis(chart, axis, usual[axis.reading])),
    ...chart.sizes
      .filter((size) => !isReached(chart, size))
      .map((size) => ({ finding: 'never-reached' as const, size })),
    ...lintTable(chart),
  ];
}

// closer than this, edges meet: what binary fractions of an inch leave over
const meets = 1e-6;

function lintAxis(
  chart: Chart,
  axis: ChartAxis,
  usual: readonly [number, number] | undefined,
): ChartFinding[] {
  const { reading } = axis;
  const bands = axisBands(chart, axis);
  const pairs = bands.slice(1).map((next, i) => ({ band: bands[i]!, next }));
  const named = chart.table ? [] : chart.sizes.filter((size) => !bands.some((band) => band.size === size));
  // a column in inches stands at about a 25th of what the reading usually is in mm
  const top = Math.max(...bands.map(({ to }) => to));
  const inches = usual !== undefined && usual[0] > 30 && top > 0 && top < usual[0] / 4;
  return [
    ...(inches ? [{ finding: 'looks-like-inches' as const, reading }] : []),
    ...named.map((size) => ({ finding: 'size-missing' as const, reading, size })),
    ...bands
      .filter(({ from, to }) => to <= from)
      .map(({ size }) => ({ finding: 'reversed' as const, reading, size })),
    ...pairs.flatMap(({ band, next }): ChartFinding[] => {
      const at = { reading, size: band.size, next: next.size };
      if (next.from <= band.from || next.to <= band.to) return [{ finding: 'not-rising', ...at }];
      const by = next.from - band.to;
      if (by > meets) return [{ finding: 'gap', ...at, by }];
      return by < -meets ? [{ finding: 'overlap', ...at, by: -by }] : [];
    }),
  ];
}

/** Whether some body gets the size on every axis: the first band that holds a reading counts. */
function isReached(chart: Chart, size: string): boolean {
  if (chart.table) return chart.table.some((row) => row.includes(size));
  return chart.axes.every((axis) => {
    const bands = axisBands(chart, axis);
    const at = bands.findIndex((band) => band.size === size);
    const own = bands[at];
    if (!own || own.to <= own.from) return false;
    // what bands before it leave of it
    let free = [[own.from, own.to]];
    for (const { from, to } of bands.slice(0, at))
      free = free.flatMap(([low, high]) =>
        [
          [low!, Math.min(high!, from)],
          [Math.max(low!, to), high!],
        ].filter(([a, b]) => b! > a!),
      );
    return free.length > 0;
  });
}

function lintTable({ table, sizes, axes }: Chart): ChartFinding[] {
  if (!table) return [];
  const rank = (row: number, column: number) => sizes.indexOf(table[row]?.[column] ?? '');
  const smaller = (a: number, b: number) => a >= 0 && b >= 0 && b < a;
  return table.flatMap((cells, row) =>
    cells.flatMap((_, column) =>
      smaller(rank(row, column), rank(row + 1, column)) || smaller(rank(row, column), rank(row, column + 1))
        ? [
            {
              finding: 'table-not-rising' as const,
              row: axes[0]!.bands[row]?.size ?? '',
              column: axes[1]!.bands[column]?.size ?? '',
            },
          ]
        : [],
    ),
  );
}
