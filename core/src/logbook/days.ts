import { faultAt, type EntryFault, type FaultCode, type FaultParams } from '../faults';
import { addDays, clockShows, dayOf, minutesIn, type ClinicDay } from '../calendar';
import { current, type AnyEntry } from './entry';

/** A visit, a plan or an order reaches no further ahead, in days. */
const visitAhead = 3 * 366;
const orderAhead = 366;

/** What is known where an entry is held against its days. */
export interface DaysAbout {
  born: ClinicDay;
  /** the clinic's */
  zone: string;
  /** the entry that it corrects */
  replaced?: AnyEntry | undefined;
}

/**
 * Days that an entry names and that cannot be: what was worn before the person was born or after it was told, more hours than
 * the day had, a visit moved into the past or to an hour that the clock leaves out, a day zero of another century.
 */
export function dayFaults(sent: AnyEntry, { born, zone, replaced }: DaysAbout): EntryFault[] {
  const entry = current(sent, {});
  const day = dayOf(entry.observedAt, zone);
  const within = (
    at: string,
    one: ClinicDay,
    last: ClinicDay,
    ...late: [code: FaultCode, params?: FaultParams]
  ): EntryFault[] =>
    one < born ? faultAt(at, 'before-born', { born }) : one > last ? faultAt(at, ...late) : [];
  const tooFar = (at: string, one: ClinicDay) => within(at, one, addDays(day, orderAhead), 'year-ahead');
  switch (entry.kind) {
    case 'visit.planned': {
      const was = replaced?.kind === 'visit.planned' ? replaced.body.day : undefined;
      return visitFaults(entry.body, { today: day, zone, was }).map((one) => ({
        ...one,
        at: `body.${one.at}`,
      }));
    }
    case 'wear.told':
      return within('body.day', entry.body.day, day, 'after-told', { day });
    case 'wear.read':
      return entry.body.days.flatMap((one, i) => [
        ...within(`body.days[${i}].day`, one.day, day, 'after-read', { day }),
        ...(one.worn + one.unknown > minutesIn(one.day, zone)
          ? faultAt(`body.days[${i}]`, 'more-than-a-day')
          : []),
      ]);
    case 'wear.planned':
      return tooFar('body.from', entry.body.from);
    case 'order.given':
      return tooFar('body.dayZero', entry.body.dayZero);
    case 'order.changed':
      return tooFar('body.day', entry.body.day);
    default:
      return [];
  }
}

/**
 * What is wrong with the day and the hour of a visit, by its fields.
 * @param about.today when it is planned
 * @param about.was the day it had: one that stays may be over
 */
export function visitFaults(
  { day, time }: { day: ClinicDay; time?: string | null | undefined },
  { today, zone, was }: { today: ClinicDay; zone: string; was?: ClinicDay | undefined },
): EntryFault[] {
  return [
    ...(day < today && day !== was ? faultAt('day', 'past') : []),
    ...(day > addDays(today, visitAhead) ? faultAt('day', 'years-ahead') : []),
    ...(time && !clockShows(day, time, zone) ? faultAt('time', 'no-such-hour', { day }) : []),
  ];
}
