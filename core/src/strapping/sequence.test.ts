import { runSequence, type SequenceStep } from './sequence';

const sequence: SequenceStep[] = [
  { id: 'open-all', kind: 'prepare' },
  { id: 'strap-1', kind: 'strap', strap: 1, knee: 45 },
  { id: 'strap-2', kind: 'strap', strap: 2 },
  { id: 'walk', kind: 'settle', minutes: 5 },
];
const first = sequence.map(({ id }) => ({ step: id, pass: 1 as const }));

test('one at a time, in order', () => {
  expect(runSequence(sequence, []).now).toMatchObject({ id: 'open-all', pass: 1 });
  expect(runSequence(sequence, first.slice(0, 2)).now?.id).toBe('strap-2');
  expect(runSequence(sequence, first.slice(0, 2)).steps.map(({ state }) => state)).toEqual([
    'done',
    'done',
    'now',
    'ahead',
    'ahead',
    'ahead',
  ]);
});

test('a step done out of order does not skip the one before it', () =>
  expect(runSequence(sequence, [{ step: 'strap-2', pass: 1 }]).now?.id).toBe('open-all'));

test('after the walk the straps again in the same order, then nothing is left', () => {
  expect(runSequence(sequence, first).now).toMatchObject({ id: 'strap-1', pass: 2 });
  const all = runSequence(sequence, [...first, { step: 'strap-1', pass: 2 }, { step: 'strap-2', pass: 2 }]);
  expect(all.now).toBeUndefined();
  expect(all.done).toBe(6);
});

test('without a walk there is no second pass', () =>
  expect(runSequence(sequence.slice(0, 3), []).steps).toHaveLength(3));
