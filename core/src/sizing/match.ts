import { normalCdf, normalDensity } from '../statistics';
import { axisBands, type BandEdges } from './band';
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

// written out: Math.hypot is many times slower, and a catalogue asks for it thousands of times
const uncertaintyOf = ({ repeatPart, sharedPart, alone = 0 }: AxisReading) =>
  Math.sqrt(repeatPart * repeatPart + sharedPart * sharedPart + alone * alone);

interface Axis {
  axis: ChartAxis;
  reading: AxisReading;
  edges: readonly BandEdges[];
}

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
export function matchSize(
  chart: Chart,
  readings: Readonly<Record<string, AxisReading | undefined>>,
): SizeMatch {
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

type Readings = Readonly<Record<string, AxisReading | undefined>>;

function axesOf(chart: Chart, readings: Readings): Axis[] {
  const axes: Axis[] = [];
  for (const axis of chart.axes) {
    const reading = readings[axis.reading];
    if (reading) axes.push({ axis, reading, edges: axisBands(chart, axis) });
  }
  return axes;
}

/** Beyond so many standard uncertainties a band is neither reached nor left: 1e-10 of them are. */
const far = 6.5;

/** The bands of one axis within reach of its reading: their place among the sizes and their edges. */
interface NearBands {
  mean: number;
  own: number;
  shared: number;
  ks: number[];
  least: number;
  most: number;
  from: number[];
  to: number[];
  /** the probability of each band in its place; 0 for those out of reach */
  p: number[];
}

function nearBands(chart: Chart, { reading, edges }: Axis): NearBands {
  const { mean, repeatPart, sharedPart, alone = 0 } = reading;
  const reach = far * uncertaintyOf(reading);
  const near: NearBands = {
    mean,
    own: Math.sqrt(repeatPart * repeatPart + alone * alone),
    shared: sharedPart,
    ks: [],
    least: Infinity,
    most: -1,
    from: [],
    to: [],
    p: new Array<number>(Math.max(edges.length, chart.sizes.length) + 1).fill(0),
  };
  // a band without a size of the chart stands in no size's place
  const inOrder = !chart.table && edges.length === chart.sizes.length;
  for (let at = 0; at < edges.length; at += 1) {
    const { size, from, to } = edges[at]!;
    if (to <= mean - reach || from >= mean + reach) continue;
    const k = chart.table || inOrder ? at : chart.sizes.indexOf(size);
    near.least = Math.min(near.least, k);
    near.most = Math.max(near.most, k);
    near.ks.push(k);
    near.from.push(from);
    near.to.push(to);
  }
  return near;
}

/**
 * The probability of each size, in the chart's order. Given the shared error z, the axes are independent
 * and p_i(k) is axis i's probability of band k; what neighbouring bands on different axes come to is the
 * chart's rule. Axes two sizes apart and bodies off the chart belong to no size. Only bands within reach of
 * the readings are looked at: a catalogue is matched in one go.
 */
function sizeProbabilities(chart: Chart, axes: readonly Axis[]): number[] {
  const { sizes } = chart;
  const sums = new Array<number>(sizes.length).fill(0);
  const near: NearBands[] = [];
  let narrow = Infinity;
  for (const axis of axes) {
    const bands = nearBands(chart, axis);
    if (bands.ks.length === 0) return sums;
    if (bands.shared > 0) narrow = Math.min(narrow, bands.own / bands.shared);
    near.push(bands);
  }
  const rank = chart.table?.map((row) => row.map((size) => sizes.indexOf(size)));
  const add = (weight: number): void =>
    rank ? addCells(rank, near, weight, sums) : addByRule(chart.disagree, near, weight, sums);
  if (narrow === Infinity) {
    for (const bands of near) place(bands, 0);
    add(1);
    return sums;
  }
  // trapezoidal rule: for an integrand that is smooth over a width w its error falls as exp(-2 pi^2 w^2/h^2)
  // with the stride h: nine tenths of the narrower width, the shared error's own being 1, leave 1e-10
  const stride = Math.min(0.9, Math.max(0.01, narrow * 0.9));
  const steps = Math.ceil(far / stride);
  for (let step = -steps; step <= steps; step += 1) {
    // what shares nothing stays where it is
    for (const bands of near) if (bands.shared > 0 || step === -steps) place(bands, step * stride);
    add(normalDensity(step * stride) * stride);
  }
  return sums;
}

/** The probabilities of an axis' bands at one shared error. */
function place({ mean, own, shared, ks, from, to, p }: NearBands, z: number): void {
  const at = mean + z * shared;
  // neighbouring bands meet: what lies below one's upper edge lies below the next one's lower edge
  let edge = NaN;
  let below = 0;
  for (let b = 0; b < ks.length; b += 1) {
    const under = from[b] === edge ? below : probabilityBelow(from[b]!, at, own);
    edge = to[b]!;
    below = probabilityBelow(edge, at, own);
    p[ks[b]!] = below - under;
  }
}

/** P(x < edge) for a normal x; all or nothing without a deviation, an edge belonging to the band above. */
function probabilityBelow(edge: number, mean: number, deviation: number): number {
  if (deviation === 0) return mean < edge ? 1 : 0;
  const z = (edge - mean) / deviation;
  // beyond this the tail is below what a sum of probabilities can show
  return z > 8.3 ? 1 : z < -8.3 ? 0 : normalCdf(z);
}

/** Adds what the cells of a two-way table come to at one shared error. */
function addCells(
  rank: readonly (readonly number[])[],
  [rows, columns]: readonly NearBands[],
  weight: number,
  sums: number[],
): void {
  for (const row of rows!.ks)
    for (const column of columns!.ks) {
      const size = rank[row]![column]!;
      if (size >= 0) sums[size]! += weight * rows!.p[row]! * columns!.p[column]!;
    }
}

/** Adds what the chart's rule makes of the axes' bands at one shared error. */
function addByRule(
  disagree: Chart['disagree'],
  near: readonly NearBands[],
  weight: number,
  sums: number[],
): void {
  // every axis lies in the size's band or a neighbour of it
  let low = 0;
  let high = sums.length - 1;
  for (const { least, most } of near) {
    low = Math.max(low, least - 1);
    high = Math.min(high, most + 1);
  }
  for (let k = low; k <= high; k += 1) {
    if (disagree === 'larger') sums[k]! += weight * (either(near, k - 1, 0) - every(near, k - 1, 0));
    else if (disagree === 'made-to-measure') sums[k]! += weight * every(near, k, 0);
    else {
      const rest = near.length === 1 ? 1 : either(near, k - 1, 1) + either(near, k, 1) - every(near, k, 1);
      sums[k]! += weight * near[0]!.p[k]! * rest;
    }
  }
}

/** The product over the axes from one on: all in band k. */
function every(near: readonly NearBands[], k: number, from: number): number {
  if (k < 0) return 0;
  let all = 1;
  for (let i = from; i < near.length; i += 1) all *= near[i]!.p[k]!;
  return all;
}

/** The same: each in band k or the next. */
function either(near: readonly NearBands[], k: number, from: number): number {
  let all = 1;
  for (let i = from; i < near.length; i += 1) {
    const { p } = near[i]!;
    all *= (k < 0 ? 0 : p[k]!) + p[k + 1]!;
  }
  return all;
}

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

/** Nodes and weights for an expectation over a standard normal: the trapezoidal rule again. */
const expectation = Array.from({ length: 13 }, (_, k) => {
  const z = (k - 6) / 1.5;
  return { z, weight: normalDensity(z) / 1.5 };
});

/**
 * The further reading with the largest expected gain. Another repeat shrinks its own part from
 * s_w/sqrt(n) to s_w/sqrt(n+1); the mean will move by a normal amount of variance s_w^2/n - s_w^2/(n+1).
 * The gain is the expected largest probability after it, less the largest one now.
 * @returns undefined when a reading is missing, when the size is sure, or when no repeat promises a half percent
 */
export function helpfulReading(
  chart: Chart,
  readings: Readings,
): { reading: string; gain: number } | undefined {
  const axes = axesOf(chart, readings);
  if (axes.length < chart.axes.length) return undefined;
  const now = Math.max(...sizeProbabilities(chart, axes));
  if (now > 0.99) return undefined;
  const gains = axes.map(({ axis, reading }, i) => {
    const n = reading.repeats;
    const after = reading.repeatPart * Math.sqrt(n / (n + 1));
    const moves = Math.sqrt(reading.repeatPart ** 2 - after ** 2);
    const expected = expectation.reduce((sum, { z, weight }) => {
      const moved = { ...reading, mean: reading.mean + z * moves, repeatPart: after };
      return (
        sum + weight * Math.max(...sizeProbabilities(chart, axes.with(i, { ...axes[i]!, reading: moved })))
      );
    }, 0);
    return { reading: axis.reading, gain: expected - now };
  });
  const largest = gains.reduce((top, next) => (next.gain > top.gain ? next : top));
  return largest.gain > 0.005 ? largest : undefined;
}
