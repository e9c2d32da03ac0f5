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

test('far tails keep their digits and a point mass is all or nothing', () => {
  expect(normalWithin(0, 1, 7, 8) / (normalCdf(-7) - normalCdf(-8))).toBeCloseTo(1, 12);
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

test('the monotone curve is the one d3-shape draws', () => {
  const xs = [-440, -150, -20, 0, 35, 150, 330];
  const ys = [246, 365, 350, 372, 372, 468, 576];
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
