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
