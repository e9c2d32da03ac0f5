import { checkSchema, judgeCheck, unsafeChecks, type FitCheck } from './check';
import type { CheckContext, CheckValue } from './kind';

const context: CheckContext = { window: {}, stops: undefined };
const judged = (check: object, value?: object, more: Partial<CheckContext> = {}) =>
  judgeCheck(
    { id: 'c', ...check } as FitCheck,
    value && ({ check: 'c', entry: 'e', ...value } as CheckValue),
    { ...context, ...more },
  );
const kinds = [
  { kind: 'quantity', unit: 's', least: 0, most: 2 },
  { kind: 'alike', within: 4 },
  { kind: 'compared', step: 'girth', least: -5, most: 5 },
  { kind: 'distance', from: -5, to: 5 },
  { kind: 'fingers', least: 2, most: 3 },
  { kind: 'mark', setting: 'belt' },
  { kind: 'angle-at-stop', stop: 'flexion' },
  { kind: 'proximal-to' },
  { kind: 'seen' },
];
const known: Partial<CheckContext> = {
  read: { girth: 400 },
  marks: { belt: 7 },
  window: { flexion: 90 },
  stops: { extension: 0, flexion: 90 },
};

test.each(kinds)('$kind: nobody looked is open, and so is an answer that says nothing of it', (check) => {
  expect(judged(check, undefined, known)).toEqual({ state: 'open' });
  expect(judged(check, {}, known)).toEqual({ state: 'open' });
});

test('what is compared with something that is not there is open, never right', () => {
  const value = { value: 7 };
  expect(judged({ kind: 'mark', setting: 'belt' }, value)).toEqual({ state: 'open' });
  expect(judged({ kind: 'mark', setting: 'belt' }, value, { marks: { other: 7 } })).toEqual({
    state: 'open',
  });
  expect(judged({ kind: 'compared', step: 'girth', least: -5, most: 5 }, value)).toEqual({ state: 'open' });
  expect(judged({ kind: 'alike', within: 4 }, value)).toEqual({ state: 'open' });
  expect(judged({ kind: 'alike', within: 4 }, { reference: 7 })).toEqual({ state: 'open' });
});

test('an angle at a stop that is fitted and not ordered passes whatever it is', () => {
  const stop = { kind: 'angle-at-stop', stop: 'flexion' };
  const fitted = { stops: { extension: 0, flexion: 60 } };
  expect(judged(stop, { value: 200 }, fitted)).toEqual({ state: 'pass' });
  expect(judged(stop, undefined, fitted)).toEqual({ state: 'open' });
});

const valid = (check: object) => checkSchema.isValidSync({ id: 'c', ...check }, { strict: true });
test.each([
  [{ least: 0, most: 2 }, true],
  [{ least: 2, most: 2 }, true],
  [{ least: 3, most: 2 }, false],
  [{ least: 1 }, true],
  [{ most: 1 }, true],
  [{ least: -1 }, true],
  [{}, false],
])('a quantity from %j is stated well: %s', (limits, is) =>
  expect(valid({ kind: 'quantity', unit: 's', ...limits })).toBe(is),
);

test.each([
  [{ from: -5, to: 5 }, true],
  [{ from: 5, to: 5 }, true],
  [{ from: 6, to: 5 }, false],
  [{ from: 1 }, false],
  [{ to: 1 }, false],
  [{}, false],
  [{ tolerance: 'model' }, true],
  [{ tolerance: 'model', from: 1 }, false],
  [{ tolerance: 'model', to: 1 }, false],
  [{ tolerance: 'model', from: 1, to: 2 }, false],
])('a distance %j is stated well: %s', (limits, is) =>
  expect(valid({ kind: 'distance', ...limits })).toBe(is),
);

test.each([
  [{ notBefore: 30, notAfter: 60 }, true],
  [{ notBefore: 30, notAfter: 30 }, true],
  [{ notBefore: 31, notAfter: 30 }, false],
  [{ notBefore: 30 }, true],
])('a moment %j is stated well: %s', (times, is) =>
  expect(valid({ kind: 'seen', moments: [{ is: 'later', ...times }] })).toBe(is),
);

test('a refill stays a fail without a note of before, and a quantity of another unit knows none', () => {
  const refill = { kind: 'quantity', unit: 's', least: 0, most: 2 };
  expect(judged(refill, { value: 2.5 })).toMatchObject({ state: 'fail' });
  expect(judged(refill, { value: 2.5 }, { refillBefore: 2.5 })).toEqual({ state: 'pass' });
  expect(judged(refill, { value: -1 }, { refillBefore: 2.5 })).toMatchObject({ state: 'fail' });
  expect(judged({ ...refill, unit: 'mm' }, { value: 2.5 }, { refillBefore: 9 })).toMatchObject({
    state: 'fail',
  });
});

test('times count only where they are known: sooner than the moment is too early, later proves nothing', () => {
  const later = { kind: 'seen', moment: { is: 'later', notBefore: 30, notAfter: 60 } };
  expect(judged(later, { seen: true })).toEqual({ state: 'pass' });
  expect(judged(later, { seen: true }, { minutes: 29 })).toEqual({ state: 'open', why: 'too-early' });
  expect(judged(later, { seen: true }, { minutes: 30 })).toEqual({ state: 'pass' });
  expect(judged(later, { seen: true }, { minutes: 60 })).toEqual({ state: 'pass' });
  expect(judged(later, { seen: true }, { minutes: 61 })).toEqual({ state: 'open', why: 'too-late' });
  expect(judged(later, { seen: false }, { minutes: 61 })).toMatchObject({ state: 'fail' });
  expect(judged(later, undefined, { minutes: 1 })).toEqual({ state: 'open' });
  // without bounds no time is wrong
  expect(judged({ kind: 'seen', moment: { is: 'seated' } }, { seen: true }, { minutes: 900 })).toEqual({
    state: 'pass',
  });
});

test('a limb-safety check is one that says so', () => {
  const failed = (check: object, entry: string | undefined = 'e') =>
    unsafeChecks([
      {
        check: { id: 'c', kind: 'seen', ...check } as FitCheck,
        judged: { state: 'fail', reason: 'not-seen' },
        ...(entry === undefined ? {} : { entry }),
      },
    ]);
  const safety = (id: string, calls = true) => [{ check: id, why: 'limb-safety', calls, entry: 'e' }];
  expect(failed({ limbSafety: true })).toEqual(safety('c'));
  expect(failed({})).toEqual([]);
  // today's checks say by their cures whether somebody is called
  const move = { stage: 'strap' };
  expect(failed({ limbSafety: true, cures: [move] })).toEqual(safety('c', false));
  expect(failed({ limbSafety: true, cures: [move, { call: 'physician-now' }] })).toEqual(safety('c'));
  expect(failed({ limbSafety: true, cures: [] })).toEqual(safety('c', false));
  expect(failed({ limbSafety: false, cures: [{ call: 'physician-now' }] })).toEqual([]);
  expect(
    unsafeChecks([
      {
        check: { id: 'c', kind: 'seen', limbSafety: true } as FitCheck,
        judged: { state: 'fail', reason: 'not-seen' },
      },
      {
        check: { id: 'd', kind: 'seen', limbSafety: true } as FitCheck,
        judged: { state: 'pass' },
        entry: 'e',
      },
    ]),
  ).toEqual([]);
});
