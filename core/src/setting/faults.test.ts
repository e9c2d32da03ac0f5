import type { EntryFault } from '../faults';
import { foreignSetting, foreignValues, isForeignMade, settingRoleFaults } from './faults';
import type { MadeSetting } from './fold';
import { grounds, hinges, inHinges, lock, screw, settings } from './test-settings';

const { model } = grounds;
const at = (place: string, value: number | null) => ({ place, value });
const stops = inHinges({ extension: 10, flexion: 90 });
const places = 'medial-extension, medial-flexion, lateral-extension, lateral-flexion';

test.each<[string, Parameters<typeof foreignSetting>[2], EntryFault[]]>([
  ['all four ends', stops, []],
  ['no flexion stop', inHinges({ extension: 0, flexion: null }), []],
  [
    'a setting that is none',
    { setting: 'dial', fitted: true },
    [expect.objectContaining({ at: 'body.setting', message: 'is no setting of this brace' })],
  ],
  [
    'stops that are in or out',
    { setting: 'hinge-stops', fitted: true },
    [expect.objectContaining({ at: 'body', message: 'must carry numbers' })],
  ],
  [
    'a panel with numbers',
    { setting: 'panel', values: [at('one', 1)] },
    [expect.objectContaining({ at: 'body', message: 'must say whether the part is in' })],
  ],
  ['a panel that is in', { setting: 'panel', fitted: true }, []],
  ['an open lock', { setting: 'lock', fitted: false }, []],
  [
    'a lock that is in',
    { setting: 'lock', fitted: true },
    [expect.objectContaining({ at: 'body', message: 'must carry numbers' })],
  ],
  ['one of a pair', { setting: 'lock', values: [at('medial', 15)] }, []],
  [
    'a place that it does not have',
    { setting: 'screw', values: [at('upper', 0.5)] },
    [expect.objectContaining({ at: 'body.values[0].place', message: 'must be one of medial, each once' })],
  ],
  [
    'a place twice',
    { setting: 'lock', values: [at('medial', 15), at('medial', 15)] },
    [
      expect.objectContaining({
        at: 'body.values[1].place',
        message: 'must be one of medial, lateral, each once',
      }),
    ],
  ],
  [
    'no number where something always is',
    { setting: 'screw', values: [at('medial', null)] },
    [
      expect.objectContaining({
        at: 'body.values[0].value',
        message: 'must be a number: something is in here',
      }),
    ],
  ],
  [
    'half a stroke of air',
    { setting: 'air', values: [at('one', 4.5)] },
    [expect.objectContaining({ at: 'body.values[0].value', message: 'must be a whole number' })],
  ],
  ['whole strokes', { setting: 'air', values: [at('one', 4)] }, []],
  ['an eighth of a turn', { setting: 'screw', values: [at('medial', 0.125)] }, []],
  [
    'an end that is not said',
    { ...stops, values: stops.values.slice(1) },
    [expect.objectContaining({ at: 'body.values', message: `must say of each place what is in: ${places}` })],
  ],
])('%s', (_, body, faults) => expect(foreignSetting(settings, model, body)).toEqual(faults));

test('stops are of no brace without a hinge; anything else is', () => {
  expect(foreignSetting(settings, {}, stops)).toEqual([
    expect.objectContaining({ at: 'kind', message: 'is not for this brace: it has no hinge stops' }),
  ]);
  expect(foreignSetting(settings, {}, { setting: 'panel', fitted: false })).toEqual([]);
});

test('a piece that the hinge does not have is told with what it has', () => {
  expect(foreignValues(hinges, model, inHinges({ extension: 10, flexion: 90 }).values)).toEqual([]);
  expect(foreignValues(hinges, model, inHinges({ extension: 10, flexion: null }).values)).toEqual([]);
  expect(foreignValues(hinges, model, [at('medial-extension', 5), at('medial-flexion', 60)])).toEqual([
    expect.objectContaining({
      at: 'body.values[0].value',
      message: 'is nothing that this brace has, which has 0, 10, 20',
    }),
  ]);
  expect(foreignValues(lock, model, [at('medial', 15), at('lateral', 30)])).toEqual([
    expect.objectContaining({
      at: 'body.values[1].value',
      message: 'is nothing that this brace has, which has 0, 15',
    }),
  ]);
  // a screw stands anywhere
  expect(foreignValues(screw, model, [at('medial', 0.3)])).toEqual([]);
});

test('what was made with a foreign piece is marked, whatever else is set', () => {
  const isForeign = (body: Parameters<typeof isForeignMade>[2]) => isForeignMade(settings, model, body);
  expect(isForeign(inHinges({ extension: 5, flexion: 90 }))).toBe(true);
  expect(isForeign(stops)).toBe(false);
  expect(isForeign({ setting: 'lock', values: [at('medial', 30)] })).toBe(true);
  expect(isForeign({ setting: 'lock' })).toBe(false);
  // the lock's numbers are no stops
  expect(isForeign({ setting: 'lock', values: [at('medial', 15)] })).toBe(false);
  expect(isForeign({ setting: 'dial', values: [at('medial', 30)] })).toBe(false);
});

describe('whose work it is', () => {
  const decided = (staleBecause: string[] = []): MadeSetting['chosen'] => ({
    entry: 'the-choice',
    decided: {
      ...stops,
      lost: { extension: 0, flexion: 0 },
      acknowledged: true,
      madeFrom: [],
      programme: 'p',
      engine: 1,
    },
    staleBecause,
    wouldDiffer: false,
  });
  const made = (chosen: MadeSetting['chosen']): MadeSetting[] =>
    [lock, hinges].map((setting) => ({
      setting,
      chosen: setting === hinges ? chosen : undefined,
      made: undefined,
      needed: true,
      judged: { state: 'open' },
      flags: [],
    }));
  const faults = (
    body: Parameters<typeof settingRoleFaults>[2],
    chosen?: MadeSetting['chosen'],
    role: Parameters<typeof settingRoleFaults>[3] = 'technician',
  ) => settingRoleFaults(settings, made(chosen), body, role);
  const asFound = [
    expect.objectContaining({
      at: 'body.found',
      message: 'must be true: the role technician does not set this; it is recorded as found',
    }),
  ];
  const carriedOut = { ...stops, of: 'the-choice' };

  test('an orthotist sets what there is', () => expect(faults(stops, undefined, 'orthotist')).toEqual([]));
  test('a technician records it as found', () => {
    expect(faults(stops)).toEqual(asFound);
    expect(faults({ ...stops, found: true })).toEqual([]);
  });
  test('or makes what was chosen, just so, while the choice stands', () => {
    expect(faults(carriedOut, decided())).toEqual([]);
    expect(faults(carriedOut)).toEqual(asFound);
    expect(faults(stops, decided())).toEqual(asFound);
    expect(faults({ ...carriedOut, of: 'another' }, decided())).toEqual(asFound);
    expect(faults(carriedOut, decided(['the-order']))).toEqual(asFound);
    expect(faults({ ...inHinges({ extension: 0, flexion: 90 }), of: 'the-choice' }, decided())).toEqual(
      asFound,
    );
  });
  test('what is anybody’s, or told by the patient, is written by whoever is there', () => {
    expect(faults({ setting: 'lock', fitted: false })).toEqual([]);
    expect(faults({ setting: 'air', values: [at('one', 4)] })).toEqual([]);
    expect(faults({ setting: 'screw', values: [at('medial', 0.5)], reported: true })).toEqual([]);
    expect(faults({ setting: 'screw', values: [at('medial', 0.5)] })).toEqual(asFound);
  });
});
