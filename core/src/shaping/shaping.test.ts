import { coronalSet, judgeBend, spent, type Bend, type FrameLimits } from './bends';
import { padAdvice, type Pad } from './pads';

const limits: FrameLimits = {
  bendable: true,
  hingeZone: 40,
  reach: { proximal: 180, distal: 170 },
  increment: 5,
  total: 12,
};
const bend = (change: Partial<Bend> = {}): Bend => ({
  part: 'upright-medial',
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
  expect(['upright-medial', 'upright-lateral'].map((part) => spent(part, made))).toEqual([9, 0]);
  expect(judgeBend(bend({ amount: 4 }), made, limits)).toEqual(['over-total', 'back-and-forth']);
  expect(judgeBend(bend({ part: 'upright-lateral' }), made, limits)).toEqual([]);
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
  [{ direction: 'away-from-limb', part: 'upright-lateral' }, []],
] as const)('after a bend towards the limb at 100, %j: %j', (change, problems) =>
  expect(judgeBend(bend({ ...change, amount: 3 }), [bend({ amount: 3 })], limits)).toEqual(problems),
);

const ironed: FrameLimits = {
  ...limits,
  total: 200,
  increment: 90,
  bar: {
    material: 'aluminium',
    thickness: 3,
    width: 18,
    spread: 60,
    jaw: 24,
    keepOut: [{ from: 90, to: 70, why: 'shim' }],
    unbent: ['upright-lateral'],
  },
};

test.each([
  ['between the zone’s ends', { place: 80 }, ['in-keep-out']],
  ['at its end', { place: 90 }, []],
  ['on the side with coronal hinges', { part: 'upright-lateral', place: 120 }, ['unbent']],
] as const)('a bend %s', (_, change, problems) =>
  expect(judgeBend(bend(change), [], ironed)).toEqual(problems),
);

test('a bend over irons that stand too near is tighter than its material bears', () => {
  const near = { ...ironed, bar: { ...ironed.bar!, spread: 6 } };
  expect(judgeBend(bend({ place: 120, amount: 40 }), [], near)).toEqual(['too-tight']);
  expect(judgeBend(bend({ place: 120, amount: 20 }), [bend({ place: 124, amount: 20 })], near)).toEqual([
    'too-tight',
  ]);
});

test('a composite is never bent cold, whatever the frame says', () =>
  expect(judgeBend(bend(), [], { ...ironed, bar: { ...ironed.bar!, material: 'carbon-composite' } })).toEqual(
    ['not-bendable'],
  ));

// how often is the material's own; from memory
test('aluminium goes back once and no more', () => {
  const [there, back] = [bend({ place: 120 }), bend({ place: 120, direction: 'away-from-limb' })];
  expect(judgeBend(back, [there], ironed)).toEqual([]);
  expect(judgeBend(there, [there, back], ironed)).toEqual(['back-and-forth']);
  expect(judgeBend(back, [there, back], ironed)).toEqual([]);
});

// facts.csv, K2: bend of one bar above and below the hinge, equal
test.each([4, -4])('a set of %d degrees: the same above and below the hinge, the same way', (turn) => {
  const [above, below] = coronalSet('upright-medial', turn, { above: 70, below: 60 });
  expect([above!.place, below!.place]).toEqual([70, -60]);
  expect([above!.amount, above!.direction]).toEqual([below!.amount, below!.direction]);
});
