import { checkSigned } from '../checking';
import { testRecord, written } from '../record/test-record';
import { reviewFound } from '../reviewing';
import { visitPlanned } from './case-entries';
import { foldVisits } from './visits';

const at = (day: string) => ({ observedAt: `${day}T10:00:00.000Z` });
const planned = (day: string, purpose: 'fitting' | 'review', note?: string) =>
  written(visitPlanned, { day, purpose, ...(note ? { note } : {}) });
const signed = (result: 'pass' | 'fail', day: string) =>
  written(checkSigned, { result, madeFrom: [], programme: 'p', engine: 1 }, at(day));
const found = (day: string) => written(reviewFound, { skin: 'clear', pain: 1 }, at(day));
const kept = (...entries: Parameters<typeof testRecord>) =>
  foldVisits(testRecord(...entries)).map((one) => one.kept);

test('a visit with who planned it, for what, and its note', () =>
  expect(foldVisits(testRecord(planned('2026-11-30', 'review', 'with her son')))).toEqual([
    { entry: 'e1', by: 'u', day: '2026-11-30', purpose: 'review', note: 'with her son', kept: false },
  ]));

test('a review keeps the reviews of its day and before, a fitting the fittings; neither keeps the other', () => {
  const both = [planned('2026-11-20', 'review'), planned('2026-11-20', 'fitting')];
  expect(kept(...both)).toEqual([false, false]);
  expect(kept(...both, found('2026-11-20'))).toEqual([true, false]);
  expect(kept(...both, found('2026-11-19'))).toEqual([false, false]);
  expect(kept(...both, signed('pass', '2026-11-21'))).toEqual([false, true]);
  expect(kept(...both, signed('fail', '2026-11-21'))).toEqual([false, false]);
});

test('the last one counts, whichever was written last', () =>
  expect(kept(planned('2026-11-20', 'review'), found('2026-11-25'), found('2026-11-10'))).toEqual([true]));
