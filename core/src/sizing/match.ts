import { axesOf, uncertaintyOf, type Axis, type Readings } from './axis';
import type { BandEdges } from './band';
import type { Chart } from './chart';
import { sizeProbabilities } from './probability';

export const sizeRules = [
  'inside',
  'between-larger',
  'between-smaller',
  'between-nearer',
  'between-ask',
  'disagree-primary',
  'disagree-larger',
  'disagree-made-to-measure',
  'apart',
  'outside',
  'extension',
  'supply',
] as const;
export type SizeRule = (typeof sizeRules)[number];

export type SizeMatch =
  | { outcome: 'incomplete'; missing: string[] }
  | {
      outcome: 'size' | 'ask' | 'made-to-measure';
      /** the size chosen by the rule; for 'ask' and 'made-to-measure' the likeliest one, if any */
      size: string | undefined;
      rule: SizeRule;
      /** probability that the true readings get each size by the chart, in the chart's order */
      probabilities: { size: string; probability: number }[];
      /** probability of `size` */
      probability: number;
      /** of the deciding axis to its nearest other size, in its unit; negative: off the chart */
      margin: number;
      /** the size across that margin; off the chart: the nearest one */
      neighbour: string | undefined;
      /** the axis whose margin is smallest against its uncertainty */
      decides: string;
      /** the neighbour a reading lies close to, or the sizes that the axes point to */
      against: string | undefined;
      /** what every axis points to by itself; undefined: off the chart */
      pointed: { reading: string; size: string | undefined }[];
    };

/**
 * Matches readings to a chart.
 *
 * P(size) is integrated over the error z that the axes share, weighted by phi(z): they are not
 * independent, the tape is the same.
 * "Between" means that a neighbouring band lies nearer than the reading's standard uncertainty (common
 * practice leaves it to the eye; the choice is ours): the chart's rule moves each axis by that uncertainty
 * before the axes are compared, so that a larger body never gets a smaller size. Axes two sizes apart, or
 * outside, are made to measure; above the largest size an extension may still reach.
 *
 * @param chart the model's chart
 * @param readings by the axis' reading, each in its axis' unit
 */
export function matchSize(chart: Chart, readings: Readings): SizeMatch {
  const missing = chart.axes.map(({ reading }) => reading).filter((name) => !readings[name]);
  if (missing.length > 0) return { outcome: 'incomplete', missing };
  const axes = axesOf(chart, readings);
  const probabilities = sizeProbabilities(chart, axes).map((probability, i) => ({
    size: chart.sizes[i]!,
    probability,
  }));
  const pointed = axes.map(({ reading, edges }) => bandAt(edges, reading.mean));
  const decision = supplied(chart, decide(chart, axes, pointed));
  const likeliest = probabilities.reduce((best, next) => (next.probability > best.probability ? next : best));
  const size = decision.size ?? (likeliest.probability > 0.01 ? likeliest.size : undefined);
  const margins = axes.map((axis, i) => ({ axis, ...marginOf(chart, axes, pointed, i) }));
  const deciding = margins.reduce((worst, next) =>
    next.margin / uncertaintyOf(next.axis.reading) < worst.margin / uncertaintyOf(worst.axis.reading)
      ? next
      : worst,
  );
  return {
    outcome: decision.outcome,
    size,
    rule: decision.rule,
    probabilities,
    probability: probabilities.find((entry) => entry.size === size)?.probability ?? 0,
    margin: deciding.margin,
    neighbour: deciding.neighbour,
    decides: deciding.axis.axis.reading,
    against: decision.against ?? deciding.neighbour,
    pointed: axes.map(({ axis, edges }, i) => ({
      reading: axis.reading,
      size: chart.table ? sizeAt(chart, pointed) : edges[pointed[i]!]?.size,
    })),
  };
}

/** A chart whose bands only say what can be made gives no stock size. */
const supplied = (chart: Chart, decision: Decision): Decision =>
  chart.supply === 'made-to-measure' && decision.outcome !== 'made-to-measure'
    ? { outcome: 'made-to-measure', rule: 'supply' }
    : decision;

function bandAt(edges: readonly BandEdges[], value: number): number | undefined {
  for (let at = 0; at < edges.length; at += 1)
    if (value >= edges[at]!.from && value < edges[at]!.to) return at;
  return undefined;
}

/** The size in a two-way table's cell. */
const sizeAt = (chart: Chart, [row, column]: readonly (number | undefined)[]): string | undefined =>
  (row === undefined || column === undefined ? '' : chart.table?.[row]?.[column]) || undefined;

interface Decision {
  outcome: 'size' | 'ask' | 'made-to-measure';
  size?: string;
  rule: SizeRule;
  against?: string;
}

function decide(chart: Chart, axes: readonly Axis[], pointed: readonly (number | undefined)[]): Decision {
  if (reachedByExtension(chart, axes, pointed))
    return { outcome: 'size', size: chart.sizes.at(-1)!, rule: 'extension' };
  if (pointed.some((index) => index === undefined)) return { outcome: 'made-to-measure', rule: 'outside' };
  const moved = axes.map((axis, i) => movedIndex(chart, axis, pointed[i]!));
  if (chart.table) return decideInTable(chart, axes, pointed, moved);
  const indices = axes.map(({ edges }, i) => chart.sizes.indexOf(edges[pointed[i]!]!.size));
  const [low, high] = [Math.min(...indices), Math.max(...indices)];
  if (high - low > 1) return { outcome: 'made-to-measure', rule: 'apart', against: named(chart, low, high) };
  const sizesMoved = axes.map(({ edges }, i) => chart.sizes.indexOf(edges[moved[i]!]!.size));
  const size = chart.sizes[chart.disagree === 'primary' ? sizesMoved[0]! : Math.max(...sizesMoved)]!;
  if (high > low) {
    const against = named(chart, low, high);
    return chart.disagree === 'made-to-measure'
      ? { outcome: 'made-to-measure', rule: 'disagree-made-to-measure', against }
      : { outcome: 'size', size, rule: `disagree-${chart.disagree}`, against };
  }
  const near = axes
    .map((axis, i) => nearNeighbour(axis, pointed[i]!))
    .find((neighbour) => neighbour !== undefined);
  if (near === undefined) return { outcome: 'size', size: chart.sizes[low]!, rule: 'inside' };
  return between(chart, size, chart.sizes[low]!, near);
}

const between = (chart: Chart, size: string, own: string, near: string): Decision => ({
  outcome: chart.between === 'ask' ? 'ask' : 'size',
  size,
  rule: `between-${chart.between}`,
  against: size === own ? near : own,
});

/** A two-way table: the cell of the two bands, each moved by the rule for readings between. */
function decideInTable(
  chart: Chart,
  axes: readonly Axis[],
  pointed: readonly (number | undefined)[],
  moved: readonly number[],
): Decision {
  const own = sizeAt(chart, pointed);
  const size = sizeAt(chart, moved);
  if (!own || !size) return { outcome: 'made-to-measure', rule: 'outside' };
  const near = axes
    .map(({ reading }, i) => {
      const { margin, neighbour } = marginOf(chart, axes, pointed, i);
      return margin < uncertaintyOf(reading) ? neighbour : undefined;
    })
    .find((neighbour) => neighbour !== undefined);
  return near === undefined && size === own
    ? { outcome: 'size', size, rule: 'inside' }
    : between(chart, size, own, near ?? size);
}

/** The first axis lies above the largest size, yet within what side extensions reach; the others fit. */
const reachedByExtension = (
  chart: Chart,
  axes: readonly Axis[],
  pointed: readonly (number | undefined)[],
): boolean => {
  const [first] = axes;
  return (
    chart.extension !== undefined &&
    pointed[0] === undefined &&
    first!.reading.mean >= first!.edges.at(-1)!.to &&
    first!.reading.mean <= chart.extension.upTo &&
    pointed.slice(1).every((index) => index !== undefined)
  );
};

/** The band an axis points to once the chart's rule for readings between sizes is applied. */
function movedIndex(chart: Chart, { reading, edges }: Axis, index: number): number {
  const shift = { larger: 1, smaller: -1, nearer: 0, ask: 0 }[chart.between] * uncertaintyOf(reading);
  return bandAt(edges, reading.mean + shift) ?? index;
}

/** The neighbour whose band begins within the reading's uncertainty. */
function nearNeighbour({ reading, edges }: Axis, index: number): string | undefined {
  const own = edges[index]!;
  const [up, down] = [own.to - reading.mean, reading.mean - own.from];
  return Math.min(up, down) < uncertaintyOf(reading)
    ? edges[up < down ? index + 1 : index - 1]?.size
    : undefined;
}

const named = (chart: Chart, low: number, high: number) => `${chart.sizes[low]} – ${chart.sizes[high]}`;

/** How far the reading is from the nearest other size; negative: how far off the chart. */
function marginOf(
  chart: Chart,
  axes: readonly Axis[],
  pointed: readonly (number | undefined)[],
  i: number,
): { margin: number; neighbour: string | undefined } {
  const { reading, edges } = axes[i]!;
  const index = pointed[i];
  const own = index === undefined ? undefined : edges[index];
  if (index === undefined || !own) {
    let off = Infinity;
    let nearest: string | undefined;
    for (const { size, from, to } of edges) {
      const gap = Math.min(Math.abs(from - reading.mean), Math.abs(to - reading.mean));
      if (gap >= off) continue;
      off = gap;
      nearest = size;
    }
    // a band of a two-way table is no size by itself
    return { margin: -off, neighbour: chart.table ? undefined : nearest };
  }
  const sizeOf = (at: number): string | undefined =>
    chart.table ? sizeAt(chart, pointed.with(i, at)) : edges[at]?.size;
  const same = (at: number) => edges[at] !== undefined && sizeOf(at) === sizeOf(index);
  // in a table the next band may still be the same size
  let [top, bottom] = [index, index];
  while (same(top + 1)) top += 1;
  while (same(bottom - 1)) bottom -= 1;
  const [up, down] = [edges[top]!.to - reading.mean, reading.mean - edges[bottom]!.from];
  return { margin: Math.min(up, down), neighbour: sizeOf(up < down ? top + 1 : bottom - 1) };
}
