import type { LiveRecord } from '../record';
import { orderGiven } from './entries';
import type { Order } from './order';

/** The order in force, with the entry it stands in. */
export interface GivenOrder {
  entry: string;
  order: Order;
}

/** The order that was given last. */
export function foldOrder(record: LiveRecord): GivenOrder | undefined {
  const given = record.last(orderGiven);
  return given && { entry: given.id, order: given.body as Order };
}
