import type { Side } from '../anatomy';
import { faultAt, type EntryFault } from '../record';
import { orderProblems, type Order } from './order';

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
