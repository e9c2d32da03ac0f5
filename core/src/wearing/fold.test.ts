import { nothingKnown } from '../brace/test-facts';
import { orderGiven } from '../order';
import { testRecord, written } from '../record/test-record';
import { letterSent, wearPlanned, wearRead, wearTaught, wearTold } from './entries';
import { wearByFamily, type WearLine } from './family';
import { planFaults } from './faults';
import { foldWearing } from './fold';

type Entry = Parameters<typeof testRecord>[number];
const folded = (entries: Entry[], isSafe = true, lines: readonly WearLine[] = []) =>
  foldWearing(testRecord(...entries), lines, nothingKnown, isSafe);

const growing = { kind: 'growing', from: '2026-11-24', firstDay: 30, grow: 30, everyDays: 1, ceiling: 120 };
const asOrdered = { kind: 'as-ordered', from: '2026-11-24', wearing: 'day and night' };
const plan = (body: object) => written(wearPlanned, body as never);
const order = (protective: boolean) => written(orderGiven, { protective } as never);
const told = (day: string, minutes: number, more: object = {}) =>
  written(wearTold, { day, minutes, skin: 'clear', pain: 'none', ...more } as never);
const read = (from: 'file' | 'sensor', ...days: { day: string; worn: number; unknown: number }[]) =>
  written(wearRead, { from, days } as never);

test('nothing written: no plan, nobody taught, nothing worn', () =>
  expect(folded([])).toEqual({
    plan: undefined,
    stopped: undefined,
    held: false,
    taught: undefined,
    tried: undefined,
    told: [],
    worn: [],
    letter: undefined,
    family: { lines: [], rule: undefined, nights: undefined, firstDay: undefined, mostAtFirst: undefined },
  }));

// common practice, no source: what protects never grows
test.each([
  ['growing', [plan(growing)], true, { plan: 'e1', stopped: undefined, held: false }],
  ['growing, limb not safe', [plan(growing)], false, { plan: 'e1', stopped: undefined, held: true }],
  [
    'growing, protective since',
    [plan(growing), order(true)],
    true,
    { plan: undefined, stopped: 'e1', held: false },
  ],
  [
    'stopped is not held',
    [plan(growing), order(true)],
    false,
    { plan: undefined, stopped: 'e1', held: false },
  ],
  ['growing, not protective since', [plan(growing), order(false)], true, { plan: 'e1', held: false }],
  [
    'growing under a protective order of before',
    [order(true), plan(growing)],
    true,
    { plan: 'e2', held: false },
  ],
  ['as ordered, protective since', [plan(asOrdered), order(true)], true, { plan: 'e1', held: false }],
  ['as ordered, limb not safe', [plan(asOrdered)], false, { plan: 'e1', held: false }],
  ['the last plan counts', [plan(growing), plan(asOrdered)], true, { plan: 'e2', held: false }],
] as [string, Entry[], boolean, Record<string, unknown>][])('%s', (_, entries, isSafe, expected) => {
  const state = folded(entries, isSafe);
  const { plan: planned, ...more } = expected;
  expect([state.plan?.entry, state.held]).toEqual([planned, more.held]);
  expect(state.stopped?.entry).toBe(more.stopped);
});

test('who put it on, by the last time it was tried; not yet is nobody', () => {
  const tried = (who: string, how?: string) => written(wearTaught, { who, ...(how ? { how } : {}) } as never);
  expect(folded([tried('patient', 'by-oneself')])).toMatchObject({
    taught: 'patient',
    tried: { who: 'patient', how: 'by-oneself' },
  });
  expect(folded([tried('patient', 'by-oneself'), tried('carer', 'not-yet')])).toMatchObject({
    taught: undefined,
    tried: { who: 'carer', how: 'not-yet' },
  });
  expect(folded([tried('carer')])).toMatchObject({
    taught: 'carer',
    tried: { who: 'carer', how: undefined },
  });
});

test('of each day the last that was told, by rising day; what was read goes before it', () => {
  const state = folded([
    told('2026-11-26', 60),
    told('2026-11-24', 30, { note: 'tired' }),
    told('2026-11-26', 90),
    read('file', { day: '2026-11-26', worn: 75, unknown: 10 }, { day: '2026-11-25', worn: 40, unknown: 0 }),
    read('sensor', { day: '2026-11-25', worn: 45, unknown: 5 }),
  ]);
  expect(state.told).toStrictEqual([
    { day: '2026-11-24', minutes: 30, skin: 'clear', pain: 'none', entry: 'e2', note: 'tired' },
    { day: '2026-11-26', minutes: 90, skin: 'clear', pain: 'none', entry: 'e3' },
  ]);
  expect(state.worn).toEqual([
    { day: '2026-11-24', minutes: 30, from: 'told' },
    { day: '2026-11-25', minutes: 45, unknown: 5, from: 'sensor' },
    { day: '2026-11-26', minutes: 75, unknown: 10, from: 'file' },
  ]);
});

test('the last letter, on the clinic’s day', () => {
  const letter = (to: string, observedAt: string) => ({
    ...written(letterSent, { to, how: 'post' } as never),
    observedAt,
  });
  expect(
    folded([letter('Dr A', '2026-11-24T09:00:00.000Z'), letter('Dr B', '2026-11-24T23:30:00.000Z')]).letter,
  ).toEqual({ entry: 'e2', to: 'Dr B', how: 'post', day: '2026-11-25' });
});

test('what a family says holds where its condition is known to', () => {
  const when = { kind: 'injury', is: 'achilles' } as const;
  const lines: WearLine[] = [
    { id: 'a', rule: 'active', when },
    { id: 'b', nights: 'off', mostAtFirst: 120 },
    { id: 'c', rule: 'all-day', firstDay: 30, mostAtFirst: 90 },
    { id: 'd', rule: 'growing', nights: 'on', firstDay: 60 },
  ];
  expect(wearByFamily(lines, nothingKnown)).toEqual({
    lines: ['b', 'c', 'd'],
    rule: 'all-day',
    nights: 'off',
    firstDay: 30,
    mostAtFirst: 90,
  });
  expect(wearByFamily(lines, { ...nothingKnown, injuries: [{ code: 'achilles' }] } as never)).toMatchObject({
    lines: ['a', 'b', 'c', 'd'],
    rule: 'active',
  });
  expect(folded([], true, lines).family.lines).toEqual(['b', 'c', 'd']);
  // one that says nothing of nights leaves them to the next
  expect(wearByFamily([{ id: 'x' }, { id: 'y', nights: 'on' }], nothingKnown).nights).toBe('on');
});

test('a plan needs an order that fits it, and a limb that is safe to grow', () => {
  const free = { protective: false, wearing: 'for walks' } as never;
  const faults = (body: object, given: never | undefined, isSafe = true) =>
    planFaults(body as never, given, isSafe).map(({ at, message }) => [at, message]);
  expect(faults(growing, undefined)).toEqual([['kind', 'needs an order first']]);
  expect(faults(growing, free)).toEqual([]);
  expect(faults(growing, free, false)).toEqual([['body', 'limb-not-safe']]);
  expect(faults({ ...asOrdered, wearing: 'for walks' }, free, false)).toEqual([]);
  expect(faults(growing, { protective: true, wearing: 'day and night' } as never).length).toBeGreaterThan(0);
});
