import type { Millimetres } from '../quantity';
import { normalDensity, normalWithin } from '../statistics';
import { bandEdges, closedUp } from './band';
import type { Chart, ChartAxis } from './chart';

/** A reading as the match needs it. */
export interface AxisReading {
  mean: Millimetres;
  /** standard deviation of the part that belongs to this reading alone */
  repeatPart: Millimetres;
  /** standard deviation of the part it shares with the other axes (same tape, same posture) */
  sharedPart: Millimetres;
  /** repeats taken so far */
  repeats: number;
}

export type SizeRule =
  | 'inside'
  | 'between-larger'
  | 'between-smaller'
  | 'between-nearer'
  | 'between-ask'
  | 'disagree-primary'
  | 'disagree-larger'
  | 'disagree-made-to-measure'
  | 'apart'
  | 'outside';

export type SizeMatch =
  | { outcome: 'incomplete'; missing: string[] }
  | {
      outcome: 'size' | 'ask' | 'made-to-measure';
      /** the size chosen by the rule; for 'ask' and 'made-to-measure' the likeliest one, if any */
      size: string | undefined;
      rule: SizeRule;
      /** probability that the true girths get each size by the chart, in the chart's order */
      probabilities: { size: string; probability: number }[];
      /** probability of `size` */
      probability: number;
      /** of the deciding axis to its nearest other band; negative: off the chart */
      margin: Millimetres;
      /** the size across that margin */
      neighbour: string | undefined;
      /** the axis whose margin is smallest against its uncertainty */
      decides: string;
      /** the neighbour a reading lies close to, or the sizes that the axes point to */
      against: string | undefined;
    };

const uncertaintyOf = (reading: AxisReading) => Math.hypot(reading.repeatPart, reading.sharedPart);

interface Axis {
  axis: ChartAxis;
  reading: AxisReading;
  edges: { size: string; from: Millimetres; to: Millimetres }[];
}

/**
 * Matches readings to a chart.
 *
 * P(size) is integrated over the error z that the axes share, weighted by phi(z): they are not
 * independent, the tape is the same.
 * "Between" means that a neighbouring band lies nearer than the reading's standard uncertainty (common
 * practice leaves it to the eye; the choice is ours): the chart's rule moves each axis by that uncertainty
 * before the axes are compared, so that a larger body never gets a smaller size. Axes two sizes apart, or
 * outside, are made to measure.
 *
 * @param chart the model's chart
 * @param readings by the axis' reading; mm
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
  const pointed = axes.map(({ reading, edges }) =>
    edges.find(({ from, to }) => reading.mean >= from && reading.mean < to),
  );
  const decision = decide(
    chart,
    axes,
    pointed.map((band) => band && chart.sizes.indexOf(band.size)),
  );
  const likeliest = probabilities.reduce((best, next) => (next.probability > best.probability ? next : best));
  const size = decision.size ?? (likeliest.probability > 0.01 ? likeliest.size : undefined);
  const margins = axes.map((axis) => ({ axis, ...marginOf(axis) }));
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
  };
}

type Readings = Readonly<Record<string, AxisReading | undefined>>;

const axesOf = (chart: Chart, readings: Readings): Axis[] =>
  chart.axes.flatMap((axis) => {
    const reading = readings[axis.reading];
    return reading ? [{ axis, reading, edges: bandEdges(axis, chart.sizes) }] : [];
  });

const product = (factors: readonly number[]) => factors.reduce((all, factor) => all * factor, 1);

/**
 * The probability of each size, in the chart's order. Given the shared error z, the axes are independent
 * and p_i(k) is axis i's probability of band k; what neighbouring bands on different axes come to is the
 * chart's rule. Axes two sizes apart and bodies off the chart belong to no size.
 */
function sizeProbabilities(chart: Chart, axes: readonly Axis[]): number[] {
  const { sizes } = chart;
  const bands = axes.map(({ axis }) => sizes.map((size) => closedUp(axis, size)));
  const bandProbabilities = (z: number) =>
    axes.map(({ reading }, i) =>
      bands[i]!.map((band) =>
        band ? normalWithin(reading.mean + z * reading.sharedPart, reading.repeatPart, band[0], band[1]) : 0,
      ),
    );
  const given = (z: number): number[] => {
    const p = bandProbabilities(z);
    const all = (k: number) => product(p.map((axis) => axis[k] ?? 0));
    const either = (k: number, from = 0) =>
      product(p.slice(from).map((axis) => (axis[k] ?? 0) + (axis[k + 1] ?? 0)));
    return sizes.map((_, k) => {
      switch (chart.disagree) {
        case 'larger':
          return either(k - 1) - all(k - 1);
        case 'primary':
          return p[0]![k]! * (either(k - 1, 1) + either(k, 1) - product(p.slice(1).map((axis) => axis[k]!)));
        case 'made-to-measure':
          return all(k);
      }
    });
  };
  if (axes.every(({ reading }) => reading.sharedPart === 0)) return given(0);
  // trapezoidal rule: for a smooth integrand that falls off as a normal density it converges faster
  // than any power of the stride, as long as the stride resolves the narrower of the two errors
  const narrow = Math.min(
    ...axes.map(({ reading }) => reading.repeatPart / Math.max(reading.sharedPart, 1e-9)),
  );
  const stride = Math.min(0.5, Math.max(0.01, narrow / 2));
  const steps = Math.ceil(6.5 / stride);
  const sums = sizes.map(() => 0);
  for (let step = -steps; step <= steps; step += 1) {
    const weight = normalDensity(step * stride) * stride;
    given(step * stride).forEach((probability, k) => (sums[k]! += weight * probability));
  }
  return sums;
}

interface Decision {
  outcome: 'size' | 'ask' | 'made-to-measure';
  size?: string;
  rule: SizeRule;
  against?: string;
}

function decide(chart: Chart, axes: readonly Axis[], pointed: readonly (number | undefined)[]): Decision {
  if (pointed.some((index) => index === undefined)) return { outcome: 'made-to-measure', rule: 'outside' };
  const indices = pointed as number[];
  const [low, high] = [Math.min(...indices), Math.max(...indices)];
  if (high - low > 1) return { outcome: 'made-to-measure', rule: 'apart', against: named(chart, low, high) };
  const moved = axes.map((axis, i) => movedIndex(chart, axis, indices[i]!));
  const size = chart.sizes[chart.disagree === 'primary' ? moved[0]! : Math.max(...moved)]!;
  if (high > low) {
    const against = named(chart, low, high);
    return chart.disagree === 'made-to-measure'
      ? { outcome: 'made-to-measure', rule: 'disagree-made-to-measure', against }
      : { outcome: 'size', size, rule: `disagree-${chart.disagree}`, against };
  }
  const near = axes
    .map((axis) => nearNeighbour(chart, axis, low))
    .find((neighbour) => neighbour !== undefined);
  if (near === undefined) return { outcome: 'size', size: chart.sizes[low]!, rule: 'inside' };
  const against = size === chart.sizes[low] ? near : chart.sizes[low]!;
  return {
    outcome: chart.between === 'ask' ? 'ask' : 'size',
    size,
    rule: `between-${chart.between}`,
    against,
  };
}

/** The band an axis points to once the chart's rule for readings between sizes is applied. */
function movedIndex(chart: Chart, { reading, edges }: Axis, index: number): number {
  const shift = { larger: 1, smaller: -1, nearer: 0, ask: 0 }[chart.between] * uncertaintyOf(reading);
  const at = edges.find(({ from, to }) => reading.mean + shift >= from && reading.mean + shift < to);
  return at ? chart.sizes.indexOf(at.size) : index;
}

/** The neighbour whose band begins within the reading's uncertainty. */
function nearNeighbour(chart: Chart, { reading, edges }: Axis, index: number): string | undefined {
  const own = edges.find(({ size }) => size === chart.sizes[index])!;
  const [up, down] = [own.to - reading.mean, reading.mean - own.from];
  const size = chart.sizes[up < down ? index + 1 : index - 1];
  return Math.min(up, down) < uncertaintyOf(reading) ? size : undefined;
}

const named = (chart: Chart, low: number, high: number) => `${chart.sizes[low]} – ${chart.sizes[high]}`;

/** How far the reading is from the nearest other band; negative: how far off the chart. */
function marginOf({ reading, edges }: Axis): { margin: Millimetres; neighbour: string | undefined } {
  const index = edges.findIndex(({ from, to }) => reading.mean >= from && reading.mean < to);
  const own = edges[index];
  if (!own) {
    const ends = edges.flatMap(({ from, to }) => [from, to]);
    return { margin: -Math.min(...ends.map((end) => Math.abs(end - reading.mean))), neighbour: undefined };
  }
  const [up, down] = [own.to - reading.mean, reading.mean - own.from];
  return { margin: Math.min(up, down), neighbour: edges[up < down ? index + 1 : index - 1]?.size };
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
