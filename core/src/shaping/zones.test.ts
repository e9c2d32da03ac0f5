import type { Part } from '../brace';
import { partsOnZones, prominencesOf, type Zone } from './zones';

const levels: Record<string, number> = {
  'mid-kneecap': 0,
  'fibular-neck': -66,
  malleoli: -440,
  'iliac-crest': -38,
};
const levelOf = (landmark: string) => levels[landmark];
const strap = (level: number, face = 'lateral'): Part =>
  ({
    kind: 'strap',
    id: 'strap',
    width: 26,
    course: [
      { from: 'mid-kneecap', offset: level, face },
      { from: 'mid-kneecap', offset: level, face: 'back' },
    ],
  }) as Part;
const head: Zone = { what: 'fibular-head', face: 'lateral', from: -44, to: -80 };

test.each([
  [-60, { over: 26, move: 29 }],
  [-75, { over: 18, move: -18 }],
  [-50, { over: 19, move: 19 }],
])('a strap at %d over the fibular head: how much of it, and the nearer way off', (level, told) =>
  expect(partsOnZones([strap(level)], [head], levelOf)).toEqual([expect.objectContaining(told)]),
);

test.each([
  ['beside it', strap(-20)],
  ['at its very edge', strap(-31)],
  ['on another face', strap(-60, 'medial')],
])('a strap %s is not told', (_, part) => expect(partsOnZones([part], [head], levelOf)).toEqual([]));

test('a shell does not move for its edge: it is brought out', () => {
  const shell: Part = {
    kind: 'shell',
    id: 'shell',
    from: { from: 'mid-kneecap', offset: -40 },
    to: { from: 'mid-kneecap', offset: -200 },
    faces: ['lateral'],
  } as Part;
  const [on] = partsOnZones([shell], [head], levelOf);
  expect(on).toMatchObject({ over: 36, flare: 4 });
  expect(on!.move).toBeUndefined();
});

test('a bar lies on what its course runs over; a pad is told of a wound and not of a prominence', () => {
  const bar: Part = {
    kind: 'bar',
    id: 'bar',
    course: [
      { from: 'mid-kneecap', offset: 100, face: 'lateral' },
      { from: 'malleoli', face: 'lateral' },
    ],
  } as Part;
  expect(partsOnZones([bar], [head], levelOf)).toHaveLength(1);
  const pad: Part = {
    kind: 'pad',
    id: 'pad',
    from: { from: 'mid-kneecap', offset: -50 },
    to: { from: 'mid-kneecap', offset: -70 },
    face: 'lateral',
    width: 20,
  } as Part;
  expect(
    partsOnZones([pad], [head, { ...head, what: 'wound' }], levelOf).map(({ zone }) => zone.what),
  ).toEqual(['wound']);
});

test('prominences of a region lie at their landmarks; those of a landmark it lacks are none', () => {
  expect(prominencesOf('leg', levelOf).map(({ what }) => what)).toEqual([
    'fibular-head',
    'malleolus',
    'malleolus',
  ]);
  expect(prominencesOf('trunk', levelOf)).toEqual([
    { what: 'iliac-crest', face: 'right', from: -24, to: -56 },
    { what: 'iliac-crest', face: 'left', from: -24, to: -56 },
  ]);
});
