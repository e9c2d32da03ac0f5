import { hasEnded } from '../../order';
import { finding, type FindingRule } from '../finding';

/** The order has ended, and nothing new is ordered. */
export const orderEnded: FindingRule = ({ state: { order }, day }) =>
  order && hasEnded(order.order, day)
    ? [
        finding('order-ended', 'screen', {
          level: 'by-date',
          day: order.order.until!,
          entries: [order.entry],
          withholds: ['plan'],
        }),
      ]
    : [];

/** A plan of wearing that an order of after it contradicts or replaces. */
export const planBeforeOrder: FindingRule = ({ state: { wearing, order }, writtenAt, beganAt }) => {
  const planned = wearing.stopped ?? wearing.plan;
  if (!planned || !order) return [];
  const isBefore = writtenAt(order.entry) > beganAt(planned.entry);
  const isOther =
    planned.plan.kind === 'growing' ? order.order.protective : planned.plan.wearing !== order.order.wearing;
  return isBefore && isOther
    ? [
        finding('plan-before-order', 'wear', {
          level: 'by-date',
          entries: [planned.entry, order.entry],
          withholds: [],
        }),
      ]
    : [];
};

/** The label of what was fitted is not recorded. */
export const noLabel: FindingRule = ({ state: { keeping, checking } }) =>
  checking.signed && keeping.labels.length === 0
    ? [finding('no-label', 'check', { withholds: [], entries: [checking.signed.entry] })]
    : [];
