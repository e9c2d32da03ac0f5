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
      /** normal probability of each size on all axes together, in the chart's order */
      probabilities: { size: string; probability: number }[];
      /** probability of `size` */
      probability: number;
      /** to the nearest other band over all axes; negative when the reading lies in another band already */
      margin: Millimetres;
      /** the axis whose margin is smallest against its uncertainty */
      decides: string;
      /** the neighbour a reading lies close to, or the sizes that the axes point to */
      against: string | undefined;
      /** which further reading promises most, and by how much it should raise the probability */
      help: { reading: string; gain: number } | undefined;
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
 * P(size) = integral over the shared error z of prod_axis [probability that the axis' own error leaves
 * it in the size's band], weighted by phi(z): the axes are not independent, the tape is the same.
 * "Between" means that a neighbouring band lies nearer than the reading's standard uncertainty (common
 * practice leaves it to the eye; the choice is ours). Axes two sizes apart, or outside, are made to measure.
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
  const axes: Axis[] = chart.axes.map((axis) => ({
    axis,
    reading: readings[axis.reading]!,
    edges: bandEdges(axis, chart.sizes),
  }));
  const probabilities = chart.sizes.map((size) => ({ size, probability: probabilityOf(size, axes) }));
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
  const margins = axes.map((axis) => ({ axis, margin: marginOf(axis, size) }));
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
    margin: Math.min(...margins.map(({ margin }) => margin)),
    decides: deciding.axis.axis.reading,
    against: decision.against ?? neighbourAcross(deciding.axis, size),
    help: mostHelpful(chart, axes),
  };
}

/** The normal probability of one size on all axes, integrated over their shared error. */
function probabilityOf(size: string, axes: readonly Axis[]): number {
  const bands = axes.map(({ axis }) => closedUp(axis, size));
  if (bands.some((band) => !band)) return 0;
  const given = (z: number) =>
    axes.reduce(
      (product, { reading }, i) =>
        product *
        normalWithin(reading.mean + z * reading.sharedPart, reading.repeatPart, bands[i]![0], bands[i]![1]),
      1,
    );
  const [only] = axes;
  if (axes.length === 1 && only)
    return normalWithin(only.reading.mean, uncertaintyOf(only.reading), bands[0]![0], bands[0]![1]);
  if (axes.every(({ reading }) => reading.sharedPart === 0)) return given(0);
  // trapezoidal rule: for a smooth integrand that falls off as a normal density it converges faster
  // than any power of the stride, as long as the stride resolves the narrower of the two errors
  const narrow = Math.min(
    ...axes.map(({ reading }) => reading.repeatPart / Math.max(reading.sharedPart, 1e-9)),
  );
  const stride = Math.min(0.25, Math.max(0.002, narrow / 2));
  const steps = Math.ceil(7 / stride);
  let sum = 0;
  for (let k = -steps; k <= steps; k += 1) sum += normalDensity(k * stride) * given(k * stride);
  return sum * stride;
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
  if (high > low) {
    const against = named(chart, low, high);
    switch (chart.disagree) {
      case 'primary':
        return { outcome: 'size', size: chart.sizes[indices[0]!]!, rule: 'disagree-primary', against };
      case 'larger':
        return { outcome: 'size', size: chart.sizes[high]!, rule: 'disagree-larger', against };
      case 'made-to-measure':
        return { outcome: 'made-to-measure', rule: 'disagree-made-to-measure', against };
    }
  }
  return betweenSizes(chart, axes, low);
}

/** One size on every axis: is a neighbour within the uncertainty of a reading? */
function betweenSizes(chart: Chart, axes: readonly Axis[], index: number): Decision {
  const near = axes.flatMap(({ reading, edges }) => {
    const own = edges.find(({ size }) => size === chart.sizes[index])!;
    const u = uncertaintyOf(reading);
    const above = chart.sizes[index + 1];
    const below = chart.sizes[index - 1];
    return [
      ...(above && own.to - reading.mean < u
        ? [{ step: 1, size: above, distance: (own.to - reading.mean) / u }]
        : []),
      ...(below && reading.mean - own.from < u
        ? [{ step: -1, size: below, distance: (reading.mean - own.from) / u }]
        : []),
    ];
  });
  const size = chart.sizes[index]!;
  const nearest = near.sort((a, b) => a.distance - b.distance)[0];
  if (!nearest) return { outcome: 'size', size, rule: 'inside' };
  const against = nearest.size;
  const upper = near.find(({ step }) => step === 1);
  const lower = near.find(({ step }) => step === -1);
  switch (chart.between) {
    case 'larger':
      return {
        outcome: 'size',
        size: upper?.size ?? size,
        rule: 'between-larger',
        against: upper ? size : against,
      };
    case 'smaller':
      return {
        outcome: 'size',
        size: lower?.size ?? size,
        rule: 'between-smaller',
        against: lower ? size : against,
      };
    case 'nearer':
      return { outcome: 'size', size, rule: 'between-nearer', against };
    case 'ask':
      return { outcome: 'ask', size, rule: 'between-ask', against };
  }
}

const named = (chart: Chart, low: number, high: number) => `${chart.sizes[low]} – ${chart.sizes[high]}`;

/** How far the reading lies inside the band of a size: to its nearer end, negative outside. */
function marginOf({ reading, edges }: Axis, size: string | undefined): Millimetres {
  const own = edges.find((band) => band.size === size);
  if (own) return Math.min(reading.mean - own.from, own.to - reading.mean);
  const ends = edges.flatMap(({ from, to }) => [from, to]);
  return -Math.min(...ends.map((end) => Math.abs(end - reading.mean)));
}

function neighbourAcross({ reading, edges }: Axis, size: string | undefined): string | undefined {
  const index = edges.findIndex((band) => band.size === size);
  const own = edges[index];
  if (!own) return undefined;
  return (own.to - reading.mean < reading.mean - own.from ? edges[index + 1] : edges[index - 1])?.size;
}

/** Nodes and weights for an expectation over a standard normal: the trapezoidal rule again. */
const expectation = Array.from({ length: 25 }, (_, k) => {
  const z = (k - 12) / 3;
  return { z, weight: normalDensity(z) / 3 };
});

/**
 * The further reading with the largest expected gain. Another repeat shrinks its own part from
 * s_w/sqrt(n) to s_w/sqrt(n+1); the mean will move by a normal amount of variance s_w^2/n - s_w^2/(n+1).
 * The gain is the expected largest probability after it, less the largest one now.
 */
function mostHelpful(chart: Chart, axes: readonly Axis[]): { reading: string; gain: number } | undefined {
  const best = (tried: readonly Axis[]) => Math.max(...chart.sizes.map((size) => probabilityOf(size, tried)));
  const now = best(axes);
  const gains = axes.map(({ axis, reading }, i) => {
    const n = reading.repeats;
    const after = reading.repeatPart * Math.sqrt(n / (n + 1));
    const moves = Math.sqrt(Math.max(0, reading.repeatPart ** 2 - after ** 2));
    const expected = expectation.reduce((sum, { z, weight }) => {
      const tried = axes.with(i, {
        ...axes[i]!,
        reading: { ...reading, mean: reading.mean + z * moves, repeatPart: after },
      });
      return sum + weight * best(tried);
    }, 0);
    return { reading: axis.reading, gain: expected - now };
  });
  const largest = gains.reduce((top, next) => (next.gain > top.gain ? next : top));
  return largest.gain > 0.005 ? largest : undefined;
}
