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
  'side-extension',
  'supply',
  'one-size',
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
      /** of the deciding axis to its nearest other size, in its unit; negative: off the chart; absent: one size */
      margin: number | undefined;
      /** the size across that margin; off the chart: the nearest one */
      neighbour: string | undefined;
      /** the axis whose margin is smallest against its uncertainty; absent: one size */
      decides: string | undefined;
      /** the neighbour a reading lies close to, or the sizes that the axes point to */
      against: string | undefined;
      /** what every axis points to by itself; undefined: off the chart */
      pointed: { reading: string; size: string | undefined }[];
      /** the size that the readings make likeliest, when the chart's rule takes another one */
      overruled: { size: string; probability: number } | undefined;
      /** readings that lie in a gap of the printed chart, with the sizes on either side */
      gaps: { reading: string; below: string; above: string; from: number; to: number }[];
    };

/**
 * Matches readings to a chart.
 *
 * P(size) is integrated over the error z that the axes share, weighted by phi(z): they are not
 * independent, the tape is the same.
 * "Between" means that a neighbouring band lies nearer than the reading's standard uncertainty (common
 * practice leaves it to the eye; the choice is ours), or that the reading lies in a gap of the chart. Axes two
 * sizes apart, or outside, are made to measure; above the largest size an extension may still reach.
 *
 * @param chart the model's chart
 * @param readings by the axis' reading, each in its axis' unit
 */
export function matchSize(chart: Chart, readings: Readings): SizeMatch {
  if (chart.axes.length === 0) return theOnlySize(chart);
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
    overruled:
      decision.outcome === 'size' && size !== likeliest.size && likeliest.probability > 0
        ? likeliest
        : undefined,
    gaps: axes.flatMap(({ axis, gap }) =>
      gap
        ? [
            {
              reading: axis.reading,
              below: gap.below.size,
              above: gap.above.size,
              from: gap.below.to,
              to: gap.above.from,
            },
          ]
        : [],
    ),
  };
}

/** A chart of one size: nothing is read for it. */
const theOnlySize = ({ sizes }: Chart): SizeMatch => ({
  outcome: 'size',
  size: sizes[0],
  rule: 'one-size',
  probabilities: sizes.map((size) => ({ size, probability: 1 })),
  probability: 1,
  margin: undefined,
  neighbour: undefined,
  decides: undefined,
  against: undefined,
  pointed: [],
  overruled: undefined,
  gaps: [],
});

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

/**
 * The chart's two rules, each applied once to what the readings say. Each axis points to a band and claims it,
 * or the neighbour that the rule for readings between names. Axes that agree get the leading claim; axes that
 * point to neighbouring sizes get one of the two, never one beyond: a claim is held within what is pointed to.
 * A larger body so never gets a smaller size.
 */
function decide(chart: Chart, axes: readonly Axis[], pointed: readonly (number | undefined)[]): Decision {
  const extended = reachedByExtension(chart, axes, pointed);
  const reached = extended ? pointed.with(0, axes[0]!.edges.length - 1) : pointed;
  if (reached.some((index) => index === undefined)) return { outcome: 'made-to-measure', rule: 'outside' };
  if (chart.table) return decideInTable(chart, axes, reached as number[]);
  const places = axes.map(({ edges }, i) => chart.sizes.indexOf(edges[reached[i]!]!.size));
  const [low, high] = [Math.min(...places), Math.max(...places)];
  if (high - low > 1) return { outcome: 'made-to-measure', rule: 'apart', against: named(chart, low, high) };
  const agree = high === low;
  const claims = axes.map((axis, i) => {
    // what lies above the largest size is not between two of them
    const shift = extended && i === 0 ? 0 : shiftBetween(chart, axis, reached[i]!);
    const claimed = places[i]! + shift;
    return agree ? claimed : Math.min(high, Math.max(low, claimed));
  });
  // where disagreement is made to measure a size is taken only when every axis claims it
  const isSplit = agree && chart.disagree === 'made-to-measure' && new Set(claims).size > 1;
  const claim = isSplit ? low : chart.disagree === 'primary' ? claims[0]! : Math.max(...claims);
  const size = chart.sizes[claim]!;
  // what is extended is the largest size, and no claim lies beyond it
  if (extended) return { outcome: 'size', size, rule: 'side-extension' };
  if (!agree) {
    const against = named(chart, low, high);
    return chart.disagree === 'made-to-measure'
      ? { outcome: 'made-to-measure', rule: 'disagree-made-to-measure', against }
      : { outcome: 'size', size, rule: `disagree-${chart.disagree}`, against };
  }
  const near = axes
    .map((axis, i) => nearNeighbour(axis, reached[i]!))
    .find((neighbour) => neighbour !== undefined);
  const own = chart.sizes[low]!;
  return near === undefined
    ? { outcome: 'size', size: own, rule: 'inside' }
    : between(chart, size, own, near);
}

const between = (chart: Chart, size: string, own: string, near: string): Decision => ({
  outcome: chart.between === 'ask' ? 'ask' : 'size',
  size,
  rule: `between-${chart.between}`,
  against: size === own ? near : own,
});

/**
 * A two-way table: the cell of the two bands, or the one beside it that the rule for readings between names. One
 * band along one axis: a reading between two rows and between two columns does not go across the corner.
 */
function decideInTable(chart: Chart, axes: readonly Axis[], pointed: readonly number[]): Decision {
  const own = sizeAt(chart, pointed);
  if (!own) return { outcome: 'made-to-measure', rule: 'outside' };
  const rank = (size: string) => chart.sizes.indexOf(size);
  const beside = axes.flatMap((axis, i) => {
    const shift = shiftBetween(chart, axis, pointed[i]!);
    return shift === 0 ? [] : (sizeAt(chart, pointed.with(i, pointed[i]! + shift)) ?? []);
  });
  const size = beside.reduce(
    (best, next) =>
      (chart.between === 'smaller' ? rank(next) < rank(best) : rank(next) > rank(best)) ? next : best,
    own,
  );
  const near = axes
    .map(({ reading }, i) => {
      const { margin, neighbour } = marginOf(chart, axes, pointed, i);
      return margin < uncertaintyOf(reading) ? neighbour : undefined;
    })
    .find((neighbour) => neighbour !== undefined);
  const gap = axes.some((axis) => axis.gap !== undefined);
  return near === undefined && size === own && !gap
    ? { outcome: 'size', size, rule: 'inside' }
    : between(chart, size, own, near ?? size);
}

/** The first axis lies above the largest size, yet within what side extensions reach; the others are on the chart. */
const reachedByExtension = (
  chart: Chart,
  axes: readonly Axis[],
  pointed: readonly (number | undefined)[],
): boolean => {
  const [first] = axes;
  return (
    chart.sideExtension !== undefined &&
    pointed[0] === undefined &&
    first!.reading.mean >= first!.edges.at(-1)!.to &&
    first!.reading.mean <= chart.sideExtension.upTo &&
    pointed.slice(1).every((index) => index !== undefined)
  );
};

/**
 * The way to the band that the chart's rule for readings between names: to the neighbour whose band begins
 * within the reading's uncertainty, or none. How far beyond that band the uncertainty reaches is nothing to it.
 */
function shiftBetween(chart: Chart, { reading, edges, gap }: Axis, index: number): -1 | 0 | 1 {
  const own = edges[index]!;
  // in a gap the rule has been applied: the stretch is the one's or the other's
  if (gap) return 0;
  const near = uncertaintyOf(reading);
  if (chart.between === 'larger' && own.to - reading.mean < near && edges[index + 1]) return 1;
  if (chart.between === 'smaller' && reading.mean - own.from < near && edges[index - 1]) return -1;
  return 0;
}

/** The neighbour whose band begins within the reading's uncertainty, or on the other side of a gap. */
function nearNeighbour({ reading, edges, gap }: Axis, index: number): string | undefined {
  const own = edges[index]!;
  if (gap) return gap.above.size === own.size ? gap.below.size : gap.above.size;
  const near = uncertaintyOf(reading);
  const above = own.to - reading.mean < near ? edges[index + 1] : undefined;
  const below = reading.mean - own.from < near ? edges[index - 1] : undefined;
  if (!above || !below) return (above ?? below)?.size;
  return own.to - reading.mean < reading.mean - own.from ? above.size : below.size;
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
