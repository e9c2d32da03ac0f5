import { replan, wearRuleSchema, type WearRule } from './clinic-rule';
import { wearDays, type GrowingPlan } from './plan';

const plan: GrowingPlan = {
  kind: 'growing',
  from: '2026-11-20',
  firstDay: 30,
  grow: 30,
  everyDays: 1,
  ceiling: 240,
};
const rule: WearRule = { skin: 'step-back', pain: 'hold', missed: 'hold', resumeAfter: 2 };
const told = (more: object) => [
  { day: '2026-11-23', minutes: 120, skin: 'clear' as const, pain: 'none' as const, ...more },
];

test('without a rule of the clinic nothing is computed: none ships', () =>
  expect(replan(plan, told({ skin: 'red-stays' }), undefined, '2026-11-23')).toBeUndefined());

// planned on 23 November: 30 and three steps of 30 = 120
test.each([
  ['a clear day goes on', {}, undefined],
  [
    'red that stays: one step back',
    { skin: 'red-stays' },
    { action: 'step-back', because: ['skin'], first: 90 },
  ],
  ['pain: held', { pain: 'some' }, { action: 'hold', because: ['pain'], first: 120 }],
  [
    'less than half of it: a missed day',
    { minutes: 59 },
    { action: 'hold', because: ['missed'], first: 120 },
  ],
  ['half of it is no missed day', { minutes: 60 }, undefined],
  [
    'both at once: the stricter one',
    { skin: 'red-stays', pain: 'some' },
    { action: 'step-back', because: ['skin', 'pain'], first: 90 },
  ],
])('%s', (_, more, expected) => {
  const found = replan(plan, told(more), rule, '2026-11-24');
  expect(found && { action: found.action, because: found.because, first: found.plan.firstDay }).toEqual(
    expected,
  );
});

test('held for two days, then it grows as before', () => {
  const { plan: held } = replan(plan, told({ pain: 'some' }), rule, '2026-11-24')!;
  expect(held.holdUntil).toBe('2026-11-26');
  expect(wearDays(held, 5).map(({ minutes }) => minutes)).toEqual([120, 120, 120, 150, 180]);
});

test('one step back never goes under what a clock keeps; what was told before the plan says nothing', () => {
  const first = { ...plan, from: '2026-11-23' };
  expect(replan(first, told({ skin: 'red-stays', minutes: 30 }), rule, '2026-11-23')!.plan.firstDay).toBe(5);
  expect(
    replan({ ...plan, from: '2026-11-24' }, told({ skin: 'red-stays' }), rule, '2026-11-24'),
  ).toBeUndefined();
});

test('a rule that goes on in spite of it is a rule too', () => {
  const easy: WearRule = { skin: 'go-on', pain: 'go-on', missed: 'go-on', resumeAfter: 1 };
  expect(
    replan(plan, told({ skin: 'red-stays', pain: 'some', minutes: 0 }), easy, '2026-11-24'),
  ).toBeUndefined();
});

test.each([
  [{ ...rule, resumeAfter: 0 }],
  [{ ...rule, resumeAfter: 31 }],
  [{ ...rule, skin: 'stop' }],
  [{ ...rule, more: 1 }],
  [{ skin: 'hold', pain: 'hold', missed: 'hold' }],
])('%j is no rule', (one) => expect(wearRuleSchema.isValidSync(one, { strict: true })).toBe(false));

// it is made anew from today on; told of today, from tomorrow on: today has been worn
test.each([
  ['2026-11-24', '2026-11-24'],
  ['2026-11-23', '2026-11-24'],
  ['2026-11-27', '2026-11-27'],
])('made anew on %s it begins on %s', (today, from) =>
  expect(replan(plan, told({ pain: 'some' }), rule, today)!.plan.from).toBe(from),
);
