import { testRecord, written } from '../record/test-record';
import { caseClosed, caseHandedOver, caseNoted, caseOpened, caseReopened, labelRead } from './case-entries';
import { foldKeeping } from './case-keeping';
import { caseRibbon } from './due';
import { foldCase } from './fold-case';
import { intentFaults } from './intent';
import { readEntry, type AnyEntry } from './entry';
import { testContext, testLogbook } from './test-case';

const opened = written(caseOpened, {
  person: 'p',
  side: 'right',
  programme: { id: 'p', version: 1, hash: '0' },
  model: { id: 'm', version: 1, hash: '0' },
});
const keeping = (...entries: Parameters<typeof testRecord>) => foldKeeping(testRecord(opened, ...entries));

test('a case is in the hand of who opened it, until it is handed over', () => {
  expect(keeping().keeper).toBe('u');
  const to = (user: string) => written(caseHandedOver, { to: user });
  expect(keeping(to('ana'), to('teo')).keeper).toBe('teo');
});

test('closed, opened again and closed once more: the last counts', () => {
  const close = written(caseClosed, { because: 'delivered' });
  const reopen = written(caseReopened, {});
  expect(keeping(close).closed).toMatchObject({ because: 'delivered', day: '2026-11-24', by: 'u' });
  expect(keeping(close, reopen).closed).toBeUndefined();
  expect(
    keeping(close, reopen, written(caseClosed, { because: 'moved', note: 'to her son' })).closed,
  ).toMatchObject({
    because: 'moved',
    note: 'to her son',
  });
  // opened again before it was closed: nothing
  expect(keeping(reopen, close).closed).toBeDefined();
});

test('notes come the last first, labels as they were read', () => {
  const all = keeping(
    written(caseNoted, { text: 'comes by bus' }),
    written(caseNoted, { text: 'hard of hearing' }),
    written(labelRead, { serial: 'A-17' }),
    written(labelRead, { lot: 'L 2291' }),
  );
  expect(all.notes.map(({ text }) => text)).toEqual(['hard of hearing', 'comes by bus']);
  expect(all.labels.map(({ entry: _entry, day: _day, ...read }) => read)).toStrictEqual([
    { serial: 'A-17' },
    { lot: 'L 2291' },
  ]);
});

test('the last day is that of what was observed last, in the clinic, whichever was written last', () => {
  const note = (observedAt: string) => ({ ...written(caseNoted, { text: 'x' }), observedAt });
  expect(keeping(note('2026-12-01T23:30:00.000Z'), note('2026-11-30T10:00:00.000Z')).lastDay).toBe(
    '2026-12-02',
  );
});

test('of a closed case nothing is to come, and no order or plan is taken; facts are', () => {
  const log = testLogbook();
  log.write('visit.planned', { day: '2026-12-01', purpose: 'review' });
  log.order();
  const before = foldCase(log.entries, testContext)!;
  expect(caseRibbon(before).buckles).not.toEqual([]);
  log.write('case.closed', { because: 'delivered' });
  const state = foldCase(log.entries, testContext)!;
  expect(caseRibbon(state)).toEqual({ worn: [], buckles: [] });
  log.order();
  const order = log.entries.at(-1) as AnyEntry;
  expect(intentFaults(state, order)).toMatchObject([{ at: 'kind' }]);
  expect(intentFaults(before, order)).toEqual([]);
  log.read('girth-above', 'right', 450);
  expect(intentFaults(state, log.entries.at(-1) as AnyEntry)).toEqual([]);
});

const faultsOf = (kind: 'case.closed' | 'label.read' | 'visit.planned', body: object) => {
  const log = testLogbook();
  log.write(kind, body as never);
  const { seq: _seq, receivedAt: _at, ...entry } = log.entries.at(-1)!;
  const read = readEntry(entry);
  return read.ok ? [] : read.faults.map(({ at }) => at);
};

test.each([
  ['case.closed', { because: 'delivered' }, []],
  ['case.closed', { because: 'other' }, ['body']],
  ['case.closed', { because: 'other', note: 'sold' }, []],
  ['case.closed', { because: 'lost' }, ['body.because']],
  ['label.read', {}, ['body']],
  ['label.read', { lot: 'L 2291/ä' }, []],
  ['label.read', { serial: '' }, ['body.serial']],
  ['label.read', { serial: '<b>' }, ['body.serial']],
  ['label.read', { serial: 'x'.repeat(61) }, ['body.serial']],
  ['visit.planned', { day: '2026-12-01', time: '24:00', purpose: 'review' }, ['body.time']],
  ['visit.planned', { day: '2026-12-01', time: '09:05', purpose: 'collection' }, []],
  ['visit.planned', { day: '2026-12-01', purpose: 'party' }, ['body.purpose']],
] as const)('%s %j: %j', (kind, body, at) => expect(faultsOf(kind, body)).toEqual(at));
