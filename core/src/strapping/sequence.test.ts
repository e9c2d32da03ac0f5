import { runSequence, sequenceSchema, type Sequence } from './sequence';

const putOn: Sequence = {
  id: 'putting-on',
  purpose: 'first-donning',
  people: ['orthotist'],
  steps: [
    { id: 'open-all', kind: 'act', on: 'brace' },
    { id: 'strap-1', kind: 'strap', part: 'strap-1', posture: { joints: { knee: 45 } } },
    { id: 'strap-2', kind: 'strap', part: 'strap-2' },
    { id: 'walk', kind: 'settle', how: 'walk', minutes: 5 },
  ],
  passes: [{ after: 'walk' }],
};
const first = putOn.steps.map(({ id }) => ({ step: id, pass: 1 }));

test('one at a time, in order', () => {
  expect(runSequence(putOn, []).now).toMatchObject({ id: 'open-all', pass: 1 });
  expect(runSequence(putOn, first.slice(0, 2)).now?.id).toBe('strap-2');
  expect(runSequence(putOn, first.slice(0, 2)).steps.map(({ state }) => state)).toEqual([
    'done',
    'done',
    'now',
    'ahead',
    'ahead',
    'ahead',
  ]);
});

test('a step done out of order does not skip the one before it', () =>
  expect(runSequence(putOn, [{ step: 'strap-2', pass: 1 }]).now?.id).toBe('open-all'));

test('after the walk the straps again in the same order, then nothing is left', () => {
  expect(runSequence(putOn, first).now).toMatchObject({ id: 'strap-1', pass: 2 });
  const all = runSequence(putOn, [...first, { step: 'strap-1', pass: 2 }, { step: 'strap-2', pass: 2 }]);
  expect(all.now).toBeUndefined();
  expect(all.done).toBe(6);
});

test('as many passes as the list states; none where it states none', () => {
  const { steps } = putOn;
  expect(runSequence({ steps }, []).steps).toHaveLength(4);
  const twice = { steps, passes: [{ after: 'strap-2' }, { after: 'walk' }] };
  expect(
    runSequence(twice, [])
      .steps.map(({ id, pass }) => `${id} ${pass}`)
      .slice(4),
  ).toEqual(['strap-1 2', 'strap-2 2', 'strap-1 3', 'strap-2 3']);
});

test('a list that is whole is taken', () =>
  expect(sequenceSchema.validateSync(putOn, { strict: true })).toEqual(putOn));

const without = (field: string) => ({ ...putOn, [field]: undefined });
const withStep = (step: object) => ({ ...putOn, steps: [...putOn.steps, step] });

test.each([
  ['no purpose', without('purpose'), 'purpose'],
  ['nobody there', { ...putOn, people: [] }, 'people'],
  ['no steps', { ...putOn, steps: [], passes: undefined }, 'steps'],
  ['a step of no kind', withStep({ id: 'x', kind: 'pull' }), 'steps[4].kind'],
  ['a strap that names no part', withStep({ id: 'x', kind: 'strap' }), 'steps[4].part'],
  ['an act on nothing', withStep({ id: 'x', kind: 'act' }), 'steps[4].on'],
  ['a rest without its minutes', withStep({ id: 'x', kind: 'settle', how: 'sit' }), 'steps[4].minutes'],
  ['a rest of no time', withStep({ id: 'x', kind: 'settle', how: 'sit', minutes: 0 }), 'steps[4].minutes'],
  [
    'an endless rest',
    withStep({ id: 'x', kind: 'settle', how: 'sit', minutes: Infinity }),
    'steps[4].minutes',
  ],
  [
    'an angle that is no number',
    withStep({ id: 'x', kind: 'look', posture: { joints: { knee: '45' } } }),
    'steps[4].posture.joints.knee',
  ],
  [
    'an angle of what is no joint',
    withStep({ id: 'x', kind: 'look', posture: { joints: { toe: 45 } } }),
    'steps[4].posture.joints',
  ],
  ['something unknown', withStep({ id: 'x', kind: 'look', colour: 'red' }), 'steps[4]'],
  ['a pass after what is no step', { ...putOn, passes: [{ after: 'run' }] }, ''],
])('%s is refused with its place', (_, list, path) => {
  const found = () => sequenceSchema.validateSync(list, { strict: true });
  expect(found).toThrow(expect.objectContaining({ path }));
});

test('the ordered angle of a joint is a posture', () =>
  expect(
    sequenceSchema.isValidSync(
      withStep({ id: 'x', kind: 'look', posture: { stance: 'seated', joints: { ankle: 'as-ordered' } } }),
      { strict: true },
    ),
  ).toBe(true));
