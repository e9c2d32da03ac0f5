import { liveRecord, type Recorded } from '../record';
import { foldMarks, isOpenMark } from './pressure-marks';

const marked = { part: 'shell', from: 'axilla', offset: -10, face: 'left', aside: 0, way: 'trim', amount: 8 };
type Written = readonly [kind: string, body: object];
const states = (...written: readonly Written[]) => {
  const entries = written.map(
    ([kind, body], i) =>
      ({
        id: `m${i}`,
        kind,
        body,
        seq: i + 1,
        observedAt: '2026-03-02T09:00:00.000Z',
      }) as unknown as Recorded,
  );
  return foldMarks(liveRecord({ lines: [], live: entries, heldBy: new Map() }, 'Europe/Madrid'));
};
const trimmed: Written = ['work.done', { operation: 'trim-shell', part: 'shell', amount: 5, mark: 'm0' }];
const looked = (clear: boolean): Written => ['shape.looked', { mark: 'm0', clear }];

test.each([
  ['marked', [], 'marked', 0],
  ['trimmed', [trimmed], 'refit', 5],
  ['trimmed, looked at, still presses', [trimmed, looked(false)], 'marked', 5],
  ['trimmed twice and clear', [trimmed, looked(false), trimmed, looked(true)], 'clear', 10],
  ['clear, and trimmed once more', [trimmed, looked(true), trimmed], 'refit', 10],
  ['looked at before anything was done: it went by itself', [looked(true)], 'clear', 0],
] as const)('%s: %#', (_, more, state, taken) => {
  const [mark] = states(['shape.marked', marked], ...more);
  expect(mark).toMatchObject({ state, taken });
  expect(isOpenMark(mark!)).toBe(state !== 'clear');
});

test('work that names another mark, or none, is not its work', () => {
  const [mark] = states(
    ['shape.marked', marked],
    ['work.done', { operation: 'trim-shell', part: 'shell', amount: 5 }],
  );
  expect(mark).toMatchObject({ state: 'marked', taken: 0 });
});
