import fc from 'fast-check';
import { measuringProgress, nextStep, stepAt, type TakenReading } from './progress';
import { resolveSteps, type GirthStep, type MeasuringStep } from './protocol';
import { assessReadings } from './reading';
import { judgePosture } from './posture';
import { sideDifference } from './sides';

const girth: GirthStep = {
  kind: 'girth',
  id: 'girth-above',
  from: 'mid-kneecap',
  distance: 150,
  tolerance: 4,
  withinPerson: 2.5,
  shared: 3,
  plausible: [250, 950],
};

// JCGM 100:2008 5.1.2, 4.2.3: independent parts add in quadrature, the mean of n repeats has s/sqrt(n);
// with the pooled s of 4.2.4. Worked by hand: sqrt(2.5^2/2 + 3^2) = sqrt(12.125)
test('the uncertainty of a mean of two', () => {
  const read = assessReadings(girth, [361, 366.0])!;
  expect(read.mean).toBe(363.5);
  expect(read.uncertainty).toBeCloseTo(Math.sqrt(12.125), 12);
});

test('two equal readings do not make the uncertainty vanish', () =>
  expect(assessReadings(girth, [366, 366])!.uncertainty).toBeGreaterThan(3));

test('repeats shrink their own part and never the shared one', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 300, max: 600 }), { minLength: 1, maxLength: 20 }), (values) => {
      const read = assessReadings(girth, values)!;
      return (
        read.uncertainty >= girth.shared &&
        read.repeatPart * Math.sqrt(values.length) - girth.withinPerson < 1e-9
      );
    }),
  );
});

test.each([
  [[361], 'second', false],
  [[361, 365], undefined, false],
  [[361, 366], 'third', false],
  [[361, 366, 363], undefined, true],
  [[361, 364, 363], undefined, false],
])('%j asks for: %s', (values, needs, restless) =>
  expect(assessReadings(girth, values)).toMatchObject({ needs, restless }),
);

test('no reading, no assessment', () => expect(assessReadings(girth, [])).toBeUndefined());

test('the goniometer within five degrees of thirty', () => {
  expect(judgePosture({ target: 30, tolerance: 5 }, 31)).toEqual({ off: 1, within: true });
  expect(judgePosture({ target: 30, tolerance: 5 }, 24)).toEqual({ off: -6, within: false });
});

test('the side difference is signed and waits for both sides', () => {
  const [thick, thin] = [assessReadings(girth, [463, 463]), assessReadings(girth, [456, 456])];
  expect(sideDifference(thick, thin)).toBe(7);
  expect(sideDifference(thick, undefined)).toBeUndefined();
});

test('a distance left to the model is filled in, or named when the model has none', () => {
  const steps = [{ ...girth, distance: 'model' as const }];
  expect(resolveSteps(steps, { 'girth-above': 150 })).toEqual({ ok: true, steps: [girth] });
  expect(resolveSteps(steps, {})).toEqual({ ok: false, missing: ['girth-above'] });
});

const steps: MeasuringStep[] = [
  { kind: 'posture', id: 'knee-posture', joint: 'knee', target: 30, tolerance: 5 },
  { kind: 'mark', id: 'mid-kneecap', landmark: 'mid-kneecap' },
  girth,
];
const take = (step: string, side: 'left' | 'right', value?: number): TakenReading => ({
  step,
  side,
  entry: `${step}-${side}-${value}`,
  ...(value === undefined ? {} : { value }),
});

test('the braced side comes first, then the other one', () => {
  const order = measuringProgress(steps, 'left', { readings: [], skipped: [] }).states.map(
    ({ step, side }) => `${side} ${step.id}`,
  );
  expect(order.slice(0, 3)).toEqual(['left knee-posture', 'left mid-kneecap', 'left girth-above']);
  expect(order[3]).toBe('right knee-posture');
});

test('next is the first thing not done: a posture out of tolerance is taken again', () => {
  const taken = [take('knee-posture', 'right', 38)];
  const next = (readings: TakenReading[]) =>
    nextStep(measuringProgress(steps, 'right', { readings, skipped: [] }).states)?.step.id;
  expect(next(taken)).toBe('knee-posture');
  expect(next([...taken, take('knee-posture', 'right', 31)])).toBe('mid-kneecap');
});

test('a skipped side is done with its reason; a reading taken later counts instead', () => {
  const skipped = [{ step: 'girth-above', side: 'left' as const, reason: 'in a cast', entry: 's' }];
  const state = stepAt(
    measuringProgress(steps, 'right', { readings: [], skipped: skipped }).states,
    'girth-above',
    'left',
  );
  expect(state).toMatchObject({ done: true, skipped: { reason: 'in a cast' } });
  const later = stepAt(
    measuringProgress(steps, 'right', { readings: [take('girth-above', 'left', 440)], skipped: skipped })
      .states,
    'girth-above',
    'left',
  );
  expect(later).toMatchObject({ done: false, assessed: { needs: 'second' } });
  expect(later?.skipped).toBeUndefined();
});

describe('readings that do not agree', () => {
  const girth = { tolerance: 6, withinPerson: 2, shared: 3 };

  // common practice, no source: a slip of the hand is never averaged in
  test.each([
    [[365, 440, 439], 'settle', [0]],
    [[445, 545, 446], 'settle', [1]],
    [[445, 446, 544.5], 'settle', [2]],
    [[400, 420, 440], 'settle', [0, 1, 2]],
    [[400, 420, 440, 441], 'settle', [0, 1]],
    [[440, 439], undefined, []],
    [[440, 446], undefined, []],
    [[440, 446.1], 'third', []],
    [[440, 446, 452], undefined, []],
    [[440, 446, 440, 439], undefined, []],
  ] as const)('%j: asks for %s, about %j', (values, needs, alone) => {
    const assessed = assessReadings(girth, values)!;
    expect(assessed.needs).toBe(needs);
    expect(assessed.alone).toEqual(alone);
  });

  test('those that agree all count, by their mean; a chain of them that spreads is restless', () => {
    const assessed = assessReadings(girth, [440, 446, 452])!;
    expect(assessed.mean).toBe(446);
    expect(assessed.restless).toBe(true);
    expect(assessReadings(girth, [440, 439, 441])!.restless).toBe(false);
    expect(assessReadings(girth, [365, 440, 439])!.restless).toBe(false);
  });
});
