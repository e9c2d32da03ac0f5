import { limitsOf, type Order } from '@estribo/core/order';
import { formatInForce } from './print-order';

const shoulder = { joint: 'shoulder', plane: 'sagittal' } as const;
const order = (more: Partial<Order['phases'][number]> = {}, rest: Partial<Order> = {}): Order => ({
  diagnosis: 'instability',
  prescriber: 'ward 3',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [{ fromDay: 0, limits: [], ...more }],
  protective: true,
  wearing: 'day and night',
  trouble: 'keep-on',
  ...rest,
});
const sideways = limitsOf({ joint: 'shoulder', plane: 'frontal' }, { extension: -60 });
const usual = limitsOf(shoulder, { extension: -20, flexion: 90 });
const held = { angles: [{ ...shoulder, at: { toward: 'forward', degrees: 30 } }] } as Partial<Order>;

test.each([
  ['nothing', order(), 'no range-of-motion limits ordered'],
  ['its own motion', order({ limits: usual }), /90°/],
  // never said to be free while another plane is limited
  ['another plane alone', order({ limits: sideways }), /^Shoulder, sideways: .*60°/],
  ['both', order({ limits: [...usual, ...sideways] }), /90° flexion; Shoulder, sideways: .*60°/],
  ['an angle that it is held at', order({}, held), /^held at 30°/],
  ['a held angle and another plane', order({ limits: sideways }, held), /^held at 30°.*; Shoulder, sideways/],
  ['a held angle and a limit of the same motion', order({ limits: usual }, held), /^held at 30°.*; .*90°/],
  [
    'an angle of another joint',
    order({}, { angles: [{ joint: 'elbow', plane: 'sagittal', at: { toward: 'flexion', degrees: 90 } }] }),
    /^Elbow: held at 90°$/,
  ],
  [
    'a lock beside it',
    order({ locks: [{ joint: 'shoulder', at: { toward: 'forward', degrees: 20 }, when: 'sleeping' }] }),
    /no range-of-motion limits ordered; .*20°/,
  ],
])('of an order that limits %s all of it is said', (_, given, said) =>
  expect(formatInForce(given, '2026-11-20', shoulder)).toMatch(said),
);

test('a family that limits no motion says what is limited all the same, else nothing', () => {
  expect(formatInForce(order(), '2026-11-20', undefined)).toBe('');
  expect(formatInForce(order({ limits: sideways }), '2026-11-20', undefined)).toMatch(/^Shoulder, sideways/);
});

test('what is in force is that of the day', () => {
  const two = order(
    {},
    {
      phases: [
        { fromDay: 0, limits: usual },
        { fromDay: 21, limits: sideways },
      ],
    },
  );
  expect(formatInForce(two, '2026-11-27', shoulder)).not.toMatch('sideways');
  expect(formatInForce(two, '2026-11-28', shoulder)).toMatch(/^Shoulder, sideways/);
});
