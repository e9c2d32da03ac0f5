import { runSequence, sequenceSchema, type RunnerState, type Sequence } from './sequence';

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
const namesOf = ({ steps }: RunnerState) => steps.map(({ id, pass }) => `${id} ${pass}`);
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
  expect(namesOf(runSequence(twice, []))).toEqual([
    'open-all 1',
    'strap-1 1',
    'strap-2 1',
    'strap-1 2',
    'strap-2 2',
    'walk 1',
    'strap-1 3',
    'strap-2 3',
  ]);
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
  ['a strap that names no part', withStep({ id: 'x', kind: 'strap' }), 'steps[4]'],
  ['a check of nothing', withStep({ id: 'x', kind: 'check' }), 'steps[4].check'],
  ['a breath nobody breathes', withStep({ id: 'x', kind: 'look', breath: 'deep' }), 'steps[4].breath'],
  [
    'parts held by nobody',
    withStep({ id: 'x', kind: 'look', holds: { parts: ['bar'] } }),
    'steps[4].holds.by',
  ],
  [
    'one part in turn',
    withStep({ id: 'x', kind: 'look', over: { parts: ['bar'], how: 'in-turn' } }),
    'steps[4].over.parts',
  ],
  [
    'a repetition of what comes later',
    withStep({ id: 'x', kind: 'repeat', steps: ['x'], until: 'equal' }),
    '',
  ],
  ['a pass of what is no step', { ...putOn, passes: [{ after: 'walk', steps: ['run'] }] }, ''],
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

test('a pass may name its steps, its posture, and when it is', () => {
  const { steps } = putOn;
  const passes = [{ after: 'walk', steps: ['strap-2'], posture: { stance: 'standing' as const } }];
  const run = runSequence({ steps, passes }, []);
  expect(run.steps.slice(4)).toMatchObject([{ id: 'strap-2', pass: 2, posture: { stance: 'standing' } }]);
});

test('a list takes in another one, with its passes, and never itself', () => {
  const inner: Sequence = {
    ...putOn,
    id: 'straps',
    steps: putOn.steps.slice(1, 3),
    passes: [{ after: 'strap-2' }],
  };
  const outer: Sequence = {
    ...putOn,
    id: 'all',
    steps: [
      { kind: 'act', id: 'roll', on: 'patient' },
      { kind: 'list', id: 'then-straps', list: 'straps' },
      { kind: 'look', id: 'skin' },
    ],
    passes: [],
  };
  const names = namesOf(runSequence(outer, [], { lists: [inner, outer] }));
  expect(names).toEqual(['roll 1', 'strap-1 1', 'strap-2 1', 'strap-1 2', 'strap-2 2', 'skin 1']);
  const ring = { ...outer, steps: [...outer.steps, { kind: 'list' as const, id: 'again', list: 'all' }] };
  expect(namesOf(runSequence(ring, [], { lists: [inner, ring] }))).toEqual([...names, 'again 1']);
});

describe('a repetition until a check passes', () => {
  const steps: Sequence['steps'] = [
    { kind: 'strap', id: 'left', part: 'strap-left' },
    { kind: 'strap', id: 'right', part: 'strap-right' },
    { kind: 'repeat', id: 'until-equal', steps: ['left', 'right'], until: 'equal' },
    { kind: 'look', id: 'skin' },
  ];
  const run = (times: number, passed: boolean, done: [string, number][]) =>
    runSequence(
      { steps },
      done.map(([step, pass]) => ({ step, pass })),
      { answers: { equal: { times, passed } } },
    );
  const once: [string, number][] = [
    ['left', 1],
    ['right', 1],
  ];

  test('before it is answered it waits', () => expect(run(0, false, once).now?.id).toBe('until-equal'));
  test('each time it fails, the steps are there once more', () => {
    expect(run(1, false, once).now).toMatchObject({ id: 'left', pass: 2 });
    expect(namesOf(run(2, false, once))).toEqual([
      'left 1',
      'right 1',
      'left 2',
      'right 2',
      'left 3',
      'right 3',
      'until-equal 1',
      'skin 1',
    ]);
  });
  test('when it passes it goes on', () => {
    expect(run(1, true, once).now?.id).toBe('skin');
    // failed once, mended, and passes
    expect(run(2, true, [...once, ['left', 2], ['right', 2]]).now?.id).toBe('skin');
  });
});

test('a check in the middle is done when it is answered, whatever it came to', () => {
  const steps: Sequence['steps'] = [
    { kind: 'check', id: 'neck-neutral', check: 'neutral' },
    { kind: 'look', id: 'skin' },
  ];
  const now = (times: number) =>
    runSequence({ steps }, [{ step: 'neck-neutral', pass: 1 }], {
      answers: { neutral: { times, passed: false } },
    }).now?.id;
  expect([now(0), now(1)]).toEqual(['neck-neutral', 'skin']);
});
