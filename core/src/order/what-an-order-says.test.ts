import { limitsOf } from './limits';
import { compartmentOf } from './compartment';
import { isAskedFor, knownInjuries, mayHaveSide } from './injuries';
import { angleOn, hasEnded, orderedOn, testWindow, windowOn } from './order';
import { orderBody, type Order } from './order-body';
import { order as anOrder } from './test-order';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const ankle = { joint: 'ankle', plane: 'sagittal' } as const;

describe('the compartment that is to be unloaded', () => {
  const inner = { code: 'osteoarthritis-inner', side: 'left' as const };
  const outer = { code: 'osteoarthritis-outer', side: 'left' as const };
  const sprain = { code: 'ankle-sprain', side: 'left' as const };

  test.each<[string, Parameters<typeof compartmentOf>[0], ReturnType<typeof compartmentOf>]>([
    ['no order', undefined, { asks: 'not-said' }],
    ['an order that says nothing of it', {}, { asks: 'not-said' }],
    ['another injury', { injuries: [sprain] }, { asks: 'not-said' }],
    ['ordered', { relieve: 'lateral' }, { relieve: 'lateral' }],
    ['coded inside', { injuries: [sprain, inner] }, { relieve: 'medial' }],
    ['coded outside', { injuries: [outer] }, { relieve: 'lateral' }],
    ['ordered and coded alike', { relieve: 'medial', injuries: [inner] }, { relieve: 'medial' }],
    ['ordered and coded otherwise', { relieve: 'medial', injuries: [outer] }, { asks: 'disagree' }],
    ['coded both ways', { injuries: [inner, outer] }, { asks: 'disagree' }],
  ])('%s', (_, order, said) => expect(compartmentOf(order)).toEqual(said));
});

test('an injury of a limb has a side, one of the back or the neck has none, a clinic’s own may have one', () => {
  expect(knownInjuries.length).toBeGreaterThan(20);
  expect(['ankle-sprain', 'fusion', 'other', 'of-our-own', 'toString'].map(mayHaveSide)).toEqual([
    true,
    false,
    false,
    true,
    true,
  ]);
});

test('what is asked with an injury is asked where the order codes it', () => {
  const order = { injuries: [{ code: 'disc' }, { code: 'fusion' }] };
  expect(isAskedFor(['fusion'], order)).toBe(true);
  expect(isAskedFor(['other'], order)).toBe(false);
  expect(isAskedFor(undefined, order)).toBe(false);
  expect(isAskedFor(['fusion'], {})).toBe(false);
  expect(isAskedFor(['fusion'], undefined)).toBe(false);
});

describe('of two phases', () => {
  const order: Order = {
    ...anOrder,
    dayZero: '2026-11-01',
    height: 'tall',
    panels: ['side'],
    posture: 'lying',
    angles: [{ ...ankle, at: { toward: 'plantarflexion', degrees: 20 } }],
    phases: [
      { fromDay: 0, limits: [] },
      {
        fromDay: 14,
        limits: limitsOf(knee, { extension: 10, flexion: 60 }),
        height: 'low',
        panels: ['front'],
        posture: 'seated',
        locks: [{ joint: 'ankle', at: { toward: 'dorsiflexion', degrees: 5 }, when: 'always' }],
      },
    ],
  } as Order;
  const [first, second] = ['2026-11-05', '2026-11-20'] as const;

  test('height, panels and posture are the phase’s, else the whole order’s, else none', () => {
    expect(orderedOn(order, first)).toEqual({ height: 'tall', panels: ['side'], posture: 'lying' });
    expect(orderedOn(order, second)).toEqual({ height: 'low', panels: ['front'], posture: 'seated' });
    const silent = { ...order, height: undefined, panels: undefined, posture: undefined } as unknown as Order;
    expect(orderedOn(silent, first)).toStrictEqual({});
    expect(orderedOn({ ...order, phases: [] }, first)).toEqual(orderedOn(order, first));
  });

  test('a joint is put as the phase locks it, else as the order holds it, else as the phase limits it', () => {
    expect(angleOn(order, first, ankle)).toEqual({ extension: 20, flexion: 20 });
    expect(angleOn(order, second, ankle)).toEqual({ extension: -5, flexion: -5 });
    expect(angleOn(order, second, knee)).toEqual({ extension: 10, flexion: 60 });
    expect(angleOn(order, first, knee)).toEqual({});
    expect(angleOn({ ...order, phases: [] }, first, knee)).toEqual({});
    // a lock is of bending: the ankle's way to the side is not locked by it
    expect(angleOn(order, second, { joint: 'ankle', plane: 'frontal' })).toEqual({});
  });

  test('a motion is tested as the phase limits it; one without limits not off the angle its joint is held at', () => {
    expect(testWindow(order, second, knee)).toEqual({ extension: 10, flexion: 60 });
    expect(testWindow(order, second, ankle)).toEqual({ extension: -5, flexion: -5 });
    expect(testWindow(order, second, undefined)).toEqual({});
    expect(testWindow({ ...order, phases: [] }, first, ankle)).toEqual({ extension: 20, flexion: 20 });
  });

  test('the window of a day says of which phase it is', () => {
    expect(windowOn(order, second, knee)).toEqual({ phase: 1, window: { extension: 10, flexion: 60 } });
    expect(windowOn(order, second, undefined)).toEqual({ phase: 1, window: {} });
    expect(windowOn({ ...order, phases: [] }, first, knee)).toBeUndefined();
  });

  test('an order holds on its last day and no longer', () => {
    const until = { ...order, until: '2026-12-01' };
    expect(['2026-11-30', '2026-12-01', '2026-12-02'].map((day) => hasEnded(until, day))).toEqual([
      false,
      false,
      true,
    ]);
    expect(hasEnded(order, '2099-01-01')).toBe(false);
  });
});

describe('the body of an order', () => {
  const limit = (of: object) => ({ ...anOrder, phases: [{ fromDay: 0, limits: [of] }] });
  const lock = (of: object) => ({ ...anOrder, phases: [{ fromDay: 0, limits: [], locks: [of] }] });
  const at = (toward: string) => ({ toward, degrees: 10 });

  test.each<[string, object, boolean]>([
    ['ends of the joint', limit({ ...knee, from: at('extension'), to: at('flexion') }), true],
    ['one end alone', limit({ ...knee, to: at('flexion') }), true],
    ['an end of another joint', limit({ ...knee, from: at('dorsiflexion'), to: at('flexion') }), false],
    [
      'another joint’s at the far end',
      limit({ ...knee, from: at('extension'), to: at('plantarflexion') }),
      false,
    ],
    [
      'a lock towards an end of its joint',
      lock({ joint: 'ankle', at: at('plantarflexion'), when: 'always' }),
      true,
    ],
    ['a lock towards another’s', lock({ joint: 'knee', at: at('plantarflexion'), when: 'always' }), false],
    ['a lock to the side', lock({ joint: 'knee', at: at('abduction'), when: 'always' }), false],
    [
      'an angle towards an end of its joint',
      { ...anOrder, angles: [{ ...ankle, at: at('dorsiflexion') }] },
      true,
    ],
    ['an angle towards another’s', { ...anOrder, angles: [{ ...ankle, at: at('flexion') }] }, false],
  ])('%s', (_, body, sound) => expect(orderBody.isValidSync(body, { strict: true })).toBe(sound));
});
