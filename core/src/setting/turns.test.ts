import fc from 'fast-check';
import { asNumber, formatTurn, noTurn, opposite, readTurn, sumOfTurns, turnOf, type Turn } from './turns';

const turns = fc.record({ n: fc.integer({ min: -64, max: 64 }), d: fc.integer({ min: 1, max: 64 }) });

/** Sums over one common denominator, the product of all: another road than lowest terms step by step. */
const byProduct = (all: readonly Turn[]): [bigint, bigint] => {
  const product = all.reduce((so, { d }) => so * BigInt(d), 1n);
  return [all.reduce((sum, { n, d }) => sum + BigInt(n) * (product / BigInt(d)), 0n), product];
};

test('turns sum exactly, in lowest terms, whatever their order', () =>
  fc.assert(
    fc.property(fc.array(turns, { maxLength: 8 }), (all) => {
      const sum = sumOfTurns(...all);
      const [n, d] = byProduct(all);
      expect(BigInt(sum.n) * d).toBe(n * BigInt(sum.d));
      expect(sumOfTurns(...[...all].reverse())).toEqual(sum);
      expect(sumOfTurns(...all, ...all.map(opposite))).toEqual(noTurn);
    }),
  ));

test('ten tenths are a whole turn: no last digit is lost', () =>
  expect(sumOfTurns(...Array.from({ length: 10 }, () => turnOf(0.1)))).toEqual({ n: 1, d: 1 }));

test.each([
  ['1/4', { n: 1, d: 4 }],
  ['-1/8', { n: -1, d: 8 }],
  ['−1/8', { n: -1, d: 8 }],
  ['+2/8', { n: 1, d: 4 }],
  ['0.5', { n: 1, d: 2 }],
  ['0,5', { n: 1, d: 2 }],
  ['1 1/4', { n: 5, d: 4 }],
  ['0', noTurn],
  ['1/64', { n: 1, d: 64 }],
  ['1/65', undefined],
  ['0.333', undefined],
  ['1/0', undefined],
  ['quarter', undefined],
  ['', undefined],
  ['9999', undefined],
  // with what a hand leaves beside it, and nothing else
  ['  1/4 ', { n: 1, d: 4 }],
  ['1000', { n: 1000, d: 1 }],
  ['0.125', { n: 1, d: 8 }],
  ['0.0625', { n: 1, d: 16 }],
  ['1+1/4', undefined],
  ['a1/4', undefined],
  ['1/4 turn', undefined],
  ['1/4x', undefined],
  ["0.'3'", undefined],
])('“%s” is read as %j', (text, turn) => expect(readTurn(text)).toEqual(turn));

test.each([
  [0.125, '+1/8'],
  [-0.25, '−1/4'],
  [1.5, '+1 1/2'],
  [0, '0'],
  [3.5, '+3 1/2'],
  [1 / 3, '+1/3'],
])('%d is written %s', (value, written) => expect(formatTurn(turnOf(value))).toBe(written));

test('what is written is read as the same', () =>
  fc.assert(
    fc.property(turns, (turn) => {
      const sum = sumOfTurns(turn);
      expect(readTurn(formatTurn(sum))).toEqual(sum);
      expect(asNumber(sum)).toBeCloseTo(turn.n / turn.d, 12);
    }),
  ));
