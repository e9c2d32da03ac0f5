import { addDays, phaseSpans, type ClinicDay } from '../calendar';
import { gapsOf, windowOf, type MotionWindow, type Order, type OrderGap } from '../order';
import type { JointPlane } from '../anatomy';
import { chooseSetting, sameMade, type Setting } from './settings';
import type { SettingChoice, SettingMade, WantedBy } from './kind';

/** One phase of an order as the brace follows it. */
export interface ScheduledPhase {
  phase: number;
  from: ClinicDay;
  /** the first day that is no longer in it; absent where it goes on */
  until?: ClinicDay;
  /** of the motion that the stops limit */
  window: MotionWindow;
  /** what is chosen for each setting on its first day, by the setting's id */
  choices: Record<string, SettingChoice>;
  /** settings that are another from this day on than before, by id */
  changes: string[];
  /** days at its end for which nothing is ordered: it stays in force */
  gap?: OrderGap;
  /** it would begin after the order's last day, and never does */
  never?: true;
}

/**
 * An order's phases as days, each with what the brace is set to for it and what changes when it begins.
 * @param order as it is to be followed now
 * @param settings those of the family
 * @param motion that the stops limit
 * @param byOn what a setting is chosen by on a day; what a joint reached today says nothing of days ahead
 */
export function scheduleOf(
  order: Order,
  settings: readonly Setting[],
  motion: JointPlane | undefined,
  byOn: (day: ClinicDay) => WantedBy,
): ScheduledPhase[] {
  const gaps = gapsOf(order);
  const after = order.until === undefined ? undefined : addDays(order.until, 1);
  const before = new Map<string, SettingMade>();
  return phaseSpans(order.dayZero, order.phases).map(({ index, from, until }): ScheduledPhase => {
    const gap = gaps.find(({ phase }) => phase === index);
    const never = after !== undefined && from >= after;
    const end = after !== undefined && !never && (until === undefined || until > after) ? after : until;
    const choices = never
      ? {}
      : Object.fromEntries(
          settings.flatMap((setting) => {
            const choice = chooseSetting(setting, byOn(from));
            return choice ? [[setting.id, choice]] : [];
          }),
        );
    const changes = Object.entries(choices).flatMap(([id, choice]) => {
      if (!choice.ok) return [];
      const was = before.get(id);
      before.set(id, choice.made);
      return was !== undefined && !sameMade(was, choice.made) ? [id] : [];
    });
    return {
      phase: index,
      from,
      ...(end === undefined ? {} : { until: end }),
      window: motion ? windowOf(order.phases[index]!.limits, motion) : {},
      choices,
      changes,
      ...(gap ? { gap } : {}),
      ...(never ? { never } : {}),
    };
  });
}
