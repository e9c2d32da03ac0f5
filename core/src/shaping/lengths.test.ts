import { lastLengths, otherOfPair, unevenPairs } from './lengths';
import { operationSchema, type Operation } from './operations';

const cut: Operation = {
  kind: 'cut',
  id: 'shorten',
  unit: 'mm',
  parts: ['a', 'b', 'c', 'd', 'alone'],
  pairs: [{ of: ['a', 'b'] }, { of: ['c', 'd'], within: 10 }],
};
const done = (part: string, amount: number, way = 'folded') => ({ operation: 'shorten', part, amount, way });

test('of each strap the last length counts, folded or cut; what is no length is none', () =>
  expect(
    lastLengths([
      done('a', 500),
      done('a', 480, 'cut'),
      done('b', 470),
      { operation: 'shorten', part: 'c', way: 'folded' },
      { operation: 'shorten', amount: 300, way: 'cut' },
      done('d', 4, 'placed'),
    ]),
  ).toEqual({ a: { amount: 480, way: 'cut' }, b: { amount: 470, way: 'folded' } }));

test('a pair is what the family says it is, not what its ids look like', () => {
  expect(['a', 'b', 'c', 'd', 'alone'].map((one) => otherOfPair(cut, one))).toEqual([
    'b',
    'a',
    'd',
    'c',
    undefined,
  ]);
  expect(otherOfPair({ ...cut, pairs: undefined }, 'a')).toBeUndefined();
  expect(otherOfPair({ kind: 'pad', id: 'p' }, 'a')).toBeUndefined();
});

// every pair of lengths near the bound, against its distance written out
test('two that are off by more than their pair may are told, and only when both are known', () => {
  for (const [one, other, within] of [
    ['a', 'b', 3],
    ['c', 'd', 10],
  ] as const)
    for (let off = -12; off <= 12; off += 1) {
      const lengths = lastLengths([done(one, 500), done(other, 500 + off)]);
      const isOff = off < -within || off > within;
      expect(unevenPairs(cut, lengths)).toEqual(isOff ? [[one, other]] : []);
    }
  expect(unevenPairs(cut, lastLengths([done('a', 500)]))).toEqual([]);
});

test.each([
  ['three of a pair', [{ of: ['a', 'b', 'c'] }]],
  ['one alone', [{ of: ['a'] }]],
  ['less than nothing', [{ of: ['a', 'b'], within: -1 }]],
  ['something that is not known', [{ of: ['a', 'b'], side: 'left' }]],
])('%s is no pair', (_, pairs) =>
  expect(operationSchema.isValidSync({ ...cut, pairs }, { strict: true })).toBe(false),
);
