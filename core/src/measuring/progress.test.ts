import { calfPrompt } from './calf';
import { ownRepeatability, pairsOf } from './own-repeatability';
import { measuringProgress, nextStep, settledReading, stepAt, untested, type SkippedStep } from './progress';
import type { MotionStep, StanceStep } from './protocol';
import { girthStep, readingStep, statesOf, taken } from './test-steps';
import { girthsFrom, segmentVolume } from './volume';

const above = girthStep('girth-above', { substitute: { how: 'other-side', shared: 9 } });
const below = girthStep('girth-below', { distance: -150, substitute: { how: 'lying', shared: 8 } });
const mark = { kind: 'mark', id: 'mid-kneecap', landmark: 'mid-kneecap' } as const;
const stance: StanceStep = { kind: 'stance', id: 'standing', stance: 'standing' };
const motion: MotionStep = {
  kind: 'motion',
  id: 'knee-motion',
  joint: 'knee',
  plane: 'sagittal',
  modes: ['active', 'passive'],
};
const skip = (step: string, more: Partial<SkippedStep> = {}): SkippedStep => ({
  step,
  side: 'right',
  reason: 'cast',
  entry: `skip ${step}`,
  ...more,
});

test('measuring is done when every step on every side is, or may be left open', () => {
  const done = (readings: ReturnType<typeof taken>, steps = [girthStep('a', { repeats: 1 })]) =>
    measuringProgress(steps, 'right', { readings, skipped: [] }).done;
  expect(done([])).toBe(false);
  expect(done(taken('a', 'right', 400))).toBe(false);
  expect(done([...taken('a', 'right', 400), ...taken('a', 'left', 400)])).toBe(true);
  expect(done([], [girthStep('a', { optional: true })])).toBe(true);
});

test('a clinic’s own deviations are kept with the progress; without any there are none', () => {
  const own = [{ step: 'a', withinPerson: 1, pairs: 20, entry: 'own' }];
  const progress = (precisions?: typeof own) =>
    measuringProgress([above], 'right', { readings: [], skipped: [], ...(precisions ? { precisions } : {}) });
  expect(progress().precisions).toEqual([]);
  expect(progress(own).precisions).toEqual(own);
});

test('what is left open is not asked for next', () => {
  const states = statesOf([girthStep('a', { optional: true }), girthStep('b', { optional: true })], []);
  expect(nextStep(states)?.step.id).toBe('a');
  expect(nextStep(states, ['a'])?.step.id).toBe('b');
  expect(nextStep(states, ['a', 'b'])).toBeUndefined();
});

test('a size is made only from a reading that nothing is outstanding of', () => {
  const settled = (...values: number[]) =>
    settledReading(
      stepAt(statesOf([above], taken('girth-above', 'right', ...values)), 'girth-above', 'right'),
    )?.mean;
  expect([settled(), settled(400), settled(400, 402), settled(400, 440), settled(400, 440, 490)]).toEqual([
    undefined,
    undefined,
    401,
    undefined,
    undefined,
  ]);
  expect(settledReading(undefined)).toBeUndefined();
  expect(settledReading({})).toBeUndefined();
});

test('a mark is done when it is marked or left out, each on its side', () => {
  const done = (readings: ReturnType<typeof taken>, skipped: SkippedStep[] = []) =>
    stepAt(statesOf([mark], readings, { skipped }), 'mid-kneecap', 'right')!.done;
  expect([done([]), done(taken('mid-kneecap', 'right', undefined))]).toEqual([false, true]);
  expect(done([], [skip('mid-kneecap')])).toBe(true);
  expect(done(taken('mid-kneecap', 'left', undefined))).toBe(false);
});

test('a stance is done when it is confirmed or left out, and says which it was', () => {
  const at = (readings: ReturnType<typeof taken>, skipped: SkippedStep[] = []) =>
    stepAt(statesOf([stance], readings, { skipped }), 'standing', 'right')!;
  expect(at([])).toMatchObject({ done: false });
  expect(at([]).stance).toBeUndefined();
  expect(at(taken('standing', 'midline', undefined))).toMatchObject({ done: true, stance: 'standing' });
  expect(at([], [skip('standing', { side: 'midline' })])).toMatchObject({ done: true });
});

test('a stance that no family names takes nothing from a reading, whichever it was', () => {
  const noted: StanceStep = { kind: 'stance', id: 'stance' };
  const states = statesOf(
    [noted, above],
    [
      { step: 'stance', side: 'midline', stance: 'supine', entry: 'stance' },
      ...taken('girth-above', 'right', 400, 401),
    ],
  );
  expect(stepAt(states, 'stance', 'right')).toMatchObject({ stance: 'supine', done: true });
  expect(stepAt(states, 'girth-above', 'right')!.outOfPosture).toBeUndefined();
  // and one that is named but not taken yet takes nothing either: it is still asked for
  const open = statesOf([stance, above], taken('girth-above', 'right', 400, 401));
  expect(stepAt(open, 'girth-above', 'right')!.outOfPosture).toBeUndefined();
});

test('the other leg’s posture says nothing of this one, and a mark or a girth is no posture', () => {
  const posture = { kind: 'posture', id: 'knee', joint: 'knee', target: 30, tolerance: 5 } as const;
  const states = statesOf(
    [posture, mark, below, above],
    [
      ...taken('knee', 'right', 31),
      ...taken('knee', 'left', 5),
      ...taken('girth-above', 'right', 400, 401),
      ...taken('girth-above', 'left', 400, 401),
    ],
    { skipped: [skip('mid-kneecap'), skip('girth-below')] },
  );
  expect(stepAt(states, 'girth-above', 'right')!.outOfPosture).toBeUndefined();
  expect(stepAt(states, 'girth-above', 'left')!.outOfPosture).toEqual({ step: 'knee', off: -25 });
  // where nothing is read there is nothing to be less certain of
  expect(stepAt(states, 'girth-below', 'left')).not.toHaveProperty('outOfPosture');
});

test('a step left out is taken after all when a reading or a motion comes', () => {
  const tested = { step: 'knee-motion', side: 'right', from: 0, to: 90, entry: 'm' } as const;
  const limitReached = { extension: false, flexion: false };
  const at = (motions: readonly ('active' | 'passive')[]) =>
    stepAt(
      statesOf([motion], [], {
        motions: motions.map((mode) => ({ ...tested, mode, limitReached })),
        skipped: [skip('knee-motion')],
      }),
      'knee-motion',
      'right',
    )!;
  expect(at([])).toMatchObject({ done: true, skipped: { reason: 'cast' } });
  expect(at(['active']).skipped).toBeUndefined();
  expect(at(['active']).done).toBe(false);
  expect(at(['active', 'passive']).done).toBe(true);
  expect(untested(motion, at(['active']).motions)).toEqual(['passive']);
  const reread = statesOf([below], taken('girth-below', 'right', 300), { skipped: [skip('girth-below')] });
  expect(stepAt(reread, 'girth-below', 'right')).not.toHaveProperty('skipped');
});

test('a motion on the other side is none of this one', () => {
  const limitReached = { extension: false, flexion: false };
  const states = statesOf([motion], [], {
    motions: [
      { step: 'knee-motion', side: 'left', mode: 'active', from: 0, to: 90, limitReached, entry: 'm' },
    ],
  });
  expect(stepAt(states, 'knee-motion', 'right')!.motions).toEqual([]);
  expect(stepAt(states, 'knee-motion', 'left')!.motions).toHaveLength(1);
});

describe('taken another way', () => {
  const shared = (how: 'lying' | 'seated' | undefined) =>
    stepAt(
      statesOf([below], taken('girth-below', 'right', 300, 301), {
        skipped: how ? [skip('girth-below', { substitute: how })] : [],
      }),
      'girth-below',
      'right',
    )!.assessed!.sharedPart;

  test('the way that the protocol knows has its own uncertainty, another one has none', () => {
    expect([shared(undefined), shared('lying'), shared('seated')]).toEqual([3, 8, 3]);
  });

  const other = (right: number[], left: number[], substitute: SkippedStep['substitute'] = 'other-side') =>
    stepAt(
      statesOf(
        [above, girthStep('girth-else')],
        [
          ...taken('girth-above', 'right', ...right),
          ...taken('girth-above', 'left', ...left),
          ...taken('girth-else', 'left', 500, 500),
        ],
        { skipped: [skip('girth-above', substitute ? { substitute } : {})] },
      ),
      'girth-above',
      'right',
    )!.assessed;

  test('the other side stands in only where nothing is read here, and that side is settled', () => {
    expect(other([], [400, 402])).toMatchObject({ mean: 401, sharedPart: 9 });
    expect(other([], [400, 402])!.uncertainty).toBeCloseTo(Math.hypot(2.5 / Math.SQRT2, 9), 12);
    expect(other([430, 430], [400, 402])).toMatchObject({ mean: 430 });
    expect(other([], [400])).toBeUndefined();
    expect(other([], [])).toBeUndefined();
    expect(other([], [400, 402], 'lying')).toBeUndefined();
  });

  test('with an uncertainty of its own where that side’s is larger', () => {
    const posture = { kind: 'posture', id: 'knee', joint: 'knee', target: 30, tolerance: 5 } as const;
    const states = statesOf(
      [posture, above],
      [...taken('knee', 'left', -20), ...taken('girth-above', 'left', 400, 402)],
      { skipped: [skip('girth-above', { substitute: 'other-side' })] },
    );
    expect(stepAt(states, 'girth-above', 'right')!.assessed!.sharedPart).toBeCloseTo(Math.hypot(3, 15), 9);
  });
});

// an item of the Wells rule (Wells 1997, memory): 10 cm below the tibial tuberosity, and nowhere else
describe('the calf', () => {
  const calf = (more: object = {}) =>
    girthStep('calf', { from: 'tibial-tuberosity', distance: -100, ...more });
  const prompt = (step = calf(), right = [420, 421], left = [380, 381]) =>
    calfPrompt(
      statesOf([above, step], [...taken(step.id, 'right', ...right), ...taken(step.id, 'left', ...left)]),
      'right',
    );

  test('is read at its own place only', () => {
    expect(prompt()).toEqual({ side: 'right', by: 40, entry: 'calf right 1' });
    expect(prompt(calf({ distance: -90 }))).toBeUndefined();
    expect(prompt(calf({ from: 'mid-kneecap' }))).toBeUndefined();
    expect(prompt(girthStep('girth-above'), [420, 421], [380, 381])).toBeUndefined();
    expect(calfPrompt([], 'right')).toBeUndefined();
  });

  test('waits for both sides', () => {
    expect(prompt(calf(), [420], [380, 381])).toBeUndefined();
    expect(prompt(calf(), [420, 421], [380])).toBeUndefined();
    expect(prompt(calf(), [], [])).toBeUndefined();
  });
});

test('a pair is two readings of a number; a mark, one reading, or a posture is none', () => {
  const posture = { kind: 'posture', id: 'knee', joint: 'knee', target: 30, tolerance: 5 } as const;
  const states = statesOf(
    [posture, mark, above, below],
    [
      ...taken('knee', 'right', 31, 32),
      ...taken('mid-kneecap', 'right', undefined, undefined),
      ...taken('girth-above', 'right', 400, 402, 404),
      ...taken('girth-below', 'right', 300),
    ],
  );
  expect(pairsOf(states)).toEqual([
    { protocol: 'girth mid-kneecap', step: 'girth-above', side: 'right', first: 400, second: 402 },
  ]);
});

test('twenty pairs are enough for a deviation of one’s own, nineteen and none are not', () => {
  const pairs = (count: number) => Array.from({ length: count }, () => ({ first: 400, second: 402 }));
  expect([0, 19].map((count) => ownRepeatability(pairs(count)))).toEqual([undefined, undefined]);
  expect(ownRepeatability(pairs(20))).toMatchObject({ pairs: 20, withinPerson: Math.SQRT2 });
});

test('girths for a volume are those of one side and one mark that are in sight', () => {
  const waist = girthStep('girth-waist', { from: 'waist', distance: 0 });
  const width = readingStep('width', 'knee-width', { at: 'mid-kneecap' });
  const states = statesOf(
    [above, below, waist, width],
    [
      ...taken('girth-above', 'right', 400, 402),
      ...taken('girth-above', 'left', 390, 392),
      ...taken('girth-below', 'right', 300),
      ...taken('girth-waist', 'right', 900, 900),
      ...taken('knee-width', 'right', 100),
    ],
  );
  expect(girthsFrom(states, 'right', 'mid-kneecap')).toEqual([{ level: 150, girth: 401 }]);
});

test('two girths make a volume, one makes none', () => {
  expect(segmentVolume([{ level: 0, girth: 380 }])).toBeUndefined();
  expect(
    segmentVolume([
      { level: 0, girth: 380 },
      { level: 80, girth: 320 },
    ]),
  ).toBeGreaterThan(0);
});
