import { addDays, daysBetween, type ClinicDay } from '../calendar';
import { theilSen } from '../statistics';

export interface GirthOnDay {
  day: ClinicDay;
  girth: number;
}

export interface Drift {
  /** mm a week, by Theil-Sen */
  perWeek: number;
  /** the days between which the girth leaves its band; absent when that is not certain */
  crosses: { edge: number; from: ClinicDay; to: ClinicDay | undefined } | undefined;
}

/** Visits needed for a two-sided 95 % interval: with fewer no date is given. */
const visitsNeeded = 5;

/**
 * Where a girth is going over the visits, and in which range of days it leaves its band if it goes on so.
 * An estimate: swelling slows down as it falls.
 * @param visits one girth a day, by rising day
 * @param band closed up, of the size in use
 * @returns undefined with fewer than two visits
 */
export function girthDrift(
  visits: readonly GirthOnDay[],
  band: readonly [number, number],
): Drift | undefined {
  const [first] = visits;
  if (!first) return undefined;
  const days = visits.map(({ day }) => daysBetween(first.day, day));
  const fit = theilSen(
    days,
    visits.map(({ girth }) => girth),
  );
  if (!fit) return undefined;
  const perWeek = fit.slope * 7;
  const { interval } = fit;
  const settled = visits.length < visitsNeeded || !interval || interval[0] * interval[1] <= 0;
  if (settled) return { perWeek, crosses: undefined };
  const edge = fit.slope > 0 ? band[1] : band[0];
  const last = days.at(-1)!;
  const now = fit.intercept + fit.slope * last;
  const wait = (slope: number) => Math.max(0, Math.round((edge - now) / slope));
  const waits = interval.map(wait).sort((a, b) => a - b) as [number, number];
  // further than two years ahead a line through swelling says nothing
  const day = (ahead: number) => (ahead > 730 ? undefined : addDays(first.day, last + ahead));
  const from = day(waits[0]);
  return { perWeek, crosses: from === undefined ? undefined : { edge, from, to: day(waits[1]) } };
}
