import { judgeCirculation, type CirculationNote, type Pulse } from './circulation';

const note = (right: Pulse, refill?: number, otherRefill?: number, entry = 'n'): CirculationNote => ({
  left: { pulse: 'felt', refill: otherRefill },
  right: { pulse: right, refill },
  entry,
});
const of = (notes: CirculationNote[], region: 'leg' | 'shoulder' = 'leg', isCold = false) =>
  judgeCirculation(notes, 'right', region, isCold);

test('nothing noted shows nothing', () =>
  expect(of([])).toEqual({ last: undefined, refill: undefined, slow: undefined, signs: [] }));

// common practice, no source
test.each([
  ['felt', [note('felt', 1)], 'leg', false, []],
  ['weak', [note('weak', 1)], 'leg', false, ['pulse-weak']],
  ['absent, nothing else', [note('absent', 1)], 'leg', false, ['pulse-weak']],
  ['absent with a slow refill', [note('absent', 2.1)], 'leg', false, ['no-pulse']],
  ['absent with a cold limb', [note('absent')], 'leg', true, ['no-pulse']],
  ['newly absent', [note('weak'), note('absent')], 'leg', false, ['no-pulse']],
  ['absent before already', [note('absent'), note('absent')], 'leg', false, ['pulse-weak']],
  ['absent at the wrist', [note('absent', 1)], 'shoulder', false, ['hand-without-pulse']],
  ['not to be felt for a cast', [note('unable')], 'leg', false, []],
] as const)('a pulse %s', (_, notes, region, isCold, signs) =>
  expect(of([...notes], region, isCold).signs).toEqual(signs),
);

// common practice, no source: over two seconds is usually abnormal; before donning it alone is no sign
test.each([
  [2, 2, undefined],
  [2.1, 2, 'braced'],
  [3, 3, 'both'],
  [1, 3, undefined],
  [undefined, 3, undefined],
] as const)('refill %s s here, %s s there: slow %s', (here, there, slow) => {
  const state = of([note('felt', here, there)]);
  expect(state.slow).toBe(slow);
  expect(state.refill).toBe(here);
  expect(state.signs).toEqual([]);
});

test('the last note counts, and the braced side is the one judged', () => {
  expect(of([note('weak'), note('felt', 1)]).signs).toEqual([]);
  expect(judgeCirculation([note('absent', 4)], 'left', 'leg', true).signs).toEqual([]);
});
