import { addDays, daysBetween, type ClinicDay } from '../calendar';
import type { Order, OrderPhase } from './order-body';

/** Held: nothing ahead begins. Resumed: it goes on, later by the days that it was held. Moved: day zero is another day. */
export const orderChanges = ['held', 'resumed', 'moved'] as const;

/** A change of an order's days, as the prescriber told it. */
export interface OrderChange {
  what: (typeof orderChanges)[number];
  /** since when it is held, from when it goes on, the new day zero */
  day: ClinicDay;
}

export interface Replanned {
  order: Order;
  /** it is held since this day: no later phase begins before it is resumed */
  heldSince?: ClinicDay;
}

const later = ({ lastDay, ...phase }: OrderPhase, begins: number, ends: number): OrderPhase => ({
  ...phase,
  fromDay: phase.fromDay + begins,
  ...(lastDay === undefined ? {} : { lastDay: lastDay + ends }),
});

/**
 * An order with what has happened to its days since: what lies behind stays, what lies ahead is later by as long as it was
 * held; the phase in which it was held lasts as much longer. The day on which the order ends is the prescriber's and stays:
 * a phase that would begin after it never does.
 * @param given as it was given
 * @param changes in the order in which they were told
 */
export function replanned(given: Order, changes: readonly OrderChange[]): Replanned {
  let { dayZero, phases } = given;
  let heldSince: ClinicDay | undefined;
  for (const { what, day } of changes)
    if (what === 'moved') dayZero = day;
    else if (what === 'held') heldSince = heldSince !== undefined && heldSince < day ? heldSince : day;
    else if (heldSince !== undefined) {
      // before day zero nothing ran that could be held
      const from = heldSince < dayZero ? dayZero : heldSince;
      const [begin, days] = [daysBetween(dayZero, from), daysBetween(from, day)];
      if (days > 0)
        phases = phases.map((phase, i) =>
          phase.fromDay > Math.max(begin, 0)
            ? later(phase, days, days)
            : // the phase that was in force when it was held
              (phases[i + 1]?.fromDay ?? Infinity) > Math.max(begin, 0) && (phase.lastDay ?? -1) >= begin
              ? later(phase, 0, days)
              : phase,
        );
      heldSince = undefined;
    }
  if (heldSince === undefined) return { order: { ...given, ...ended({ ...given, dayZero, phases }) } };
  const held = Math.max(0, daysBetween(dayZero, heldSince));
  const begun = phases
    .filter(({ fromDay }) => fromDay <= held)
    // what was in force stays so until it goes on
    .map((phase, i, all): OrderPhase => {
      const { lastDay, ...open } = phase;
      return i === all.length - 1 && lastDay !== undefined && lastDay >= held ? open : phase;
    });
  return { order: { ...given, ...ended({ ...given, dayZero, phases: begun }) }, heldSince };
}

/** Day zero, phases and the last day: where the order says none, that of its last phase. */
function ended({ dayZero, phases, until }: Order): Pick<Order, 'dayZero' | 'phases' | 'until'> {
  const last = phases.at(-1)?.lastDay;
  const ends = last === undefined ? undefined : addDays(dayZero, last);
  const earlier = ends !== undefined && (until === undefined || ends < until) ? ends : until;
  return { dayZero, phases, ...(earlier === undefined ? {} : { until: earlier }) };
}

/** Days for which an order says nothing; the phase before stays in force until the next begins. */
export interface OrderGap {
  /** the phase that stays */
  phase: number;
  from: ClinicDay;
  /** the day on which the next phase begins */
  until: ClinicDay;
}

/** The gaps of an order, rising. */
export const gapsOf = ({ dayZero, phases }: Pick<Order, 'dayZero' | 'phases'>): OrderGap[] =>
  phases.flatMap(({ lastDay }, phase) => {
    const next = phases[phase + 1];
    return lastDay === undefined || next === undefined || next.fromDay <= lastDay + 1
      ? []
      : [{ phase, from: addDays(dayZero, lastDay + 1), until: addDays(dayZero, next.fromDay) }];
  });

/** Why a change of an order's days is none. */
export type ChangeProblem = 'no-order' | 'held-already' | 'not-held' | 'resumed-before-held' | 'same-day';

/** @param order the one in force, with what has happened to its days; undefined before there is one */
export function changeProblem(
  order: { given: Order; order: Order; heldSince?: ClinicDay | undefined } | undefined,
  { what, day }: OrderChange,
): ChangeProblem | undefined {
  if (!order) return 'no-order';
  if (what === 'held') return order.heldSince === undefined ? undefined : 'held-already';
  if (what === 'moved') return day === order.order.dayZero ? 'same-day' : undefined;
  if (order.heldSince === undefined) return 'not-held';
  return day < order.heldSince ? 'resumed-before-held' : undefined;
}
