import fc from 'fast-check';
import jStat from 'jstat';
import type { LedgerLine } from '../setting';
import { reliefOf, signTest } from './relief';

const line = (day: string, n: number, d = 8): LedgerLine => ({
  entry: day,
  day,
  by: 'u',
  what: 'turned',
  turns: [],
  stands: { one: { n, d } },
  reported: false,
  found: false,
});
const review = (day: string, pain: number, hours?: number) => ({
  day,
  found: { pain, ...(hours === undefined ? {} : { hours }) },
});

test('the sign test is the binomial’s two tails, by a library', () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }), (less, more) => {
      const n = less + more;
      fc.pre(n > 0);
      const tail = jStat.binomial.cdf(Math.min(less, more), n, 0.5);
      expect(signTest(less, more)).toBeCloseTo(Math.min(1, 2 * tail), 9);
    }),
  ));

test('what is turned on the day of a review counts from the next one on', () =>
  expect(
    reliefOf(
      [review('2026-11-01', 6), review('2026-11-08', 5, 3), review('2026-11-15', 3)],
      [line('2026-11-01', 1), line('2026-11-08', 2)],
    ),
  ).toEqual({
    visits: [
      { day: '2026-11-01', pain: 6, stands: {} },
      { day: '2026-11-08', pain: 5, hours: 3, stands: { one: { n: 1, d: 8 } } },
      { day: '2026-11-15', pain: 3, stands: { one: { n: 2, d: 8 } } },
    ],
    compared: 2,
    less: 2,
    same: 0,
    more: 0,
  }));

test('a review behind which nothing was turned is not compared, and a visit without findings is none', () => {
  const ledger = [line('2026-11-01', 1)];
  const { compared, visits } = reliefOf(
    [review('2026-11-08', 5), review('2026-11-15', 2), { day: '2026-11-20' }],
    // a quarter and two eighths are the same
    [...ledger, line('2026-11-09', 2, 16)],
  );
  expect(compared).toBe(0);
  expect(visits).toHaveLength(2);
});

const weekly = (pains: readonly number[]) =>
  reliefOf(
    pains.map((pain, i) => review(`2026-11-${String(i * 2 + 2).padStart(2, '0')}`, pain)),
    pains.map((_, i) => line(`2026-11-${String(i * 2 + 1).padStart(2, '0')}`, i + 1)),
  );

test.each([
  [[6, 5, 4, 3, 2], undefined],
  [[6, 5, 4, 3, 2, 1], 'less'],
  [[1, 2, 3, 4, 5, 6], 'more'],
  [[6, 5, 6, 5, 6, 5], 'undecided'],
  [[4, 4, 4, 4, 4, 4], 'undecided'],
])('pain %j at reviews with a change between each: %s', (pains, verdict) =>
  expect(weekly(pains).verdict).toBe(verdict),
);
