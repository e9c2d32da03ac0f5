import { limitsOf, type Order } from '../order';
import { notCarriedOut } from './carries-out';
import type { BraceModel } from './model';
import { programmes } from './all';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const order: Order = {
  diagnosis: 'as ordered',
  prescriber: 'ward 3',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [{ fromDay: 0, limits: [] }],
  protective: true,
  wearing: 'day and night',
  trouble: 'keep-on',
};
const family = (id: string) => programmes.find((one) => one.id === id)!;
const model = (id: string, more: Partial<BraceModel> = {}): BraceModel => ({
  id: 'm',
  version: 1,
  name: 'm',
  maker: 'm',
  programme: id,
  invented: true,
  distances: {},
  chart: { version: 1, sizes: ['one'], axes: [], between: 'larger', disagree: 'larger' },
  parts: [],
  tolerances: {},
  ...more,
});
const dial = { extension: [0], flexion: [90], lock: [0, 15, 30] };
const locked = (degrees: number) => ({
  phases: [
    {
      fromDay: 0,
      limits: [],
      locks: [
        { joint: 'knee' as const, at: { toward: 'flexion' as const, degrees }, when: 'always' as const },
      ],
    },
  ],
});

// which family carries out what: common practice, no source
test.each<[string, Partial<Order>, Partial<BraceModel>, string[]]>([
  ['knee-postop', { phases: [{ fromDay: 0, limits: limitsOf(knee, { flexion: 90 }) }] }, { hinge: dial }, []],
  [
    'knee-sleeve',
    { phases: [{ fromDay: 0, limits: limitsOf(knee, { flexion: 90 }) }] },
    {},
    ['motion-knee-sagittal'],
  ],
  ['knee-postop', locked(30), { hinge: dial }, []],
  // an exact angle or none, never the nearest
  ['knee-postop', locked(20), { hinge: dial }, ['lock-knee-flexion-20']],
  ['knee-ligament-frame', locked(30), { hinge: dial }, ['lock-knee-flexion-30']],
  [
    'shoulder-support',
    {
      phases: [
        { fromDay: 0, limits: limitsOf({ joint: 'shoulder', plane: 'frontal' }, { extension: -90 }) },
        { fromDay: 7, limits: limitsOf({ joint: 'shoulder', plane: 'frontal' }, { extension: -120 }) },
      ],
    },
    {},
    ['motion-shoulder-frontal'],
  ],
  [
    'ankle-walker',
    { angles: [{ joint: 'ankle', plane: 'sagittal', at: { toward: 'plantarflexion', degrees: 20 } }] },
    {},
    [],
  ],
  [
    'ankle-stabiliser',
    { angles: [{ joint: 'ankle', plane: 'sagittal', at: { toward: 'plantarflexion', degrees: 20 } }] },
    {},
    ['angle-ankle-sagittal'],
  ],
  ['unloader-frame', { relieve: 'medial' }, {}, []],
  ['knee-sleeve', { relieve: 'medial' }, {}, ['relieve-medial']],
  ['spine-belt', { panels: ['low', 'side'], posture: 'lying' }, {}, []],
  ['spine-belt', { height: 'tall', roll: 'left' }, {}, ['height-tall']],
  ['spine-pull-tab', { roll: 'left' }, {}, ['roll-left']],
  ['spine-bivalve', { roll: 'left', panels: ['front'] }, {}, ['panels-front']],
  // how much weight the leg bears is the patient's own to keep
  ['knee-sleeve', { phases: [{ fromDay: 0, limits: [], weight: 'none' }] }, {}, []],
])('%s under %j', (id, ordered, more, left) =>
  expect(notCarriedOut({ ...order, ...ordered }, family(id), model(id, more))).toEqual(left),
);

test('nothing that is asked for first is left by every family that asks for it', () => {
  for (const programme of programmes)
    for (const thing of programme.ordered ?? [])
      expect([thing, thing === 'lock' && !programme.settings.some(({ kind }) => kind === 'lock')]).toEqual([
        thing,
        false,
      ]);
});
