import { beltContext, contextOf, testContext, testLogbook } from './test-case';
import { foldCase } from './fold-case';

const sizes = ['P1', 'P2'];
const axis = (reading: string, edges: number[]) => ({
  reading,
  resolution: 0,
  bands: sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })),
});

test('what repeats share is shared between two girths, and between an age and a weight it is not', () => {
  const frame = testLogbook();
  frame.read('girth-above', 'right', 444, 446);
  frame.read('girth-below', 'right', 347, 349);
  const girths = foldCase(frame.entries, testContext)!.sizing.readings;
  expect(girths['girth-above']).toMatchObject({ sharedPart: 3 });
  expect(girths['girth-above']!.alone).toBeUndefined();

  const collar = contextOf('neck-collar', {
    sizes,
    axes: [axis('age', [0, 4, 9]), axis('weight', [3, 16, 28])],
    between: 'nearer',
    disagree: 'primary',
  });
  const child = testLogbook(collar, 'midline');
  child.read('age', 'midline', 3.2);
  child.read('weight', 'midline', 14.4, 14.6);
  const { readings, match } = foldCase(child.entries, collar)!.sizing;
  expect(readings.weight).toMatchObject({ sharedPart: 0, alone: 0.2, repeats: 2 });
  expect(match).toMatchObject({ size: 'P1', rule: 'inside' });
});

test('a clinic’s own rule stands in place of the chart’s', () => {
  const chart = {
    sizes,
    axes: [axis('heel-width', [50, 60, 70])],
    between: 'larger' as const,
    disagree: 'primary' as const,
  };
  const context = contextOf('ankle-stabiliser', chart);
  const at = (between: 'smaller' | undefined) => {
    const own = between ? { ...context, programme: { ...context.programme, between } } : context;
    const log = testLogbook(own, 'left');
    log.read('heel-width', 'left', 59.8, 59.9);
    return foldCase(log.entries, own)!.sizing.match;
  };
  expect(at(undefined)).toMatchObject({ size: 'P2', rule: 'between-larger' });
  expect(at('smaller')).toMatchObject({ size: 'P1', rule: 'between-smaller' });
});

test('stages that the family does not carry are not covered; a motion of its own joint counts for the stops', () => {
  const context = contextOf(
    'knee-postop',
    {
      sizes,
      axes: [axis('girth-above', [300, 450, 600])],
      between: 'larger',
      disagree: 'primary',
    },
    { distances: { 'girth-above': 150, 'girth-below': -150 } },
  );
  const log = testLogbook(context, 'left');
  const motion = {
    side: 'left' as const,
    mode: 'passive' as const,
    limitReached: { extension: false, flexion: true },
  };
  log.write(
    'motion.tested',
    { ...motion, step: 'knee-motion', extension: -5, flexion: 60 },
    { stage: 'measure' },
  );
  const state = foldCase(log.entries, context)!;
  expect(state.motion?.motion).toMatchObject({ extension: -5, flexion: 60 });
  expect(state.reviewing.first.motions).toEqual([{ mode: 'passive', extension: 5, flexion: 60 }]);
  // its straps may be shortened; nothing of it is asked
  expect(state.stages.shape.status).toBe('open');
  expect(state.stages.set.status).toBe('open');
  expect(state.stages.wear.status).toBe('open');
  const knee = state.measuring.states.find(({ step }) => step.id === 'knee-motion')!;
  expect(knee.motions).toMatchObject([{ from: 5, to: 60, limitReached: { flexion: true } }]);
  expect(knee.done).toBe(true);
});

test('a step that only another model’s chart wants is left out; one that this chart wants is not optional', () => {
  const width = contextOf(
    'knee-functional',
    {
      sizes,
      axes: [axis('knee-width', [80, 100, 130]), axis('girth-above', [300, 450, 600])],
      between: 'larger',
      disagree: 'larger',
    },
    { distances: { 'girth-above': 150, 'girth-below': -150 } },
  );
  const { steps } = foldCase(testLogbook(width, 'left').entries, width)!.measuring;
  expect(steps.map(({ id }) => id)).not.toContain('knee-depth');
  expect(steps.find(({ id }) => id === 'calf-sign')).toMatchObject({ optional: true });
  const two = contextOf(
    'unloader-two-screws',
    {
      sizes,
      axes: [axis('knee-width', [80, 100, 130])],
      between: 'larger',
      disagree: 'larger',
    },
    { distances: { 'girth-above': 150, 'girth-below': -150 } },
  );
  const required = foldCase(testLogbook(two, 'left').entries, two)!.measuring.steps;
  expect(required.find(({ id }) => id === 'knee-width')).toMatchObject({ optional: false });
});

test('while a reading is outstanding or one agrees with no other there is no size; rejecting it gives one', () => {
  const log = testLogbook();
  log.read('girth-below', 'right', 348, 349);
  const match = () => foldCase(log.entries, testContext)!.sizing.match;
  const [first] = log.read('girth-above', 'right', 365, 440);
  // two that disagree: a third is outstanding
  expect(match()).toEqual({ outcome: 'incomplete', missing: ['girth-above'] });
  log.read('girth-above', 'right', 439);
  expect(match()).toEqual({ outcome: 'incomplete', missing: ['girth-above'] });
  log.write('record.withdrawn', {}, { replaces: first!, reason: 'mistyped' });
  expect(match()).toMatchObject({ outcome: 'size', size: 'M' });
});

describe('what hangs on the case', () => {
  const panel = (id: string, posture: 'lying' | 'seated') => ({
    ...beltContext.programme.parts.find(({ kind }) => kind === 'panel')!,
    id,
    when: { kind: 'ordered' as const, what: 'posture' as const, is: posture },
  });
  const context = {
    ...beltContext,
    programme: {
      ...beltContext.programme,
      parts: [...beltContext.programme.parts, panel('of-lying', 'lying'), panel('of-seated', 'seated')],
      notNeeded: [
        {
          stage: 'shape' as const,
          when: { kind: 'ordered' as const, what: 'posture' as const, is: 'seated' },
        },
      ],
    },
  };
  const stateWith = (posture?: 'lying' | 'seated') => {
    const log = testLogbook(context, 'midline');
    log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }], ...(posture ? { posture } : {}) });
    const { parts, stages } = foldCase(log.entries, context)!;
    return [parts.map(({ id }) => id).filter((id) => id.startsWith('of-')), stages.shape.status];
  };

  test('a part is on the brace where its condition holds, and while nobody has said', () => {
    expect(stateWith('lying')[0]).toEqual(['of-lying']);
    expect(stateWith()[0]).toEqual(['of-lying', 'of-seated']);
  });

  test('a stage is not needed only where its condition holds: while nobody has said, it may be', () => {
    expect([stateWith('seated')[1], stateWith('lying')[1], stateWith()[1]]).toEqual([
      'not-needed',
      'open',
      'open',
    ]);
  });
});
