import type { JointPlane } from '../anatomy';
import type { ClinicDay } from '../calendar';
import { windowOn, type Order } from '../order';
import {
  chooseStops,
  type Arc,
  type HingeStops,
  type StopChoice,
  type StopHardware,
  type StopRule,
} from '../setting';

export type SkinFinding = 'clear' | 'fades-within-30-min' | 'stays-red' | 'broken';

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
  | { kind: 'stops'; phase: number; choice: StopChoice }
  | { kind: 'none'; phase: number };

/** What an adjustment is proposed from. */
export interface AtReview {
  order: Order;
  day: ClinicDay;
  /** the motion that the stops limit */
  limited: JointPlane | undefined;
  /** fitted now */
  setting: HingeStops | undefined;
  /** the hinge's pieces; a brace without stops has nothing to adjust here */
  hardware: StopHardware | undefined;
  rule: StopRule | undefined;
  found?: ReviewFinding | undefined;
  /** what the joint reached, if tested */
  joint?: Arc | undefined;
}

/**
 * The one adjustment a review may make: the stops of the phase in force, if the brace is not on them yet.
 * What is told to the prescriber comes first: it raises a call, and never by itself shortens protective
 * wearing.
 */
export function proposeAdjustment({
  order,
  day,
  limited,
  setting,
  hardware,
  rule,
  found,
  joint,
}: AtReview): Adjustment {
  const because = found ? referBecause(found) : [];
  if (because.length > 0) return { kind: 'refer', because, protective: order.protective };
  const now = windowOn(order, day, limited) ?? { phase: -1, window: {} };
  if (!hardware || !rule) return { kind: 'none', phase: now.phase };
  const choice = chooseStops(now.window, hardware, rule, joint);
  const same =
    choice.ok && setting?.extension === choice.stops.extension && setting.flexion === choice.stops.flexion;
  return same ? { kind: 'none', phase: now.phase } : { kind: 'stops', phase: now.phase, choice };
}
