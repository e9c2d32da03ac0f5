import { checkSigned } from '../checking';
import { recordWithdrawn } from '../record';
import { testRecord, written } from '../record/test-record';
import { reviewFound } from '../reviewing';
import { settingMade } from '../setting';
import { labelRead, visitPlanned, type VisitPurpose } from './case-entries';
import { foldVisits } from './visits';

const at = (day: string) => ({ observedAt: `${day}T10:00:00.000Z` });
const planned = (day: string, purpose: VisitPurpose, note?: string) =>
  written(visitPlanned, { day, purpose, ...(note ? { note } : {}) });
const signed = (result: 'pass' | 'fail', day: string) =>
  written(checkSigned, { result, madeFrom: [], programme: 'p', engine: 1 }, at(day));
const found = (day: string) => written(reviewFound, { skin: 'clear', pain: 1 }, at(day));
const kept = (...entries: Parameters<typeof testRecord>) =>
  foldVisits(testRecord(...entries)).map((one) => one.kept);

test('a visit with who planned it, for what, and its note', () =>
  expect(foldVisits(testRecord(planned('2026-11-30', 'review', 'with her son')))).toStrictEqual([
    {
      entry: 'e1',
      by: 'u',
      day: '2026-11-30',
      purpose: 'review',
      note: 'with her son',
      noteBy: 'u',
      kept: false,
    },
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

test('a visit that is moved keeps its note, whoever moved it, until another one is written', () => {
  const moves = (...notes: (string | undefined)[]) =>
    foldVisits(
      testRecord(
        { ...planned('2026-11-30', 'review', 'with her son'), by: 'ana' },
        ...notes.map((note, i) => ({
          ...written(
            visitPlanned,
            { day: '2026-12-02', time: '10:30', purpose: 'review', ...(note === undefined ? {} : { note }) },
            { replaces: `e${i + 1}`, reason: 'moved' },
          ),
          by: 'marga',
        })),
      ),
    );
  expect(moves(undefined)).toMatchObject([
    { day: '2026-12-02', time: '10:30', note: 'with her son', noteBy: 'ana', by: 'marga' },
  ]);
  expect(moves(undefined, undefined)).toMatchObject([{ note: 'with her son', noteBy: 'ana' }]);
  expect(moves('alone')).toMatchObject([{ note: 'alone', noteBy: 'marga' }]);
  expect(moves('')[0]).not.toHaveProperty('note');
});

test('a visit that is called off is none', () =>
  expect(
    foldVisits(
      testRecord(
        planned('2026-11-30', 'review'),
        written(recordWithdrawn, {}, { replaces: 'e1', reason: 'ill' }),
      ),
    ),
  ).toEqual([]));

test('each purpose is kept by what is written for it, and by nothing else', () => {
  const made = written(settingMade, { setting: 's', fitted: true }, at('2026-11-25'));
  const label = written(labelRead, { lot: 'L 2291' }, at('2026-11-25'));
  const on = (purpose: VisitPurpose) => planned('2026-11-25', purpose);
  expect(kept(on('setting'), on('collection'), on('work'), on('other'), made)).toEqual([
    true,
    false,
    false,
    true,
  ]);
  expect(kept(on('setting'), on('collection'), label)).toEqual([false, true]);
  // that another visit is planned is no visit
  expect(kept(on('other'), planned('2026-12-01', 'review'))).toEqual([false, false]);
});

test('a visit for something else is kept by whatever was written, but not by its plan', () => {
  const other = written(visitPlanned, { day: '2026-11-20', purpose: 'other' }, at('2026-11-21'));
  expect(kept(other)).toEqual([false]);
  expect(kept(other, found('2026-11-20'))).toEqual([true]);
});
