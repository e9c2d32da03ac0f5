import { applies, holds, type Condition, type KnownFacts, type Part } from '../brace';
import { runSequence, type Sequence, type StepDone } from '../strapping';
import { programmes } from './all';
import { nothingKnown } from '../brace/test-facts';

const each = programmes.map((programme) => [programme.id, programme] as const);

/** Does the step in hand until there is none, answers what is asked on the way. */
function runThrough(list: Sequence, lists: readonly Sequence[]) {
  const done: StepDone[] = [];
  const answers: Record<string, { times: number; passed: boolean }> = {};
  const order: string[] = [];
  for (let turn = 0; turn < 300; turn += 1) {
    const { now, steps, done: count } = runSequence(list, done, { lists, answers });
    if (!now) return { order, steps, count };
    order.push(now.id);
    if (now.kind === 'check') answers[now.check] = { times: 1, passed: true };
    else if (now.kind === 'repeat') answers[now.until] = { times: 1, passed: true };
    else done.push({ step: now.id, pass: now.pass });
  }
  throw new Error(`${list.id} does not end`);
}

test.each(each)('%s: every list runs to its end, each step once in each pass', (_, { sequences }) => {
  for (const list of sequences) {
    const { order, steps, count } = runThrough(list, sequences);
    expect([list.id, count]).toEqual([list.id, steps.length]);
    expect(order).toEqual(steps.map(({ id }) => id));
    expect(order.length).toBeGreaterThanOrEqual(list.steps.length);
  }
});

test.each(each)('%s goes on and is looked at: it has a first list and checks', (_, { sequences, checks }) => {
  expect(sequences.filter(({ purpose }) => purpose === 'first-donning').length).toBeGreaterThan(0);
  expect(checks.length).toBeGreaterThanOrEqual(4);
});

// common practice, no source: the skin under every brace is looked at on removal
test.each(each)('%s says how it comes off, and the skin is looked at then', (_, { sequences }) => {
  const off = sequences.filter(({ purpose }) => purpose === 'off');
  expect(off.length).toBeGreaterThan(0);
  for (const { id, steps } of off)
    expect([id, steps.some((step) => step.id === 'look-at-the-skin')]).toEqual([id, true]);
});

// common practice, no source: one at the head who leads and does nothing else, two to roll, the orthotist slides
test('a list that rolls has its staff; one that opens a neck holds the head first', () => {
  const rolled = programmes.flatMap(({ sequences }) =>
    sequences.filter(({ leads, handling }) => leads && handling === 'roll'),
  );
  expect(rolled).toHaveLength(4);
  for (const { leads, helpers } of rolled) expect([leads, helpers]).toEqual(['helper', 3]);
  const inLine = programmes.flatMap(({ id, sequences }) =>
    sequences.flatMap(({ handling, helpers, steps }) =>
      handling === 'in-line' ? [[id, helpers, steps[0]!.id]] : [],
    ),
  );
  expect(inLine).toEqual([
    ['neck-collar', 1, 'head-held-in-line'],
    ['neck-collar', 1, 'head-held-in-line'],
    ['neck-two-post', 2, 'head-held-in-line'],
    ['neck-two-post', 2, 'head-held-in-line'],
  ]);
});

test.each(each)(
  '%s: every strap that a list closes is a part of it that closes',
  (_, { sequences, parts }) => {
    const closes: readonly Part['kind'][] = ['strap', 'wing'];
    for (const { steps } of sequences)
      for (const step of steps) {
        if (step.kind !== 'strap') continue;
        for (const id of step.over?.parts ?? [step.part!]) {
          const part = parts.find((one) => one.id === id);
          // one that the family leaves to the model is asked of every model (server/src/demo/models.test.ts)
          if (part) expect([step.id, id, closes.includes(part.kind)]).toEqual([step.id, id, true]);
        }
      }
  },
);

test.each(each)('%s: every check says what mends it, and its cure is there to be opened', (_, programme) => {
  const { checks, sequences, settings, operations = [] } = programme;
  const steps = sequences
    .filter(({ purpose }) => purpose === 'first-donning')
    .flatMap((list) => list.steps.map(({ id }) => id));
  for (const { id, cures = [], limbSafety } of checks) {
    expect([id, cures.length > 0]).toEqual([id, true]);
    for (const cure of cures) {
      if ('call' in cure || cure.thing === undefined) continue;
      const there = [
        ...(cure.stage === 'strap'
          ? [...steps, ...operations.filter(({ kind }) => kind === 'cut').map((one) => one.id)]
          : []),
        ...(cure.stage === 'set' ? settings.map((one) => one.id) : []),
        ...(cure.stage === 'shape' ? operations.map((one) => one.id) : []),
      ];
      expect([id, cure.thing, there.includes(cure.thing)]).toEqual([id, cure.thing, true]);
    }
    // what the brace does to the limb is never mended by waiting
    if (limbSafety) expect([id, cures[0]]).not.toEqual([id, undefined]);
  }
});

test.each(each)(
  '%s: what a cut waits for is a step of its first list, or the list itself',
  (_, programme) => {
    const { operations = [], sequences } = programme;
    const steps = sequences.flatMap((list) => list.steps.map(({ id }) => id));
    const named = (condition: Condition): string[] =>
      condition.kind === 'done'
        ? [condition.step]
        : condition.kind === 'all' || condition.kind === 'any'
          ? condition.of.flatMap(named)
          : condition.kind === 'not'
            ? named(condition.of)
            : [];
    for (const operation of operations.filter(({ kind }) => kind === 'cut')) {
      expect([operation.id, operation.requires !== undefined]).toEqual([operation.id, true]);
      for (const step of named(operation.requires!)) expect(steps).toContain(step);
      // before anything was done, nothing may be cut
      expect(holds(operation.requires!, nothingKnown)).not.toBe(true);
    }
  },
);

// a list that moves somebody defers to the policy; one with a helper says who leads
test.each(each)(
  '%s: lists in which the patient is moved by others say by whom',
  (_, { sequences, limbs }) => {
    for (const { id, handling, people, leads, steps } of sequences) {
      const moved = steps.some(({ who }) => who === 'helper');
      if (moved) expect([id, handling !== undefined, leads !== undefined]).toEqual([id, true, true]);
      if (leads) expect(people).toContain(leads);
      if (handling) expect([id, limbs]).toEqual([id, 'before-and-after']);
    }
  },
);

// common practice, no source: front and rear are never mixed
test('a rear ligament that is ordered never gets the list of the front one', () => {
  const { sequences } = programmes.find(({ id }) => id === 'knee-functional')!;
  const rear = { ...nothingKnown, injuries: [{ code: 'rear-cruciate' }] };
  const general = sequences.find(({ purpose }) => purpose === 'first-donning')!;
  expect(holds(general.when!, rear)).toBe(false);
  expect(holds(general.when!, { ...nothingKnown, injuries: [{ code: 'front-cruciate' }] })).toBe(true);
});

// common practice, no source: looser over the forefoot when the foot is broken
test('the forefoot’s strap is closed once: looser where the foot is known to be broken, else as usual', () => {
  const { sequences } = programmes.find(({ id }) => id === 'ankle-walker')!;
  const list = sequences.find(({ purpose }) => purpose === 'first-donning')!;
  const forefoot = (injuries: KnownFacts['injuries']) =>
    runSequence(list, [], { facts: { ...nothingKnown, injuries } }).steps.flatMap((step) =>
      step.kind === 'strap' && step.part === 'strap-toes' && step.pass === 1 ? [step.pull] : [],
    );
  expect(forefoot(undefined)).toEqual(['light']);
  expect(forefoot([{ code: 'ankle-sprain' }])).toEqual(['light']);
  expect(forefoot([{ code: 'fracture-foot' }])).toEqual(['loose']);
});

// common practice, no source: a joint that is locked moves to neither stop
test.each([
  [['always'], []],
  [['walking'], ['extension', 'flexion']],
  [['sleeping'], ['extension', 'flexion']],
  [['walking', 'always'], []],
  [undefined, ['extension', 'flexion']],
])('the knee of a post-operative brace locked %j is read at %j', (lock, stops) => {
  const { checks } = programmes.find(({ id }) => id === 'knee-postop')!;
  const asked = checks
    .filter((check) => applies(check, { ...nothingKnown, ordered: { ...(lock ? { lock } : {}) } }))
    .flatMap((check) => (check.kind === 'angle-at-stop' ? [check.stop] : []));
  expect(asked).toEqual(stops);
});
