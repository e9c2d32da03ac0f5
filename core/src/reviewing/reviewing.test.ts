import fc from 'fast-check';
import type { Order } from '../order';
import { valuesOfStops, type HingeStops, type Setting } from '../setting';
import { order } from '../order/test-order';
import { parseNeutralZero, formatNeutralZero } from '../measuring';
import { proposeAdjustment, referBecause, type AtReview } from './adjustment';
import { changesSince, orderedMotion, type VisitMotion } from './changes';
import { exampleMotion, motionInWindow } from './motion';
import { sizeByGirths } from './size-now';

const hinge = { extension: [0, 10, 20], flexion: [45, 60, 75, 90] };
const stops: Setting = {
  kind: 'stops',
  id: 'hinge-stops',
  made: 'before-donning',
  joint: 'knee',
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  leastExtension: 0,
};
const chart = { version: 1, sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' } as const;
const adjust = (day: string, fitted: HingeStops | undefined, found?: AtReview['found']) => {
  const made = fitted && { values: valuesOfStops({ medial: fitted, lateral: fitted }) };
  const by = { day, order, hardware: hinge, readings: {}, chart: chart as never };
  return proposeAdjustment({ order, day, settings: [{ setting: stops, made }], by, found });
};
const well = { skin: 'clear', pain: 2 } as const;

test('in the next phase the stops move to it', () =>
  expect(adjust('2026-11-21', { extension: 10, flexion: 60 }, well)).toMatchObject({
    kind: 'set',
    phase: 1,
    settings: ['hinge-stops'],
  }));

test('a day before it nothing changes', () =>
  expect(adjust('2026-11-20', { extension: 10, flexion: 60 }, well)).toEqual({
    kind: 'none',
    phase: 0,
  }));

// common practice, no source: neither skin nor pain shortens protective wearing, it raises a call
test.each([
  [{ skin: 'broken', pain: 2 }, ['skin-broken']],
  [{ skin: 'stays-red', pain: 8 }, ['skin-stays-red', 'pain-high']],
] as const)('%j: refer first, change nothing', (found, because) =>
  expect(adjust('2026-11-21', { extension: 10, flexion: 60 }, found)).toEqual({
    kind: 'refer',
    because,
    protective: true,
  }),
);

test('nothing fitted yet counts as not on the phase', () =>
  expect(adjust('2026-11-10', undefined, undefined).kind).toBe('set'));

test.each([
  [{ extension: -8, flexion: 84 }, { from: 8, to: 84 }, { extension: false, flexion: false }, false],
  [{ extension: -5, flexion: 90 }, { from: 5, to: 90 }, { extension: true, flexion: true }, false],
  [{ extension: 0, flexion: 84 }, { from: 0, to: 84 }, { extension: true, flexion: false }, true],
  [{ extension: -8, flexion: 100 }, { from: 8, to: 100 }, { extension: false, flexion: true }, true],
])('motion %j inside 5 to 90', (reached, arc, limitReached, beyond) =>
  expect(motionInWindow(reached, { extension: 5, flexion: 90 })).toEqual({
    arc,
    test: { reached, limitReached },
    beyond,
  }),
);

test('without limits nothing is beyond', () =>
  expect(motionInWindow({ extension: 5, flexion: 140 }, {}).beyond).toBe(false));

test('changes name only what both visits have', () =>
  expect(
    changesSince(
      {
        day: '2026-11-10',
        motions: [{ mode: 'passive', extension: 5, flexion: 60 }],
        pain: 5,
        girths: { 'girth-above': 470 },
      },
      {
        day: '2026-11-24',
        motions: [{ mode: 'passive', extension: 3, flexion: 84 }],
        hours: 20,
        girths: { 'girth-above': 456, 'girth-below': 362 },
      },
    ),
  ).toEqual([
    { figure: 'extension', of: { mode: 'passive' }, before: 5, now: 3, change: -2 },
    { figure: 'flexion', of: { mode: 'passive' }, before: 60, now: 84, change: 24 },
    { figure: 'girth-above', before: 470, now: 456, change: -14 },
  ]));

test('a motion is compared with the same motion in the same mode, never with another', () => {
  const visit = (motions: VisitMotion[]) => ({ day: '2026-11-24', motions, girths: {} });
  const passive: VisitMotion = { mode: 'passive', extension: 0, flexion: 120 };
  const abduction: VisitMotion = { step: 'shoulder-abduction', mode: 'passive', extension: -90, flexion: 10 };
  expect(changesSince(visit([{ ...passive, mode: 'active' }]), visit([passive]))).toEqual([]);
  expect(changesSince(visit([passive]), visit([abduction]))).toEqual([]);
  expect(changesSince(visit([passive, abduction]), visit([{ ...abduction, extension: -100 }]))).toEqual([
    {
      figure: 'extension',
      of: { step: 'shoulder-abduction', mode: 'passive' },
      before: -90,
      now: -100,
      change: -10,
    },
    {
      figure: 'flexion',
      of: { step: 'shoulder-abduction', mode: 'passive' },
      before: 10,
      now: 10,
      change: 0,
    },
  ]);
  expect(orderedMotion(visit([abduction, { ...passive, mode: 'active' }, passive]))).toEqual(passive);
  expect(orderedMotion(visit([abduction]))).toBeUndefined();
  // the other side is compared with itself, and never is the motion that the order limits
  const other: VisitMotion = { ...passive, other: true };
  expect(changesSince(visit([passive]), visit([other]))).toEqual([]);
  expect(changesSince(visit([passive, { ...other, flexion: 130 }]), visit([other]))).toEqual([
    { figure: 'extension', of: { mode: 'passive', other: true }, before: 0, now: 0, change: 0 },
    { figure: 'flexion', of: { mode: 'passive', other: true }, before: 130, now: 120, change: -10 },
  ]);
  expect(orderedMotion(visit([other]))).toBeUndefined();
});

// common practice, no source: the number 7 is our choice
test.each([
  ['clear', 6, []],
  ['fades-within-30-min', 7, ['pain-high']],
  ['stays-red', 0, ['skin-stays-red']],
  ['broken', 10, ['skin-broken', 'pain-high']],
] as const)('skin %s and pain %d: %j is told at once', (skin, pain, because) =>
  expect(referBecause({ skin, pain })).toEqual(because),
);

test('when swelling has fallen the girths of the visit point to another size; one girth alone points to none', () => {
  const band = (size: string, from: number, to: number) => ({ size, from, to });
  const chart = {
    version: 1,
    sizes: ['M', 'L'],
    axes: [
      { reading: 'girth-above', resolution: 0, bands: [band('M', 430, 460), band('L', 460, 490)] },
      { reading: 'girth-below', resolution: 0, bands: [band('M', 335, 360), band('L', 360, 385)] },
    ],
    between: 'nearer' as const,
    disagree: 'larger' as const,
  };
  const girth = {
    kind: 'girth' as const,
    from: 'mid-kneecap' as const,
    tolerance: 5,
    withinPerson: 2.5,
    shared: 3,
    plausible: [250, 950] as [number, number],
  };
  const steps = [
    { ...girth, id: 'girth-above', distance: 150 },
    { ...girth, id: 'girth-below', distance: -150 },
  ];
  expect(sizeByGirths(chart, steps, { 'girth-above': 470, 'girth-below': 370 })).toMatchObject({ size: 'L' });
  expect(sizeByGirths(chart, steps, { 'girth-above': 446, 'girth-below': 350 })).toMatchObject({ size: 'M' });
  expect(sizeByGirths(chart, steps, { 'girth-above': 446 })).toEqual({
    outcome: 'incomplete',
    missing: ['girth-below'],
  });
});

test('the example of a motion lies inside the order it is shown under, and is one of neutral zero', () => {
  fc.assert(
    fc.property(
      fc.option(fc.integer({ min: -10, max: 60 }), { nil: undefined }),
      fc.option(fc.integer({ min: 0, max: 80 }), { nil: undefined }),
      (extension, more) => {
        const window = {
          ...(extension === undefined ? {} : { extension }),
          ...(more === undefined ? {} : { flexion: Math.max(0, extension ?? 0) + more }),
        };
        const example = exampleMotion(window);
        expect(motionInWindow(example, window).beyond).toBe(false);
        expect(parseNeutralZero(formatNeutralZero(example))).toEqual(example);
      },
    ),
  );
});

describe('a review changes whatever is another one by now', () => {
  const lock: Setting = {
    kind: 'lock',
    id: 'knee-lock',
    made: 'before-donning',
    joint: 'knee',
    axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  };
  const at = (degrees: number) => ({ values: { medial: degrees, lateral: degrees } });
  const locked = (when: number): Order => ({
    ...order,
    phases: [
      {
        ...order.phases[0]!,
        locks: [{ joint: 'knee', at: { toward: 'flexion', degrees: 0 }, when: 'always' }],
      },
      { ...order.phases[1]!, fromDay: when },
    ],
  });
  const propose = (
    given: Order,
    day: string,
    settings: AtReview['settings'],
    hardware = { ...hinge, lock: [0, 15] },
  ) =>
    proposeAdjustment({
      order: given,
      day,
      settings,
      by: { day, order: given, hardware, readings: {}, chart: chart as never },
      found: well,
    });

  test('a lock that is to be open from today on', () => {
    const made = [{ setting: lock, made: at(0) }];
    expect(propose(locked(14), '2026-11-20', made)).toEqual({ kind: 'none', phase: 0 });
    expect(propose(locked(14), '2026-11-21', made)).toEqual({
      kind: 'set',
      phase: 1,
      settings: ['knee-lock'],
    });
  });

  test('what was never made belongs to Set; but stops are asked for, where they can be chosen', () => {
    const never = [
      { setting: lock, made: undefined },
      { setting: stops, made: undefined },
    ];
    expect(propose(order, '2026-11-21', never)).toMatchObject({ settings: ['hinge-stops'] });
    const ended = { ...order, until: '2026-11-10' };
    expect(propose(ended, '2026-11-21', never)).toMatchObject({ kind: 'none' });
  });

  test('an order without phases changes nothing', () =>
    expect(propose({ ...order, phases: [] }, '2026-11-21', [{ setting: lock, made: at(0) }])).toEqual({
      kind: 'none',
      phase: -1,
    }));
});
