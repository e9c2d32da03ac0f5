import { chartOf, programmes, type BraceModel } from '@estribo/core/programmes';
import { matchSize, type AxisReading, type Chart } from '@estribo/core/sizing';
import { demoModels } from './models';

/*
 * Every chart that ships, on a grid, against a plain oracle written from the rules as the trade says them (common
 * practice, no source): it scans printed bands and knows nothing of how the core goes about it.
 */

const charts = demoModels
  // a brace of one size has no grid
  .filter(({ chart }) => chart.axes.length > 0)
  .map((model: BraceModel): [string, Chart] => [
    model.id,
    chartOf(
      programmes.find(({ id }) => id === model.programme)!,
      model,
    ),
  ]);

const uncertainty = (u: number) => ({ repeatPart: u * 0.6, sharedPart: u * 0.8, repeats: 2 });

/** The place of the band a value falls into; a gap is one side's by the chart's rule. */
function placeOf(chart: Chart, at: number, value: number): number | undefined {
  const axis = chart.axes[at]!;
  const half = axis.resolution / 2;
  const names = chart.table ? axis.bands.map(({ size }) => size) : chart.sizes;
  const bands = names.map((name) => axis.bands.find(({ size }) => size === name));
  for (let k = 0; k < bands.length; k += 1) {
    const band = bands[k];
    if (!band) continue;
    if (value >= band.from - half && value < band.to + half) return k;
    const next = bands[k + 1];
    if (next && value >= band.to + half && value < next.from - half) {
      if (chart.between === 'larger') return k + 1;
      if (chart.between === 'smaller') return k;
      return value < (band.to + next.from) / 2 ? k : k + 1;
    }
  }
  return undefined;
}

/** Whether a band's upper or lower edge, as printed, is nearer than the uncertainty. */
function near(chart: Chart, at: number, k: number, value: number, u: number): { up: boolean; down: boolean } {
  const axis = chart.axes[at]!;
  const half = axis.resolution / 2;
  const name = chart.table ? axis.bands[k]!.size : chart.sizes[k]!;
  const band = axis.bands.find(({ size }) => size === name)!;
  const inside = value >= band.from - half && value < band.to + half;
  const count = chart.table ? axis.bands.length : chart.sizes.length;
  return {
    up: inside && k + 1 < count && band.to + half - value < u,
    down: inside && k > 0 && value - (band.from - half) < u,
  };
}

/** What the rules give: a size, or undefined where it is made to measure. */
function oracle(chart: Chart, values: readonly number[], u: number): string | undefined {
  const places = values.map((value, at) => placeOf(chart, at, value));
  const top = chart.axes[0]!.bands.at(-1)!.to + chart.axes[0]!.resolution / 2;
  const extends_ =
    chart.sideExtension !== undefined && values[0]! >= top && values[0]! <= chart.sideExtension.upTo;
  if (extends_) places[0] = chart.axes[0]!.bands.length - 1;
  if (places.some((place) => place === undefined)) return undefined;
  if (chart.supply === 'made-to-measure') return undefined;
  const own = places as number[];
  const claims = own.map((k, at) => {
    if (extends_ && at === 0) return k;
    const { up, down } = near(chart, at, k, values[at]!, u);
    return chart.between === 'larger' && up ? k + 1 : chart.between === 'smaller' && down ? k - 1 : k;
  });
  if (chart.table) {
    const cell = (row: number, column: number) => chart.table![row]?.[column] ?? '';
    const cells = [cell(own[0]!, own[1]!), cell(claims[0]!, own[1]!), cell(own[0]!, claims[1]!)];
    if (!cells[0]) return undefined;
    const ranks = cells.filter(Boolean).map((size) => chart.sizes.indexOf(size));
    return chart.sizes[chart.between === 'smaller' ? Math.min(...ranks) : Math.max(...ranks)];
  }
  const low = Math.min(...own);
  const high = Math.max(...own);
  if (high - low > 1) return undefined;
  if (high > low) {
    if (chart.disagree === 'made-to-measure' && !extends_) return undefined;
    if (chart.disagree === 'made-to-measure') return own[0] === high ? chart.sizes[high] : undefined;
    const held = claims.map((k) => (k < low ? low : k > high ? high : k));
    return chart.sizes[chart.disagree === 'primary' ? held[0]! : Math.max(...held)];
  }
  return chart.sizes[chart.disagree === 'primary' ? claims[0]! : Math.max(...claims)];
}

/** Values over an axis from below the smallest to above the largest size. */
function gridOf(chart: Chart, at: number, count: number): number[] {
  const { bands } = chart.axes[at]!;
  const least = Math.min(...bands.map(({ from }) => from));
  const most = Math.max(...bands.map(({ to }) => to));
  const margin = (most - least) * 0.07;
  return Array.from(
    { length: count },
    (_, i) => least - margin + ((most - least + 2 * margin) * (i + 0.37)) / count,
  );
}

function* gridPoints(chart: Chart): Generator<number[]> {
  const count = [0, 160, 22, 8, 5, 4][chart.axes.length] ?? 3;
  const axes = chart.axes.map((_, at) => gridOf(chart, at, count));
  const walk = function* (at: number, values: number[]): Generator<number[]> {
    if (at === axes.length) yield values;
    else for (const value of axes[at]!) yield* walk(at + 1, [...values, value]);
  };
  yield* walk(0, []);
}

const readings = (chart: Chart, values: readonly number[], u: number): Record<string, AxisReading> =>
  Object.fromEntries(
    chart.axes.map(({ reading }, at) => [reading, { mean: values[at]!, ...uncertainty(u) }]),
  );

/** Uncertainties from a sure hand to one that is wider than a narrow band. */
const widths = (chart: Chart): number[] => {
  const spans = chart.axes.flatMap(({ bands }) => bands.map(({ from, to }) => to - from));
  const narrow = Math.min(...spans.filter((span) => span > 0));
  return [narrow / 10, narrow / 3, narrow * 1.5];
};

test.each(charts)(
  '%s: the answer is the oracle’s over the whole chart, and no size that nothing points to',
  (_, chart) => {
    const wrong: object[] = [];
    for (const u of widths(chart))
      for (const values of gridPoints(chart)) {
        const match = matchSize(chart, readings(chart, values, u));
        if (match.outcome === 'incomplete') throw new Error('every axis was read');
        const given = match.outcome === 'made-to-measure' ? undefined : match.size;
        const wanted = oracle(chart, values, u);
        const sum = match.probabilities.reduce((all, { probability }) => all + probability, 0);
        if (given !== wanted || sum > 1 + 1e-9)
          wrong.push({ values, u, given, wanted, rule: match.rule, sum });
      }
    expect(wrong.slice(0, 3)).toEqual([]);
  },
);

test.each(charts)('%s: a larger body never gets a smaller size', (_, chart) => {
  const wrong: object[] = [];
  const rank = (values: number[], u: number) => {
    const match = matchSize(chart, readings(chart, values, u));
    return match.outcome === 'size' || match.outcome === 'ask' ? chart.sizes.indexOf(match.size!) : undefined;
  };
  for (const u of widths(chart))
    for (const values of gridPoints(chart))
      chart.axes.forEach(({ bands }, at) => {
        const span = Math.max(...bands.map(({ to }) => to)) - Math.min(...bands.map(({ from }) => from));
        const larger = values.with(at, values[at]! + span * 0.013);
        const [one, other] = [rank(values, u), rank(larger, u)];
        if (one !== undefined && other !== undefined && other < one)
          wrong.push({ values, larger, u, one, other });
      });
  expect(wrong.slice(0, 3)).toEqual([]);
});

test('412 and 368 on a chart of neighbours: the axes say S and M, so the answer is one of them', () => {
  const chart = charts.find(([id]) => id === 'caneiro-4p')![1];
  const match = matchSize(chart, {
    'girth-above': { mean: 412, repeatPart: 2, sharedPart: 3, repeats: 2 },
    'girth-below': { mean: 368, repeatPart: 2, sharedPart: 3, repeats: 2 },
  });
  if (match.outcome === 'incomplete') throw new Error('both were read');
  expect(match.pointed.map(({ size }) => size)).toContain(match.size);
  expect(match.probability).toBeGreaterThan(0.1);
});
