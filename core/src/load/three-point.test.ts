import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { threePointLoads } from './three-point';

const lever = fc.double({ min: 20, max: 400, noNaN: true });
const force = fc.double({ min: 0.1, max: 200, noNaN: true });

test('forces and moments are in balance: as a solver of linear equations finds the reactions', () =>
  fc.assert(
    fc.property(force, lever, lever, (f, upper, lower) => {
      const loads = threePointLoads({ force: f, upper, lower })!;
      // sum of forces; moments about the upper cuff
      const reactions = solve(
        new Matrix([
          [1, 1],
          [0, upper + lower],
        ]),
        Matrix.columnVector([f, f * upper]),
      );
      expect(loads.atUpper).toBeCloseTo(reactions.get(0, 0), 6);
      expect(loads.atLower).toBeCloseTo(reactions.get(1, 0), 6);
      // the moment at the pad, from either side
      expect(loads.moment * 1000).toBeCloseTo(loads.atUpper * upper, 6);
      expect(loads.moment * 1000).toBeCloseTo(loads.atLower * lower, 6);
    }),
  ));

// simply supported beam, a point load at mid-span: F/2 at each end, F l/4 between (any handbook of mechanics; from memory)
test('in the middle: half at each cuff, F l / 4 at the pad', () =>
  expect(threePointLoads({ force: 40, upper: 150, lower: 150, padArea: 2500 })).toEqual({
    atUpper: 20,
    atLower: 20,
    moment: 3,
    pressure: 16_000,
  }));

test('the nearer cuff carries more', () =>
  expect(threePointLoads({ force: 30, upper: 100, lower: 200 })).toEqual({
    atUpper: 20,
    atLower: 10,
    moment: 2,
  }));

test.each([
  [{ force: 0, upper: 100, lower: 100 }],
  [{ force: 10, upper: 0, lower: 100 }],
  [{ force: 10, upper: 100, lower: -1 }],
  [{ force: NaN, upper: 100, lower: 100 }],
  [{ force: Infinity, upper: 100, lower: 100 }],
])('%j gives nothing', (given) => expect(threePointLoads(given)).toBeUndefined());
