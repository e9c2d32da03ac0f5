import type { Order } from '../order';
import { planProblems, wearDays, wearDaysFrom, wearKindFor, wearGrowth, type GrowingPlan } from './plan';

const plan: GrowingPlan = {
  kind: 'growing',
  from: '2026-10-24',
  firstDay: 30,
  grow: 30,
  everyDays: 2,
  ceiling: 100,
};
const order = { protective: false } as Order;

test('a plan grows to its ceiling and stays there, over a clock change', () =>
  expect(wearDays(plan, 8)).toEqual([
    { day: '2026-10-24', minutes: 30 },
    { day: '2026-10-25', minutes: 30 },
    { day: '2026-10-26', minutes: 60 },
    { day: '2026-10-27', minutes: 60 },
    { day: '2026-10-28', minutes: 90 },
    { day: '2026-10-29', minutes: 90 },
    { day: '2026-10-30', minutes: 100 },
    { day: '2026-10-31', minutes: 100 },
  ]));

test('the days ahead begin today, and never before the plan', () => {
  expect(wearDaysFrom(plan, '2026-10-28', 2)).toEqual(wearDays(plan, 6).slice(4));
  expect(wearDaysFrom(plan, '2026-10-01', 3)).toEqual(wearDays(plan, 3));
  expect(wearDaysFrom(plan, '2036-01-01', 1)).toEqual([{ day: '2036-01-01', minutes: 100 }]);
});

test('the steps are the days on which it grows', () => {
  expect(wearGrowth(plan).map(({ minutes }) => minutes)).toEqual([60, 90, 100]);
  expect(wearGrowth(plan).at(-1)?.day).toBe('2026-10-30');
  expect(wearGrowth({ ...plan, grow: 0 })).toEqual([]);
  expect(wearGrowth({ ...plan, ceiling: 30 })).toEqual([]);
});

// common practice, no source: protective braces are worn as ordered
test('protective wearing does not grow', () => {
  expect(wearKindFor({ protective: true } as Order)).toBe('as-ordered');
  expect(wearKindFor(order)).toBe('growing');
  expect(planProblems(plan, { protective: true } as Order)).toEqual(['protective-grows']);
});

test.each([
  [{ ceiling: 20 }, ['ceiling-below-first-day']],
  [{ ceiling: 1500 }, ['over-a-day']],
  [{ breakAfter: 60 }, ['half-a-break']],
  [{ breakFor: 10 }, ['half-a-break']],
  [{ breakAfter: 60, breakFor: 10 }, []],
  [{}, []],
] as const)('%j: %j', (change, problems) =>
  expect(planProblems({ ...plan, ...change }, order)).toEqual(problems),
);

test('as ordered has nothing to ask', () =>
  expect(planProblems({ kind: 'as-ordered', from: '2026-11-01', wearing: 'day and night' }, order)).toEqual(
    [],
  ));

const growing = {
  kind: 'growing',
  from: '2026-11-24',
  firstDay: 30,
  grow: 30,
  everyDays: 2,
  ceiling: 120,
} as const;
const comfort = { protective: false } as never;

test.each([
  [{ ceiling: 30 }, []],
  [{ ceiling: 29 }, ['ceiling-below-first-day']],
  [{ ceiling: 1440 }, []],
  [{ ceiling: 1441 }, ['over-a-day']],
  [{ grow: 0 }, []],
  [{ grow: 4.9 }, ['step-too-small']],
  [{ grow: 5 }, []],
  [{ grow: -5 }, []],
  [{ breakAfter: 60 }, ['half-a-break']],
  [{ breakFor: 60 }, ['half-a-break']],
  [{ breakAfter: 60, breakFor: 10 }, []],
])('a plan with %j: %j, at each bound and past it', (more, problems) =>
  expect(planProblems({ ...growing, ...more } as never, comfort)).toEqual(problems),
);

test('what is worn as ordered has no numbers to be wrong, whatever stands in it', () =>
  expect(
    planProblems(
      { ...growing, kind: 'as-ordered', ceiling: 1, grow: 1 } as never,
      { protective: true } as never,
    ),
  ).toEqual([]));

test.each([
  [undefined, ['2026-11-26', '2026-11-28', '2026-11-30']],
  ['2026-11-20', ['2026-11-26', '2026-11-28', '2026-11-30']],
  ['2026-11-24', ['2026-11-26', '2026-11-28', '2026-11-30']],
  ['2026-11-30', ['2026-12-02', '2026-12-04', '2026-12-06']],
])('held until %s it grows on %j', (holdUntil, days) =>
  expect(
    wearGrowth({ ...growing, ...(holdUntil === undefined ? {} : { holdUntil }) } as never).map(
      ({ day }) => day,
    ),
  ).toEqual(days),
);

test('days ahead from the plan’s first, from before it and from a later one', () => {
  const from = (day: string) => wearDaysFrom(growing as never, day, 1);
  expect(from('2026-11-23')).toEqual([{ day: '2026-11-24', minutes: 30 }]);
  expect(from('2026-11-24')).toEqual([{ day: '2026-11-24', minutes: 30 }]);
  expect(from('2026-11-27')).toEqual([{ day: '2026-11-27', minutes: 60 }]);
});
