import fc from 'fast-check';
import jstat from 'jstat';
import { bandEdges, closedUp } from './band';
import type { Chart } from './chart';
import type { AxisReading } from './axis';
import { helpfulReading } from './helpful-reading';
import { matchSize } from './match';

const reading = (mean: number, repeatPart = 2, sharedPart = 3): AxisReading => ({
  mean,
  repeatPart,
  sharedPart,
  repeats: 2,
});

const chart = (change: Partial<Chart> = {}): Chart => ({
  version: 1,
  sizes: ['S', 'M', 'L', 'XL'],
  axes: [
    {
      reading: 'above',
      resolution: 0,
      bands: [
        ['S', 400, 430],
        ['M', 430, 460],
        ['L', 460, 490],
        ['XL', 490, 520],
      ].map(([size, from, to]) => ({ size: String(size), from: Number(from), to: Number(to) })),
    },
    {
      reading: 'below',
      resolution: 0,
      bands: [
        ['S', 310, 335],
        ['M', 335, 360],
        ['L', 360, 385],
        ['XL', 385, 410],
      ].map(([size, from, to]) => ({ size: String(size), from: Number(from), to: Number(to) })),
    },
  ],
  between: 'larger',
  disagree: 'larger',
  ...change,
});

const matched = (above: number, below: number, change: Partial<Chart> = {}) => {
  const match = matchSize(chart(change), { above: reading(above), below: reading(below) });
  if (match.outcome === 'incomplete') throw new Error('both readings were given');
  return match;
};

test('a chart in whole centimetres has no gap between 36 and 37', () => {
  const axis = {
    reading: 'a',
    resolution: 10,
    bands: [
      { size: '1', from: 340, to: 360 },
      { size: '2', from: 370, to: 390 },
    ],
  };
  expect(closedUp(axis, '1')).toEqual([335, 365]);
  expect(bandEdges(axis, ['1', '2']).map(({ to }) => to)).toEqual([365, 395]);
});

// Worked with the normal table: (37 - 36.8)/0.4 = 0.5, Phi(0.5) = 0.6915
test('36.8 +- 0.4 between 34-37 and 37-40: 0.6915 and 0.3085', () => {
  const single: Chart = {
    version: 1,
    sizes: ['1', '2'],
    axes: [
      {
        reading: 'a',
        resolution: 0,
        bands: [
          { size: '1', from: 34, to: 37 },
          { size: '2', from: 37, to: 40 },
        ],
      },
    ],
    between: 'nearer',
    disagree: 'larger',
  };
  const match = matchSize(single, { a: { mean: 36.8, repeatPart: 0.4, sharedPart: 0, repeats: 2 } });
  expect(match).toMatchObject({ size: '1', against: '2', decides: 'a' });
  if (match.outcome === 'incomplete') return;
  expect(match.probabilities[0]!.probability).toBeCloseTo(0.6915, 4);
  expect(match.probabilities[1]!.probability).toBeCloseTo(0.3085, 4);
  expect(match.margin).toBeCloseTo(0.2, 9);
});

/** P(size) again, as a plain double sum over the bivariate normal density of the two readings. */
function doubleSum(above: AxisReading, below: AxisReading, a: [number, number], b: [number, number]): number {
  const [va, vb] = [above, below].map((r) => r.repeatPart ** 2 + r.sharedPart ** 2) as [number, number];
  const cov = above.sharedPart * below.sharedPart;
  const det = va * vb - cov * cov;
  const n = 160;
  const [hx, hy] = [(a[1] - a[0]) / n, (b[1] - b[0]) / n];
  let sum = 0;
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j < n; j += 1) {
      const [dx, dy] = [a[0] + (i + 0.5) * hx - above.mean, b[0] + (j + 0.5) * hy - below.mean];
      sum += Math.exp(-(vb * dx * dx - 2 * cov * dx * dy + va * dy * dy) / (2 * det));
    }
  return (sum * hx * hy) / (2 * Math.PI * Math.sqrt(det));
}

test.each([
  [458, 358, 2, 3],
  [445, 359, 2, 3],
  [459, 336, 1, 4],
  [431, 334, 3, 1],
])(
  'axes that share a tape: %d and %d (%d, %d) agree with the double integral',
  (above, below, own, shared) => {
    const readings = { above: reading(above, own, shared), below: reading(below, own, shared) };
    const probability = (disagree: Chart['disagree'], wanted: string) => {
      const match = matchSize(chart({ disagree }), readings);
      return match.outcome === 'incomplete'
        ? NaN
        : match.probabilities.find(({ size }) => size === wanted)!.probability;
    };
    const cell = (a: [number, number], b: [number, number]) =>
      doubleSum(readings.above, readings.below, a, b);
    const [aboveM, aboveL, belowM, belowL] = [
      [430, 460],
      [460, 490],
      [335, 360],
      [360, 385],
    ] as [[number, number], [number, number], [number, number], [number, number]];
    expect(probability('made-to-measure', 'M')).toBeCloseTo(cell(aboveM, belowM), 4);
    expect(probability('larger', 'L')).toBeCloseTo(
      cell(aboveL, belowL) + cell(aboveM, belowL) + cell(aboveL, belowM),
      4,
    );
    expect(probability('primary', 'M')).toBeCloseTo(
      cell(aboveM, [310, 335]) + cell(aboveM, belowM) + cell(aboveM, belowL),
      4,
    );
  },
);

test('axes that share nothing multiply', () => {
  const match = matchSize(chart({ disagree: 'made-to-measure' }), {
    above: reading(455, 4, 0),
    below: reading(357, 4, 0),
  });
  if (match.outcome === 'incomplete') throw new Error('both readings were given');
  const p = (mean: number, from: number, to: number) =>
    jstat.normal.cdf(to, mean, 4) - jstat.normal.cdf(from, mean, 4);
  expect(match.probabilities[1]!.probability).toBeCloseTo(p(455, 430, 460) * p(357, 335, 360), 9);
});

test('in the middle of a band the answer is plain', () =>
  expect(matched(445, 348)).toMatchObject({
    outcome: 'size',
    size: 'M',
    rule: 'inside',
    margin: 12,
    decides: 'below',
  }));

test.each([
  ['larger', 'L', 'between-larger', 'size'],
  ['smaller', 'M', 'between-smaller', 'size'],
  ['nearer', 'M', 'between-nearer', 'size'],
  ['ask', 'M', 'between-ask', 'ask'],
] as const)('just under the edge, the chart that says %s gives %s', (between, size, rule, outcome) =>
  expect(matched(458, 348, { between })).toMatchObject({ outcome, size, rule }),
);

test.each([
  ['primary', 'M', 'disagree-primary', 'size'],
  ['larger', 'L', 'disagree-larger', 'size'],
  ['made-to-measure', undefined, 'disagree-made-to-measure', 'made-to-measure'],
] as const)('axes a size apart, the chart that says %s', (disagree, size, rule, outcome) => {
  const match = matched(445, 372, { disagree });
  expect(match).toMatchObject({ outcome, rule, against: 'M – L' });
  if (size) expect(match.size).toBe(size);
});

test('axes two sizes apart, or a reading off the chart, are made to measure', () => {
  expect(matched(415, 372)).toMatchObject({ outcome: 'made-to-measure', rule: 'apart' });
  expect(matched(560, 430)).toMatchObject({
    outcome: 'made-to-measure',
    rule: 'outside',
    size: undefined,
    margin: -40,
    neighbour: 'XL',
  });
  expect(matched(390, 348)).toMatchObject({ rule: 'outside', neighbour: 'S' });
});

test('a missing reading is named', () =>
  expect(matchSize(chart(), { above: reading(445) })).toEqual({ outcome: 'incomplete', missing: ['below'] }));

test('the reading that would help is the one at the edge, and in the middle none is needed', () => {
  const help = (above: number, below: number) =>
    helpfulReading(chart(), { above: reading(above, 4, 1), below: reading(below, 4, 1) });
  expect(help(459, 348)?.reading).toBe('above');
  expect(help(445, 359)?.reading).toBe('below');
  expect(help(445, 348)).toBeUndefined();
});

test('what another repeat promises is what repeating it gives on average', () => {
  // simulated with a fixed seed: draw the next repeat, average it in, take the likeliest size's probability
  const own = 5;
  const now = reading(459, own / Math.SQRT2, 1);
  const below = reading(348, 0.5, 1);
  const help = helpfulReading(chart(), { above: now, below })!;
  const top = (above: AxisReading) => {
    const tried = matchSize(chart(), { above, below });
    return tried.outcome === 'incomplete'
      ? 0
      : Math.max(...tried.probabilities.map(({ probability }) => probability));
  };
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const draws = 250;
  let sum = 0;
  for (let i = 0; i < draws; i += 1) {
    const truth = now.mean + now.repeatPart * jstat.normal.inv(random(), 0, 1);
    const next = truth + own * jstat.normal.inv(random(), 0, 1);
    sum += top({ ...now, mean: (2 * now.mean + next) / 3, repeatPart: own / Math.sqrt(3), repeats: 3 });
  }
  expect(sum / draws - top(now)).toBeCloseTo(help.gain, 1);
});

test('probabilities never sum to more than one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 380, max: 540, noNaN: true }),
      fc.double({ min: 290, max: 430, noNaN: true }),
      fc.double({ min: 0.1, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 8, noNaN: true }),
      (above, below, own, shared) => {
        const match = matchSize(chart(), {
          above: reading(above, own, shared),
          below: reading(below, own, shared),
        });
        if (match.outcome === 'incomplete') return false;
        return match.probabilities.reduce((sum, { probability }) => sum + probability, 0) <= 1 + 1e-9;
      },
    ),
    { numRuns: 60 },
  );
});

test('a larger body never gets a smaller size', () => {
  const rank = (size: string | undefined) => chart().sizes.indexOf(size ?? '');
  fc.assert(
    fc.property(
      fc.integer({ min: 401, max: 510 }),
      fc.integer({ min: 311, max: 400 }),
      fc.integer({ min: 0, max: 20 }),
      fc.constantFrom('larger', 'smaller', 'nearer'),
      (above, below, more, between) => {
        const [small, large] = [
          matched(above, below, { between }),
          matched(above + more, below + more, { between }),
        ];
        if (small.outcome !== 'size' || large.outcome !== 'size') return true;
        return rank(large.size) >= rank(small.size);
      },
    ),
    { numRuns: 80 },
  );
});
