import { joints, planes } from '@estribo/core/anatomy';
import { kinds } from '@estribo/core/logbook';
import {
  limitsOf,
  lockMoments,
  orderedPostures,
  panelNames,
  weightBearing,
  type Order,
} from '@estribo/core/order';
import { notCarriedOut, programmes } from '@estribo/core/programmes';
import fc from 'fast-check';
import { contextOf } from '../../../core/src/logbook/test-case';
import { emptyOrder, filledOrder, limitLabel, orderOf, formatNotCarriedOut, saidAngle } from './order-values';

const family = (id: string) => programmes.find((one) => one.id === id)!;
const degrees = fc.integer({ min: -20, max: 120 });
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });

const phases = (joint: 'knee' | 'ankle' | 'shoulder') =>
  fc
    .array(
      fc.record({
        from: maybe(degrees),
        to: maybe(degrees),
        lock: maybe(fc.constantFrom(0, 15, 30)),
        weight: maybe(fc.constantFrom(...weightBearing)),
        when: fc.constantFrom(...lockMoments),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map((all) =>
      all.map(({ from, to, lock, weight, when }, i) => ({
        fromDay: i * 7,
        limits: limitsOf(
          { joint, plane: 'sagittal' },
          {
            ...(from === undefined ? {} : { extension: from }),
            ...(to === undefined ? {} : { flexion: to }),
          },
        ),
        ...(lock === undefined
          ? {}
          : {
              locks: [
                {
                  joint,
                  at: {
                    toward: joint === 'ankle' ? ('plantarflexion' as const) : ('flexion' as const),
                    degrees: lock,
                  },
                  when,
                },
              ],
            }),
        ...(weight === undefined ? {} : { weight }),
      })),
    );

// what is filled in from an order and taken again is that order: nothing is lost on the way through the form
test.each(['knee-postop', 'ankle-walker', 'shoulder-support'])(
  '%s: an order goes through its form whole',
  (id) => {
    const programme = family(id);
    const joint = programme.joint as 'knee' | 'ankle' | 'shoulder';
    fc.assert(
      fc.property(
        phases(joint),
        fc.record({
          posture: maybe(fc.constantFrom(...orderedPostures)),
          panels: maybe(fc.uniqueArray(fc.constantFrom(...panelNames), { minLength: 1 })),
          until: maybe(fc.constant('2027-01-31')),
          protective: fc.boolean(),
        }),
        (ordered, { posture, panels, until, protective }) => {
          const order: Order = {
            diagnosis: 'as written',
            injuries: [{ code: 'meniscus', side: 'left' }, { code: 'other' }],
            prescriber: 'Dr Elva Nogueira',
            side: 'left',
            dayZero: '2026-11-07',
            ...(until ? { until } : {}),
            phases: ordered,
            ...(panels ? { panels } : {}),
            ...(posture ? { posture } : {}),
            protective,
            wearing: 'day and night',
            trouble: 'loosen',
          };
          const taken = orderOf(filledOrder(order, programme), 'left', programme);
          expect(taken).toEqual(order);
          expect(kinds['order.given'].body.isValidSync(taken, { strict: true })).toBe(true);
        },
      ),
    );
  },
);

test('a plain number goes towards the end that its field names; a minus the other way, and is said', () => {
  const knee = { joint: 'knee', plane: 'sagittal' } as const;
  const ankle = { joint: 'ankle', plane: 'sagittal' } as const;
  expect([limitLabel(knee, 'from'), limitLabel(ankle, 'from'), limitLabel(ankle, 'to')]).toEqual([
    'Extension',
    'Dorsiflexion',
    'Plantarflexion',
  ]);
  const typed = (joint: 'knee' | 'ankle', from: string, to: string) => {
    const programme = family(joint === 'knee' ? 'knee-postop' : 'ankle-walker');
    const values = emptyOrder(programme);
    values.phases[0]!.limits[0] = { joint, plane: 'sagittal', from, to };
    return orderOf({ ...values, dayZero: '2026-11-07' }, 'right', programme).phases[0]!.limits[0];
  };
  expect(typed('knee', '10', '60')).toMatchObject({
    from: { toward: 'flexion', degrees: 10 },
    to: { toward: 'flexion', degrees: 60 },
  });
  expect(typed('knee', '−5', '60')).toMatchObject({ from: { toward: 'extension', degrees: 5 } });
  expect(typed('ankle', '10', '20')).toMatchObject({
    from: { toward: 'dorsiflexion', degrees: 10 },
    to: { toward: 'plantarflexion', degrees: 20 },
  });
  expect(typed('ankle', '-5', '20')).toMatchObject({ from: { toward: 'plantarflexion', degrees: 5 } });
  expect(saidAngle(ankle, 'from', '-5')).toBe('= 5° plantarflexion');
  expect(saidAngle(ankle, 'from', '5')).toBeUndefined();
});

test('whatever a brace cannot carry out has its words', () => {
  const order: Order = {
    diagnosis: 'everything',
    prescriber: 'ward 3',
    side: 'right',
    dayZero: '2026-11-07',
    phases: [
      {
        fromDay: 0,
        limits: joints.flatMap((joint) =>
          planes.flatMap((plane) => limitsOf({ joint, plane }, { flexion: 10 })),
        ),
        locks: [{ joint: 'knee', at: { toward: 'extension', degrees: 5 }, when: 'always' }],
      },
    ],
    angles: [{ joint: 'ankle', plane: 'sagittal', at: { toward: 'plantarflexion', degrees: 20 } }],
    relieve: 'medial',
    height: 'tall',
    panels: ['low', 'side'],
    posture: 'lying',
    roll: 'left',
    protective: true,
    wearing: 'day and night',
    trouble: 'keep-on',
  };
  const left = notCarriedOut(
    order,
    family('knee-sleeve'),
    contextOf('knee-sleeve', { sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' }).model,
  );
  expect(left.length).toBeGreaterThan(20);
  for (const name of left)
    expect([name, formatNotCarriedOut(name)]).toEqual([name, expect.not.stringMatching(/undefined|\.|\{/)]);
});
