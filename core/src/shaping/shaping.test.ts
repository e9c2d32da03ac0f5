import { bendLedger, judgeBend, type Bend, type FrameLimits } from './bends';
import { padAdvice, type Pad } from './pads';

const limits: FrameLimits = {
  bendable: true,
  hingeZone: 40,
  reach: { proximal: 180, distal: 170 },
  increment: 5,
  total: 12,
};
const bend = (change: Partial<Bend> = {}): Bend => ({
  upright: 'medial',
  place: 100,
  direction: 'towards-limb',
  amount: 4,
  ...change,
});

test.each([
  [{}, []],
  [{ place: 30 }, ['in-hinge-zone']],
  [{ place: -30 }, ['in-hinge-zone']],
  [{ place: 181 }, ['off-the-upright']],
  [{ place: -171 }, ['off-the-upright']],
  [{ amount: 6 }, ['over-increment']],
] as const)('a bend %j: %j', (change, problems) =>
  expect(judgeBend(bend(change), [], limits)).toEqual(problems),
);

test('bends of one upright add up, back and forth alike; the other upright has its own account', () => {
  const made = [bend(), bend({ direction: 'away-from-limb', amount: 5 })];
  expect(bendLedger(made, limits)).toEqual({
    medial: { spent: 9, left: 3, turned: -1 },
    lateral: { spent: 0, left: 12, turned: 0 },
  });
  expect(judgeBend(bend({ amount: 4 }), made, limits)).toEqual(['over-total', 'back-and-forth']);
  expect(judgeBend(bend({ upright: 'lateral' }), made, limits)).toEqual([]);
});

test('a frame that must not be bent cold says only that', () =>
  expect(judgeBend(bend({ place: 10, amount: 50 }), [], { ...limits, bendable: false })).toEqual([
    'not-bendable',
  ]));

const pad: Pad = { from: -170, to: -130, face: 'front', splits: true };

// common practice, no source: split pads straddle a scar
test.each([
  [[], 'place'],
  [[{ from: -140, to: 20, face: 'front' }], 'split-around'],
  [[{ from: 20, to: -140, face: 'front' }], 'split-around'],
  [[{ from: -140, to: 20, face: 'back' }], 'place'],
  [[{ from: -130, to: 20, face: 'front' }], 'place'],
] as const)('a pad that splits, scars %j: %s', (scars, advice) => expect(padAdvice(pad, scars)).toBe(advice));

test('a pad that does not split keeps off a scar', () =>
  expect(padAdvice({ ...pad, splits: false }, [{ from: -150, to: -140, face: 'front' }])).toBe('keep-off'));

// common practice, no source: metal bent back and forth in one place breaks
test.each([
  [{ direction: 'away-from-limb', place: 110 }, ['back-and-forth']],
  [{ direction: 'away-from-limb', place: 100 }, ['back-and-forth']],
  [{ direction: 'away-from-limb', place: 120 }, []],
  [{ direction: 'towards-limb', place: 100 }, []],
  [{ direction: 'away-from-limb', upright: 'lateral' }, []],
] as const)('after a bend towards the limb at 100, %j: %j', (change, problems) =>
  expect(judgeBend(bend({ ...change, amount: 3 }), [bend({ amount: 3 })], limits)).toEqual(problems),
);
