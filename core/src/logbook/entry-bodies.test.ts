import { testRecord, written } from '../record/test-record';
import { checkRecorded } from '../checking';
import { donningBegun, strapDone } from '../strapping';
import { current, readEntry } from './entry';
import { knownFacts } from './known-facts';
import type { KindName } from './kinds';
import { testLogbook, testModel } from './test-case';

const faultsOf = (kind: KindName, body: object) => {
  const log = testLogbook();
  log.write(kind, body as never);
  const { seq: _seq, receivedAt: _at, ...entry } = log.entries.at(-1)!;
  const read = readEntry(entry);
  return read.ok ? [] : read.faults.map(({ at }) => at);
};

const rule = { on: 28, off: 26, tooHot: 40, gap: 30 };
const worn = (...days: string[]) => ({
  from: 'file',
  rule,
  days: days.map((day) => ({ day, worn: 300, unknown: 0 })),
});
const told = { setting: 'strokes-of-air', values: [{ place: 'at', value: 5 }] };
const contour = (...at: number[]) => ({
  part: 'upright-medial',
  source: 'card',
  liner: 0,
  gap: 0,
  points: at.map((place) => ({ at: place, out: 3 })),
});

test.each<[string, KindName, object, string[]]>([
  ['a day alone', 'wear.read', worn('2026-11-20'), []],
  ['days that rise', 'wear.read', worn('2026-11-20', '2026-11-21', '2026-11-24'), []],
  ['a day twice', 'wear.read', worn('2026-11-20', '2026-11-20'), ['body.days']],
  ['days that fall', 'wear.read', worn('2026-11-21', '2026-11-20'), ['body.days']],
  [
    'a day that falls among others',
    'wear.read',
    worn('2026-11-20', '2026-11-22', '2026-11-21'),
    ['body.days'],
  ],
  [
    'worn above what is off',
    'wear.read',
    { ...worn('2026-11-20'), rule: { ...rule, off: 29 } },
    ['body.rule'],
  ],
  ['what a patient tells', 'set.made', { ...told, reported: true, everyDays: 2 }, []],
  ['how often, and nobody told it', 'set.made', { ...told, moved: true, everyDays: 2 }, ['body']],
  ['a reason of three letters', 'case.closed', { because: 'other', note: 'abc' }, []],
  ['a reason of two', 'case.closed', { because: 'other', note: 'ab' }, ['body']],
])('%s: %s', (_, kind, body, at) => expect(faultsOf(kind, body)).toEqual(at));

// as they come, not along the bar: two of them nearer than a millimetre are one place
test.each([
  [[0, 40, 80], true],
  [[80, 0, 40], true],
  [[0, 1, 2], true],
  [[0, 0.9, 80], false],
  [[80, 0, 80.5], false],
])('stations of a contour at %j: %s', (at, sound) =>
  expect(faultsOf('shape.contour', contour(...at)).includes('body.points')).toBe(!sound),
);

test('a bend that was written apart is work on a bar today', () => {
  const body = { upright: 'medial', place: 90, direction: 'towards-limb', amount: 4 };
  const log = testLogbook();
  log.read('girth-above', 'right', 440);
  const before = { ...log.entries.at(-1)!, kind: 'shape.bent', stage: 'shape', v: 1, body };
  expect(current(before as never, {} as never)).toMatchObject({
    kind: 'work.done',
    body: {
      operation: 'bend-uprights',
      part: 'upright-medial',
      at: 90,
      direction: 'towards-limb',
      amount: 4,
    },
  });
});

test('what was put on since it last went on anew is known, and what was only measured of a check is not', () => {
  const strap = (step: string) => written(strapDone, { step, pass: 1 });
  const facts = (...entries: Parameters<typeof testRecord>) =>
    knownFacts(testRecord(...entries), undefined, '2026-11-24', testModel, []);
  const [first, begun, second] = [strap('strap-1'), written(donningBegun, {}), strap('strap-2')];
  expect(facts(first, begun, second).done).toEqual(['strap-2']);
  expect(facts(first, second).done).toEqual(['strap-1', 'strap-2']);
  const { checks } = facts(
    written(checkRecorded, { check: 'hinge-height', value: 2 }),
    written(checkRecorded, { check: 'not-twisted', seen: false }),
  );
  expect(checks).toStrictEqual({ 'not-twisted': false });
});
