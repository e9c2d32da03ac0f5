import { limitsOf } from './limits';
import { orderProblems, troubleAdvice, windowOn, type Order } from './order';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

const order: Order = {
  diagnosis: 'ligament reconstruction',
  prescriber: 'ward 3',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [
    { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
    { fromDay: 14, limits: limitsOf(knee, { extension: 5, flexion: 90 }) },
    { fromDay: 28, limits: limitsOf(knee, { flexion: 105 }) },
  ],
  protective: true,
  wearing: 'day and night',
  trouble: 'keep-on',
};

test('a sound order has nothing to ask', () => expect(orderProblems(order, 'right')).toEqual([]));

test.each([
  ['the other side', { side: 'left' as const }, 'other-side'],
  ['no phase', { phases: [] }, 'no-phase'],
  ['a first phase that begins late', { phases: [{ fromDay: 3, limits: [] }] }, 'first-phase-late'],
  [
    'phases that do not rise',
    {
      phases: [
        { fromDay: 0, limits: [] },
        { fromDay: 0, limits: [] },
      ],
    },
    'phases-not-rising',
  ],
  [
    'a window the wrong way round',
    { phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 90, flexion: 10 }) }] },
    'window-reversed',
  ],
  ['a protective brace to be taken off', { trouble: 'take-off' as const }, 'protective-taken-off'],
])('%s is asked back', (_, change, problem) =>
  expect(orderProblems({ ...order, ...change }, 'right').map((found) => found.problem)).toContain(problem),
);

test('one limit, none, or a fixed angle are orders', () => {
  const of = (window: object) =>
    orderProblems({ ...order, phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] }, 'right');
  expect(of({ flexion: 90 })).toEqual([]);
  expect(of({})).toEqual([]);
  expect(of({ extension: 20, flexion: 20 })).toEqual([]);
});

test('the window of the day', () => {
  expect(windowOn(order, '2026-11-24', knee)).toEqual({ phase: 1, window: { extension: 5, flexion: 90 } });
  expect(windowOn(order, '2026-11-01', knee)?.phase).toBe(0);
  expect(windowOn({ ...order, phases: [] }, '2026-11-24', knee)).toBeUndefined();
});

// common practice, no source
test('a protective brace stays on in trouble', () => {
  expect(troubleAdvice(true)).toBe('keep-on');
  expect(troubleAdvice(false)).toBe('take-off');
});
