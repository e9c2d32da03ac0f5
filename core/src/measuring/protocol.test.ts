import {
  instrumentOf,
  isSameStep,
  protocolOf,
  readingBounds,
  resolveSteps,
  unitOf,
  type MeasuringStep,
  type ProtocolStep,
  type ReadingStep,
} from './protocol';
import { measuringKinds } from './kinds/list';
import { girthStep, readingStep } from './test-steps';

test.each([
  ['girth', 'mm', 'tape'],
  ['distance', 'mm', 'tape'],
  ['curve', 'mm', 'tape'],
  ['height', 'mm', 'calliper'],
  ['width', 'mm', 'calliper'],
  ['inclination', 'degrees', 'inclinometer'],
  ['mass', 'kg', 'scale'],
  ['age', 'years', 'told'],
  ['stature', 'mm', 'tape'],
  ['shoe', 'mm', 'told'],
  ['posture', 'degrees', 'goniometer'],
  ['motion', 'degrees', 'goniometer'],
] as const)('%s is kept in %s and read with the %s', (kind, unit, instrument) => {
  expect([unitOf({ kind }), instrumentOf({ kind })]).toEqual([unit, instrument]);
});

test('every reading has bounds that no body goes beyond, in its own unit', () => {
  const read = Object.entries(measuringKinds).flatMap(([kind, { unit }]) => (unit ? [kind] : []));
  expect(read).toHaveLength(12);
  for (const kind of read) {
    const { least, most } = readingBounds({ kind: kind as ReadingStep['kind'] });
    expect(least).toBeLessThan(most);
  }
  expect(readingBounds({ kind: 'girth' })).toEqual({ least: 1, most: 3000 });
  expect(readingBounds({ kind: 'age' })).toEqual({ least: 0, most: 130 });
  expect(readingBounds({ kind: 'posture' })).toEqual({ least: -180, most: 180 });
});

test.each([
  [girthStep('a'), 'girth mid-kneecap'],
  [readingStep('distance', 'a', { from: 'c7', to: 'sacrum' }), 'distance c7 sacrum'],
  [readingStep('curve', 'a', { from: 'c7', to: 'sacrum' }), 'curve c7 sacrum'],
  [readingStep('height', 'a', { from: 'c7', to: 'sacrum' }), 'height c7 sacrum'],
  [readingStep('width', 'a', { at: 'heel', across: 'mediolateral' }), 'width heel mediolateral'],
  [readingStep('inclination', 'a', { from: 'c7', to: 'sacrum', at: 0.5 }), 'inclination c7 sacrum'],
  [readingStep('mass', 'a'), 'mass'],
])('%j is one protocol: %s', (step, protocol) => expect(protocolOf(step)).toBe(protocol));

describe('the same step of another family or model', () => {
  const width = (at: string) => readingStep('width', at, { at, across: 'mediolateral' });
  const lean = (id: string, at: number) => readingStep('inclination', id, { from: 'c7', to: 'sacrum', at });
  const motion = (plane: 'sagittal' | 'frontal'): MeasuringStep =>
    ({ kind: 'motion', id: plane, joint: 'knee', plane, modes: ['passive'] }) as MeasuringStep;
  const stands: MeasuringStep = { kind: 'stance', id: 'stands', stance: 'standing' } as MeasuringStep;

  test.each<[string, MeasuringStep, MeasuringStep, boolean]>([
    ['a girth under another name', girthStep('a'), girthStep('b'), true],
    ['a girth at another distance', girthStep('a'), girthStep('a', { distance: 120 }), false],
    ['an inclination under another name', lean('a', 0.5), lean('b', 0.5), true],
    ['an inclination further down the spine', lean('a', 0.5), lean('a', 0.7), false],
    ['a width elsewhere', width('heel'), width('malleoli'), false],
    ['a curve for a straight length', ...lengths('curve', 'distance'), false],
    ['a motion in another plane', motion('sagittal'), motion('frontal'), false],
    ['a motion in the same plane', motion('sagittal'), motion('sagittal'), true],
    // how somebody stands is looked at again for each brace
    ['a stance', stands, stands, false],
  ])('%s', (_, one, other, is) => expect(isSameStep(one, other)).toBe(is));

  function lengths(...kinds: ['curve', 'distance']): [MeasuringStep, MeasuringStep] {
    const [one, other] = kinds.map((kind) => readingStep(kind, kind, { from: 'c7', to: 'sacrum' }));
    return [one!, other!];
  }
});

describe('distances left to the model', () => {
  const own: ProtocolStep = { ...girthStep('own'), distance: 'model' };
  const mark: ProtocolStep = { kind: 'mark', id: 'c7', landmark: 'c7' };

  test('are filled in; what has its own keeps it, and what is no girth stays as it is', () => {
    const done = resolveSteps([own, girthStep('fixed'), mark], { own: -120, fixed: 999 });
    expect(done).toEqual({
      ok: true,
      steps: [{ ...own, distance: -120 }, girthStep('fixed'), mark as MeasuringStep],
    });
  });

  test('that are missing are named, or left out where nothing needs them', () => {
    expect(resolveSteps([own, mark], {})).toEqual({ ok: false, missing: ['own'] });
    expect(resolveSteps([{ ...own, optional: true }, mark], {})).toEqual({ ok: true, steps: [mark] });
  });
});
