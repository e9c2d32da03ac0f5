import { Temporal } from 'temporal-polyfill';
import { clinicDay } from './day';

/** How an instant is written: UTC, to the second or finer. */
const written = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,3})?Z$/;

/**
 * The one reader of instants: what it takes, `dayOf` can place in any zone.
 * @param text ISO 8601 in UTC, YYYY-MM-DDTHH:MM:SS[.sss]Z
 * @returns milliseconds since 1970, or undefined for what is no instant (30 February, hour 24) or lies outside
 * the years a clinic day may have
 */
export function readInstant(text: string): number | undefined {
  const [, day] = written.exec(text) ?? [];
  if (day === undefined || clinicDay(day) === undefined) return undefined;
  return Temporal.Instant.from(text).epochMilliseconds;
}
