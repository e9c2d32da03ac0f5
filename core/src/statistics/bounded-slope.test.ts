import fc from 'fast-check';
import { boundedSlope } from './bounded-slope';
import { theilSen } from './theil-sen';

const points = fc.uniqueArray(
  fc.record({
    x: fc.integer({ min: 0, max: 60 }),
    y: fc.integer({ min: 0, max: 140 }),
    atLeast: fc.boolean(),
    beyond: fc.integer({ min: 0, max: 60 }),
  }),
  { minLength: 2, maxLength: 8, selector: ({ x }) => x },
);

test('with nothing bounded it is the median of all slopes (Sen 1968, from memory: 4)', () => {
  const [xs, ys] = [
    [1, 2, 3, 4, 10, 12, 18],
    [9, 15, 19, 20, 45, 55, 78],
  ];
  expect(boundedSlope(xs.map((x, i) => ({ x, y: ys[i]! })))).toEqual({ low: 4, high: 4 });
});

test('whatever the bounded values really were, the slope lies within: by trying', () =>
  fc.assert(
    fc.property(points, (made) => {
      const found = boundedSlope(made)!;
      const really = theilSen(
        made.map(({ x }) => x),
        made.map(({ y, atLeast, beyond }) => y + (atLeast ? beyond : 0)),
      )!;
      expect(really.slope).toBeGreaterThanOrEqual(found.low - 1e-9);
      expect(really.slope).toBeLessThanOrEqual(found.high + 1e-9);
    }),
  ));

test.each([
  [
    'reached, then the limit: at least so fast',
    [
      { x: 0, y: 60 },
      { x: 7, y: 90, atLeast: true },
    ],
    30 / 7,
    Infinity,
  ],
  [
    'the limit, then reached: at most so fast',
    [
      { x: 0, y: 60, atLeast: true },
      { x: 7, y: 74 },
    ],
    -Infinity,
    2,
  ],
  [
    'twice the limit says nothing',
    [
      { x: 0, y: 60, atLeast: true },
      { x: 7, y: 90, atLeast: true },
    ],
    -Infinity,
    Infinity,
  ],
  [
    'the order of the points is of no matter',
    [
      { x: 7, y: 90, atLeast: true },
      { x: 0, y: 60 },
    ],
    30 / 7,
    Infinity,
  ],
])('%s', (_, given, low, high) => expect(boundedSlope(given)).toEqual({ low, high }));

test('without two days there is no slope', () => {
  expect(boundedSlope([])).toBeUndefined();
  expect(
    boundedSlope([
      { x: 3, y: 1 },
      { x: 3, y: 9 },
    ]),
  ).toBeUndefined();
});
