import {
  modelProblems,
  modelSchema,
  programmeOf,
  programmes,
  type BraceModel,
} from '@estribo/core/programmes';
import { chosenOf, type KnownFacts } from '@estribo/core/brace';
import { runSequence } from '@estribo/core/strapping';
import { emptyList, emptyStep, listProblems, sequenceOf, withList, withoutList, writtenOf } from './own-list';

const functional = programmes.find(({ id }) => id === 'knee-functional')!;
const model = {
  id: 'leaflet-brace',
  version: 3,
  name: 'Leaflet brace',
  maker: 'Taller Pontevella',
  programme: 'knee-functional',
  invented: true,
  distances: { 'girth-above': 150, 'girth-below': -150 },
  chart: { version: 1, sizes: ['M'], axes: [], between: 'larger', disagree: 'primary' },
  hinge: { extension: [0, 10], flexion: [90] },
  parts: [],
  tolerances: {},
} as unknown as BraceModel;

const rear = {
  ...emptyList('own-rear'),
  name: 'Rear cruciate, by the leaflet',
  injury: 'rear-cruciate',
  again: true,
  steps: [
    { ...emptyStep, kind: 'act' as const, name: 'Open all straps', hold: 'Hooks folded back.' },
    { ...emptyStep, name: 'Strap 5 first', part: 'strap-5', stance: 'seated', angle: '30' },
    { ...emptyStep, name: 'Strap 1', part: 'strap-1', caution: 'Clear of the neck of the fibula.' },
    { ...emptyStep, kind: 'walk' as const, name: 'Walk', minutes: '5' },
  ],
};
const facts = (code: string): KnownFacts => ({
  injuries: [{ code }],
  ordered: {},
  findings: {},
  variant: undefined,
  settings: {},
  parts: {},
  list: undefined,
  checks: {},
  done: [],
});

test('a list as typed is sound data, says what it says, and comes back as it was typed', () => {
  const next = withList(model, functional, rear)!;
  expect(modelSchema.isValidSync(next, { strict: true })).toBe(true);
  expect(modelProblems(next, functional)).toEqual([]);
  expect(writtenOf(next.sequences![0]!, next.words)).toEqual({
    ...rear,
    steps: rear.steps.map((step) => ({ ...step, minutes: step.kind === 'walk' ? '5' : '5' })),
  });
});

test('it is the one that is chosen for what it is for, and the family’s own for everything else', () => {
  const { sequences } = programmeOf(functional, withList(model, functional, rear)!);
  const first = sequences.filter(({ purpose }) => purpose === 'first-donning');
  expect(chosenOf(first, facts('rear-cruciate'))?.id).toBe('own-rear');
  expect(chosenOf(first, facts('front-cruciate'))?.id).toBe('general');
});

test('its straps come once more after the walk, in the same order', () => {
  const { sequence } = sequenceOf(rear, 'knee');
  expect(runSequence(sequence, []).steps.map(({ id, pass }) => `${id} ${pass}`)).toEqual([
    'own-rear-1 1',
    'own-rear-2 1',
    'own-rear-3 1',
    'own-rear-4 1',
    'own-rear-2 2',
    'own-rear-3 2',
  ]);
});

test.each([
  [{ name: ' ' }, [{ at: 'name' }]],
  [{ people: [] }, [{ at: 'people' }]],
  [{ steps: [] }, [{ at: 'steps' }]],
  [
    { steps: [emptyStep] },
    [
      { at: 'step', step: 0, what: 'name' },
      { at: 'step', step: 0, what: 'part' },
    ],
  ],
  [
    { steps: [{ ...emptyStep, kind: 'walk', name: 'Walk', minutes: '0' }] },
    [{ at: 'step', step: 0, what: 'minutes' }],
  ],
  [
    { steps: [{ ...emptyStep, kind: 'sit', name: 'Sit', minutes: '241' }] },
    [{ at: 'step', step: 0, what: 'minutes' }],
  ],
  [
    { steps: [{ ...emptyStep, kind: 'look', name: 'Look', angle: 'bent' }] },
    [{ at: 'step', step: 0, what: 'angle' }],
  ],
  [{ steps: [{ ...emptyStep, kind: 'look', name: 'Look', angle: '12,5' }] }, []],
])('%j: %j', (more, problems) => expect(listProblems({ ...rear, ...more } as typeof rear)).toEqual(problems));

test('taken out, nothing of it is left; another one stays with what it says', () => {
  const both = withList(withList(model, functional, rear)!, functional, {
    ...rear,
    id: 'own-second',
    name: 'Second',
  })!;
  expect(withoutList(withList(model, functional, rear)!, 'own-rear')).toEqual(model);
  const left = withoutList(both, 'own-rear');
  expect(left.sequences!.map(({ id }) => id)).toEqual(['own-second']);
  expect(Object.keys(left.words!.steps!)).toEqual([
    'own-second-1',
    'own-second-2',
    'own-second-3',
    'own-second-4',
  ]);
});

test('a model that names what its family does not have, or says nothing of a step, has a problem', () => {
  const next = withList(model, functional, rear)!;
  const of = (more: object) => modelProblems({ ...next, ...more } as BraceModel, functional);
  expect(of({ words: { lists: {}, steps: {} } })).toContainEqual({ problem: 'no-words', step: 'own-rear' });
  const step = (one: object) => ({
    sequences: [{ ...next.sequences![0]!, passes: [], steps: [{ id: 'own-rear-1', ...one }] }],
  });
  expect(of(step({ kind: 'strap', part: 'strap-9' }))).toContainEqual({
    problem: 'no-part',
    part: 'strap-9',
  });
  expect(of(step({ kind: 'set', setting: 'wheel' }))).toContainEqual({
    problem: 'no-setting',
    setting: 'wheel',
  });
  expect(of(step({ kind: 'check', check: 'smile' }))).toContainEqual({ problem: 'no-check', check: 'smile' });
});
