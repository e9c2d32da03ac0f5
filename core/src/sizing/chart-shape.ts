import type { Chart, ChartAxis, HeightChoice, SizeBand } from './chart';

/*
 * What a chart consists of, changed piece by piece: each gives a new chart and leaves the old one. In a two-way table the bands
 * are rows and columns with names of their own, and the cells name the sizes; elsewhere a band is a size's.
 */

/** A name that is not taken: the word itself, or with a number behind it. */
function freeName(word: string, taken: readonly string[]): string {
  if (!taken.includes(word)) return word;
  for (let n = 2; ; n += 1) if (!taken.includes(`${word} ${n}`)) return `${word} ${n}`;
}

/** A band that follows the last one, as broad as it; at the beginning it goes before the first. */
function bandBeside(bands: readonly SizeBand[], size: string, end: 'first' | 'last'): SizeBand {
  const beside = end === 'last' ? bands.at(-1) : bands[0];
  if (!beside) return { size, from: 0, to: 0 };
  const breadth = beside.to - beside.from;
  return end === 'last'
    ? { size, from: beside.to, to: beside.to + breadth }
    : { size, from: beside.from - breadth, to: beside.from };
}

const atEnd = <T>(list: readonly T[], one: T, end: 'first' | 'last'): T[] =>
  end === 'last' ? [...list, one] : [one, ...list];

const onAxis = (chart: Chart, axis: number, change: (axis: ChartAxis) => ChartAxis): Chart => ({
  ...chart,
  axes: chart.axes.map((one, i) => (i === axis ? change(one) : one)),
});

/** A smaller or larger size, with a band on every axis unless a table says where the sizes lie; what nothing is read for has one. */
export function addSize(chart: Chart, name: string, end: 'first' | 'last'): Chart {
  if (chart.axes.length === 0) return chart;
  const size = freeName(name, chart.sizes);
  return {
    ...chart,
    sizes: atEnd(chart.sizes, size, end),
    axes: chart.table
      ? chart.axes
      : chart.axes.map((axis) => ({
          ...axis,
          bands: atEnd(axis.bands, bandBeside(axis.bands, size, end), end),
        })),
  };
}

/** A size away, with its bands and cells; the last one stays. */
export function removeSize(chart: Chart, size: string): Chart {
  if (chart.sizes.length === 1) return chart;
  return {
    ...chart,
    sizes: chart.sizes.filter((one) => one !== size),
    axes: chart.table
      ? chart.axes
      : chart.axes.flatMap((axis) => {
          const bands = axis.bands.filter((band) => band.size !== size);
          return bands.length > 0 ? [{ ...axis, bands }] : [];
        }),
    ...(chart.table
      ? { table: chart.table.map((row) => row.map((cell) => (cell === size ? '' : cell))) }
      : {}),
  };
}

/** Another name for a size, wherever the chart has it; nothing when the name is taken or empty. */
export function renameSize(chart: Chart, size: string, name: string): Chart {
  if (name === '' || chart.sizes.includes(name)) return chart;
  const now = (one: string) => (one === size ? name : one);
  return {
    ...chart,
    sizes: chart.sizes.map(now),
    axes: chart.table
      ? chart.axes
      : chart.axes.map((axis) => ({
          ...axis,
          bands: axis.bands.map((band) => ({ ...band, size: now(band.size) })),
        })),
    ...(chart.table ? { table: chart.table.map((row) => row.map(now)) } : {}),
  };
}

/** Sizes that have no band on an axis yet: one can be given to each. */
export const sizesWithout = ({ sizes, axes }: Chart, axis: number): string[] =>
  sizes.filter((size) => !axes[axis]!.bands.some((band) => band.size === size));

/** One more band: a row or column of a table, elsewhere of a size that has none on this axis. */
export function addBand(chart: Chart, axis: number): Chart {
  const { bands } = chart.axes[axis]!;
  if (!chart.table) {
    const [size] = sizesWithout(chart, axis);
    return size === undefined
      ? chart
      : onAxis(chart, axis, (one) => ({
          ...one,
          bands: [...bands, bandBeside(bands, size, 'last')].sort(
            (a, b) => chart.sizes.indexOf(a.size) - chart.sizes.indexOf(b.size),
          ),
        }));
  }
  const name = freeName(
    String(bands.length + 1),
    bands.map(({ size }) => size),
  );
  const wider = onAxis(chart, axis, (one) => ({
    ...one,
    bands: [...bands, bandBeside(bands, name, 'last')],
  }));
  const across = chart.table[0]?.length ?? 0;
  return {
    ...wider,
    table:
      axis === 0
        ? [...chart.table, Array.from({ length: across }, () => '')]
        : chart.table.map((row) => [...row, '']),
  };
}

/** A band away, in a table with its row or column; the last one stays. */
export function removeBand(chart: Chart, axis: number, band: number): Chart {
  if (chart.axes[axis]!.bands.length === 1) return chart;
  const without = onAxis(chart, axis, (one) => ({ ...one, bands: one.bands.filter((_, i) => i !== band) }));
  return chart.table
    ? {
        ...without,
        table:
          axis === 0
            ? chart.table.filter((_, i) => i !== band)
            : chart.table.map((row) => row.filter((_, i) => i !== band)),
      }
    : without;
}

/**
 * One more reading that the size hangs on, its bands evenly over what it usually is. A table has two: there is none more.
 * @param usual from and to
 */
export function addAxis(chart: Chart, reading: string, usual: readonly [number, number]): Chart {
  if (chart.table || chart.axes.some((axis) => axis.reading === reading)) return chart;
  const breadth = (usual[1] - usual[0]) / chart.sizes.length;
  return {
    ...chart,
    axes: [
      ...chart.axes,
      {
        reading,
        resolution: 0,
        bands: chart.sizes.map((size, i) => ({
          size,
          from: Math.round(usual[0] + i * breadth),
          to: Math.round(usual[0] + (i + 1) * breadth),
        })),
      },
    ],
  };
}

/** A reading away; what has several sizes keeps one reading, a table both. */
export const removeAxis = (chart: Chart, axis: number): Chart =>
  chart.table || (chart.axes.length === 1 && chart.sizes.length > 1)
    ? chart
    : { ...chart, axes: chart.axes.filter((_, i) => i !== axis) };

/** One more height of those there are; nothing when all are stated. */
export function addHeight(chart: Chart, heights: readonly HeightChoice['height'][]): Chart {
  const stated = chart.heights ?? [];
  const height = heights.find((one) => !stated.some((choice) => choice.height === one));
  return height === undefined ? chart : { ...chart, heights: [...stated, { height }] };
}

export function removeHeight(chart: Chart, at: number): Chart {
  const { heights = [], ...rest } = chart;
  const left = heights.filter((_, i) => i !== at);
  return left.length > 0 ? { ...rest, heights: left } : rest;
}

/** A belt that closes at marks, to be filled in by what its maker prints. */
export const addBelt = (chart: Chart): Chart => ({
  ...chart,
  belt: { overlap: 0, backPanel: 200, marks: { first: 100, spacing: 10, count: 20 } },
});

export function removeBelt(chart: Chart): Chart {
  const { belt: _belt, ...rest } = chart;
  return rest;
}
