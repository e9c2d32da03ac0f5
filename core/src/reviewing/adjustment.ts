import type { ClinicDay } from '../calendar';
import { phaseInForce, type Order } from '../order';
import {
  chooseSetting,
  daysOfChange,
  isChosenFirst,
  type Setting,
  type SettingMade,
  type WantedBy,
} from '../setting';

/** How skin was found, from well to worst. */
export const skinStates = ['clear', 'fades-within-30-min', 'stays-red', 'broken'] as const;
export type SkinFinding = (typeof skinStates)[number];

/** What a review found besides motion and girths. */
export interface ReviewFinding {
  skin: SkinFinding;
  /** 0 to 10 */
  pain: number;
  /** worn a day on average; unknown is absent */
  hours?: number;
}

export const referReasons = ['skin-broken', 'skin-stays-red', 'pain-high'] as const;
export type ReferReason = (typeof referReasons)[number];

/**
 * Why what a review found is told to the prescriber at once: broken or lasting red skin, pain of 7 or more
 * (common practice, no source for the number).
 */
export const referBecause = ({ skin, pain }: ReviewFinding): ReferReason[] => [
  ...(skin === 'broken' ? (['skin-broken'] as const) : []),
  ...(skin === 'stays-red' ? (['skin-stays-red'] as const) : []),
  ...(pain >= 7 ? (['pain-high'] as const) : []),
];

export type Adjustment =
  /** tell the prescriber at once; change nothing meanwhile */
  | { kind: 'refer'; because: ReferReason[]; protective: boolean }
  /** settings that are others in the phase in force, by id */
  | { kind: 'set'; phase: number; settings: string[] }
  | { kind: 'none'; phase: number };

/** What an adjustment is proposed from. */
export interface AtReview {
  order: Order;
  day: ClinicDay;
  /** what is set, as it was made */
  settings: readonly { setting: Setting; made: SettingMade | undefined }[];
  /** what a setting is chosen and judged by on the day */
  by: WantedBy;
  found?: ReviewFinding | undefined;
}

/**
 * What a review may change by itself: what is set for the phase in force, where the brace is not so yet. What is told to the
 * prescriber comes first: it raises a call, and never by itself shortens protective wearing.
 */
export function proposeAdjustment({ order, day, settings, by, found }: AtReview): Adjustment {
  const because = found ? referBecause(found) : [];
  if (because.length > 0) return { kind: 'refer', because, protective: order.protective };
  const phase = phaseInForce(order, day)?.index ?? -1;
  const changed = settings.filter(({ setting, made }) =>
    // what was never made is made in Set; but stops are asked for, whoever left them out
    made === undefined
      ? isChosenFirst(setting) && chooseSetting(setting, by) !== undefined
      : daysOfChange(setting, made, [day], () => by).length > 0,
  );
  return changed.length === 0
    ? { kind: 'none', phase }
    : { kind: 'set', phase, settings: changed.map(({ setting: { id } }) => id) };
}
