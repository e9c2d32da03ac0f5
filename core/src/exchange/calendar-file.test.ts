import ICAL from 'ical.js';
import { calendarFile, type DueDay } from './calendar-file';

const written = '2026-11-26T13:00:00.000Z';
const days: DueDay[] = [
  { id: 'case-1-stops-2', day: '2026-11-29', summary: 'Stops 0° / 60°, left knee' },
  {
    id: 'case-1-wedges-3',
    // the night on which the clocks go back
    day: '2026-10-25',
    summary: 'Wedges: 3, then 0; “heel”, right foot',
    description: 'One line\nand another, with a comma; and a semicolon',
  },
  { id: 'case-1-end', day: '2027-02-28', summary: 'x'.repeat(200) },
];
const file = (of = days, sequence = 4) => calendarFile(of, { name: 'Ribanova', sequence, written });

/** Read by another library than the one that writes: ical.js. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((component) => new ICAL.Event(component));

test('another calendar reads every day as a local date without a time, the whole day long', () => {
  const events = read(file());
  expect(
    events.map(({ startDate, endDate }) => [startDate.isDate, String(startDate), String(endDate)]),
  ).toEqual([
    [true, '2026-11-29', '2026-11-30'],
    [true, '2026-10-25', '2026-10-26'],
    [true, '2027-02-28', '2027-03-01'],
  ]);
  expect(events.map(({ summary }) => summary)).toEqual(days.map(({ summary }) => summary));
  expect(events[1]!.description).toBe(days[1]!.description);
});

test('the same thing has the same id; a change has a higher number', () => {
  const [before, after] = [read(file()), read(file([{ ...days[0]!, day: '2026-12-06' }], 5))];
  expect(after[0]!.uid).toBe(before[0]!.uid);
  expect(new Set(before.map(({ uid }) => uid)).size).toBe(3);
  expect(after[0]!.sequence).toBeGreaterThan(before[0]!.sequence);
});

test('lines are no longer than 75 octets and end as RFC 5545 has them', () => {
  const text = file();
  expect(text).toContain('METHOD:PUBLISH\r\n');
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
});

test('no days are an empty calendar that is read as well', () => expect(read(file([]))).toEqual([]));
