import ical, { ICalCalendarMethod, ICalEventStatus, ICalEventTransparency } from 'ical-generator';
import { addDays, type ClinicDay } from '../calendar';

/** A day on which something is due, as another calendar is to show it. */
export interface DueDay {
  /** the same for the same thing, however often it is written: a later file replaces it */
  id: string;
  day: ClinicDay;
  summary: string;
  description?: string;
  /** it is due no more: another calendar that holds it takes it out */
  cancelled?: true;
}

/** A day for a writer that reads the date of an instant in UTC, wherever this runs. */
const asShown = (day: ClinicDay): Date => new Date(`${day}T00:00:00Z`);

/**
 * Days as an iCalendar file (RFC 5545): all-day events on local dates of the clinic, without a zone; the same id for the same
 * thing, and a sequence number that rises with every change, so that another calendar takes the newer one. It holds no name of
 * a person: what a day is about stands in its summary, which the clinic writes.
 * @param sequence rises whenever anything of it may have changed
 * @param written the instant it is written, ISO 8601
 */
export function calendarFile(
  days: readonly DueDay[],
  { name, sequence, written }: { name: string; sequence: number; written: string },
): string {
  const calendar = ical({
    name,
    prodId: { company: 'estribo', product: 'estribo', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { id, day, summary, description, cancelled } of days)
    calendar.createEvent({
      id: `${id}@estribo`,
      sequence,
      stamp: new Date(written),
      start: asShown(day),
      end: asShown(addDays(day, 1)),
      allDay: true,
      // it takes nobody's time: it is a day on which something is due
      transparency: ICalEventTransparency.TRANSPARENT,
      summary,
      ...(cancelled ? { status: ICalEventStatus.CANCELLED } : {}),
      ...(description === undefined ? {} : { description }),
    });
  return calendar.toString();
}
