import { Temporal } from 'temporal-polyfill';

/** A local date of the clinic, 'YYYY-MM-DD'. Never an instant: it does not move with a clock change. */
export type ClinicDay = string;

/** The years a day of the clinic may lie in: nobody alive was born before, no schedule reaches further. */
const [firstDay, lastDay] = ['1900-01-01', '2199-12-31'];

/**
 * @returns the text as a clinic day, or undefined when it is no date of the calendar ('2026-02-30') or lies
 * outside 1900 to 2199
 */
export function clinicDay(text: string): ClinicDay | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text) || text < firstDay || text > lastDay) return undefined;
  try {
    return Temporal.PlainDate.from(text, { overflow: 'reject' }).toString();
  } catch {
    return undefined;
  }
}

/** Days already worked out, by zone and quarter of an hour: no zone's midnight falls inside one. */
const known = new Map<string, ClinicDay>();
const quarter = 15 * 60_000;

/**
 * The day it is in the clinic at an instant.
 * @param instant ISO 8601 with offset or Z
 * @param zone IANA name
 */
export function dayOf(instant: string, zone: string): ClinicDay {
  const key = `${zone} ${Math.floor(Date.parse(instant) / quarter)}`;
  let day = known.get(key);
  if (day === undefined) {
    day = Temporal.Instant.from(instant).toZonedDateTimeISO(zone).toPlainDate().toString();
    if (known.size > 10_000) known.clear();
    known.set(key, day);
  }
  return day;
}

/**
 * The instant at which the clinic's clock shows a time on a day; of two (clock set back) the earlier.
 * @param time 'HH:MM'
 * @returns ISO 8601 in UTC with milliseconds
 */
export function instantOn(day: ClinicDay, time: string, zone: string): string {
  return Temporal.PlainDate.from(day)
    .toZonedDateTime({ timeZone: zone, plainTime: time })
    .toInstant()
    .toString({ fractionalSecondDigits: 3 });
}

/** @returns whether the clinic's clock shows a time on a day at all: it does not in the hour that is left out when clocks are set forward */
export function clockShows(day: ClinicDay, time: string, zone: string): boolean {
  const shown = Temporal.PlainDate.from(day)
    .toZonedDateTime({ timeZone: zone, plainTime: time })
    .toPlainTime();
  return shown.equals(Temporal.PlainTime.from(time));
}

/** @returns how many minutes a day of the clinic has: 1440 but when clocks are set */
export function minutesIn(day: ClinicDay, zone: string): number {
  return Temporal.PlainDate.from(day).toZonedDateTime(zone).hoursInDay * 60;
}

/** @returns the day `days` later (earlier when negative) */
export function addDays(day: ClinicDay, days: number): ClinicDay {
  return Temporal.PlainDate.from(day).add({ days }).toString();
}

/** @returns whole days from `from` to `to`; negative when `to` is earlier */
export function daysBetween(from: ClinicDay, to: ClinicDay): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'days' }).days;
}

/** @returns `count` days in order, beginning with `first` */
export function daysFrom(first: ClinicDay, count: number): ClinicDay[] {
  return Array.from({ length: count }, (_, n) => addDays(first, n));
}

/** Zones asked for before; there are some hundreds, and asking takes its time. */
const zones = new Set<string>();

/** @returns whether the text names a time zone this platform knows */
export function isZone(text: string): boolean {
  if (zones.has(text)) return true;
  if (!text.includes('/') && text !== 'UTC') return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: text });
    zones.add(text);
    return true;
  } catch {
    return false;
  }
}

/** The age on a day, in years of 365.25 days: for what grows by it, not for birthdays. */
export const ageOn = (born: ClinicDay, day: ClinicDay): number => daysBetween(born, day) / 365.25;
