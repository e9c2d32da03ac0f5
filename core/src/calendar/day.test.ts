import {
  clockShows,
  minutesIn,
  addDays,
  ageOn,
  clinicDay,
  dayOf,
  daysBetween,
  daysFrom,
  instantOn,
  isZone,
} from './day';
import { phaseOn, phaseSpans } from './phase';

// In Madrid the clock goes from 02:00 to 03:00 on 29 March 2026 and back from 03:00 to 02:00 on 25 October
// 2026 (last Sundays of March and October, 01:00 UTC: Directive 2000/84/EC).
const zone = 'Europe/Madrid';

test.each([
  ['2026-03-28T22:59:59Z', '2026-03-28'],
  ['2026-03-28T23:00:00Z', '2026-03-29'],
  ['2026-03-29T21:59:59Z', '2026-03-29'],
  ['2026-03-29T22:00:00Z', '2026-03-30'],
  ['2026-10-24T22:00:00Z', '2026-10-25'],
  ['2026-10-25T22:59:59Z', '2026-10-25'],
  ['2026-10-25T23:00:00Z', '2026-10-26'],
])('%s is %s in the clinic, over the clock change', (instant, day) => expect(dayOf(instant, zone)).toBe(day));

test('a day of 23 or 25 hours is one day', () => {
  expect(addDays('2026-03-28', 1)).toBe('2026-03-29');
  expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
  expect(daysBetween('2026-10-26', '2026-10-24')).toBe(-2);
  expect(daysFrom('2026-10-24', 3)).toEqual(['2026-10-24', '2026-10-25', '2026-10-26']);
});

test.each(['2026-02-29', '2026-13-01', '26-01-01', '2026-1-1', '', 'today'])('"%s" is no day', (text) =>
  expect(clinicDay(text)).toBeUndefined(),
);

test('2028 is a leap year', () => expect(clinicDay('2028-02-29')).toBe('2028-02-29'));

test('zones are told from text that is none', () => {
  expect(isZone('Europe/Madrid')).toBe(true);
  expect(isZone('UTC')).toBe(true);
  expect(isZone('Ribanova')).toBe(false);
  expect(isZone('')).toBe(false);
});

const phases = [{ fromDay: 0 }, { fromDay: 14 }, { fromDay: 28 }];

test.each([
  ['2026-11-01', 0],
  ['2026-11-07', 0],
  ['2026-11-20', 0],
  ['2026-11-21', 1],
  ['2026-12-05', 2],
  ['2027-06-01', 2],
])('on %s, counted from 7 November, phase %d holds', (day, phase) =>
  expect(phaseOn('2026-11-07', phases, day)).toBe(phase),
);

test('phases as spans end where the next begins', () =>
  expect(phaseSpans('2026-11-07', phases)).toEqual([
    { index: 0, from: '2026-11-07', until: '2026-11-21' },
    { index: 1, from: '2026-11-21', until: '2026-12-05' },
    { index: 2, from: '2026-12-05' },
  ]));

test('no phases, no phase', () => expect(phaseOn('2026-11-07', [], '2026-11-08')).toBe(-1));

test('ten past ten is another instant before and after the clock change', () => {
  expect(instantOn('2026-03-28', '10:10', zone)).toBe('2026-03-28T09:10:00.000Z');
  expect(instantOn('2026-03-29', '10:10', zone)).toBe('2026-03-29T08:10:00.000Z');
  expect(dayOf(instantOn('2026-10-25', '23:59', zone), zone)).toBe('2026-10-25');
});

test('an age is counted in years of 365.25 days', () => {
  expect(ageOn('2000-01-01', '2004-01-01')).toBe(4);
  expect(ageOn('2026-11-26', '2026-11-26')).toBe(0);
});

describe('hours that a clock leaves out or shows twice', () => {
  /** What a clock on the wall shows through a day, quarter by quarter, by Intl: another road than Temporal's. */
  const shownOn = (day: string, zone: string): string[] => {
    const clock = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    const from = Date.parse(`${day}T00:00:00Z`) - 15 * 3_600_000;
    return Array.from({ length: (54 * 60) / 15 }, (_, i) => {
      const parts = Object.fromEntries(
        clock.formatToParts(from + i * 900_000).map(({ type, value }) => [type, value]),
      );
      return `${parts.year}-${parts.month}-${parts.day} ${parts.hour}:${parts.minute}`;
    })
      .filter((one) => one.startsWith(day))
      .map((one) => one.slice(11));
  };
  const quarters = Array.from({ length: 96 }, (_, i) =>
    [Math.floor(i / 4), (i % 4) * 15].map((part) => String(part).padStart(2, '0')).join(':'),
  );

  test.each([
    ['2027-03-28', 'Europe/Madrid', 23 * 60],
    ['2026-10-25', 'Europe/Madrid', 25 * 60],
    ['2026-11-24', 'Europe/Madrid', 24 * 60],
    ['2026-10-04', 'Australia/Lord_Howe', 23.5 * 60],
    ['2026-04-05', 'Australia/Lord_Howe', 24.5 * 60],
    ['2026-03-08', 'America/St_Johns', 23 * 60],
    ['2026-06-01', 'Asia/Kathmandu', 24 * 60],
  ])('%s in %s has %s minutes, and the clock shows what a clock on the wall shows', (day, zone, minutes) => {
    const shown = shownOn(day, zone);
    expect(minutesIn(day, zone)).toBe(minutes);
    expect(shown.length * 15).toBe(minutes);
    expect(quarters.filter((time) => clockShows(day, time, zone))).toEqual([...new Set(shown)].sort());
  });
});
