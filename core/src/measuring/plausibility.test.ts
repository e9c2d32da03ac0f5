import { questionReading, type PlausibilityContext } from './plausibility';
import type { StepState } from './progress';
import { girthStep, readingStep, statesOf, taken } from './test-steps';

const above = girthStep('girth-above', { ofStature: 0.279 });
const below = girthStep('girth-below', { distance: -150, plausible: [180, 650] });
const waist = girthStep('girth-waist', { from: 'waist', distance: 0, plausible: [400, 1900] });
const context = (states: StepState[] = [], more: Partial<PlausibilityContext> = {}): PlausibilityContext => ({
  states,
  stature: 1700,
  lastVisit: {},
  braced: 'right',
  ...more,
});
const at = (step = above, side: 'left' | 'right' | 'midline' = 'right', readings = taken('x', 'right')) => ({
  step,
  side,
  readings,
});
const bare = girthStep('girth-bare');

test('outside what it usually is it is asked about, at the very ends it is not', () => {
  const asked = (value: number) => questionReading(at(bare), value, context());
  expect([250, 950, 400].map(asked)).toEqual([undefined, undefined, undefined]);
  expect(asked(249)).toMatchObject({ against: 'usual', expected: 600 });
  expect(asked(951)).toMatchObject({ against: 'usual', expected: 600 });
});

test('an angle is asked about only beyond its range; a posture beyond half a turn', () => {
  const tilt = readingStep('inclination', 'inclination-0', {
    from: 'c7',
    to: 'sacrum',
    at: 0,
    plausible: [-70, 80],
  });
  const asked = (value: number) => questionReading({ ...at(), step: tilt }, value, context());
  expect([-70, 80, 0].map(asked)).toEqual([undefined, undefined, undefined]);
  expect(asked(-71)).toEqual({ against: 'usual', expected: 5 });
  expect(asked(81)).toEqual({ against: 'usual', expected: 5 });
  const posture = { kind: 'posture', id: 'knee', joint: 'knee', tolerance: 5 } as const;
  const joint = (value: number) => questionReading({ ...at(), step: posture }, value, context());
  expect([180, -180, 181].map(joint)).toEqual([undefined, undefined, { against: 'usual', expected: 0 }]);
});

test('a repeat within the tolerance of any reading before is not asked about, one further off is', () => {
  const before = taken('girth-bare', 'right', 1000, undefined, 300);
  const asked = (value: number) => questionReading(at(bare, 'right', before), value, context());
  expect([1005, 995].map(asked)).toEqual([undefined, undefined]);
  expect(asked(1006)?.against).toBe('usual');
  expect(questionReading({ step: bare, side: 'right' }, 1000, context())?.against).toBe('usual');
});

test('a girth is held against the other side, on a pair only', () => {
  const states = statesOf([bare], taken('girth-bare', 'left', 400, 400));
  const asked = (value: number) => questionReading(at(bare), value, context(states));
  // 14 % is still like the other side
  expect(asked(456)).toBeUndefined();
  expect(asked(457)).toEqual({ against: 'other-side', expected: 400 });
  expect(questionReading(at(bare, 'midline'), 800, context(states))).toBeUndefined();
});

test('of the last visit only the braced side is known', () => {
  const visit = context([], { lastVisit: { 'girth-bare': 400 } });
  expect(questionReading(at(bare), 460, visit)).toEqual({ against: 'last-visit', expected: 400 });
  expect(questionReading(at(bare), 448, visit)).toBeUndefined();
  expect(questionReading(at(bare, 'left'), 460, visit)).toBeUndefined();
});

test('stature is asked where the protocol knows a share of it, and nowhere else', () => {
  // 0.279 of 1 700 mm is 474; a third more is still a body
  expect(questionReading(at(), 640, context())).toBeUndefined();
  expect(questionReading(at(), 641, context())).toMatchObject({
    against: 'stature',
    expected: expect.closeTo(474.3, 9),
  });
  expect(questionReading(at(bare), 641, context())).toBeUndefined();
});

test('sides swapped: another value than last time, and the other side’s', () => {
  const states = statesOf([bare], taken('girth-bare', 'left', 400, 400));
  const asked = (value: number, lastVisit: Record<string, number>) =>
    questionReading(at(bare), value, context(states, { lastVisit }))?.meant;
  expect(asked(402, { 'girth-bare': 480 })).toEqual({ slip: 'sides-swapped', value: 400 });
  // near, and not that near
  expect(asked(412, { 'girth-bare': 480 })).toBeUndefined();
  expect(asked(388, { 'girth-bare': 480 })).toBeUndefined();
  // without a last visit there is nothing to be swapped from
  expect(asked(470, {})).toBeUndefined();
  expect(
    questionReading(at(bare), 402, context([], { lastVisit: { 'girth-bare': 480 } }))?.meant,
  ).toBeUndefined();
});

test('what is odd for the stature alone, and like the other side, is no swap: there was no visit before', () => {
  const states = statesOf([above], taken('girth-above', 'left', 400, 400));
  expect(questionReading(at(above), 402, context(states, { stature: 2400 }))).toEqual({
    against: 'stature',
    expected: expect.closeTo(669.6, 6),
  });
});

test.each([
  ['digit-too-many', 4000, 400],
  ['digit-too-few', 40, 400],
  // 16 typed in a field of millimetres, 157.5 mm: 400 mm is 15.75 in
  ['inches', 15.75, 400.05],
] as const)('%s: %d is asked as %d', (slip, typed, meant) => {
  const visit = context([], { lastVisit: { 'girth-bare': 400 } });
  expect(questionReading(at(bare), typed, visit)?.meant).toEqual({ slip, value: expect.closeTo(meant, 6) });
});

test('a slip that lands just outside what was expected explains nothing; at its very edge it does', () => {
  const visit = context([], { lastVisit: { 'girth-bare': 400 } });
  const meant = (typed: number) => questionReading(at(bare), typed, visit)?.meant?.value;
  expect([36, 44].map(meant)).toEqual([360, 440]);
  expect([35.9, 44.1].map(meant)).toEqual([undefined, undefined]);
});

test('a weight knows digits, and no inches', () => {
  const weight = readingStep('mass', 'weight', { plausible: [2, 250] });
  const visit = context([], { lastVisit: { weight: 20 } });
  const meant = (typed: number) => questionReading({ ...at(), step: weight }, typed, visit)?.meant;
  expect(meant(200)).toEqual({ slip: 'digit-too-many', value: 20 });
  // 7.87 would be 20 in centimetres of inches
  expect(meant(7.87)).toBeUndefined();
});

describe('other girths of the same mark', () => {
  const shown = (states: StepState[], step = above, value = 700) =>
    questionReading({ ...at(step), step }, value, context(states, { stature: 2400 }));
  const calf = statesOf([above, below], taken('girth-below', 'right', 300, 300));

  test('suggest one by what they usually are to each other', () => {
    // middles of what is usual: 600 and 415
    expect(shown(calf)).toMatchObject({
      against: 'neighbours',
      expected: expect.closeTo((300 * 600) / 415, 9),
    });
    expect(shown(calf, above, 560)).toBeUndefined();
  });

  test('several count by their mean', () => {
    const lower = girthStep('girth-lower', { distance: -250, plausible: [180, 650] });
    const two = statesOf(
      [above, below, lower],
      [...taken('girth-below', 'right', 300, 300), ...taken('girth-lower', 'right', 200, 200)],
    );
    expect(shown(two)?.expected).toBeCloseTo((250 * 600) / 415, 9);
  });

  test('not those of another mark, another side, or not read yet', () => {
    const none = (states: StepState[]) => expect(shown(states, above, 640)).toBeUndefined();
    none(statesOf([above, waist], taken('girth-waist', 'right', 700, 700)));
    none(statesOf([above, below], taken('girth-below', 'left', 300, 300)));
    none(statesOf([above, below], taken('girth-below', 'right', 300)));
    none(statesOf([above, readingStep('width', 'w', { at: 'mid-kneecap' })], taken('w', 'right', 100)));
  });

  test('a reading that is no girth has no neighbours', () => {
    const width = readingStep('width', 'knee-width', { at: 'mid-kneecap', plausible: [50, 190] });
    expect(
      questionReading(
        { step: width, side: 'right' },
        100,
        context(statesOf([width, below], taken('girth-below', 'right', 300, 300))),
      ),
    ).toBeUndefined();
  });
});
