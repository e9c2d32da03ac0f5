import { measuringProgress, type MeasuringStep } from '../measuring';
import type { MadeSetting } from '../setting';
import { followedOf, followedSchema, isGrowing, sideOfReading, type FollowedByFamily } from './followed';

const reading = { tolerance: 5, withinPerson: 2, shared: 3, plausible: [1, 2000] as const };
const motion = (id: string, plane: 'sagittal' | 'frontal'): MeasuringStep => ({
  kind: 'motion',
  id,
  joint: 'knee',
  plane,
  modes: ['passive'],
});
const girth = { kind: 'girth', id: 'girth', from: 'mid-kneecap', distance: 100, ...reading } as MeasuringStep;
const length = {
  kind: 'distance',
  id: 'length',
  from: 'mid-kneecap',
  to: 'trochanter',
  ...reading,
} as MeasuringStep;
const person = ['mass', 'age', 'stature', 'shoe'].map(
  (kind) => ({ kind, id: kind, ...reading }) as MeasuringStep,
);
const steps = [motion('bend', 'sagittal'), motion('sway', 'frontal'), girth, length, ...person];

const axes = (...ids: string[]) => ({ axes: ids.map((id) => ({ reading: id, resolution: 0, bands: [] })) });
const measuring = (...tested: string[]) => ({
  ...measuringProgress(steps, 'left', {
    readings: [],
    skipped: [],
    motions: tested.map((step) => ({
      step,
      side: 'left',
      mode: 'passive',
      from: 0,
      to: 90,
      limitReached: { extension: false, flexion: false },
      entry: step,
    })),
  }),
  steps,
});
const all = axes('girth', 'mass', 'age', 'stature', 'shoe');
const names = (found: ReturnType<typeof followedOf>) => ({
  motions: found.motions.map(({ step, mode, side }) => [step?.id ?? 'limited', mode ?? 'any', side]),
  readings: found.readings.map(({ id }) => id),
  growth: found.growth.map(({ id }) => id),
  settings: found.settings.map(({ setting: { id } }) => id),
});
const made = ['one', 'two'].map((id) => ({ setting: { id } }) as MadeSetting);
const followed = (by: Partial<FollowedByFamily>, chart = all) =>
  names(
    followedOf(
      { followed: { motions: [], readings: [], settings: [], ...by }, joint: 'knee' },
      'left',
      measuring(),
      chart,
      made,
      ['bend'],
    ),
  );

test('a family that says nothing: the limited motion, those that were tested, the girths of its size', () => {
  expect(names(followedOf({ joint: 'knee' }, 'left', measuring('sway'), all, made, ['bend']))).toEqual({
    motions: [
      ['limited', 'any', 'left'],
      ['sway', 'any', 'left'],
    ],
    readings: ['girth'],
    // an age is known by the day of birth
    growth: ['mass', 'stature', 'shoe'],
    settings: [],
  });
  // nothing of it was tested, and no joint's motion is limited
  expect(names(followedOf({}, 'left', measuring('bend'), axes('length'), made, ['bend']))).toEqual({
    motions: [],
    readings: ['length'],
    growth: [],
    settings: [],
  });
});

test('what a family names, and nothing else', () => {
  expect(
    followed({ motions: [{ step: 'sway' }], readings: ['length'], settings: ['two'] }, axes('girth')),
  ).toEqual({
    motions: [['sway', 'any', 'left']],
    readings: ['length'],
    growth: [],
    settings: ['two'],
  });
});

test('a motion in each of its modes, on both sides where it says so; the limited one by no step', () => {
  expect(
    followed({
      motions: [
        { step: 'bend', modes: ['active', 'passive'] },
        { step: 'sway', sides: 'both' },
      ],
    }).motions,
  ).toEqual([
    ['limited', 'active', 'left'],
    ['limited', 'passive', 'left'],
    ['sway', 'any', 'left'],
    ['sway', 'any', 'right'],
  ]);
  const midline = followedOf(
    { followed: { motions: [{ step: 'sway', sides: 'both' }], readings: [], settings: [] } },
    'midline',
    measuring(),
    all,
    made,
    [],
  );
  expect(midline.motions.map(({ side }) => side)).toEqual(['midline']);
  expect(followed({ motions: [{ step: 'nothing' }] }).motions).toEqual([]);
});

test('growth as the family names it, or what its size hangs on; never read twice', () => {
  expect(followed({ growth: ['length', 'stature'] }).growth).toEqual(['length', 'stature']);
  expect(followed({ readings: ['mass'] }).growth).toEqual(['stature', 'shoe']);
  expect(followed({ readings: ['mass'], growth: [] }).growth).toEqual([]);
});

// common practice, no source: an estimate
test.each([
  ['2008-11-27', true],
  ['2008-11-25', false],
  ['2022-05-01', true],
  ['1950-01-01', false],
])('born on %s one still grows: %s', (born, grows) => expect(isGrowing(born, '2026-11-26')).toBe(grows));

test('what is of the whole person is kept under no side', () => {
  expect(steps.slice(2).map((step) => sideOfReading(step as never, 'right'))).toEqual([
    'right',
    'right',
    'midline',
    'midline',
    'midline',
    'right',
  ]);
});

test.each([
  [{ motions: [{ step: 'sway', modes: [] }], readings: [], settings: [] }],
  [{ motions: [{ step: 'sway', modes: ['asleep'] }], readings: [], settings: [] }],
  [{ motions: [{ step: 'sway', sides: 'left' }], readings: [], settings: [] }],
  [{ motions: ['sway'], readings: [], settings: [] }],
  [{ motions: [], readings: [] }],
])('%j is refused', (one) => expect(followedSchema.isValidSync(one, { strict: true })).toBe(false));
