import { curveMonotoneX, line } from 'd3-shape';
import fc from 'fast-check';
import jstat from 'jstat';
import { monotoneCurve } from './monotone';
import { normalCdf, normalDensity, normalWithin } from './normal';
import { repeatabilityCoefficient, withinPersonDeviation } from './repeatability';
import { meanAndDeviation } from './spread';
import { theilSen } from './theil-sen';

test('the normal distribution agrees with jstat to 1e-9', () => {
  for (let z = -8; z <= 8; z += 0.01) {
    expect(Math.abs(normalCdf(z) - jstat.normal.cdf(z, 0, 1))).toBeLessThan(1e-9);
    expect(Math.abs(normalDensity(z) - jstat.normal.pdf(z, 0, 1))).toBeLessThan(1e-12);
  }
});

// Standard normal table values, published in any handbook of statistics (memory)
test.each([
  [0, 0.5],
  [1, 0.8413447461],
  [1.959963985, 0.975],
  [-2.5758293035, 0.005],
  [-6, 9.865876e-10],
])('Phi(%d) is %d', (z, p) => expect(normalCdf(z)).toBeCloseTo(p, 9));

// the tail by its asymptotic series: phi(x)/x (1 - 1/x^2 + 3/x^4 - 15/x^6 + 105/x^8 - ...), another road than the
// continued fraction
test.each([7.5, 9, 12, 20, 30])('the tail beyond %d keeps its digits', (x) => {
  let [term, sum] = [1, 1];
  for (let k = 1; k <= 12; k += 1) {
    term *= -(2 * k - 1) / (x * x);
    sum += term;
  }
  expect(normalCdf(-x) / ((normalDensity(x) / x) * sum)).toBeCloseTo(1, 6);
});

// formulas of the trade, from a table of the normal distribution: 36.8 with 0.4 between 34, 37 and 40
test.each([
  [34, 37, 0.6915],
  [37, 40, 0.3085],
  [36.4, 37.2, 0.6827],
])('36.8 with a deviation of 0.4 lies from %d to %d with %d', (from, to, p) =>
  expect(normalWithin(36.8, 0.4, from, to)).toBeCloseTo(p, 4),
);

test('far tails keep their digits and a point mass is all or nothing', () => {
  const tail = normalCdf(-7) - normalCdf(-8);
  expect(normalWithin(0, 1, 7, 8) / tail).toBeCloseTo(1, 12);
  expect(normalWithin(0, 1, -8, -7) / tail).toBeCloseTo(1, 12);
  expect([normalWithin(0, 1, 13, 14), normalWithin(0, 1, -14, -13)]).toEqual([0, 0]);
  expect(normalWithin(0, 1, -20, 20)).toBe(1);
  expect([4.9, 5, 5.9, 6].map((mean) => normalWithin(mean, 0, 5, 6))).toEqual([0, 1, 1, 0]);
  expect(normalWithin(5, 0, 5, 6)).toBe(1);
  expect(normalWithin(6, 0, 5, 6)).toBe(0);
  expect(normalCdf(40)).toBe(1);
  expect(normalCdf(-40)).toBe(0);
});

// NIST Statistical Reference Datasets, NumAcc1
test('NumAcc1: mean 10000002, deviation 1', () =>
  expect(meanAndDeviation([10000001, 10000003, 10000002])).toEqual({
    mean: 10000002,
    deviation: 1,
    range: 2,
  }));

test('one value has no spread, none has nothing', () => {
  expect(meanAndDeviation([366])).toEqual({ mean: 366, deviation: 0, range: 0 });
  expect(meanAndDeviation([])).toBeUndefined();
});

// Bland and Altman, Lancet 1986: peak expiratory flow, two readings with each of two meters (pairs from
// memory; they reproduce the published deviations)
const firstMeter =
  '494 490, 395 397, 516 512, 434 401, 476 470, 557 611, 413 415, 442 431, 650 638, 433 429, 417 420, 656 633, 267 275, 478 492, 178 165, 423 372, 427 421';
const secondMeter =
  '512 525, 430 415, 520 508, 428 444, 500 500, 600 625, 364 460, 380 390, 658 642, 445 432, 432 420, 626 605, 260 227, 477 467, 259 268, 350 370, 451 443';
const pairs = (text: string) =>
  text.split(', ').map((pair) => pair.split(' ').map(Number) as [number, number]);

test.each([
  [firstMeter, 15.307],
  [secondMeter, 19.911],
])('repeatability of a peak-flow meter', (text, published) => {
  const s = withinPersonDeviation(pairs(text))!;
  expect(s).toBeCloseTo(published, 3);
  expect(repeatabilityCoefficient(s)).toBeCloseTo(2.77 * published, 0);
});

test('no pairs, no deviation', () => expect(withinPersonDeviation([])).toBeUndefined());

test.each([
  [
    [-440, -150, -20, 0, 35, 150, 330],
    [246, 365, 350, 372, 372, 468, 576],
  ],
  // rising all the way: the slopes at the ends lean on their neighbours'
  [
    [0, 40, 90, 200],
    [300, 330, 350, 420],
  ],
  [
    [-100, -20, 55],
    [420, 400, 310],
  ],
])('the monotone curve through %j is the one d3-shape draws', (xs, ys) => {
  const curve = monotoneCurve(xs, ys);
  const drawn = line<number>()
    .x((i) => xs[i]!)
    .y((i) => ys[i]!)
    .curve(curveMonotoneX)
    .digits(12)(xs.map((_, i) => i))!;
  // every cubic of the path, evaluated at its middle: x is linear in the parameter, the handles lie at thirds
  const numbers = drawn.slice(1).split(/[C,]/).map(Number);
  for (let i = 0; i + 1 < xs.length; i += 1) {
    const [, y0, , y1, , y2, , y3] = numbers.slice(i * 6, i * 6 + 8) as number[];
    const middle = (y0! + 3 * y1! + 3 * y2! + y3!) / 8;
    expect(curve((xs[i]! + xs[i + 1]!) / 2)).toBeCloseTo(middle, 6);
  }
});

test('beyond its ends the curve stays at the end value; one point is that value everywhere', () => {
  const curve = monotoneCurve([0, 40, 90], [300, 330, 350]);
  expect([curve(-1), curve(-500), curve(91), curve(900)]).toEqual([300, 300, 350, 350]);
  const flat = monotoneCurve([7], [410]);
  expect([flat(6), flat(7), flat(8)]).toEqual([410, 410, 410]);
});

test('between two points the curve stays between their values, at a point it is the value', () => {
  const points = fc
    .uniqueArray(fc.integer({ min: -500, max: 500 }), { minLength: 2, maxLength: 12 })
    .chain((xs) =>
      fc.record({
        xs: fc.constant(xs.sort((a, b) => a - b)),
        ys: fc.array(fc.integer({ min: 100, max: 700 }), { minLength: xs.length, maxLength: xs.length }),
        t: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
    );
  fc.assert(
    fc.property(points, ({ xs, ys, t }) => {
      const curve = monotoneCurve(xs, ys);
      return xs.slice(1).every((x1, i) => {
        const y = curve(xs[i]! + t * (x1 - xs[i]!));
        const [low, high] = [Math.min(ys[i]!, ys[i + 1]!), Math.max(ys[i]!, ys[i + 1]!)];
        return y >= low - 1e-9 && y <= high + 1e-9 && Math.abs(curve(x1) - ys[i + 1]!) < 1e-9;
      });
    }),
  );
});

// Sen, Journal of the American Statistical Association 63 (1968): the example's data and result (memory,
// recomputed): slope 4, 93 % interval 3.714 to 4.375
test('Theil-Sen slope and its interval, Sen’s own example', () => {
  const fit = theilSen([1, 2, 3, 4, 10, 12, 18], [9, 15, 19, 20, 45, 55, 78], 0.93)!;
  expect(fit.slope).toBe(4);
  expect(fit.interval![0]).toBeCloseTo(26 / 7, 12);
  expect(fit.interval![1]).toBeCloseTo(4.375, 12);
});

// Kendall's S for n = 4 reaches 6 with probability 1/24 on one side: no two-sided 95 % interval (Kendall's
// tables, memory); for n = 5 it reaches 10 with 1/120
test('under five points there is no two-sided 95 % interval', () => {
  expect(theilSen([0, 1, 2, 3], [1, 2, 3, 4])!.interval).toBeUndefined();
  expect(theilSen([0, 1, 2, 3, 4], [1, 2, 3, 4, 5])!.interval).toEqual([1, 1]);
});

test('points that share their x have no slope; a straight line is found whatever its noise in one point', () => {
  expect(theilSen([3, 3], [1, 2])).toBeUndefined();
  const wild = theilSen([0, 1, 2, 3, 4, 5, 6], [10, 12, 14, 99, 18, 20, 22])!;
  expect(wild.slope).toBeCloseTo(2, 9);
  expect(wild.intercept).toBeCloseTo(10, 9);
});

test('the interval holds the slope and widens with the confidence', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 6, maxLength: 14 }), (ys) => {
      const xs = ys.map((_, i) => i);
      const [narrow, wide] = [theilSen(xs, ys, 0.8)!, theilSen(xs, ys, 0.95)!];
      return (
        narrow.interval![0] <= narrow.slope + 1e-9 &&
        narrow.interval![1] >= narrow.slope - 1e-9 &&
        wide.interval![0] <= narrow.interval![0] &&
        wide.interval![1] >= narrow.interval![1]
      );
    }),
  );
});

test('between two points the curve is the straight line', () => {
  const curve = monotoneCurve([0, 100], [300, 400]);
  for (const x of [0, 10, 25, 50, 90, 100]) expect(curve(x)).toBeCloseTo(300 + x, 9);
});

/** The chance that Kendall's S is at least s, by going through every order there is. */
function tailByCounting(n: number, s: number): number {
  let [all, over] = [0, 0];
  const walk = (order: number[], left: number[]): void => {
    if (left.length === 0) {
      const sum = order.reduce(
        (total, a, i) => total + order.slice(i + 1).reduce((part, b) => part + Math.sign(b - a), 0),
        0,
      );
      all += 1;
      if (sum >= s) over += 1;
      return;
    }
    for (const next of left)
      walk(
        [...order, next],
        left.filter((one) => one !== next),
      );
  };
  walk(
    [],
    Array.from({ length: n }, (_, i) => i),
  );
  return over / all;
}

/** The ranks of the interval's ends among the sorted slopes, counted from 1. */
const ranksOf = (slopes: number, critical: number): [number, number] => [
  Math.max(1, Math.floor((slopes - critical) / 2)),
  Math.min(slopes, Math.ceil((slopes + critical) / 2) + 1),
];

/** Points whose slopes are all different, with those slopes sorted: by brute force. */
function scattered(n: number): { xs: number[]; ys: number[]; slopes: number[] } {
  const xs = Array.from({ length: n }, (_, i) => i);
  const ys = xs.map((x) => x * x * 1.37 + Math.sin(x * 12.9898) * 40);
  const slopes = xs
    .flatMap((x, i) => xs.slice(i + 1).map((later) => (ys[later]! - ys[i]!) / (later - x)))
    .sort((a, b) => a - b);
  return { xs, ys, slopes };
}

test.each([
  [5, 0.9],
  [6, 0.95],
  [7, 0.8],
  [7, 0.95],
])('the exact critical value of %d points at %d is the one that counting gives', (n, confidence) => {
  const { xs, ys, slopes } = scattered(n);
  const pairs = slopes.length;
  let critical = pairs % 2;
  while (tailByCounting(n, critical) > (1 - confidence) / 2) critical += 2;
  const [low, high] = ranksOf(pairs, critical);
  expect(theilSen(xs, ys, confidence)!.interval).toEqual([slopes[low - 1], slopes[high - 1]]);
});

// Kendall's tables for ten points (memory): S of 21 on the 5 % side, 23 on the 2.5 % side
test.each([
  [0.9, 21],
  [0.95, 23],
])('ten points are still exact: at %d the critical S is %d', (confidence, critical) => {
  const { xs, ys, slopes } = scattered(10);
  const [low, high] = ranksOf(slopes.length, critical);
  expect(theilSen(xs, ys, confidence)!.interval).toEqual([slopes[low - 1], slopes[high - 1]]);
});

// beyond ten points S is normal with variance n (n - 1)(2 n + 5) / 18; the quantile is jstat's
test.each([11, 12, 15, 20, 31].flatMap((n) => [0.5, 0.8, 0.95, 0.99].map((c) => [n, c] as const)))(
  '%d points at %d have the interval of the normal approximation',
  (n, confidence) => {
    const { xs, ys, slopes } = scattered(n);
    const z = jstat.normal.inv(0.5 + confidence / 2, 0, 1);
    const [low, high] = ranksOf(slopes.length, z * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18));
    expect(theilSen(xs, ys, confidence)!.interval).toEqual([slopes[low - 1], slopes[high - 1]]);
  },
);

test('of an even number of slopes the middle two are shared', () => {
  const { xs, ys, slopes } = scattered(4);
  expect(slopes).toHaveLength(6);
  expect(theilSen(xs, ys)!.slope).toBe((slopes[2]! + slopes[3]!) / 2);
});
