import type { ValidationError } from 'yup';
import type { Judged, Moment } from './kind';
import { atEachMoment, checkingResult, checkSchema, judgeCheck, unsafeChecks, type FitCheck } from './check';

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
  [bent, { value: 84 }, { state: 'pass', narrower: 6 }],
  [bent, { value: 85 }, { state: 'pass' }],
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
  const all = (...judged: Judged[]) => checkingResult(judged.map((one) => ({ check: {}, judged: one })));
  expect(all({ state: 'pass' }, notNeeded)).toBe('pass');
  expect(all({ state: 'pass' }, { state: 'open' })).toBe('open');
  expect(all({ state: 'open' }, { state: 'fail', reason: 'not-seen' })).toBe('fail');
  expect(all()).toBe('pass');
});

const left = { value: 410, reference: 412 };
test.each([
  [{ kind: 'alike', id: 'c', within: 2 }, left, { state: 'pass' }],
  [{ kind: 'alike', id: 'c', within: 1 }, left, { state: 'fail', reason: 'not-alike', by: 1 }],
  [{ kind: 'alike', id: 'c', within: 2 }, { value: 410 }, { state: 'open' }],
  [{ kind: 'fingers', id: 'c', least: 3, most: 3 }, { value: 3 }, { state: 'pass' }],
  [{ kind: 'fingers', id: 'c', least: 3, most: 3 }, { value: 2 }, { state: 'fail', reason: 'not-so-many' }],
  [{ kind: 'fingers', id: 'c', least: 1, most: 3 }, { value: 4 }, { state: 'fail', reason: 'not-so-many' }],
  [{ kind: 'fingers', id: 'c', least: 1, most: 3 }, {}, { state: 'open' }],
] as [FitCheck, object, object][])('%j with %j', (check, given, judged) =>
  expect(judgeCheck(check, value(given), context)).toEqual(judged),
);

// 999 mm once passed a check that stated no limits
test.each([
  ['a distance without its limits', { kind: 'distance', id: 'c' }],
  ['a distance with one limit', { kind: 'distance', id: 'c', from: 0 }],
  ['limits the wrong way round', { kind: 'distance', id: 'c', from: 5, to: 0 }],
  ['limits beside the model’s own', { kind: 'distance', id: 'c', tolerance: 'model', from: 0, to: 5 }],
  ['a limit that is none', { kind: 'distance', id: 'c', from: NaN, to: 5 }],
  ['alike within nothing said', { kind: 'alike', id: 'c' }],
  ['fingers the wrong way round', { kind: 'fingers', id: 'c', least: 3, most: 1 }],
  ['a stop of no end', { kind: 'angle-at-stop', id: 'c' }],
  ['no kind', { id: 'c', from: 0, to: 5 }],
  ['limits of another kind', { kind: 'seen', id: 'c', from: 0 }],
  ['a place on no face', { kind: 'seen', id: 'c', at: { from: 'waist', face: 'top' } }],
  [
    'a moment that ends before it begins',
    { kind: 'seen', id: 'c', moments: [{ is: 'later', notBefore: 30, notAfter: 5 }] },
  ],
  ['a moment that is none', { kind: 'seen', id: 'c', moment: 'later' }],
])('%s is refused', (_, check) => expect(checkSchema.isValidSync(check, { strict: true })).toBe(false));

test.each([
  { kind: 'distance', id: 'c', tolerance: 'model' },
  {
    kind: 'distance',
    id: 'c',
    from: 0,
    to: 5,
    at: { from: 'waist', face: 'front' },
    moments: [{ is: 'standing' }],
  },
  { kind: 'fingers', id: 'c', least: 3, most: 3 },
])('%j is taken', (check) => expect(checkSchema.validateSync(check, { strict: true })).toEqual(check));

describe('a check at its moment', () => {
  const later: FitCheck = { kind: 'seen', id: 'c', moment: { is: 'later', notBefore: 5, notAfter: 30 } };
  test.each([
    [4.9, { state: 'open', why: 'too-early' }],
    [5, { state: 'pass' }],
    [30, { state: 'pass' }],
    [30.1, { state: 'open', why: 'too-late' }],
    [undefined, { state: 'pass' }],
  ])('looked at after %s minutes: %j', (minutes, judged) =>
    expect(judgeCheck(later, value({ seen: true }), { ...context, minutes })).toEqual(judged),
  );

  test('what was found wrong too late is wrong', () =>
    expect(judgeCheck(later, value({ seen: false }), { ...context, minutes: 40 })).toEqual({
      state: 'fail',
      reason: 'not-seen',
    }));

  test('each of its moments is one check', () => {
    const moments = [{ is: 'standing' as const }, { is: 'seated' as const }];
    expect(atEachMoment({ kind: 'seen', id: 'c', moments }).map(({ moment }) => moment?.is)).toEqual([
      'standing',
      'seated',
    ]);
    expect(atEachMoment({ kind: 'seen', id: 'c' })).toEqual([{ kind: 'seen', id: 'c' }]);
  });

  test('where the leg bears nothing they are asked seated, once, in the place of standing and of a walk', () => {
    const at = (...moments: Moment['is'][]) =>
      atEachMoment({ kind: 'seen', id: 'c', moments: moments.map((is) => ({ is })) }, true).map(
        ({ moment }) => moment?.is,
      );
    expect(at('seated', 'standing', 'after-walking')).toEqual(['seated']);
    expect(at('standing', 'later')).toEqual(['seated', 'later']);
    expect(at('lying', 'after-walking')).toEqual(['lying', 'seated']);
  });
});

test('an end that the joint does not reach hinders nothing and proves nothing', () => {
  const judged = judgeCheck(behind, value({ notReached: true }), context);
  expect(judged).toEqual({ state: 'not-reached' });
  expect(
    checkingResult([
      { check: {}, judged },
      { check: {}, judged: { state: 'pass' } },
    ]),
  ).toBe('pass');
});

test.each([
  [{ kind: 'quantity', id: 'c', unit: 's', most: 2 }, { value: 2 }, { state: 'pass' }],
  [
    { kind: 'quantity', id: 'c', unit: 's', most: 2 },
    { value: 3 },
    { state: 'fail', reason: 'outside-tolerance', by: 1 },
  ],
  [
    { kind: 'quantity', id: 'c', unit: 'degrees', least: 5, most: 10 },
    { value: 4 },
    { state: 'fail', reason: 'outside-tolerance', by: 1 },
  ],
  [{ kind: 'compared', id: 'c', step: 'girth', least: -5, most: 5 }, { value: 404 }, { state: 'pass' }],
  [
    { kind: 'compared', id: 'c', step: 'girth', least: -5, most: 5 },
    { value: 392 },
    { state: 'fail', reason: 'not-as-before', by: 3 },
  ],
  // nothing was read before: there is nothing to compare it with
  [{ kind: 'compared', id: 'c', step: 'other', least: -5, most: 5 }, { value: 400 }, { state: 'open' }],
  [{ kind: 'mark', id: 'c', setting: 'ends' }, { value: 9 }, { state: 'pass' }],
  [{ kind: 'mark', id: 'c', setting: 'ends' }, { value: 8 }, { state: 'fail', reason: 'not-at-mark', by: 1 }],
  [{ kind: 'mark', id: 'c', setting: 'unset' }, { value: 8 }, { state: 'open' }],
] as [FitCheck, object, object][])('%j with %j is %j', (check, given, judged) =>
  expect(judgeCheck(check, value(given), { ...context, read: { girth: 400 }, marks: { ends: 9 } })).toEqual(
    judged,
  ),
);

test.each([
  { kind: 'quantity', id: 'c', unit: 's' },
  { kind: 'quantity', id: 'c', unit: 's', least: 3, most: 2 },
  { kind: 'quantity', id: 'c', unit: 'stone', most: 2 },
  { kind: 'compared', id: 'c', step: 's', least: 1, most: -1 },
  { kind: 'mark', id: 'c' },
  { kind: 'seen', id: 'c', moments: [{ is: 'at-noon' }] },
  { kind: 'seen', id: 'c', moments: [{ is: 'later', notBefore: NaN }] },
])('%j is refused', (check) => expect(checkSchema.isValidSync(check, { strict: true })).toBe(false));

test('a refill that is too slow is a matter of the limb’s safety', () => {
  const check: FitCheck = { kind: 'quantity', id: 'refill', unit: 's', most: 2, limbSafety: true };
  const judged = judgeCheck(check, value({ value: 4 }), context);
  expect(unsafeChecks([{ check, judged, entry: 'e' }])).toEqual([
    { check: 'refill', why: 'limb-safety', calls: true, entry: 'e' },
  ]);
});

test.each([true, 'strap', 3, [1], null, {}, { stage: 1 }, { call: 'x' }])(
  'a cure that is %j is a fault with its path',
  (cure) => {
    const at = () => {
      try {
        checkSchema.validateSync({ kind: 'seen', id: 'c', cures: [cure] }, { strict: true });
      } catch (error) {
        return (error as ValidationError).path;
      }
      return undefined;
    };
    expect(at()).toMatch(/^cures\[0\]/);
  },
);

// common practice, no source: looked at again within half an hour, and the patient need not wait for the signature
test('a look for later is due and does not hinder the signature; one that fails does', () => {
  const later: FitCheck = { kind: 'seen', id: 'creases', moment: { is: 'later', notAfter: 30 } };
  const now: FitCheck = { kind: 'seen', id: 'creases', moment: { is: 'standing' } };
  const of = (...judged: Judged['state'][]) =>
    checkingResult(
      judged.map((state, i) => ({
        check: i === 0 ? now : later,
        judged: state === 'fail' ? { state, reason: 'not-seen' } : ({ state } as Judged),
      })),
    );
  expect([of('pass', 'open'), of('open', 'open'), of('pass', 'fail'), of('pass', 'pass')]).toEqual([
    'pass',
    'open',
    'fail',
    'pass',
  ]);
  // where there is nothing else to look at, it is waited for
  expect(checkingResult([{ check: later, judged: { state: 'open' } }])).toBe('open');
});
