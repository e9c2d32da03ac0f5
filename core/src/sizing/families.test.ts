import fc from 'fast-check';
import { beltEnds, beltTilt, extensionEachSide } from './belt';
import { bestFit } from './best-fit';
import type { Chart, ChartAxis } from './chart';
import { girthDrift } from './drift';
import { matchHeight } from './height';
import { lintChart } from './lint';
import type { AxisReading } from './axis';
import { matchSize } from './match';

const at = (mean: number, own = 1, shared = 0): AxisReading => ({
  mean,
  repeatPart: own,
  sharedPart: shared,
  repeats: 2,
});
const axis = (reading: string, sizes: readonly string[], edges: readonly number[]): ChartAxis => ({
  reading,
  resolution: 0,
  bands: sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })),
});
const table: Chart = {
  version: 1,
  sizes: ['1', '2', '3'],
  axes: [axis('above', ['a', 'b'], [300, 400, 500]), axis('below', ['c', 'd', 'e'], [200, 260, 320, 380])],
  table: [
    ['1', '1', '2'],
    ['', '2', '3'],
  ],
  between: 'larger',
  disagree: 'larger',
};

describe('a two-way table', () => {
  test.each([
    [350, 230, 'size', '1', 'inside'],
    [350, 350, 'size', '2', 'inside'],
    [450, 350, 'size', '3', 'inside'],
    [450, 230, 'made-to-measure', undefined, 'outside'],
    [550, 350, 'made-to-measure', undefined, 'outside'],
    [350, 319.5, 'size', '2', 'between-larger'],
  ])('%d above and %d below: %s %s', (above, below, outcome, size, rule) => {
    const match = matchSize(table, { above: at(above), below: at(below) });
    expect(match).toMatchObject({ outcome, rule });
    if (size) expect(match).toMatchObject({ size });
  });

  test('the next band of the same size is no edge', () => {
    const match = matchSize(table, { above: at(350), below: at(258) });
    // 258 lies 2 from the band at 260, which is size 1 as well: the next size begins at 320
    expect(match).toMatchObject({ size: '1', rule: 'inside', margin: 50, decides: 'above' });
  });

  test('probabilities are the cells’, as a double sum over independent bands', () => {
    const match = matchSize(table, { above: at(399, 5), below: at(262, 5) });
    if (match.outcome === 'incomplete') throw new Error();
    const sum = match.probabilities.reduce((all, { probability }) => all + probability, 0);
    expect(sum).toBeLessThanOrEqual(1 + 1e-9);
    // cells by hand: P(a) = Phi(0.2), P(c) = Phi(-0.4)
    const [a, c] = [0.5792597094, 0.3445782584];
    expect(match.probabilities.map(({ probability }) => probability)[0]).toBeCloseTo(a, 6);
    expect(match.probabilities.map(({ probability }) => probability)[1]).toBeCloseTo((1 - a) * (1 - c), 6);
  });
});

describe('child triples: age leads, weight and length are told', () => {
  const sizes = ['P1', 'P2', 'P3'];
  const chart: Chart = {
    version: 1,
    sizes,
    axes: [
      axis('age', sizes, [0, 2, 5, 9]),
      axis('weight', sizes, [3, 12, 18, 28]),
      axis('stature', sizes, [480, 870, 1090, 1330]),
    ],
    between: 'nearer',
    disagree: 'primary',
  };
  test('all three agree', () =>
    expect(
      matchSize(chart, { age: at(3.5, 0.05), weight: at(14.5, 0.3), stature: at(980, 5) }),
    ).toMatchObject({ size: 'P2', rule: 'inside' }));
  test('a light child of four: the age decides, and what each points to is said', () => {
    const match = matchSize(chart, { age: at(4.2, 0.05), weight: at(11.2, 0.3), stature: at(1010, 5) });
    expect(match).toMatchObject({ size: 'P2', rule: 'disagree-primary', against: 'P1 – P2' });
    if (match.outcome === 'incomplete') throw new Error();
    expect(match.pointed.map(({ size }) => size)).toEqual(['P2', 'P1', 'P2']);
  });
  test('two sizes apart is made to measure', () =>
    expect(matchSize(chart, { age: at(1.5, 0.05), weight: at(20, 0.3), stature: at(900, 5) })).toMatchObject({
      outcome: 'made-to-measure',
      rule: 'apart',
    }));
});

describe('belts', () => {
  const belt = { overlap: 120, backPanel: 240, marks: { first: 180, spacing: 20, count: 24 } };
  // each side (girth + overlap - back panel)/2, to the fold mark (common practice, no source)
  test('both ends at the same mark', () =>
    expect(beltEnds(1000, belt)).toEqual({ side: 440, mark: 14, off: 0, beyond: false }));
  test('what lies between marks is said', () =>
    expect(beltEnds(1012, belt)).toMatchObject({ side: 446, mark: 14, off: -6 }));
  test('a girth beyond the last mark says so', () =>
    expect(beltEnds(1700, belt)).toMatchObject({ mark: 24, beyond: true }));

  // a cone whose girth grows by 2 pi over a height of 1 leans by 45 degrees
  test('tilt of a cone', () => {
    expect(beltTilt(1000, 1000 + 2 * Math.PI * 160, 160)).toBeCloseTo(45, 9);
    expect(beltTilt(1041, 1006, 160)).toBeLessThan(0);
  });

  const chart: Chart = {
    version: 1,
    sizes: ['S', 'L'],
    axes: [axis('waist', ['S', 'L'], [600, 800, 1000])],
    between: 'larger',
    disagree: 'primary',
    sideExtension: { upTo: 1200 },
  };
  test.each([
    [950, 'size', 'inside', 0],
    [1100, 'size', 'side-extension', 50],
    [1200, 'size', 'side-extension', 100],
    [1250, 'made-to-measure', 'outside', 125],
    [550, 'made-to-measure', 'outside', 0],
  ])('%d mm: %s by %s', (girth, outcome, rule, each) => {
    expect(matchSize(chart, { waist: at(girth) })).toMatchObject({ outcome, rule });
    expect(extensionEachSide(chart, girth)).toBe(each);
  });
});

test('a chart of what can be made gives no stock size, and says when even that is passed', () => {
  const chart: Chart = {
    version: 1,
    sizes: ['made'],
    axes: [axis('chest', ['made'], [500, 1500])],
    between: 'larger',
    disagree: 'larger',
    supply: 'made-to-measure',
  };
  expect(matchSize(chart, { chest: at(900) })).toMatchObject({ outcome: 'made-to-measure', rule: 'supply' });
  expect(matchSize(chart, { chest: at(1600) })).toMatchObject({
    outcome: 'made-to-measure',
    rule: 'outside',
  });
});

describe('heights', () => {
  const heights: Chart = {
    ...table,
    heights: [
      { height: 'low', reading: 'l1-to-l5', from: 100, to: 190 },
      { height: 'tall', reading: 't9', from: 260, to: 400 },
    ],
  };
  const low = { 'l1-to-l5': at(150) };
  // common practice, no source: low or tall is ordered, a length that is read is compared with it
  test('the order says which; the length that was read is held against it', () => {
    expect(matchHeight(heights, low, 'low')).toMatchObject({ ordered: 'low', read: { height: 'low' } });
    expect(matchHeight(heights, low, 'tall')).toMatchObject({ ordered: 'tall', read: { height: 'low' } });
    expect(matchHeight(heights, low, undefined)?.ordered).toBeUndefined();
  });
  test('a length that suits no height names none, and says of which reading', () => {
    const read = matchHeight(heights, { 'l1-to-l5': at(250) }, 'low')?.read;
    expect(read?.reading).toBe('l1-to-l5');
    expect(read?.height).toBeUndefined();
  });
  test('what was not read is missing; a height without a length has nothing to check it', () => {
    expect(matchHeight(heights, {}, 'low')).toEqual({ ordered: 'low', missing: ['l1-to-l5', 't9'] });
    const unread = { ...table, heights: [{ height: 'short' as const }, { height: 'tall' as const }] };
    expect(matchHeight(unread, {}, undefined)).toEqual({ missing: [] });
    expect(matchHeight(table, {}, 'low')).toBeUndefined();
  });
});

describe('lint', () => {
  const base: Chart = {
    version: 1,
    sizes: ['S', 'M', 'L'],
    axes: [axis('waist', ['S', 'M', 'L'], [600, 700, 800, 900])],
    between: 'larger',
    disagree: 'primary',
  };
  const withBands = (...bands: [string, number, number][]): Chart => ({
    ...base,
    axes: [{ reading: 'waist', resolution: 0, bands: bands.map(([size, from, to]) => ({ size, from, to })) }],
  });
  test('a sound chart has no finding', () => {
    expect(lintChart(base, { waist: [400, 1900] })).toEqual([]);
    expect(
      lintChart({
        ...table,
        table: [
          ['1', '1', '2'],
          ['1', '2', '3'],
        ],
      }),
    ).toEqual([]);
  });
  test.each([
    ['gap', withBands(['S', 600, 690], ['M', 700, 800], ['L', 800, 900]), { size: 'S', next: 'M', by: 10 }],
    ['overlap', withBands(['S', 600, 720], ['M', 700, 800], ['L', 800, 900]), { by: 20 }],
    ['not-rising', withBands(['S', 700, 800], ['M', 600, 700], ['L', 800, 900]), { size: 'S', next: 'M' }],
    ['reversed', withBands(['S', 600, 700], ['M', 800, 700], ['L', 800, 900]), { size: 'M' }],
    ['looks-like-inches', withBands(['S', 24, 28], ['M', 28, 32], ['L', 32, 36]), { reading: 'waist' }],
    ['size-missing', withBands(['S', 600, 700], ['L', 700, 900]), { size: 'M' }],
    ['never-reached', withBands(['S', 600, 800], ['M', 650, 750], ['L', 800, 900]), { size: 'M' }],
    [
      'table-not-rising',
      {
        ...table,
        table: [
          ['2', '1', '2'],
          ['2', '2', '3'],
        ],
      },
      { row: 'a', column: 'c' },
    ],
    [
      'never-reached',
      {
        ...table,
        table: [
          ['1', '1', '1'],
          ['1', '1', '3'],
        ],
      },
      { size: '2' },
    ],
  ] as const)('%s is found', (finding, chart, more) =>
    expect(lintChart(chart as Chart, { waist: [400, 1900] })).toContainEqual(
      expect.objectContaining({ finding, ...more }),
    ),
  );
  test('printed whole centimetres meet: no gap between 34-36 and 37-39', () =>
    expect(
      lintChart({
        ...base,
        sizes: ['S', 'M'],
        axes: [
          {
            reading: 'waist',
            resolution: 10,
            bands: [
              { size: 'S', from: 340, to: 360 },
              { size: 'M', from: 370, to: 390 },
            ],
          },
        ],
      }),
    ).toEqual([]));
});

describe('drift', () => {
  const weekly = (...girths: number[]) =>
    girths.map((girth, i) => ({ day: `2026-10-${String(1 + 5 * i).padStart(2, '0')}`, girth }));
  test('a girth that falls a millimetre a day leaves its band in a range of days', () => {
    const drift = girthDrift(weekly(505, 500, 495, 490, 485), [470, 520])!;
    expect(drift.perWeek).toBeCloseTo(-7, 9);
    // 485 on 21 October, 15 mm to go at exactly 1 mm a day
    expect(drift.crosses).toEqual({ edge: 470, from: '2026-11-05', to: '2026-11-05' });
  });
  test('under five visits, or without a sure direction, no date is given', () => {
    expect(girthDrift(weekly(505, 500, 495, 490), [470, 520])).toMatchObject({ crosses: undefined });
    expect(girthDrift(weekly(500, 503, 498, 502, 499, 501), [470, 520])).toMatchObject({
      crosses: undefined,
    });
    expect(girthDrift(weekly(500), [470, 520])).toBeUndefined();
  });
  test('a scattered fall gives an early and a late day', () => {
    const { crosses } = girthDrift(weekly(508, 503, 501, 494, 492, 488), [470, 520])!;
    expect(crosses!.from < crosses!.to!).toBe(true);
  });
});

describe('best fit', () => {
  const sizes = ['S', 'M', 'L'];
  const chart = (edges: number[]): Chart => ({
    version: 1,
    sizes,
    axes: [axis('waist', sizes, edges)],
    between: 'larger',
    disagree: 'primary',
  });
  const readings = { waist: at(760, 4) };
  test('the surest first, out of range after it, missing last', () => {
    const ranked = bestFit([
      { model: 'too small', chart: chart([300, 400, 500, 600]), readings },
      { model: 'at an edge', chart: chart([700, 759, 820, 880]), readings },
      { model: 'not measured', chart: chart([700, 740, 790, 880]), readings: {} },
      { model: 'in the middle', chart: chart([700, 730, 790, 880]), readings },
    ]);
    expect(ranked.map(({ model }) => model)).toEqual([
      'in the middle',
      'at an edge',
      'too small',
      'not measured',
    ]);
  });
  test('alike by probability, the margin tells', () => {
    const ranked = bestFit([
      { model: 'narrow', chart: chart([600, 720, 800, 900]), readings: { waist: at(760, 1) } },
      { model: 'wide', chart: chart([500, 660, 860, 960]), readings: { waist: at(760, 1) } },
    ]);
    expect(ranked.map(({ model }) => model)).toEqual(['wide', 'narrow']);
  });
});

const numbers = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyChart = fc
  .record({
    between: fc.constantFrom('larger', 'smaller', 'nearer', 'ask'),
    disagree: fc.constantFrom('primary', 'larger', 'made-to-measure'),
    first: fc.uniqueArray(fc.integer({ min: 300, max: 700 }), { minLength: 4, maxLength: 8 }),
    second: fc.uniqueArray(fc.integer({ min: 200, max: 500 }), { minLength: 8, maxLength: 8 }),
  })
  .map(({ first, second, ...rules }): Chart => {
    const rising = (values: number[]) => [...values].sort((a, b) => a - b);
    const sizes = first.slice(1).map((_, i) => `s${i}`);
    return {
      version: 1,
      sizes,
      axes: [axis('a', sizes, rising(first)), axis('b', sizes, rising(second).slice(0, first.length))],
      ...rules,
    } as Chart;
  });

test('bands that do not overlap: probabilities sum to at most 1', () => {
  fc.assert(
    fc.property(
      anyChart,
      numbers(250, 750),
      numbers(150, 550),
      numbers(0.5, 20),
      numbers(0, 20),
      (chart, a, b, own, shared) => {
        const match = matchSize(chart, { a: at(a, own, shared), b: at(b, own, shared) });
        if (match.outcome === 'incomplete') return false;
        const sum = match.probabilities.reduce((all, { probability }) => all + probability, 0);
        return sum <= 1 + 1e-6 && match.probabilities.every(({ probability }) => probability >= -1e-12);
      },
    ),
  );
});

test('a larger body never gets a smaller size', () => {
  const rank = (chart: Chart, a: number, b: number) => {
    const match = matchSize(chart, { a: at(a, 4, 2), b: at(b, 4, 2) });
    return match.outcome === 'size' ? chart.sizes.indexOf(match.size!) : undefined;
  };
  fc.assert(
    fc.property(
      anyChart,
      numbers(250, 700),
      numbers(150, 500),
      numbers(0, 80),
      numbers(0, 80),
      (chart, a, b, da, db) => {
        const [small, large] = [rank(chart, a, b), rank(chart, a + da, b + db)];
        return small === undefined || large === undefined || large >= small;
      },
    ),
    { numRuns: 400 },
  );
});

test('a likely size that the chart leaves to the fitter comes before an unlikely one that it names', () => {
  const girth = (from: number, to: number, between: 'ask' | 'larger'): Chart => ({
    version: 1,
    sizes: ['1', '2'],
    axes: [
      {
        reading: 'a',
        resolution: 0,
        bands: [
          { size: '1', from: from - 40, to: from },
          { size: '2', from, to },
        ],
      },
    ],
    between,
    disagree: 'larger',
  });
  const readings = { a: { mean: 400, repeatPart: 2, sharedPart: 2, repeats: 2 } };
  const ranked = bestFit([
    // inside 2 by a little, by the rule: about one half
    { model: 'named', chart: girth(400.5, 440, 'larger'), readings },
    // in 2, near 1 all the same: asked, and likely
    { model: 'asked', chart: girth(398, 440, 'ask'), readings },
  ]);
  expect(ranked.map(({ model, match }) => [model, match.outcome])).toEqual([
    ['asked', 'ask'],
    ['named', 'size'],
  ]);
});
