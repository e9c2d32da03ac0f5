import { faultAt, type EntryFault } from '../faults';
import type { Order } from '../order';
import { planProblems, type WearPlan } from './plan';

/**
 * Why a plan of wearing is not taken.
 * @param isSafe no check says that the limb is not safe in the brace
 */
export function planFaults(plan: WearPlan, order: Order | undefined, isSafe: boolean): EntryFault[] {
  if (!order) return faultAt('kind', 'order-first');
  return [
    ...planProblems(plan, order),
    ...(plan.kind === 'growing' && !isSafe ? ['limb-not-safe'] : []),
  ].flatMap((problem) => faultAt('body', 'plan-wrong', { problem }));
}
