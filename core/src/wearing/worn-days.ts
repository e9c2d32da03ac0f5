import { addDays, dayOf, daysBetween, daysFrom, instantOn, type ClinicDay } from '../calendar';
import { wornByDay, type TemperatureSeries, type WornRule } from './worn';

/** The most days that are read at a time: a year and its month. */
const mostDays = 400;

/**
 * Minutes worn by the clinic's days. The first and the last day of a series are whole days too: what lies outside of the series
 * is unknown.
 * @param zone the clinic's: days begin at its midnight, and may have 23 or 25 hours
 * @param now what is still to come is neither worn nor unknown
 */
export function wornDays(
  series: TemperatureSeries,
  zone: string,
  rule: WornRule,
  now = Infinity,
): { day: ClinicDay; worn: number; unknown: number; between: number }[] {
  const { at } = series;
  if (at.length === 0) return [];
  const last = dayOf(new Date(at[at.length - 1]!).toISOString(), zone);
  const began = dayOf(new Date(at[0]!).toISOString(), zone);
  const first = daysBetween(began, last) >= mostDays ? addDays(last, 1 - mostDays) : began;
  const days = daysFrom(first, daysBetween(first, last) + 1);
  const starts = [...days, addDays(last, 1)].map((day) => Date.parse(instantOn(day, '00:00', zone)));
  starts[starts.length - 1] = Math.min(starts.at(-1)!, Math.max(now, at[at.length - 1]!));
  const round = (minutes: number) => Math.round(minutes * 10) / 10;
  return wornByDay(series, starts, rule).map(({ worn, unknown, between }, i) => ({
    day: days[i]!,
    worn: round(worn),
    unknown: round(unknown),
    between: round(between),
  }));
}
