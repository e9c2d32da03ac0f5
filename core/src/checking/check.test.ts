import { checkingResult, judgeCheck, type FitCheck } from './check';

const context = { window: { extension: 5, flexion: 90 }, stops: { extension: 10, flexion: 90 } };
const value = (given: object) => ({ check: 'c', entry: 'e', ...given });
const height: FitCheck = { kind: 'distance', id: 'c', from: -5, to: 5 };
const behind: FitCheck = { kind: 'angle-at-stop', id: 'c', stop: 'extension' };
const bent: FitCheck = { kind: 'angle-at-stop', id: 'c', stop: 'flexion' };

test.each([
  [height, { value: 5 }, { state: 'pass' }],
  [height, { value: -8 }, { state: 'fail', reason: 'outside-tolerance', by: 3 }],
  [behind, { value: 5 }, { state: 'pass' }],
  // the hinge stands at 10 and the knee at 3: the thigh has given way, and the order is passed
  [behind, { value: 3 }, { state: 'fail', reason: 'outside-order', by: 2 }],
  [bent, { value: 96 }, { state: 'fail', reason: 'outside-order', by: 6 }],
  [bent, { value: 84 }, { state: 'pass' }],
  [{ kind: 'proximal-to', id: 'c' }, { value: 110, reference: 130 }, { state: 'pass' }],
  [
    { kind: 'proximal-to', id: 'c' },
    { value: 130, reference: 130 },
    { state: 'fail', reason: 'not-proximal', by: 0 },
  ],
  [{ kind: 'proximal-to', id: 'c' }, { value: 130 }, { state: 'open' }],
  [{ kind: 'seen', id: 'c' }, { seen: true }, { state: 'pass' }],
  [{ kind: 'seen', id: 'c' }, { seen: false }, { state: 'fail', reason: 'not-seen' }],
] as [FitCheck, object, object][])('%j with %j', (check, given, judged) =>
  expect(judgeCheck(check, value(given), context)).toEqual(judged),
);

test.each([height, behind, { kind: 'seen', id: 'c' }, { kind: 'proximal-to', id: 'c' }] as FitCheck[])(
  '%j without a value is open',
  (check) => expect(judgeCheck(check, undefined, context)).toEqual({ state: 'open' }),
);

test('with no flexion ordered and none fitted there is no stop to check', () =>
  expect(
    judgeCheck(bent, undefined, { window: { extension: 5 }, stops: { extension: 10, flexion: null } }),
  ).toEqual({ state: 'not-needed', reason: 'no-stop-ordered' }));

test('the 0 wedge that nobody ordered is looked at and cannot pass an order', () =>
  expect(
    judgeCheck(behind, value({ value: 2 }), { window: {}, stops: { extension: 0, flexion: null } }),
  ).toEqual({ state: 'pass' }));

test('one failure fails, one open leaves open, not needed does not hinder', () => {
  const notNeeded = { state: 'not-needed', reason: 'no-stop-ordered' } as const;
  expect(checkingResult([{ state: 'pass' }, notNeeded])).toBe('pass');
  expect(checkingResult([{ state: 'pass' }, { state: 'open' }])).toBe('open');
  expect(checkingResult([{ state: 'open' }, { state: 'fail', reason: 'not-seen' }])).toBe('fail');
});
