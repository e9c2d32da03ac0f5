import { testRecord, written } from '../record/test-record';
import { checkRecorded } from '../checking';
import type { Order } from '../order';
import { screenLooked } from '../screening';
import type { MadeSetting } from '../setting';
import { donningBegun } from '../strapping';
import { knownFacts } from './known-facts';
import { testModel } from './test-case';

const order: Order = {
  diagnosis: 'd',
  prescriber: 'p',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [
    { fromDay: 0, limits: [], weight: 'none', locks: [] },
    {
      fromDay: 14,
      limits: [],
      weight: 'full',
      locks: [{ joint: 'knee', at: { toward: 'flexion', degrees: 0 }, when: 'walking' }],
    },
  ],
  protective: true,
  wearing: 'w',
  trouble: 'keep-on',
};
const facts = (
  given?: Order,
  { day = '2026-11-10', settings = [] as MadeSetting[], entries = [] as Parameters<typeof testRecord> } = {},
) => knownFacts(testRecord(...entries), given, day, { ...testModel, variant: 'low' }, settings);

test('without an order nothing is known of it; the variant is the model’s', () =>
  expect(facts()).toEqual({
    injuries: undefined,
    done: [],
    ordered: {},
    findings: {},
    variant: 'low',
    settings: {},
    parts: {},
    list: undefined,
    checks: {},
  }));

test('what an order says, whatever the phase; what it leaves out is not known', () => {
  expect(facts({ ...order, phases: [{ fromDay: 0, limits: [] }] }).ordered).toEqual({
    motion: ['free'],
    protective: ['yes'],
  });
  expect(facts({ ...order, protective: false, phases: [] }).ordered).toEqual({ protective: ['no'] });
  expect(
    facts({
      ...order,
      phases: [],
      injuries: [{ code: 'disc' }],
      height: 'low',
      panels: ['side'],
      posture: 'lying',
      roll: 'left',
      relieve: 'medial',
    }),
  ).toMatchObject({
    injuries: [{ code: 'disc' }],
    ordered: {
      height: ['low'],
      panel: ['side'],
      posture: ['lying'],
      roll: ['left'],
      relieve: ['medial'],
      protective: ['yes'],
    },
  });
});

test('weight and lock are those of the phase of the day', () => {
  // day zero is the 7th: the second phase begins on the 21st
  expect(facts(order, { day: '2026-11-20' }).ordered).toEqual({
    weight: ['none'],
    motion: ['free'],
    protective: ['yes'],
  });
  expect(facts(order, { day: '2026-11-21' }).ordered).toEqual({
    weight: ['full'],
    motion: ['free'],
    lock: ['walking'],
    protective: ['yes'],
  });
});

test('of settings whether they are right, of parts whether they are in: only what was made', () => {
  const one = (id: string, more: object) =>
    ({
      setting: { id, kind: 'angle' },
      judged: { state: 'right' },
      flags: [],
      ...more,
    }) as unknown as MadeSetting;
  const made = { entry: 'e', day: '2026-11-24' };
  const settings = [
    one('right', { made }),
    one('wrong', { made, judged: { state: 'wrong', why: 'outside', by: 1 } }),
    one('open', { made: undefined, judged: { state: 'open' } }),
    one('panel', {
      setting: { id: 'panel', kind: 'fitted', part: 'front' },
      made: { ...made, fitted: false },
    }),
    one('side', { setting: { id: 'side', kind: 'fitted', part: 'side' }, made }),
    one('lock', { setting: { id: 'lock', kind: 'lock' }, made: { ...made, fitted: false } }),
  ];
  expect(facts(undefined, { settings })).toMatchObject({
    settings: { right: true, wrong: false, panel: true, side: true, lock: true },
    parts: { front: false },
  });
  expect(Object.keys(facts(undefined, { settings }).settings)).not.toContain('open');
  expect(facts(undefined, { settings }).parts).toEqual({ front: false });
});

test('the last answer to each finding, the list that was begun last, checks that were seen', () => {
  const entries: Parameters<typeof testRecord> = [
    written(screenLooked, {
      answers: [
        { finding: 'neuropathy', is: 'present' },
        { finding: 'diabetes', is: 'absent' },
        { finding: 'stoma', is: 'unable' },
      ],
    }),
    written(screenLooked, { answers: [{ finding: 'neuropathy', is: 'absent' }] }),
    written(donningBegun, { list: 'lying' }),
    written(donningBegun, { list: 'seated' }),
    written(checkRecorded, { check: 'toes', seen: true }),
    written(checkRecorded, { check: 'height', value: 3 }),
  ];
  expect(facts(undefined, { entries })).toMatchObject({
    findings: { neuropathy: false, diabetes: false },
    list: 'seated',
    checks: { toes: true },
  });
  expect(facts(undefined, { entries }).checks).toEqual({ toes: true });
});
