import { normalCdf, normalDensity } from '../statistics';
import { uncertaintyOf, type Axis } from './axis';
import type { Chart } from './chart';

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
export function sizeProbabilities(chart: Chart, axes: readonly Axis[]): number[] {
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
  const strides = Math.ceil(far / stride);
  for (let i = -strides; i <= strides; i += 1) {
    // what shares nothing stays where it is
    for (const bands of near) if (bands.shared > 0 || i === -strides) place(bands, i * stride);
    add(normalDensity(i * stride) * stride);
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
