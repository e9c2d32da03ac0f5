import { bodyReadings, mirroredReadings } from './body-readings';
import { girthStep, readingStep, statesOf, taken } from './test-steps';

const steps = [
  girthStep('girth-above', { repeats: 1 }),
  readingStep('curve', 'c7-to-sacrum', { from: 'c7', to: 'sacrum' }),
  readingStep('distance', 'knee-to-malleoli', { from: 'mid-kneecap', to: 'malleoli' }),
  readingStep('height', 'notch-to-chin', { from: 'sternal-notch', to: 'chin-line' }),
  readingStep('width', 'knee-width', { at: 'mid-kneecap', across: 'mediolateral' }),
  readingStep('inclination', 'inclination-50', { from: 'c7', to: 'sacrum', at: 0.5 }),
  readingStep('shoe', 'foot-length'),
  readingStep('mass', 'weight'),
];
const values = {
  'girth-above': 450,
  'c7-to-sacrum': 460,
  'knee-to-malleoli': 410,
  'notch-to-chin': 120,
  'knee-width': 105,
  'inclination-50': 12,
  'foot-length': 262,
};
const all = (side: 'left' | 'right') =>
  Object.entries(values).flatMap(([step, value]) => taken(step, side, value));

test('a body is drawn from each kind of reading by its places; a weight draws nothing', () => {
  const states = statesOf(steps, [...all('right'), ...taken('weight', 'midline', 71)]);
  expect(bodyReadings(states, 'right')).toEqual({
    girths: [{ from: 'mid-kneecap', distance: 150, girth: 450 }],
    lengths: [
      { from: 'c7', to: 'sacrum', length: 460 },
      { from: 'mid-kneecap', to: 'malleoli', length: 410 },
      { from: 'sternal-notch', to: 'chin-line', length: 120 },
    ],
    widths: [{ at: 'mid-kneecap', across: 'mediolateral', width: 105 }],
    inclinations: [{ at: 0.5, angle: 12 }],
    footLength: 262,
    any: true,
  });
});

test('the other side, and what was never read, draw nothing', () => {
  const nothing = { girths: [], lengths: [], widths: [], inclinations: [], any: false };
  expect(bodyReadings(statesOf(steps, all('right')), 'left')).toEqual(nothing);
  expect(bodyReadings(statesOf(steps, taken('weight', 'midline', 71)), 'right')).toEqual(nothing);
});

test.each(Object.entries(values))('%s alone is something to draw', (step, value) => {
  expect(bodyReadings(statesOf(steps, taken(step, 'right', value)), 'right').any).toBe(true);
});

test('what is read of the midline belongs to every side that is drawn', () => {
  const states = statesOf([readingStep('curve', 'c7-to-sacrum', { from: 'c7', to: 'sacrum' })], []).map(
    (state) => ({ ...state, side: 'midline' as const, assessed: { ...assessed, mean: 460 } }),
  );
  expect(bodyReadings(states, 'right').lengths).toHaveLength(2);
});
const assessed = {
  values: [460],
  range: 0,
  needs: undefined,
  alone: [],
  restless: false,
  repeatPart: 1,
  sharedPart: 1,
  uncertainty: 1,
};

test('a mean of another visit stands in where one is given', () => {
  const states = statesOf(steps, all('right'));
  expect(bodyReadings(states, 'right', { 'girth-above': 431 }).girths).toEqual([
    { from: 'mid-kneecap', distance: 150, girth: 431 },
  ]);
});

test('mirrored is what the other side has and this one lacks, a first reading alone never', () => {
  const two = [girthStep('girth-above'), girthStep('girth-below', { distance: -150 })];
  const girths = (side: 'left' | 'right', readings: ReturnType<typeof taken>) =>
    mirroredReadings(statesOf(two, readings), side).girths?.map(({ girth }) => girth);
  const right = [...taken('girth-above', 'right', 450, 452), ...taken('girth-below', 'right', 350)];
  expect(girths('left', right)).toEqual([451]);
  expect(girths('right', right)).toEqual([451]);
  expect(girths('left', [...right, ...taken('girth-above', 'left', 440, 440)])).toEqual([440]);
});
