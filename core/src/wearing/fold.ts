import type { KnownFacts } from '../brace';
import type { ClinicDay } from '../calendar';
import { orderGiven } from '../order';
import type { Minutes } from '../quantity';
import type { LiveRecord } from '../record';
import { letterSent, wearPlanned, wearRead, wearTaught, wearTold, type TaughtHow } from './entries';
import { wearByFamily, type WearByFamily, type WearLine } from './family';
import type { DayTold } from './clinic-rule';
import type { WearPlan } from './plan';

/** What is known of a day in the brace, and from where. */
export interface WornOn {
  day: ClinicDay;
  minutes: Minutes;
  /** minutes of which nobody knows */
  unknown?: Minutes;
  from: 'told' | 'file' | 'sensor';
}

/** How the brace is worn, and whether it was taught. */
export interface WearingState {
  plan: { entry: string; plan: WearPlan } | undefined;
  /** a growing plan that a protective order has stopped since */
  stopped: { entry: string; plan: WearPlan } | undefined;
  /** a growing plan that is held: by a check the limb is not safe in the brace */
  held: boolean;
  /** who has put it on, for those who were shown and can */
  taught: 'patient' | 'carer' | undefined;
  /** the last time it was tried: by whom, and how it went */
  tried: { who: 'patient' | 'carer'; how: TaughtHow | undefined } | undefined;
  /** what was told of days in the brace, by day, each as it was last told */
  told: (DayTold & { entry: string; note?: string })[];
  /** hours by day: read before told */
  worn: WornOn[];
  /** the last letter to the prescriber */
  letter: { entry: string; to: string; how: string; day: ClinicDay } | undefined;
  /** what the family says of wearing in this case */
  family: WearByFamily;
}

/**
 * A plan that grows stands until an order that is protective comes after it: that is worn as ordered. While a
 * check says that the limb is not safe in the brace it is held: nothing grows.
 * @param lines what the family says of wearing
 * @param isSafe no check says that the limb is not safe in the brace
 */
export function foldWearing(
  record: LiveRecord,
  lines: readonly WearLine[],
  facts: KnownFacts,
  isSafe: boolean,
): WearingState {
  const planned = record.last(wearPlanned);
  const order = record.last(orderGiven);
  const plan = planned && { entry: planned.id, plan: planned.body as WearPlan };
  const grows = planned?.body.kind === 'growing';
  const stopped = grows && order?.body.protective === true && record.isAfter(order, planned);
  const tried = record.last(wearTaught)?.body;
  const told = byDay(
    record.of(wearTold).map(({ id, body: { note, ...one } }) => ({
      ...one,
      entry: id,
      ...(note === undefined ? {} : { note }),
    })),
  );
  const read = record
    .of(wearRead)
    .flatMap(({ body: { from, days } }) =>
      days.map(({ day, worn, unknown }): WornOn => ({ day, minutes: worn, unknown, from })),
    );
  const letter = record.last(letterSent);
  return {
    plan: stopped ? undefined : plan,
    stopped: stopped ? plan : undefined,
    held: !stopped && grows && !isSafe,
    taught: tried && tried.how !== 'not-yet' ? tried.who : undefined,
    tried: tried && { who: tried.who, how: tried.how },
    told,
    worn: byDay<WornOn>([
      ...told.map(({ day, minutes }): WornOn => ({ day, minutes, from: 'told' })),
      ...read,
    ]),
    letter: letter && {
      entry: letter.id,
      to: letter.body.to,
      how: letter.body.how,
      day: record.dayIn(letter),
    },
    family: wearByFamily(lines, facts),
  };
}

/** Of each day the last that was said, by rising day. */
const byDay = <T extends { day: ClinicDay }>(all: readonly T[]): T[] =>
  [...new Map(all.map((one) => [one.day, one])).values()].sort((a, b) => a.day.localeCompare(b.day));
