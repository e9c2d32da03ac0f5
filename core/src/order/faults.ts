import type { Side } from '../anatomy';
import { faultAt, type EntryFault } from '../record';
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
    .flatMap((found) => faultAt('phase' in found ? `body.phases[${found.phase}]` : 'body', found.problem)),
  ...left
    .filter((name) => !order.acknowledged?.includes(name))
    .flatMap((name) => faultAt('body.acknowledged', `must name ${name}: this brace cannot carry it out`)),
];

/** Why a change of an order's days is not taken. */
export function changeFaults(order: GivenOrder | undefined, change: OrderChange): EntryFault[] {
  const problem = changeProblem(order, change);
  return problem ? faultAt(problem === 'no-order' ? 'kind' : 'body.what', saidOfChange[problem]) : [];
}

const saidOfChange: Record<ChangeProblem, string> = {
  'no-order': 'needs an order first',
  'held-already': 'cannot be held: the order is held already',
  'not-held': 'cannot be resumed: the order is not held',
  'resumed-before-held': 'cannot be resumed before the day on which it was held',
  'same-day': 'is day zero already',
};
