import type { AnyEntry } from './entry';
import { foldCase } from './fold-case';
import { intentFaults, intentInForce } from './intent';
import { kinds, type BodyOf, type KindName } from './kinds';
import { beltContext, stopsMade, testContext, testLogbook } from './test-case';
import { decideSetting } from '../setting';

const today = '2026-11-24';
const state = (log: ReturnType<typeof testLogbook>, context = testContext) => foldCase(log.entries, context)!;
const sent = <K extends KindName>(kind: K, body: BodyOf<K>, more: object = {}) =>
  ({ kind, stage: kinds[kind].stages[0], v: kinds[kind].v, body, ...more }) as unknown as AnyEntry;
const growing = {
  kind: 'growing',
  from: today,
  firstDay: 30,
  grow: 30,
  everyDays: 1,
  ceiling: 120,
} as const;

test('each setting has a choice of its own that the next one follows', () => {
  const log = testLogbook();
  const following = (setting: string) => intentInForce(state(log), 'set.chosen', { setting });
  expect(following('hinge-stops')).toBeNull();
  log.order();
  const chosen = log.write('set.chosen', decideSetting(state(log), 'hinge-stops', today, true)!);
  expect(following('hinge-stops')).toBe(chosen);
  expect(following('knee-lock')).toBeNull();
  log.write('set.made', { ...stopsMade({ extension: 10, flexion: 90 }), of: chosen });
  expect(following('hinge-stops')).toBe(chosen);
});

test('a plan of wearing follows the one in force; one that was stopped is none', () => {
  const log = testLogbook();
  const following = () => intentInForce(state(log), 'wear.planned', {});
  expect(following()).toBeNull();
  log.order({ protective: false, trouble: 'take-off' });
  const plan = log.write('wear.planned', growing);
  expect(following()).toBe(plan);
  log.order({ protective: true });
  expect(following()).toBeNull();
});

test('while a finding blocks, only Screen decides; what has happened is taken', () => {
  const log = testLogbook();
  log.looked('infected-wound');
  const blocked = [
    expect.objectContaining({ at: 'kind', message: 'is not taken while infected-wound blocks the fitting' }),
  ];
  const order = log.entries.length;
  log.order();
  const given = log.entries[order]!.body as BodyOf<'order.given'>;
  expect(intentFaults(state(log), sent('wear.planned', growing))).toEqual(blocked);
  // an order is Screen's own; a reading has happened
  expect(intentFaults(state(log), sent('order.given', given, { stage: 'screen' }))).toEqual([]);
  expect(
    intentFaults(
      state(log),
      sent('measure.read', { step: 'girth-above', side: 'right', value: 1, instrument: 'tape' }),
    ),
  ).toEqual([]);
});

describe('an order', () => {
  const log = testLogbook();
  log.order();
  const given = log.entries.at(-1)!.body as BodyOf<'order.given'>;
  const faults = (change: Partial<BodyOf<'order.given'>>, more = {}) =>
    intentFaults(state(log), sent('order.given', { ...given, ...change }, { stage: 'screen', ...more }));
  // this frame knows no roll
  const roll = { roll: 'left' } as const;
  test('for the other side, or with phases that do not rise, is told where', () => {
    expect(faults({ side: 'left' })).toEqual([
      expect.objectContaining({ at: 'body', message: 'other-side' }),
    ]);
    const [first, second] = given.phases;
    expect(faults({ phases: [first!, { ...second!, fromDay: 0 }] })).toEqual([
      expect.objectContaining({ at: 'body.phases[1]', message: 'phases-not-rising' }),
    ]);
  });
  test('says what this brace cannot carry out; acknowledged, it is taken', () => {
    expect(faults(roll)).toEqual([
      expect.objectContaining({
        at: 'body.acknowledged',
        message: 'must name roll-left: this brace cannot carry it out',
      }),
    ]);
    expect(faults({ ...roll, acknowledged: ['roll-left'] })).toEqual([]);
    expect(faults({ ...roll, acknowledged: ['panels-side'] })).toHaveLength(1);
  });
  test('of an older version could not say it', () =>
    expect(
      intentFaults(
        state(log),
        sent(
          'order.given',
          // version 1 had a window a phase, and no word for what a brace cannot do
          {
            diagnosis: 'd',
            prescriber: 'p',
            side: 'right',
            dayZero: '2026-11-07',
            phases: [{ fromDay: 0, window: { extension: 10, flexion: 60 } }],
            protective: true,
            wearing: 'day and night',
            trouble: 'keep-on',
          } as never,
          { stage: 'screen', v: 1 },
        ),
      ),
    ).toEqual([]));
});

describe('a plan of wearing', () => {
  const planned = (
    order?: Parameters<ReturnType<typeof testLogbook>['order']>[0],
    body: BodyOf<'wear.planned'> = growing,
  ) => {
    const log = testLogbook();
    if (order) log.order(order);
    return intentFaults(state(log), sent('wear.planned', body));
  };
  test('needs an order; may not grow under one that is protective; keeps its bounds', () => {
    expect(planned()).toEqual([expect.objectContaining({ at: 'kind', message: 'needs an order first' })]);
    expect(planned({ protective: true })).toEqual([
      expect.objectContaining({ at: 'body', message: 'protective-grows' }),
    ]);
    const free = { protective: false, trouble: 'take-off' } as const;
    expect(planned(free)).toEqual([]);
    expect(planned(free, { ...growing, ceiling: 10 })).toEqual([
      expect.objectContaining({ at: 'body', message: 'ceiling-below-first-day' }),
    ]);
  });
  test('does not grow while a check says that the limb is not safe; as ordered it is worn all the same', () => {
    const log = testLogbook();
    log.order({ protective: false, trouble: 'take-off' });
    log.write('check.recorded', { check: 'toes-warm-moving-felt', seen: false });
    expect(intentFaults(state(log), sent('wear.planned', growing))).toEqual([
      expect.objectContaining({ at: 'body', message: 'limb-not-safe' }),
    ]);
    expect(
      intentFaults(
        state(log),
        sent('wear.planned', { kind: 'as-ordered', from: today, wearing: 'day and night' }),
      ),
    ).toEqual([]);
  });
});

test('a choice of a setting is judged elsewhere; a belt’s plan is a plan', () => {
  const log = testLogbook(beltContext, 'midline');
  expect(intentFaults(state(log, beltContext), sent('set.chosen', {} as never))).toEqual([]);
  expect(intentFaults(state(log, beltContext), sent('wear.planned', growing))).toEqual([
    expect.objectContaining({ at: 'kind', message: 'needs an order first' }),
  ]);
});

test('a change of an order’s days follows the order, then the change before it; each that cannot be is a fault', () => {
  const log = testLogbook();
  const following = () => intentInForce(state(log), 'order.changed', {});
  const change = (what: 'held' | 'resumed' | 'moved', day: string) => ({
    what,
    day,
    prescriber: 'ward 3',
    reason: 'wound',
  });
  const faults = (what: 'held' | 'resumed' | 'moved', day: string) =>
    intentFaults(state(log), sent('order.changed', change(what, day), { stage: 'set' }));
  expect(following()).toBeNull();
  expect(faults('held', today)).toEqual([
    expect.objectContaining({ at: 'kind', message: 'needs an order first' }),
  ]);
  const order = log.order();
  expect(following()).toBe(order);
  expect(intentInForce(state(log), 'order.given', {})).toBe(order);
  expect(faults('held', today)).toEqual([]);
  expect(faults('resumed', today)).toEqual([
    expect.objectContaining({ at: 'body.what', message: 'cannot be resumed: the order is not held' }),
  ]);
  expect(faults('moved', '2026-11-07')).toEqual([
    expect.objectContaining({ at: 'body.what', message: 'is day zero already' }),
  ]);
  const held = log.write('order.changed', change('held', '2026-11-20'));
  expect(following()).toBe(held);
  // an order follows the order that was given, whatever has happened to its days
  expect(intentInForce(state(log), 'order.given', {})).toBe(order);
  expect(faults('held', today)).toEqual([
    expect.objectContaining({ at: 'body.what', message: 'cannot be held: the order is held already' }),
  ]);
  expect(faults('resumed', '2026-11-19')).toEqual([
    expect.objectContaining({
      at: 'body.what',
      message: 'cannot be resumed before the day on which it was held',
    }),
  ]);
  expect(faults('resumed', today)).toEqual([]);
});
