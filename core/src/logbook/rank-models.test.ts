import { buildOf, legGirth } from '../anatomy';
import jstat from 'jstat';
import { decideSize } from '../sizing';
import type { BraceModel } from '../programmes';
import { foldCase } from './fold-case';
import { rankModels } from './rank-models';
import { beltContext, testContext, testLogbook } from './test-case';

const { model, programme } = testContext;
const log = testLogbook();
log.read('girth-above', 'right', 444, 446);
log.read('girth-below', 'right', 347, 349);
const state = foldCase(log.entries, testContext)!;
const at = (above: number, id: string, shift = 0): { model: BraceModel; programme: typeof programme } => ({
  programme,
  model: {
    ...model,
    id,
    distances: { 'girth-above': above, 'girth-below': -150 },
    chart: {
      ...model.chart,
      axes: model.chart.axes.map((axis) => ({
        ...axis,
        bands: axis.bands.map((band) => ({ ...band, from: band.from + shift, to: band.to + shift })),
      })),
    },
  },
});

test('read at the model’s own distance it is as it was read; at another it is estimated and less certain', () => {
  const fits = rankModels(state, [at(170, 'other distance'), at(150, 'same distance')], 1700);
  expect(fits.map(({ model: { model: one }, estimated }) => [one.id, estimated])).toEqual([
    ['same distance', false],
    ['other distance', true],
  ]);
  expect(fits[0]!.match).toEqual(state.sizing.match);
  const [same, other] = fits.map(({ match }) => (match.outcome === 'incomplete' ? 0 : match.probability));
  expect(other!).toBeLessThan(same!);
});

test('too far from where a girth was read nothing is estimated', () => {
  const [fit] = rankModels(state, [at(300, 'far')], 1700);
  expect(fit!.match).toEqual({ outcome: 'incomplete', missing: ['girth-above'] });
});

test('what the body does not fit comes last and says by how much', () => {
  const fits = rankModels(state, [at(150, 'small', -200), at(150, 'fits')], 1700);
  expect(fits.map(({ model: { model: one } }) => one.id)).toEqual(['fits', 'small']);
  expect(fits[1]!.match).toMatchObject({
    outcome: 'made-to-measure',
    rule: 'outside',
    margin: -163,
    decides: 'girth-below',
  });
});

test('made to measure is chosen in spite of a stock size, with the reason and what was computed', () => {
  expect(decideSize(state, { size: undefined, reason: 'ordered by the ward' })).toMatchObject({
    computed: 'M',
    reason: 'ordered by the ward',
    probability: 0,
  });
  expect(decideSize(state, { size: undefined, reason: 'x' })!.size).toBeUndefined();
  expect(decideSize(state)).toMatchObject({ size: 'M', rule: 'inside' });
});

test('a girth is estimated within eight centimetres of one that was read, both ways, and no further', () => {
  const missing = (above: number) => {
    const { match } = rankModels(state, [at(above, 'other')], 1700)[0]!;
    return match.outcome === 'incomplete' ? match.missing : [];
  };
  expect([230, 231, 70, 69].map((above) => missing(above).length)).toEqual([0, 1, 0, 1]);
});

test('only a girth of the braced side is estimated from, the nearer of two', () => {
  const other = testLogbook();
  other.read('girth-above', 'left', 500, 500);
  other.read('girth-below', 'right', 347, 349);
  const [fit] = rankModels(foldCase(other.entries, testContext)!, [at(170, 'other')], 1700);
  expect(fit!.match).toEqual({ outcome: 'incomplete', missing: ['girth-above'] });
});

test('models that read alike are ranked by what they read, each with its own chart', () => {
  const fits = rankModels(state, [at(150, 'one'), at(150, 'two', -200), at(170, 'three')], 1700);
  expect(fits.map(({ model: { model: one }, estimated }) => [one.id, estimated])).toEqual([
    ['one', false],
    ['three', true],
    ['two', false],
  ]);
  expect(rankModels(state, [], 1700)).toEqual([]);
});

const testModelBands = model.chart.axes[0]!.bands;
const meanOf = (found: typeof state, model: BraceModel, by = programme, stature = 1700) => {
  const [fit] = rankModels(found, [{ programme: by, model }], stature);
  return fit!;
};
/** A model with one axis, read so far above the knee. */
const oneAxis = (above: number): BraceModel => {
  const { model: whole } = at(above, 'one axis');
  return { ...whole, chart: { ...whole.chart, axes: [whole.chart.axes[0]!] } };
};

test.each([190, 151, 140])(
  'a girth of a leg %d mm up is estimated from the leg’s own form, with half of what it changes by, three at the least',
  (above) => {
    const read = [
      { from: 'mid-kneecap' as const, distance: 150, girth: 445 },
      { from: 'mid-kneecap' as const, distance: -150, girth: 348 },
    ];
    // by another road: the leg's profile asked for itself, the band's probability by a library
    const expected = legGirth({ girths: read }, buildOf(1700))(above);
    const { repeatPart, sharedPart } = state.sizing.readings['girth-above']!;
    const u = Math.hypot(repeatPart, sharedPart, Math.max(3, Math.abs(expected - 445) / 2));
    const { match } = meanOf(state, oneAxis(above));
    if (match.outcome === 'incomplete') throw new Error('not read');
    const { from, to } = testModelBands.find(
      ({ from: low, to: high }) => expected >= low && expected < high,
    )!;
    expect(match.probability).toBeCloseTo(
      jstat.normal.cdf(to, expected, u) - jstat.normal.cdf(from, expected, u),
      6,
    );
    expect(match.margin).toBeCloseTo(Math.min(expected - from, to - expected), 6);
  },
);

test('a place is the same only with every one of its words: a girth by another name at the same place is read', () => {
  const renamed = {
    ...programme,
    measuring: programme.measuring.map((step) =>
      step.id === 'girth-above' ? { ...step, id: 'thigh' } : step,
    ),
    axes: ['thigh', 'girth-below'],
  };
  const model_ = at(150, 'renamed').model;
  const chart = {
    ...model_.chart,
    axes: model_.chart.axes.map((axis) =>
      axis.reading === 'girth-above' ? { ...axis, reading: 'thigh' } : axis,
    ),
  };
  const fit = meanOf(state, { ...model_, chart, distances: { thigh: 150, 'girth-below': -150 } }, renamed);
  expect(fit).toMatchObject({ estimated: false, match: { size: 'M' } });
});

test('on a trunk a girth is estimated between those that were read above and below it', () => {
  const belt = testLogbook(beltContext, 'midline');
  belt.read('girth-waist', 'midline', 900, 902);
  belt.read('girth-waist-above', 'midline', 940, 942);
  belt.read('girth-waist-below', 'midline', 1000, 1002);
  const read = foldCase(belt.entries, beltContext)!;
  const sizeAt = (above: number) => {
    const { chart } = beltContext.model;
    const [axis] = chart.axes;
    const bands = [
      { size: 'under', from: 700, to: 901 },
      { size: 'lower half', from: 901, to: 921 },
      { size: 'upper half', from: 921, to: 941 },
      { size: 'over', from: 941, to: 1200 },
    ];
    const other: BraceModel = {
      ...beltContext.model,
      distances: { 'girth-waist-above': above, 'girth-waist-below': -80 },
      chart: {
        ...chart,
        sizes: bands.map(({ size }) => size),
        between: 'nearer',
        axes: [{ ...axis!, reading: 'girth-waist-above', bands }],
      },
    };
    const [fit] = rankModels(read, [{ programme: beltContext.programme, model: other }], 1700);
    return [fit!.estimated, 'size' in fit!.match ? fit!.match.size : undefined];
  };
  expect(sizeAt(80)[0]).toBe(false);
  // a quarter and three quarters of the way from the waist: whatever the curve, it rises between the two
  expect(sizeAt(20)).toEqual([true, 'lower half']);
  expect(sizeAt(65)).toEqual([true, 'upper half']);
});
