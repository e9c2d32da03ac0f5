import fc from 'fast-check';
import type { AnyRecordedEntry } from './entry';
import { caseRibbon } from './due';
import { foldCase } from './fold-case';
import { kinds } from './kinds';
import { firstFailing, isReadable } from './readable';
import { testContext, testLogbook } from './test-case';

test('the first one at which it fails is found, wherever it stands', () => {
  for (const count of [1, 2, 7, 64])
    for (let at = 0; at < count; at += 1) expect(firstFailing(count, (first) => first > at)).toBe(at);
  expect(firstFailing(5, () => false)).toBeUndefined();
});

test.each([
  ['30 February', { observedAt: '2026-02-30T10:00:00.000Z' }],
  ['hour 24', { observedAt: '2026-02-03T24:00:00.000Z' }],
  ['a kind nobody knows', { kind: 'brace.sung' as never }],
  ['a version of tomorrow', { v: 99 }],
  ['no body', { body: null as never }],
])('an entry with %s is shown as unreadable, the rest works, and it can be withdrawn', (_, spoilt) => {
  const log = testLogbook();
  const bad = log.write('shape.scar', { what: 'scar', face: 'front', from: 0, to: 20 }, spoilt);
  const order = log.order();
  const status = () =>
    foldCase(log.entries, testContext)!.lines.find(({ entry }) => entry.id === bad)?.status;
  expect(status()).toBe('unreadable');
  expect(foldCase(log.entries, testContext)!.order?.entry).toBe(order);
  log.write('record.withdrawn', {}, { replaces: bad, reason: 'it cannot be read' });
  expect(status()).toBe('withdrawn');
});

test('a correction that cannot be read takes nothing out', () => {
  const log = testLogbook();
  const order = log.order();
  log.order({}, { replaces: order, reason: 'other side', observedAt: '2026-02-31T10:00:00.000Z' });
  expect(foldCase(log.entries, testContext)!.order?.entry).toBe(order);
});

test('entries that replace each other in a ring are told apart by their place, without end', () => {
  const log = testLogbook();
  const first = log.write('shape.scar', { what: 'scar', face: 'front', from: 0, to: 20 });
  const second = log.write(
    'shape.scar',
    { what: 'scar', face: 'back', from: 0, to: 20 },
    { replaces: first, reason: 'a ring' },
  );
  Object.assign(log.entries[1]!, { replaces: second, reason: 'a ring' });
  expect(foldCase(log.entries, testContext)).toBeDefined();
});

test('the fold never throws for what stands in the record, whatever it is', () => {
  const names = [...Object.keys(kinds), 'unknown'];
  const spoilt = fc.record({
    kind: fc.constantFrom(...names),
    stage: fc.constantFrom('case', 'screen', 'measure', 'review', 'nowhere'),
    v: fc.constantFrom(0, 1, 2, 1.5),
    observedAt: fc.constantFrom('2026-11-24T09:30:00.000Z', '2026-02-30T00:00:00.000Z', 'then', ''),
    body: fc.oneof(
      fc.jsonValue(),
      fc.record({
        step: fc.constantFrom('girth-above', 'x'),
        side: fc.constantFrom('right', 'up'),
        value: fc.double(),
      }),
      fc.constant({ day: '2026-12-01', purpose: 'review' }),
    ),
    replaces: fc.option(fc.constantFrom(1, 2, 3), { nil: undefined }),
  });
  fc.assert(
    fc.property(fc.array(spoilt, { maxLength: 12 }), (rows) => {
      const log = testLogbook();
      log.order();
      log.read('girth-above', 'right', 444, 446);
      for (const { replaces, ...row } of rows)
        log.write('shape.scar', {} as never, {
          ...(row as object),
          ...(replaces === undefined ? {} : { replaces: log.entries[replaces]!.id, reason: 'why not' }),
        });
      const state = foldCase(log.entries, testContext)!;
      expect(state.lines).toHaveLength(log.entries.length);
      expect(() => caseRibbon(state)).not.toThrow();
    }),
    { numRuns: 300 },
  );
});

test('a plan that grows by next to nothing is cut off, whoever wrote it; so is a ribbon of a thousand visits', () => {
  const log = testLogbook();
  log.order({ protective: false, trouble: 'take-off' });
  const plan = { kind: 'growing' as const, from: '2026-11-24', firstDay: 1, everyDays: 1, ceiling: 1440 };
  log.write('wear.planned', { ...plan, grow: 0.0001 });
  const ribbon = () => caseRibbon(foldCase(log.entries as AnyRecordedEntry[], testContext)!);
  expect(ribbon().buckles.length).toBeLessThanOrEqual(400);
  for (let i = 0; i < 1000; i += 1) log.write('visit.planned', { day: '2026-12-01', purpose: 'review' });
  expect(ribbon().buckles).toHaveLength(400);
  expect(JSON.stringify(ribbon()).length).toBeLessThan(100_000);
});

test('an entry at which the fold fails is set aside, and the rest works', () => {
  const log = testLogbook();
  log.read('girth-above', 'right', 444, 446);
  log.read('girth-below', 'right', 347, 349);
  // found readable before, and spoilt behind the back of whoever looked
  const spoilt = log.entries[2]!;
  expect(isReadable(spoilt)).toBe(true);
  (spoilt as { observedAt: string }).observedAt = 'never';
  const state = foldCase(log.entries, testContext)!;
  expect(state.lines.map(({ status }) => status)).toEqual(['live', 'live', 'unreadable', 'live', 'live']);
  expect(state.measuring.states.filter(({ assessed }) => assessed).map(({ step }) => step.id)).toEqual([
    'girth-above',
    'girth-below',
  ]);
  // what was found out about an entry is found out once
  expect(isReadable(spoilt)).toBe(true);
  // where nothing can be made of a family there is no case, and nothing is thrown
  const broken = { ...testContext, programme: { ...testContext.programme, measuring: undefined as never } };
  expect(foldCase(testLogbook().entries, broken)).toBeUndefined();
});

test.each([
  ['a kind that is none', { kind: 'nothing' }, false],
  ['no instant', { observedAt: '2026-02-30T09:00:00.000Z' }, false],
  ['version 0', { v: 0 }, false],
  ['version 1.5', { v: 1.5 }, false],
  ['a version of tomorrow', { v: 9 }, false],
  [
    'a number as text',
    { body: { step: 'girth-above', side: 'right', value: '450', instrument: 'tape' } },
    false,
  ],
  ['nothing wrong', {}, true],
])('%s: readable is told', (_, more, readable) => {
  const log = testLogbook();
  log.read('girth-above', 'right', 450);
  expect(isReadable({ ...log.entries[1]!, ...more } as never)).toBe(readable);
});

test('a body that an upcaster cannot read is not readable', () => {
  const log = testLogbook();
  log.order();
  expect(isReadable({ ...log.entries[1]!, v: 1, body: { phases: 3 } } as never)).toBe(false);
});
