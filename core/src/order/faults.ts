import { faultAt, type EntryFault, type FaultCode } from '../faults';
import type { Side } from '../anatomy';
import type { GivenOrder } from './fold';
import { orderProblems } from './order';
import type { Order } from './order-body';
import { changeProblem, type ChangeProblem, type OrderChange } from './replan';

/**
 * Why an order is not taken: what is wrong in it, and what the brace cannot carry out of it and nobody has acknowledged.
 * @param left names of what the brace cannot carry out
 */
export const orderFaults = (order: Order, side: Side, left: readonly string[]): EntryFault[] => [
  ...orderProblems(order, side)
    .filter(({ problem }) => problem !== 'protective-taken-off' && problem !== 'joint-not-said')
    .flatMap((found) =>
      faultAt('phase' in found ? `body.phases[${found.phase}]` : 'body', 'order-wrong', {
        problem: found.problem,
      }),
    ),
  ...left
    .filter((name) => !order.acknowledged?.includes(name))
    .flatMap((name) => faultAt('body.acknowledged', 'not-carried-out', { name })),
];

/** Why a change of an order's days is not taken. */
export function changeFaults(order: GivenOrder | undefined, change: OrderChange): EntryFault[] {
  const problem = changeProblem(order, change);
  return problem ? faultAt(problem === 'no-order' ? 'kind' : 'body.what', saidOfChange[problem]) : [];
}

const saidOfChange: Record<ChangeProblem, FaultCode> = {
  'no-order': 'order-first',
  'held-already': 'order-held-already',
  'not-held': 'order-not-held',
  'resumed-before-held': 'resumed-before-held',
  'same-day': 'same-day',
};
