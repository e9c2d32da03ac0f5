import {
  instrumentOf,
  protocolOf,
  readingBounds,
  readingKinds,
  resolveSteps,
  unitOf,
  type MeasuringStep,
  type ProtocolStep,
} from './protocol';
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
  const bounds = readingKinds.map((kind) => readingBounds({ kind }));
  for (const { least, most } of bounds) expect(least).toBeLessThan(most);
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
