import { limitsOf } from './limits';
import { mayHaveSide } from './injuries';
import { angleOn, hasEnded, heldAngle, orderProblems, testWindow, troubleAdvice, windowOn } from './order';
import type { Order } from './order-body';

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

test.each([
  ['a phase of one day', [[0, 0], [1]], []],
  ['a last day on which the next begins', [[0, 14], [14]], ['phases-overlap']],
  ['a next one that does not rise', [[0, 5], [0]], ['phases-not-rising']],
  ['a phase without a last day', [[0], [1]], []],
] as [string, [number, number?][], string[]][])('%s', (_, phases, problems) =>
  expect(
    orderProblems(
      {
        ...order,
        phases: phases.map(([fromDay, lastDay]) => ({
          fromDay,
          limits: [],
          ...(lastDay === undefined ? {} : { lastDay }),
        })),
      },
      'right',
    ).map(({ problem }) => problem),
  ).toEqual(problems),
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
const ankle = { joint: 'ankle', plane: 'sagittal' } as const;
const pointed: Order = {
  ...order,
  phases: [
    { fromDay: 0, limits: [] },
    { fromDay: 14, limits: limitsOf(ankle, { extension: 10, flexion: 30 }) },
  ],
  angles: [{ ...ankle, at: { toward: 'plantarflexion', degrees: 20 } }],
};

// common practice, no source: a joint that is ordered held is not tested off its angle
test('a joint that is held is not tested off its angle, until a phase limits it otherwise', () => {
  expect(heldAngle(pointed, ankle)).toBe(20);
  expect(testWindow(pointed, '2026-11-10', ankle)).toEqual({ extension: 20, flexion: 20 });
  expect(testWindow(pointed, '2026-11-24', ankle)).toEqual({ extension: 10, flexion: 30 });
  const raised: Order = { ...pointed, angles: [{ ...ankle, at: { toward: 'dorsiflexion', degrees: 5 } }] };
  expect(testWindow(raised, '2026-11-10', ankle)).toEqual({ extension: -5, flexion: -5 });
  // one limit is a limit; nothing ordered, nothing limits it
  const oneEnd: Order = { ...pointed, phases: [{ fromDay: 0, limits: limitsOf(ankle, { flexion: 30 }) }] };
  expect(testWindow(oneEnd, '2026-11-10', ankle)).toEqual({ flexion: 30 });
  expect(testWindow({ ...pointed, angles: [] }, '2026-11-10', ankle)).toEqual({});
  // what a hinge is set to are the limits alone
  expect(windowOn(pointed, '2026-11-10', ankle)).toEqual({ phase: 0, window: {} });
});

test('a joint is put at the angle it is held at, else as the phase limits it', () => {
  expect(angleOn(pointed, '2026-11-24', ankle)).toEqual({ extension: 20, flexion: 20 });
  expect(angleOn({ ...pointed, angles: [] }, '2026-11-24', ankle)).toEqual({ extension: 10, flexion: 30 });
  expect(angleOn({ ...pointed, angles: [] }, '2026-11-10', ankle)).toEqual({});
});

test.each([
  ['another joint', knee],
  ['another plane of it', { joint: 'ankle', plane: 'frontal' } as const],
])('what is held says nothing of %s', (_, motion) => {
  expect(heldAngle(pointed, motion)).toBeUndefined();
  expect(testWindow(pointed, '2026-11-10', motion)).toEqual({});
  expect(angleOn(pointed, '2026-11-10', motion)).toEqual({});
});

test('a family that limits no motion has no window, whatever is held', () =>
  expect(testWindow(pointed, '2026-11-10', undefined)).toEqual({}));

test('a protective brace stays on in trouble', () => {
  expect(troubleAdvice(true)).toBe('keep-on');
  expect(troubleAdvice(false)).toBe('take-off');
});

const phase = (more: Partial<Order['phases'][number]>) => ({
  ...order,
  phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 0, flexion: 60 }), ...more }],
});
const at = (degrees: number) => ({ toward: 'flexion' as const, degrees });

test.each([
  ['locked always inside its limits', { locks: [{ joint: 'knee', at: at(30), when: 'always' }] }, []],
  ['locked always at a limit', { locks: [{ joint: 'knee', at: at(60), when: 'always' }] }, []],
  [
    'locked always outside them',
    { locks: [{ joint: 'knee', at: at(61), when: 'always' }] },
    ['lock-outside-limits'],
  ],
  [
    'locked always where only extension is limited',
    { limits: limitsOf(knee, { extension: 10 }), locks: [{ joint: 'knee', at: at(100), when: 'always' }] },
    [],
  ],
  [
    'locked always where only flexion is limited',
    { limits: limitsOf(knee, { flexion: 60 }), locks: [{ joint: 'knee', at: at(0), when: 'always' }] },
    [],
  ],
  ['locked for walking outside them', { locks: [{ joint: 'knee', at: at(70), when: 'walking' }] }, []],
  [
    'limited twice',
    { limits: [...limitsOf(knee, { flexion: 60 }), ...limitsOf(knee, { extension: 0 })] },
    ['limited-twice'],
  ],
  ['of an unnamed joint', { unsaid: { flexion: 60 } }, ['joint-not-said']],
] as [string, Partial<Order['phases'][number]>, string[]][])('a phase %s', (_, more, problems) =>
  expect(orderProblems(phase(more), 'right').map(({ problem }) => problem)).toEqual(problems),
);

test('an order that ends before it begins is asked back; it holds on its last day', () => {
  const until = (day: string) =>
    orderProblems({ ...order, until: day }, 'right').map(({ problem }) => problem);
  expect(until('2026-11-06')).toEqual(['ends-before-it-begins']);
  expect(until('2026-11-07')).toEqual([]);
  expect(hasEnded({ until: '2026-11-24' }, '2026-11-24')).toBe(false);
  expect(hasEnded({ until: '2026-11-24' }, '2026-11-25')).toBe(true);
  expect(hasEnded({}, '2199-01-01')).toBe(false);
});

// common practice, no source
test('an injury has a side where the body has two of it; a clinic’s own may have one', () => {
  expect(mayHaveSide('rear-cruciate')).toBe(true);
  expect(mayHaveSide('cervical-sprain')).toBe(false);
  expect(mayHaveSide('clinic-own')).toBe(true);
  // no name of every object is taken for a code
  expect(mayHaveSide('constructor')).toBe(true);
});
