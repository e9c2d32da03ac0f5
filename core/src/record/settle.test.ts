import fc from 'fast-check';
import type { Recorded } from './entry';
import { settle } from './settle';

/** An entry of a family: the seq of what it replaces, and whether it only takes it out. */
interface Written {
  replaces?: number;
  withdraws?: boolean;
}

const record = (written: readonly Written[]): Recorded[] =>
  written.map(
    ({ replaces, withdraws }, i) =>
      ({
        id: `e${i + 1}`,
        seq: i + 1,
        kind: withdraws ? 'record.withdrawn' : 'measure.read',
        ...(replaces === undefined ? {} : { replaces: `e${replaces}`, reason: 'why' }),
      }) as unknown as Recorded,
  );
const liveOf = (written: readonly Written[]) => settle(record(written)).live.map(({ id }) => id);
const statusOf = (written: readonly Written[]) => settle(record(written)).lines.map(({ status }) => status);

test.each([
  [
    'a correction of the loser of a conflict',
    [{}, { replaces: 1 }, { replaces: 1 }, { replaces: 3 }],
    ['e2'],
  ],
  ['a correction of its winner', [{}, { replaces: 1 }, { replaces: 1 }, { replaces: 2 }], ['e4']],
  [
    'the middle of a row of corrections withdrawn',
    [{}, { replaces: 1 }, { replaces: 2 }, { replaces: 2, withdraws: true }],
    ['e3'],
  ],
  [
    'the first one withdrawn after it was corrected',
    [{}, { replaces: 1 }, { replaces: 1, withdraws: true }],
    ['e2'],
  ],
  [
    'the last correction withdrawn',
    [{}, { replaces: 1 }, { replaces: 2 }, { replaces: 3, withdraws: true }],
    ['e2'],
  ],
  [
    'all of it withdrawn',
    [{}, { replaces: 1 }, { replaces: 1, withdraws: true }, { replaces: 2, withdraws: true }],
    [],
  ],
  [
    'the winner of a conflict withdrawn',
    [{}, { replaces: 1 }, { replaces: 1 }, { replaces: 2, withdraws: true }],
    ['e3'],
  ],
] as const)('%s leaves one live value', (_, written, live) => expect(liveOf(written)).toEqual(live));

test('both sides of a conflict are told as such, whatever was corrected on either', () => {
  expect(statusOf([{}, { replaces: 1 }, { replaces: 1 }, { replaces: 3 }])).toEqual([
    'replaced',
    'conflict',
    'replaced',
    'conflict',
  ]);
});

/** What holds, once more: walked from each first entry down, as somebody with the papers in hand would. */
function holdsByHand(written: readonly Written[]): string[] {
  const childrenOf = (seq: number) =>
    written.flatMap(({ replaces, withdraws }, i) => (replaces === seq && !withdraws ? [i + 1] : []));
  const isOut = (seq: number) => written.some(({ replaces, withdraws }) => withdraws && replaces === seq);
  const standing = (seq: number): number[] => {
    const below = childrenOf(seq).flatMap(standing);
    return below.length > 0 ? below : isOut(seq) ? [] : [seq];
  };
  return written.flatMap(({ replaces, withdraws }, i) => {
    if (replaces !== undefined || withdraws) return [];
    const [first] = standing(i + 1);
    return first === undefined ? [] : [`e${first}`];
  });
}

test('of every family one value holds at most, as by hand, in the place of the first', () => {
  const anyRecord = fc
    .array(
      fc.record({ back: fc.option(fc.nat(8), { freq: 4 }), withdraws: fc.integer({ min: 0, max: 4 }) }),
      {
        minLength: 1,
        maxLength: 24,
      },
    )
    .map((rows): Written[] => {
      const written: Written[] = [];
      rows.forEach(({ back, withdraws }, i) => {
        const target = back === null ? 0 : i - back;
        // a withdrawal is never replaced: the border sees to it
        if (target < 1 || written[target - 1]!.withdraws) written.push({});
        else written.push({ replaces: target, ...(withdraws === 0 ? { withdraws: true } : {}) });
      });
      return written;
    });
  fc.assert(
    fc.property(anyRecord, (written) => {
      expect(liveOf(written)).toEqual(holdsByHand(written));
    }),
    { numRuns: 500 },
  );
});
