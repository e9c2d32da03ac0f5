import fc from 'fast-check';
import { strapPressure, tensionsCompared } from './pressure';

/** A kilogram-force in newtons (CGPM 1901: standard gravity 9.80665 m/s2). */
const kgf = 9.80665;

// p[mmHg] = 4620 T[kgf] n/(C[cm] W[cm]), Thomas 2003 (printed constant); 4621.7 with the units of today
test('the published constant comes out, to what it is rounded to', () => {
  const { mmHg } = strapPressure(0.5 * kgf, 360, 50);
  expect(mmHg).toBeCloseTo((4621.7 * 0.5) / (36 * 5), 2);
  expect(Math.abs(mmHg - (4620 * 0.5) / (36 * 5))).toBeLessThan(0.01);
  expect(mmHg).toBeCloseTo(12.84, 2);
});

test('the same law at any tension, girth and width; the range is half and twice of it', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 30, noNaN: true }),
      fc.double({ min: 15, max: 150, noNaN: true }),
      fc.double({ min: 1, max: 10, noNaN: true }),
      (tension, circumference, width) => {
        const { mmHg, kpa, from, to } = strapPressure(tension * kgf, circumference * 10, width * 10);
        const published = (4620 * tension) / (circumference * width);
        expect(Math.abs(mmHg / published - 1)).toBeLessThan(0.0005);
        expect(kpa).toBeCloseTo(mmHg * 0.133322, 6);
        expect([from / mmHg, to / mmHg]).toEqual([expect.closeTo(0.5, 9), expect.closeTo(2, 9)]);
      },
    ),
  ));

test('equal tension is compared over the straps; one alone has nothing to be compared with', () => {
  expect(tensionsCompared({ a: 20 })).toEqual({ mean: undefined, off: [] });
  expect(tensionsCompared({ a: 20, b: 22, c: 24 })).toEqual({ mean: 22, off: [] });
  expect(tensionsCompared({ a: 20, b: 40 })).toEqual({
    mean: 30,
    off: [
      { part: 'a', share: expect.closeTo(-1 / 3, 9) },
      { part: 'b', share: expect.closeTo(1 / 3, 9) },
    ],
  });
});
