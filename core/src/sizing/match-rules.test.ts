import type { AxisReading } from './axis';
import type { Chart, ChartAxis } from './chart';
import { matchSize, type SizeMatch } from './match';

/*
 * The chart's rules one by one, at their bounds: worked by hand from what the rules say. One axis has bands of 30 from
 * 400 (S, M, L, XL), the other of 25 from 310; a reading is +- 3 unless it says otherwise.
 */

const axis = (reading: string, from: number, width: number, names = ['S', 'M', 'L', 'XL']): ChartAxis => ({
  reading,
  resolution: 0,
  bands: names.map((size, i) => ({ size, from: from + i * width, to: from + (i + 1) * width })),
});
const above = axis('above', 400, 30);
const below = axis('below', 310, 25);
const chart = (change: Partial<Chart> = {}): Chart => ({
  version: 1,
  sizes: ['S', 'M', 'L', 'XL'],
  axes: [above, below],
  between: 'nearer',
  disagree: 'larger',
  ...change,
});
const read = (mean: number, own = 3): AxisReading => ({ mean, repeatPart: own, sharedPart: 0, repeats: 2 });
type Found = Exclude<SizeMatch, { outcome: 'incomplete' }>;
const match = (of: Chart, readings: Record<string, AxisReading>): Found => {
  const found = matchSize(of, readings);
  if (found.outcome === 'incomplete') throw new Error(`missing: ${found.missing.join()}`);
  return found;
};
const one = (mean: number, change: Partial<Chart> = {}, own?: number) =>
  match(chart({ axes: [above], ...change }), { above: read(mean, own) });
const two = (a: number, b: number, change: Partial<Chart> = {}) =>
  match(chart(change), { above: read(a), below: read(b) });

test('a brace of one size is that size, whatever is read', () =>
  expect(match(chart({ sizes: ['one'], axes: [] }), {})).toEqual({
    outcome: 'size',
    size: 'one',
    rule: 'one-size',
    probabilities: [{ size: 'one', probability: 1 }],
    probability: 1,
    margin: undefined,
    neighbour: undefined,
    decides: undefined,
    against: undefined,
    pointed: [],
    overruled: undefined,
    gaps: [],
  }));

describe('a band holds its lower edge and not its upper one', () => {
  test.each([
    [400, 'S'],
    [429.999, 'S'],
    [430, 'M'],
    [459.999, 'M'],
    [519.999, 'XL'],
    [399.999, undefined],
    [520, undefined],
  ])('%d: %s', (mean, size) => expect(one(mean, {}, 0.0001).pointed).toEqual([{ reading: 'above', size }]));
});

describe('near means nearer than the reading is uncertain', () => {
  // +- 3: 457 lies exactly 3 under the edge at 460, 433 exactly 3 over the one at 430
  test.each([
    ['larger', 457, 'M', 'inside'],
    ['larger', 457.01, 'L', 'between-larger'],
    ['larger', 433, 'M', 'inside'],
    ['larger', 432.99, 'M', 'between-larger'],
    ['smaller', 433, 'M', 'inside'],
    ['smaller', 432.99, 'S', 'between-smaller'],
    ['smaller', 457, 'M', 'inside'],
    ['smaller', 457.01, 'M', 'between-smaller'],
    ['nearer', 457.01, 'M', 'between-nearer'],
    ['ask', 457.01, 'M', 'between-ask'],
  ] as const)('%s, %d: %s by %s', (between, mean, size, rule) =>
    expect(one(mean, { between })).toMatchObject({ size, rule }),
  );

  test.each([
    ['larger', 459, 'M'],
    ['larger', 431, 'S'],
    ['smaller', 431, 'M'],
    ['smaller', 459, 'L'],
    ['ask', 459, 'L'],
  ] as const)('%s, %d: the other one is told as %s', (between, mean, against) =>
    expect(one(mean, { between }).against).toBe(against),
  );

  // in a band that is narrower than the reading is uncertain both neighbours are near: the nearer is told
  test.each([
    ['S', 431],
    ['L', 459],
    ['S', 445],
  ])('both near, %s is told at %d', (against, mean) =>
    expect(one(mean, { between: 'ask' }, 40).against).toBe(mean === 445 ? 'S' : against),
  );

  test('the smallest and the largest size have a neighbour on one side alone', () => {
    expect(one(401, { between: 'smaller' })).toMatchObject({
      size: 'S',
      rule: 'inside',
      neighbour: undefined,
    });
    expect(one(519, { between: 'larger' })).toMatchObject({
      size: 'XL',
      rule: 'inside',
      neighbour: undefined,
    });
    expect(one(519, { between: 'ask' })).toMatchObject({ outcome: 'size', rule: 'inside' });
  });
});

describe('what the readings make likelier, and what the rule takes', () => {
  test('a rule that overrules says the likelier one and how likely it was', () => {
    const { size, overruled, probability, probabilities } = one(458.5, { between: 'larger' });
    // (460 - 458.5)/3 = 0.5: Phi 0.6915 (normal table)
    expect(size).toBe('L');
    expect(overruled!.size).toBe('M');
    expect(overruled!.probability).toBeCloseTo(0.6915, 4);
    expect(probability).toBeCloseTo(0.3085, 4);
    expect(probabilities.map((each) => each.size)).toEqual(['S', 'M', 'L', 'XL']);
  });
  test('the likelier one itself overrules nothing', () =>
    expect(one(461, { between: 'larger' }).overruled).toBeUndefined());
  test('where no size is given nothing is overruled', () => {
    expect(two(445, 372, { disagree: 'made-to-measure' })).toMatchObject({
      outcome: 'made-to-measure',
      overruled: undefined,
    });
    expect(one(459, { between: 'ask' }).overruled).toBeUndefined();
  });
  test('off the chart the likeliest size is told while it has more than a hundredth', () => {
    // (522 - 520)/3 = 0.667: 0.2525 below the edge; (527 - 520)/3 = 2.333: 0.0098 (normal table)
    expect(one(522)).toMatchObject({ outcome: 'made-to-measure', rule: 'outside', size: 'XL' });
    expect(one(522).probability).toBeCloseTo(0.2525, 3);
    expect(one(527)).toMatchObject({ size: undefined, probability: 0 });
  });
  test('in another order of sizes the likeliest is still the likeliest', () =>
    expect(one(398).size).toBe('S'));
});

describe('which axis decides', () => {
  const by = (a: AxisReading, b: AxisReading) => match(chart(), { above: a, below: b });
  // above 448: 12 from the edge; below 355: 5 from it
  test('the one whose margin is least against its uncertainty, not the least in mm', () => {
    expect(by(read(448, 12), read(355, 1))).toMatchObject({ decides: 'above', margin: 12, neighbour: 'L' });
    expect(by(read(448, 1), read(355, 1))).toMatchObject({ decides: 'below', margin: 5, neighbour: 'L' });
    expect(by(read(442, 12), read(348, 0.5))).toMatchObject({ decides: 'above', margin: 12, neighbour: 'S' });
  });
  test('of two alike the first', () =>
    expect(
      match(chart({ axes: [above, axis('below', 400, 30)] }), { above: read(441), below: read(441) }),
    ).toMatchObject({ decides: 'above', margin: 11, neighbour: 'S' }));
  test('off the chart: how far, and the nearest size; of two as near the first', () => {
    expect(one(390)).toMatchObject({ margin: -10, neighbour: 'S' });
    expect(one(533)).toMatchObject({ margin: -13, neighbour: 'XL' });
  });
});

describe('axes that do not agree', () => {
  test.each([
    ['primary', 445, 372, 'M', 'disagree-primary'],
    ['primary', 470, 348, 'L', 'disagree-primary'],
    ['larger', 445, 372, 'L', 'disagree-larger'],
    ['larger', 470, 348, 'L', 'disagree-larger'],
  ] as const)('%s, %d and %d: %s', (disagree, a, b, size, rule) =>
    expect(two(a, b, { disagree })).toMatchObject({ outcome: 'size', size, rule, against: 'M – L' }),
  );
  // above 459 points to M and claims L; below 372 points to L; 384 would claim XL: held within M and L
  test('a claim beyond what is pointed to is held within it', () => {
    expect(two(445, 384, { between: 'larger' })).toMatchObject({ size: 'L', rule: 'disagree-larger' });
    expect(two(459, 372, { between: 'larger', disagree: 'primary' })).toMatchObject({ size: 'L' });
    expect(two(461, 348, { between: 'smaller', disagree: 'primary' })).toMatchObject({ size: 'M' });
  });
  test('two sizes apart', () =>
    expect(two(415, 372)).toMatchObject({ outcome: 'made-to-measure', rule: 'apart', against: 'S – L' }));
  test('one off the chart takes both off', () => {
    expect(two(390, 348)).toMatchObject({ outcome: 'made-to-measure', rule: 'outside' });
    expect(two(445, 300)).toMatchObject({ outcome: 'made-to-measure', rule: 'outside' });
  });
  test('they agree, and the second is near the next: the rule goes by any of them', () => {
    expect(two(445, 359, { between: 'larger' })).toMatchObject({
      size: 'L',
      rule: 'between-larger',
      against: 'M',
    });
    expect(two(445, 359, { between: 'nearer' })).toMatchObject({
      size: 'M',
      rule: 'between-nearer',
      against: 'L',
    });
    expect(two(445, 359, { between: 'larger', disagree: 'primary' })).toMatchObject({
      size: 'M',
      against: 'L',
    });
  });
});

describe('a gap of the printed chart', () => {
  const gapped: ChartAxis = {
    reading: 'above',
    resolution: 0,
    bands: [
      { size: 'S', from: 400, to: 425 },
      { size: 'M', from: 435, to: 460 },
    ],
  };
  const inGap = (mean: number, between: Chart['between']) =>
    match(chart({ sizes: ['S', 'M'], axes: [gapped], between }), { above: read(mean, 0.5) });
  test.each([
    ['larger', 427, 'M', 'between-larger', 'S'],
    ['smaller', 433, 'S', 'between-smaller', 'M'],
    ['nearer', 429, 'S', 'between-nearer', 'M'],
    ['nearer', 431, 'M', 'between-nearer', 'S'],
    ['ask', 431, 'M', 'between-ask', 'S'],
  ] as const)('%s, %d: %s, against %s', (between, mean, size, rule, against) =>
    expect(inGap(mean, between)).toMatchObject({ size, rule, against }),
  );
  test('the gap is said with its limits and its sizes; outside it none is', () => {
    expect(inGap(430, 'larger').gaps).toEqual([
      { reading: 'above', below: 'S', above: 'M', from: 425, to: 435 },
    ]);
    expect(inGap(420, 'larger').gaps).toEqual([]);
    expect(inGap(435, 'larger').gaps).toEqual([]);
  });
});

describe('side extensions', () => {
  const upTo = { sideExtension: { upTo: 560 } };
  test.each([
    [520, 'side-extension'],
    [560, 'side-extension'],
    [560.1, 'outside'],
    [390, 'outside'],
  ] as const)('above %d: %s', (mean, rule) => expect(two(mean, 400, upTo).rule).toBe(rule));
  test('take the largest size, with no likelier one to overrule', () =>
    expect(two(555, 400, upTo)).toMatchObject({ outcome: 'size', size: 'XL', overruled: undefined }));
  test('not where the other axis is off the chart or two sizes away, and not without any', () => {
    expect(two(540, 300, upTo)).toMatchObject({ rule: 'outside' });
    expect(two(540, 345, upTo)).toMatchObject({ rule: 'apart' });
    expect(two(540, 400)).toMatchObject({ rule: 'outside' });
  });
  test('inside the chart nothing is extended', () =>
    expect(two(505, 400, upTo)).toMatchObject({ rule: 'inside', size: 'XL' }));
  // the other axis points to L and is near M: it is not between two sizes of the extended one
  test('one size apart the extended one still gets the largest', () =>
    expect(two(540, 361, { ...upTo, between: 'smaller' })).toMatchObject({
      rule: 'side-extension',
      size: 'XL',
    }));
});

describe('a two-way table', () => {
  const rows = axis('length', 400, 30, ['short', 'middle', 'long']);
  const columns = axis('girth', 310, 25, ['narrow', 'wide', 'widest']);
  const table = [
    ['1', '2', '3'],
    ['2', '3', '4'],
    ['3', '', '4'],
  ];
  const cell = (length: number, girth: number, between: Chart['between'], own = 3) =>
    match(chart({ sizes: ['1', '2', '3', '4'], axes: [rows, columns], table, between }), {
      length: read(length, own),
      girth: read(girth, own),
    });
  test.each([
    [415, 322, 'larger', '1', 'inside'],
    [445, 347, 'larger', '3', 'inside'],
    [428, 322, 'larger', '2', 'between-larger'],
    [432, 347, 'smaller', '2', 'between-smaller'],
    [445, 334, 'larger', '3', 'between-larger'],
    [445, 336, 'smaller', '2', 'between-smaller'],
    [432, 347, 'larger', '3', 'between-larger'],
    [428, 322, 'smaller', '1', 'between-smaller'],
    [428, 322, 'ask', '1', 'between-ask'],
    [428, 322, 'nearer', '1', 'between-nearer'],
  ] as const)('%d by %d, %s: %s by %s', (length, girth, between, size, rule) =>
    expect(cell(length, girth, between)).toMatchObject({ size, rule }),
  );
  test('between two rows and two columns it takes one step, not the one across the corner', () => {
    expect(cell(428, 334, 'larger')).toMatchObject({ size: '2' });
    expect(cell(432, 336, 'smaller')).toMatchObject({ size: '2' });
  });
  test('the other size is told', () => {
    expect(cell(428, 322, 'larger').against).toBe('1');
    expect(cell(428, 322, 'nearer').against).toBe('2');
    expect(cell(445, 334, 'nearer').against).toBe('3');
  });
  test('an empty cell, and a reading beyond the rows or the columns, are made to measure', () => {
    expect(cell(475, 347, 'larger')).toMatchObject({ outcome: 'made-to-measure', rule: 'outside' });
    expect(cell(520, 347, 'larger')).toMatchObject({ rule: 'outside', neighbour: undefined });
    expect(cell(520, 347, 'larger').pointed).toEqual([
      { reading: 'length', size: undefined },
      { reading: 'girth', size: undefined },
    ]);
    expect(cell(415, 300, 'larger').pointed[0]).toEqual({ reading: 'length', size: undefined });
  });
  test('beside an empty cell there is nothing to be between', () =>
    expect(cell(458, 347, 'larger')).toMatchObject({ size: '3', rule: 'inside', against: undefined }));
  // rows long/middle, column widest: both cells are 4, so the next other size is a column away
  test('a neighbouring row of the same size is no other size', () => {
    const found = cell(458, 372, 'larger', 0.5);
    expect(found).toMatchObject({ size: '4', rule: 'inside' });
    expect(found.decides).toBe('girth');
    expect(found).toMatchObject({ margin: 12, neighbour: '3' });
    expect(cell(462, 383, 'larger', 0.5)).toMatchObject({ size: '4', margin: 2, neighbour: undefined });
  });
  test('a gap between rows is said, and the rule applied', () => {
    const gapped = { ...rows, bands: rows.bands.map((band) => ({ ...band, to: band.to - 10 })) };
    const found = match(
      chart({ sizes: ['1', '2', '3', '4'], axes: [gapped, columns], table, between: 'larger' }),
      { length: read(425, 0.5), girth: read(322, 0.5) },
    );
    expect(found).toMatchObject({ size: '2', rule: 'between-larger' });
    expect(found.gaps).toEqual([{ reading: 'length', below: 'short', above: 'middle', from: 420, to: 430 }]);
  });
});

describe('a chart whose bands only say what can be made', () => {
  test('gives no stock size', () =>
    expect(two(445, 348, { supply: 'made-to-measure' })).toMatchObject({
      outcome: 'made-to-measure',
      rule: 'supply',
      size: 'M',
    }));
  test('and what is outside it stays outside', () =>
    expect(two(390, 348, { supply: 'made-to-measure' })).toMatchObject({ rule: 'outside' }));
  test('stock or both give the size', () =>
    expect(two(445, 348, { supply: 'both' })).toMatchObject({ outcome: 'size', size: 'M' }));
});

test('where disagreement is made to measure, the larger of two is taken only when both readings claim it', () => {
  const rules = { between: 'larger', disagree: 'made-to-measure' } as const;
  // 458 lies near L, 347 in the middle of M: nothing points to L
  expect(two(458, 347, rules)).toMatchObject({ outcome: 'size', size: 'M', rule: 'between-larger' });
  expect(two(458, 358, rules)).toMatchObject({ outcome: 'size', size: 'L', rule: 'between-larger' });
  for (let a = 431; a < 460; a += 1)
    for (let b = 336; b < 360; b += 1) expect(two(a, b, rules).probability).toBeGreaterThan(0.001);
});
