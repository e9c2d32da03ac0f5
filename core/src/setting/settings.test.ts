import fc from 'fast-check';
import { limitsOf, type MotionWindow, type Order } from '../order';
import { placesAlong, type PlaceAxis, type WantedBy } from './kind';
import { stopsAt, valuesOfStops } from './kinds/stops';
import {
  changeFault,
  chooseSetting,
  daysOfChange,
  existingAt,
  judgeSetting,
  placesOf,
  sameMade,
  settingSchema,
  wantedOf,
  type Setting,
} from './settings';

const uprights: Setting = {
  kind: 'length',
  id: 'uprights',
  made: 'before-donning',
  axes: [{ of: ['medial', 'lateral'], go: 'alike', within: 2 }],
  least: 300,
  most: 600,
};
const ends: Setting = {
  kind: 'mark',
  id: 'ends',
  made: 'before-donning',
  axes: [{ of: ['left', 'right'], go: 'alike' }],
  least: 1,
  most: 24,
};
const ankle: Setting = {
  kind: 'angle',
  id: 'ankle',
  made: 'before-donning',
  joint: 'ankle',
  unlessOrdered: 0,
  least: -10,
  most: 30,
};
const air: Setting = { kind: 'fill', id: 'air', made: 'at-step', least: 4, most: 5, everyDays: 2 };
const panel: Setting = { kind: 'fitted', id: 'panel', made: 'before-donning', part: 'front' };
const pair = (a: number, b: number) => ({ values: { medial: a, lateral: b, left: a, right: b } });
const one = (value: number) => ({ values: { one: value } });

const at = (value: number) => ({ from: value, to: value });

test.each([
  [uprights, undefined, undefined, { state: 'open' }],
  // one of a pair is not done
  [uprights, { values: { medial: 420 } }, undefined, { state: 'open' }],
  [uprights, pair(420, 422), undefined, { state: 'right' }],
  [uprights, pair(420, 423), undefined, { state: 'wrong', why: 'pair-differs', by: 3 }],
  [uprights, pair(300, 300), undefined, { state: 'right' }],
  [uprights, pair(299, 300), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [uprights, pair(600, 601), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [ends, pair(9, 9), at(9), { state: 'right' }],
  [ends, pair(9, 9), undefined, { state: 'right' }],
  [ends, pair(9, 10), at(9), { state: 'wrong', why: 'pair-differs', by: 1 }],
  [ends, pair(10, 10), at(9), { state: 'wrong', why: 'not-as-wanted', by: 1 }],
  [ends, pair(0, 0), at(9), { state: 'wrong', why: 'outside', by: 1 }],
  [ankle, one(3), at(0), { state: 'right' }],
  [ankle, one(-4), at(0), { state: 'wrong', why: 'not-as-wanted', by: 4 }],
  [ankle, one(31), at(20), { state: 'wrong', why: 'outside', by: 1 }],
  // a range is ordered: anywhere in it is right, and 3 degrees of a goniometer beside it
  [ankle, one(15), { from: 10, to: 20 }, { state: 'right' }],
  [ankle, one(7), { from: 10, to: 20 }, { state: 'right' }],
  [ankle, one(6), { from: 10, to: 20 }, { state: 'wrong', why: 'not-as-wanted', by: 4 }],
  [air, one(3), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [air, one(5), undefined, { state: 'right' }],
  [panel, undefined, undefined, { state: 'open' }],
  [panel, { fitted: false }, undefined, { state: 'right' }],
] as const)('%j made %j, wanted %j: %j', (setting, made, wanted, judged) =>
  expect(judgeSetting(setting, made, wanted)).toEqual(judged),
);

test('a number that is none passes nothing', () => {
  // the schema of the entry refuses it; the rule would not let it through either
  expect(judgeSetting(air, one(NaN), undefined).state).not.toBe('right');
  expect(judgeSetting(uprights, pair(NaN, 400), undefined).state).not.toBe('right');
});

test('where it is made', () => {
  expect([uprights, ends, ankle, air, panel].map(placesOf)).toEqual([
    ['medial', 'lateral'],
    ['left', 'right'],
    ['one'],
    ['one'],
    [],
  ]);
});

test.each([uprights, ends, ankle, air, panel])('a whole $kind is taken as it is', (setting) =>
  expect(settingSchema.validateSync(setting, { strict: true })).toEqual(setting),
);

test.each([
  ['of no kind', { id: 'x', made: 'before-donning' }, 'kind'],
  ['made at no known moment', { ...air, made: 'sometimes' }, 'made'],
  ['without its limits', { ...air, most: undefined }, 'most'],
  ['with limits the wrong way round', { ...air, most: 3 }, ''],
  ['of no joint', { ...ankle, joint: 'toe' }, 'joint'],
  ['a pair without places', { ...ends, axes: [] }, 'axes'],
  [
    'a pair that goes no known way',
    { ...ends, axes: [{ of: ['left', 'right'], go: 'somehow' }] },
    'axes[0].go',
  ],
  ['half a stroke', { ...air, least: 4.5 }, 'least'],
  ['an endless length', { ...uprights, most: Infinity }, 'most'],
  ['with something of another kind', { ...panel, least: 1 }, ''],
])('a setting %s is refused with its place', (_, setting, path) =>
  expect(() => settingSchema.validateSync(setting, { strict: true })).toThrow(
    expect.objectContaining({ path }),
  ),
);

const hinges: Setting = {
  kind: 'stops',
  id: 'hinge-stops',
  made: 'before-donning',
  joint: 'knee',
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  leastExtension: 0,
};
const screws: Setting = {
  kind: 'correction',
  id: 'screws',
  made: 'after-settling',
  // medial and lateral bars of a varus set go opposite ways, above and below the hinge alike
  axes: [
    { of: ['medial', 'lateral'], go: 'opposite' },
    { of: ['upper', 'lower'], go: 'alike', within: 0.01 },
  ],
  unit: 'turns',
  origin: 'neutral',
  least: -2,
  most: 2,
  increment: 0.125,
  perChange: 0.125,
  inAll: 0.5,
};
const turned = (medial: number, lateral: number, lower = 0) => ({
  values: {
    'medial-upper': medial,
    'medial-lower': medial + lower,
    'lateral-upper': lateral,
    'lateral-lower': lateral + lower,
  },
});
const backPanel: Setting = {
  kind: 'height',
  id: 'back-panel',
  made: 'at-step',
  unit: 'detents',
  least: 1,
  most: 4,
  increment: 1,
  ordered: { low: 1, tall: 4 },
};
const sidePanel: Setting = {
  kind: 'panel',
  id: 'side-panel',
  made: 'before-donning',
  panel: 'side',
  part: 'panel-side',
};

const order = {
  diagnosis: 'x',
  prescriber: 'x',
  side: 'right',
  dayZero: '2026-11-01',
  phases: [
    { fromDay: 0, limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 10, flexion: 60 }) },
    { fromDay: 10, limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 0, flexion: 65 }) },
    { fromDay: 20, limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 0, flexion: 90 }) },
  ],
  protective: true,
  wearing: 'x',
  trouble: 'keep-on',
} as Order;
const by = (change: Partial<WantedBy> = {}): WantedBy => ({
  day: '2026-11-03',
  order,
  chart: { version: 1, sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' },
  readings: {},
  hardware: { extension: [0, 10, 20], flexion: [30, 60, 90], lock: [0, 15] },
  ...change,
});

test('places are made by axes, the first one outermost', () => {
  expect(placesOf(screws)).toEqual(['medial-upper', 'medial-lower', 'lateral-upper', 'lateral-lower']);
  expect(placesOf(hinges)).toEqual([
    'medial-extension',
    'medial-flexion',
    'lateral-extension',
    'lateral-flexion',
  ]);
  expect([placesOf(backPanel), placesOf(sidePanel)]).toEqual([['one'], []]);
});

test.each([
  [screws, turned(0.25, -0.25), { state: 'right' }],
  [screws, turned(0.25, 0.25), { state: 'wrong', why: 'not-opposite', by: 0.5 }],
  [screws, turned(0.25, -0.25, 0.125), { state: 'wrong', why: 'not-opposite', by: 0.25 }],
  // a third of an eighth is none of its steps
  [screws, turned(0.0416, -0.0416), { state: 'wrong', why: 'outside' }],
  [screws, turned(2.125, -2.125), { state: 'wrong', why: 'outside', by: 0.125 }],
  [screws, { values: { 'medial-upper': 0.25 } }, { state: 'open' }],
  [backPanel, one(2), { state: 'right' }],
  [backPanel, one(2.5), { state: 'wrong', why: 'outside', by: 0.5 }],
  [sidePanel, { fitted: true }, { state: 'right' }],
] as const)('%j made %j: %j', (setting, made, judged) =>
  expect(judgeSetting(setting, made, undefined)).toMatchObject(judged),
);

test('whatever the axes, a pair is right just when every two that differ along one axis alone go as it says', () => {
  const way = fc.constantFrom('alike' as const, 'opposite' as const, 'differ' as const);
  fc.assert(
    fc.property(
      way,
      way,
      fc.array(fc.integer({ min: -2, max: 2 }), { minLength: 4, maxLength: 4 }),
      (a, b, values) => {
        const axes: PlaceAxis[] = [
          { of: ['a', 'b'], go: a },
          { of: ['x', 'y'], go: b },
        ];
        const [ax, ay, bx, by_] = values as [number, number, number, number];
        // written out for each of the four pairs
        const goes = (how: string, one: number, other: number) =>
          how === 'differ' || (how === 'alike' ? one === other : one === -other);
        const right = goes(a, ax, bx) && goes(a, ay, by_) && goes(b, ax, ay) && goes(b, bx, by_);
        const made = { values: Object.fromEntries(placesAlong(axes).map((place, i) => [place, values[i]!])) };
        const setting: Setting = {
          kind: 'length',
          id: 'x',
          made: 'before-donning',
          axes,
          least: -9,
          most: 9,
        };
        expect(judgeSetting(setting, made, undefined).state).toBe(right ? 'right' : 'wrong');
      },
    ),
  );
});

const both = (extension: number, flexion: number | null) => ({
  values: valuesOfStops({ medial: { extension, flexion }, lateral: { extension, flexion } }),
});

test.each([
  [both(10, 60), { from: 10, to: 60 }, { state: 'right' }],
  [both(20, 60), { from: 10, to: 60 }, { state: 'right' }],
  [both(0, 60), { from: 10, to: 60 }, { state: 'wrong', why: 'outside-order', by: 10 }],
  [both(10, 90), { from: 10, to: 60 }, { state: 'wrong', why: 'outside-order', by: 30 }],
  // no piece at an end that is limited: as far outside as a joint can go
  [both(10, null), { from: 10, to: 60 }, { state: 'wrong', why: 'outside-order', by: 180 }],
  [both(10, null), { from: 10, to: Infinity }, { state: 'right' }],
  [both(90, 60), undefined, { state: 'wrong', why: 'stops-cross' }],
  [
    { values: { ...both(10, 60).values, 'lateral-flexion': 30 } },
    undefined,
    { state: 'wrong', why: 'pair-differs', by: 30 },
  ],
  [
    { values: { ...both(10, 60).values, 'lateral-flexion': null } },
    undefined,
    { state: 'wrong', why: 'pair-differs', by: 180 },
  ],
  [{ values: { 'medial-extension': 10 } }, undefined, { state: 'open' }],
] as const)('stops %j where %j is ordered: %j', (made, wanted, judged) =>
  expect(judgeSetting(hinges, made, wanted)).toMatchObject(judged),
);

test('stops are chosen for every place at once; what cannot be is told; an ended order chooses nothing', () => {
  expect(chooseSetting(hinges, by())).toEqual({
    ok: true,
    made: both(10, 60),
    phase: 0,
    ordered: { extension: 10, flexion: 60 },
    lost: { extension: 0, flexion: 0 },
  });
  expect(chooseSetting(hinges, by({ joint: { from: 0, to: 5 } }))).toEqual({
    ok: false,
    problem: 'joint-outside',
  });
  expect(chooseSetting(hinges, by({ order: { ...order, until: '2026-11-02' } }))).toBeUndefined();
  expect(chooseSetting(hinges, by({ hardware: undefined }))).toBeUndefined();
  expect(stopsAt(both(10, 60), 'lateral')).toEqual({ extension: 10, flexion: 60 });
});

test('what is wanted as one number is chosen for each place; a range, or nothing, is not', () => {
  const lock: Setting = {
    kind: 'lock',
    id: 'lock',
    made: 'before-donning',
    joint: 'knee',
    axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  };
  const locked = {
    ...order,
    phases: [
      {
        ...order.phases[0]!,
        locks: [{ joint: 'knee', at: { toward: 'flexion', degrees: 15 }, when: 'always' }],
      },
    ],
  } as Order;
  expect(chooseSetting(lock, by({ order: locked }))).toMatchObject({
    made: { values: { medial: 15, lateral: 15 } },
    phase: 0,
  });
  expect(chooseSetting(lock, by())).toMatchObject({ made: { fitted: false } });
  expect(chooseSetting(backPanel, by({ order: { ...order, height: 'tall' } }))).toMatchObject({
    made: { values: { one: 4 } },
  });
  expect(chooseSetting(backPanel, by({ order: { ...order, height: 'short' } }))).toBeUndefined();
  expect(chooseSetting(sidePanel, by({ order: { ...order, panels: ['side'] } }))).toMatchObject({
    made: { fitted: true },
  });
  expect(chooseSetting(sidePanel, by({ order: { ...order, panels: ['front'] } }))).toMatchObject({
    made: { fitted: false },
  });
  expect(chooseSetting(sidePanel, by())).toBeUndefined();
  expect(chooseSetting(air, by())).toBeUndefined();
  expect(existingAt(hinges, 'lateral-flexion', by().hardware)).toEqual([30, 60, 90]);
  expect(existingAt(lock, 'medial', by().hardware)).toEqual([0, 15]);
  expect(existingAt(air, 'one', by().hardware)).toBeUndefined();
});

// days counted by hand: phase 2 begins on 11 November, phase 3 on the 21st
test('the days on which stops change are those of phases with other pieces, and no others', () => {
  const days = ['2026-11-01', '2026-11-11', '2026-11-21'];
  const on = (made: ReturnType<typeof both>) => daysOfChange(hinges, made, days, (day) => by({ day }));
  expect(on(both(10, 60))).toEqual(['2026-11-11', '2026-11-21']);
  expect(on(both(0, 60))).toEqual(['2026-11-01', '2026-11-11', '2026-11-21']);
  // of 0 to 65 the pieces give 0 to 60 as well: nothing changes on the 11th
  const same = {
    ...order,
    phases: [{ ...order.phases[1]!, fromDay: 0 }, order.phases[1]!, order.phases[2]!],
  };
  expect(daysOfChange(hinges, both(0, 60), days, (day) => by({ day, order: same }))).toEqual(['2026-11-21']);
  // a reading within the goniometer's reach of what is wanted is no change
  const knee: Setting = { ...ankle, joint: 'knee', least: -10, most: 120 } as Setting;
  const held = {
    ...order,
    phases: [
      { fromDay: 0, limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 20, flexion: 20 }) },
      { fromDay: 10, limits: [] },
    ],
  } as Order;
  expect(daysOfChange(knee, one(19), days, (day) => by({ day, order: held }))).toEqual(['2026-11-11']);
  expect(wantedOf(knee, by({ order: held }))).toEqual({ from: 20, to: 20 });
});

test.each([
  // an eighth at a time, half a turn in all, counted from neutral
  [[], turned(0.125, -0.125), undefined],
  [[turned(0.125, -0.125)], turned(0.25, -0.25), undefined],
  [[turned(0.125, -0.125)], turned(0.375, -0.375), { why: 'over-change', by: 0.125 }],
  [[turned(0.5, -0.5)], turned(0.625, -0.625), { why: 'over-all', by: 0.125 }],
  [[turned(-0.5, 0.5)], turned(-0.375, 0.375), undefined],
] as const)('after %j, %j is %j', (before, made, fault) =>
  expect(changeFault(screws, before, made)).toEqual(fault),
);

test('counted from how it was supplied, in all begins at what was made first', () => {
  const supplied = { ...screws, origin: 'as-supplied' } as Setting;
  expect(changeFault(supplied, [turned(0.5, -0.5)], turned(0.625, -0.625))).toBeUndefined();
  expect(changeFault(supplied, [turned(0.5, -0.5), turned(1, -1)], turned(1.125, -1.125))).toEqual({
    why: 'over-all',
    by: 0.125,
  });
});

test('the same is the same, whatever was left out', () => {
  expect(sameMade(both(0, null), { values: { 'medial-extension': 0, 'lateral-extension': 0 } })).toBe(true);
  expect(sameMade(both(0, null), both(0, 90))).toBe(false);
  expect(sameMade({ fitted: false }, { values: {} })).toBe(false);
});

test.each([
  ['a move to nothing', [{ goal: { kind: 'somewhere' } }], 'moves[0].goal.kind'],
  ['a range without its end', [{ goal: { kind: 'range', from: 1 } }], 'moves[0].goal.to'],
  ['an amount in words', [{ goal: { kind: 'wanted' }, amount: 'a little' }], 'moves[0].amount'],
])('%s is refused with its place', (_, moves, path) =>
  expect(() => settingSchema.validateSync({ ...screws, moves }, { strict: true })).toThrow(
    expect.objectContaining({ path }),
  ),
);

test('moves are taken as they are', () =>
  expect(
    settingSchema.isValidSync(
      {
        ...screws,
        moves: [
          { goal: { kind: 'neutral' }, posture: { stance: 'seated', joints: { knee: 90 } } },
          { goal: { kind: 'value', value: 0.25 }, order: ['upper', 'lower'], amount: 0.125, then: 'walk' },
          { goal: { kind: 'until', observed: 'gentle' }, amount: 'not-stated', then: 'ask' },
        ],
        patient: { within: 0.25, everyDays: 7 },
      },
      { strict: true },
    ),
  ).toBe(true));

const lock: Setting = {
  kind: 'lock',
  id: 'lock',
  made: 'before-donning',
  joint: 'knee',
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
};
const lockedAt = (degrees: number, joint = 'knee', toward = 'flexion') =>
  ({
    ...order,
    phases: [{ ...order.phases[0]!, locks: [{ joint, at: { toward, degrees }, when: 'always' }] }],
  }) as Order;

test.each([
  [lockedAt(15), { from: 15, to: 15 }],
  [lockedAt(0), { from: 0, to: 0 }],
  // beyond straight is under 0; the hardware has none there
  [lockedAt(15, 'knee', 'extension'), 'open'],
  // the nearest is never taken; another joint's lock is none of this one
  [lockedAt(20), 'open'],
  [lockedAt(15, 'ankle'), 'open'],
  [order, 'open'],
  [undefined, undefined],
] as const)('a lock ordered %j is wanted %j', (given, wanted) => {
  expect(wantedOf(lock, by({ order: given }))).toEqual(wanted);
});

test('a lock of a model that states none, or no hinge at all, is wanted open', () => {
  expect(wantedOf(lock, by({ order: lockedAt(15), hardware: undefined }))).toBe('open');
  expect(wantedOf(lock, by({ order: lockedAt(15), hardware: { extension: [0], flexion: [] } }))).toBe('open');
  expect(existingAt(lock, 'medial', undefined)).toBeUndefined();
  expect(existingAt(hinges, 'medial-extension', undefined)).toBeUndefined();
  expect(existingAt(hinges, 'medial-extension', by().hardware)).toEqual([0, 10, 20]);
});

test.each([
  [undefined, at(15), { state: 'open' }],
  [{ values: { medial: 15 } }, at(15), { state: 'open' }],
  [{ fitted: false }, undefined, { state: 'right' }],
  [{ fitted: false }, 'open', { state: 'right' }],
  [{ fitted: false }, at(15), { state: 'wrong', why: 'not-locked', by: 15 }],
  [pair(15, 30), at(15), { state: 'wrong', why: 'pair-differs', by: 15 }],
  [pair(15, 15), undefined, { state: 'right' }],
  [pair(15, 15), 'open', { state: 'wrong', why: 'not-ordered', by: 15 }],
  [pair(15, 15), at(15), { state: 'right' }],
  [pair(30, 30), at(15), { state: 'wrong', why: 'not-as-wanted', by: 15 }],
] as const)('a lock made %j, wanted %j: %j', (made, wanted, judged) =>
  expect(judgeSetting(lock, made, wanted)).toEqual(judged),
);

const ankleOrder = (change: object, limits: MotionWindow = {}) =>
  ({
    ...order,
    phases: [{ fromDay: 0, limits: limitsOf({ joint: 'ankle', plane: 'sagittal' }, limits) }],
    ...change,
  }) as Order;
const held = (joint: string, plane: string) => ({
  angles: [{ joint, plane, at: { toward: 'plantarflexion', degrees: 20 } }],
});

test.each([
  // held at an angle goes before what the motion is limited to
  [ankleOrder(held('ankle', 'sagittal'), { extension: 0, flexion: 10 }), at(20)],
  [ankleOrder(held('ankle', 'frontal')), at(0)],
  [ankleOrder(held('knee', 'sagittal')), at(0)],
  [ankleOrder({}, { extension: -5, flexion: 10 }), { from: -5, to: 10 }],
  [ankleOrder({}, { extension: 5 }), at(5)],
  [ankleOrder({}, { flexion: -5 }), at(-5)],
  [ankleOrder({}), at(0)],
  [undefined, at(0)],
] as const)('an ankle ordered %j is wanted at %j', (given, wanted) =>
  expect(wantedOf(ankle, by({ order: given }))).toEqual(wanted),
);

test('a window of stops is wanted at both ends; an end that is not limited may be anywhere', () => {
  expect(wantedOf(hinges, by())).toEqual({ from: 10, to: 60 });
  const open = { ...order, phases: [{ fromDay: 0, limits: [] }] } as Order;
  expect(wantedOf(hinges, by({ order: open }))).toEqual({ from: -Infinity, to: Infinity });
  expect(wantedOf(hinges, by({ order: undefined }))).toBeUndefined();
  expect(judgeSetting(hinges, { fitted: true }, undefined)).toEqual({ state: 'open' });
  expect(judgeSetting(hinges, undefined, undefined)).toEqual({ state: 'open' });
  // both at one angle is a lock, and no crossing
  expect(judgeSetting(hinges, both(30, 30), { from: 30, to: 30 })).toEqual({ state: 'right' });
  expect(judgeSetting(hinges, both(30, 30), 'open')).toEqual({ state: 'right' });
  const crossed = { values: { ...both(10, 60).values, 'lateral-extension': 90 } };
  expect(judgeSetting(hinges, crossed, undefined)).toMatchObject({ why: 'stops-cross' });
});

test('only one hinge outside the order is outside it, by how far that one is', () => {
  const made = { values: { ...both(10, 60).values, 'lateral-extension': 0 } };
  expect(judgeSetting(hinges, made, { from: 10, to: 60 })).toEqual({
    state: 'wrong',
    why: 'outside-order',
    by: 10,
  });
});

const schedule = [
  { fromDay: 0, value: 3 },
  { fromDay: 10, value: 0 },
];
const wedges: Setting = { kind: 'pieces', id: 'wedges', made: 'before-donning', least: 0, most: 3, schedule };

test('what goes by a schedule is wanted as the day says; without an order nothing says when', () => {
  expect(wantedOf(wedges, by({ day: '2026-11-10' }))).toEqual(at(3));
  expect(wantedOf(wedges, by({ day: '2026-11-11' }))).toEqual(at(0));
  expect(wantedOf(wedges, by({ order: undefined }))).toBeUndefined();
  expect(wantedOf({ ...wedges, schedule: [] }, by())).toBeUndefined();
  expect(chooseSetting(wedges, by())).toEqual({
    ok: true,
    made: one(3),
    phase: 0,
    lost: { extension: 0, flexion: 0 },
  });
});

test('a choice without an order, or for one without phases, names no phase', () => {
  const belt = { overlap: 120, backPanel: 240, marks: { first: 180, spacing: 20, count: 24 } };
  const chart = { ...by().chart, axes: [{ reading: 'girth-waist', resolution: 0, bands: [] }], belt };
  const readings = { 'girth-waist': { mean: 920, sd: 1 } as never };
  const choose = (given: Order | undefined) => chooseSetting(ends, by({ chart, readings, order: given }));
  // (920 + 120 - 240) / 2 = 400 a side: the twelfth mark
  expect(choose(undefined)).toEqual({
    ok: true,
    made: { values: { left: 12, right: 12 } },
    lost: { extension: 0, flexion: 0 },
  });
  expect(choose({ ...order, phases: [] })).not.toHaveProperty('phase');
  expect(chooseSetting(ends, by({ chart, readings: {} }))).toBeUndefined();
  expect(chooseSetting(ends, by({ readings }))).toBeUndefined();
});

test.each([
  ['days that do not rise', [schedule[1]!, schedule[0]!]],
  ['a day twice', [schedule[0]!, schedule[0]!]],
  ['a change that is none', [null, schedule[0]!]],
])('a schedule with %s is refused', (_, steps) =>
  expect(settingSchema.isValidSync({ ...wedges, schedule: steps }, { strict: true })).toBe(false),
);
test('one whose days rise is taken', () =>
  expect(settingSchema.isValidSync(wedges, { strict: true })).toBe(true));

test('days of change: what nothing says stays; where nothing fits it changes once; a range that stays is no change', () => {
  const days = ['2026-11-01', '2026-11-11', '2026-11-21'];
  // no order: nothing is wanted and nothing chosen
  const none = (day: string) => by({ day, order: undefined });
  expect(daysOfChange(hinges, both(0, 90), days, none)).toEqual([]);
  expect(daysOfChange(air, one(4), days, (day) => by({ day }))).toEqual([]);
  // no piece at all fits from the 11th on, and fits again on the 21st
  const gap = {
    ...order,
    phases: [
      order.phases[0]!,
      { fromDay: 10, limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 25, flexion: 60 }) },
      order.phases[2]!,
    ],
  } as Order;
  expect(daysOfChange(hinges, both(10, 60), days, (day) => by({ day, order: gap }))).toEqual([
    '2026-11-11',
    '2026-11-21',
  ]);
  const twice = {
    ...gap,
    phases: [gap.phases[1]!, gap.phases[1]!].map((phase, i) => ({ ...phase, fromDay: i * 10 })),
  };
  expect(daysOfChange(hinges, both(10, 60), days, (day) => by({ day, order: twice }))).toEqual([
    '2026-11-01',
  ]);
  // out of a range, then the same range again: one change; then another range
  const range = (from: number, to: number, fromDay: number) => ({
    fromDay,
    limits: limitsOf({ joint: 'ankle', plane: 'sagittal' }, { extension: from, flexion: to }),
  });
  const ranges = { ...order, phases: [range(0, 10, 0), range(0, 10, 10), range(0, 12, 20)] } as Order;
  expect(daysOfChange(ankle, one(25), days, (day) => by({ day, order: ranges }))).toEqual([
    '2026-11-01',
    '2026-11-21',
  ]);
});

test.each([
  [{ fitted: true }, at(1), { state: 'right' }],
  [{ fitted: false }, at(0), { state: 'right' }],
  [{ fitted: true }, at(0), { state: 'wrong', why: 'should-be-out', by: 1 }],
  [{ fitted: false }, at(1), { state: 'wrong', why: 'should-be-in', by: 1 }],
  [{ fitted: false }, 'open', { state: 'right' }],
  [{ values: {} }, at(1), { state: 'open' }],
] as const)('a panel made %j, wanted %j: %j', (made, wanted, judged) => {
  expect(judgeSetting(sidePanel, made, wanted)).toEqual(judged);
  expect(judgeSetting(panel, made, wanted)).toEqual(judged);
});

test('of a pair the one that is further off counts; steps are counted from the least', () => {
  const wantedAt = at(10);
  const lengths: Setting = {
    ...ends,
    kind: 'length',
    least: 0,
    most: 99,
    axes: [{ of: ['left', 'right'], go: 'differ' }],
  } as Setting;
  expect(judgeSetting(lengths, pair(10, 14), wantedAt)).toEqual({
    state: 'wrong',
    why: 'not-as-wanted',
    by: 4,
  });
  expect(judgeSetting(lengths, pair(10, 14), 'open')).toEqual({ state: 'right' });
  const stepped = { ...lengths, least: 3, increment: 5 } as Setting;
  expect(judgeSetting(stepped, pair(8, 13), undefined)).toEqual({ state: 'right' });
  expect(judgeSetting(stepped, pair(8, 10), undefined)).toMatchObject({ why: 'outside', by: 2 });
  // a third said in decimals is near enough
  const thirds = { ...lengths, increment: 1 / 3 } as Setting;
  expect(judgeSetting(thirds, pair(0.33333333, 2), undefined).state).toBe('right');
});

test('what may be left out of two ways in which something is made does not make them differ', () => {
  expect(sameMade({ fitted: true }, { fitted: true })).toBe(true);
  expect(sameMade({}, { values: { one: 1 } })).toBe(false);
  expect(sameMade({ values: { one: 1 } }, {})).toBe(false);
  expect(changeFault(screws, [{ fitted: false }], turned(0.125, -0.125))).toBeUndefined();
  expect(
    changeFault(
      { ...screws, perChange: undefined, inAll: undefined } as Setting,
      [turned(0, 0)],
      turned(2, -2),
    ),
  ).toBeUndefined();
  expect(changeFault(hinges, [both(0, 60)], both(0, null))).toBeUndefined();
  const bounded = { ...hinges, perChange: 20, inAll: 20 } as Setting;
  expect(changeFault(bounded, [both(0, 60)], both(0, null))).toBeUndefined();
  expect(changeFault(bounded, [both(0, 60)], both(0, 90))).toEqual({ why: 'over-change', by: 10 });
  // counted from what it was first, whatever kind it is
  expect(changeFault(bounded, [both(0, 60), both(0, 75)], both(0, 90))).toEqual({ why: 'over-all', by: 10 });
});
