import type { KnownFacts } from '../brace';
import { orderGiven } from '../order';
import type { LiveRecord } from '../record';
import { wearPlanned, wearTaught } from './entries';
import { wearByFamily, type WearByFamily, type WearLine } from './family';
import type { WearPlan } from './plan';

/** How the brace is worn, and whether it was taught. */
export interface WearingState {
  plan: { entry: string; plan: WearPlan } | undefined;
  /** a growing plan that a protective order has stopped since */
  stopped: { entry: string; plan: WearPlan } | undefined;
  /** a growing plan that is held: by a check the limb is not safe in the brace */
  held: boolean;
  taught: 'patient' | 'carer' | undefined;
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
  return {
    plan: stopped ? undefined : plan,
    stopped: stopped ? plan : undefined,
    held: !stopped && grows && !isSafe,
    taught: record.last(wearTaught)?.body.who,
    family: wearByFamily(lines, facts),
  };
}
