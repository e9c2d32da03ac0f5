import type { Order } from '../order';
import { compartmentOf } from '../order';
import { notCarriedOut } from '../programmes';
import { wantedOn } from '../setting';
import { findingsOf } from './index';
import { fittedOn, wholeCase } from './test-whole-case';

const held = (degrees: number) => [
  { joint: 'ankle' as const, at: { toward: 'plantarflexion' as const, degrees }, when: 'always' as const },
];
const achilles = [{ code: 'achilles', side: 'right' as const }];

function boot(order: Partial<Order>, heelToBall = 178) {
  const made = wholeCase('ankle-walker', {
    order,
    leave: ['set', 'shape', 'strap', 'check', 'sign', 'wear'],
  });
  made.log.read('heel-to-ball', 'right', heelToBall, heelToBall);
  const state = made.state();
  const wanted = (id: string) =>
    wantedOn(
      state.programme.settings.find((one) => one.id === id)!,
      state,
      fittedOn,
    );
  return {
    state,
    angle: wanted('ankle-angle'),
    wedges: wanted('heel-wedges'),
    found: findingsOf(state, fittedOn).map(({ kind }) => kind),
  };
}

// each form of one order: a lock, a held angle, a fixed window, dorsiflexion blocked where the foot may point further
test.each([
  ['locked in its phase', { phases: [{ fromDay: 0, limits: [], locks: held(20) }] }],
  [
    'held at an angle',
    {
      phases: [{ fromDay: 0, limits: [] }],
      angles: [
        {
          joint: 'ankle' as const,
          plane: 'sagittal' as const,
          at: { toward: 'plantarflexion' as const, degrees: 20 },
        },
      ],
    },
  ],
  [
    'fixed by its limits',
    {
      phases: [
        {
          fromDay: 0,
          limits: [
            {
              joint: 'ankle' as const,
              plane: 'sagittal' as const,
              from: { toward: 'plantarflexion' as const, degrees: 20 },
              to: { toward: 'plantarflexion' as const, degrees: 20 },
            },
          ],
        },
      ],
    },
  ],
  [
    'blocked towards dorsiflexion',
    {
      phases: [
        {
          fromDay: 0,
          limits: [
            {
              joint: 'ankle' as const,
              plane: 'sagittal' as const,
              from: { toward: 'plantarflexion' as const, degrees: 20 },
            },
          ],
        },
      ],
    },
  ],
] as [string, Partial<Order>][])(
  'an ankle %s at 20 degrees is carried out: that angle and seven wedges are wanted',
  (_, order) => {
    const made = boot({ injuries: achilles, ...order });
    expect(made.angle).toEqual({ from: 20, to: 20 });
    expect(made.wedges).toEqual({ from: 7, to: 7 });
    expect(notCarriedOut(made.state.order!.order, made.state.programme, made.state.model)).toEqual([]);
    expect(made.found).not.toContain('angle-not-ordered');
  },
);

test('with the tendon coded and no angle ordered nothing is wanted, neutral least of all: it is asked', () => {
  const made = boot({ injuries: achilles, phases: [{ fromDay: 0, limits: [] }] });
  expect([made.angle, made.wedges]).toEqual([undefined, undefined]);
  expect(made.found).toContain('angle-not-ordered');
  // another injury is neutral as usual
  expect(
    boot({ injuries: [{ code: 'fracture-foot', side: 'right' }], phases: [{ fromDay: 0, limits: [] }] })
      .angle,
  ).toEqual({ from: 0, to: 0 });
});

test('more wedges than the boot takes: not possible, and it is not donned', () => {
  const made = boot({ injuries: achilles, phases: [{ fromDay: 0, limits: [], locks: held(40) }] });
  expect(made.wedges).toEqual({ from: 12, to: 12 });
  expect(findingsOf(made.state, fittedOn).find(({ kind }) => kind === 'not-possible')).toMatchObject({
    level: 'today',
    mayBeOverridden: false,
    withholds: expect.arrayContaining(['donning']) as unknown,
  });
});

test.each([
  [{ relieve: 'medial' as const }, { relieve: 'medial' }],
  [{ injuries: [{ code: 'osteoarthritis-outer' }] }, { relieve: 'lateral' }],
  [{ relieve: 'medial' as const, injuries: [{ code: 'osteoarthritis-inner' }] }, { relieve: 'medial' }],
  [{ relieve: 'lateral' as const, injuries: [{ code: 'osteoarthritis-inner' }] }, { asks: 'disagree' }],
  [{ injuries: [{ code: 'osteoarthritis-inner' }, { code: 'osteoarthritis-outer' }] }, { asks: 'disagree' }],
  [{ injuries: [{ code: 'meniscus' }] }, { asks: 'not-said' }],
  [{}, { asks: 'not-said' }],
])('the compartment of %j: %j', (order, of) => expect(compartmentOf(order)).toEqual(of));

test('a compartment that is asked withholds the signature of a brace that unloads one', () => {
  const asked = (order: object) =>
    findingsOf(wholeCase('unloader-one-screw', { order, leave: ['sign', 'wear'] }).state(), fittedOn).filter(
      ({ kind }) => kind === 'compartment-asked',
    );
  expect(
    asked({ relieve: 'lateral', injuries: [{ code: 'osteoarthritis-inner', side: 'right' }] }),
  ).toMatchObject([{ about: 'disagree', mayBeOverridden: false }]);
  expect(asked({ relieve: 'medial' })).toEqual([]);
});
