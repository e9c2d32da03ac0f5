import type { ClinicDay } from '../calendar';
import type { LiveRecord } from '../record';
import { orderChanged, orderGiven } from './entries';
import type { Order } from './order-body';
import { replanned, type OrderChange } from './replan';

/** The order in force, with the entry it stands in and what has happened to its days since. */
export interface GivenOrder {
  entry: string;
  /** as it is to be followed now */
  order: Order;
  /** as it was given */
  given: Order;
  changes: (OrderChange & { entry: string; reason: string; prescriber: string })[];
  heldSince?: ClinicDay;
}

/** The order with all its phases, those too that wait while it is held: what a new one is written from. */
export function notHeld({ given, changes, heldSince }: Omit<GivenOrder, 'order' | 'entry'>): Order {
  const hold = heldSince === undefined ? -1 : changes.findLastIndex(({ what }) => what === 'held');
  return replanned(
    given,
    changes.filter((_, i) => i !== hold),
  ).order;
}

/** The order that was given last, with the changes that were told after it. */
export function foldOrder(record: LiveRecord): GivenOrder | undefined {
  const last = record.last(orderGiven);
  if (!last) return undefined;
  const given: Order = last.body;
  const changes = record
    .of(orderChanged)
    .filter((change) => record.isAfter(change, last))
    .map(({ id, body: { what, day, reason, prescriber } }) => ({
      entry: id,
      what: what as OrderChange['what'],
      day: day as ClinicDay,
      reason,
      prescriber,
    }));
  return { entry: last.id, given, changes, ...replanned(given, changes) };
}
