import type { Order, compartments } from './order-body';

export type Compartment = (typeof compartments)[number];

const byInjury: Readonly<Record<string, Compartment>> = {
  'osteoarthritis-inner': 'medial',
  'osteoarthritis-outer': 'lateral',
};

/**
 * The compartment that is to be unloaded: as ordered, or that of the arthritis that is coded. Never guessed.
 * @returns why it is asked, where the two disagree or neither says
 */
export function compartmentOf(
  order: Pick<Order, 'relieve' | 'injuries'> | undefined,
): { relieve: Compartment } | { asks: 'not-said' | 'disagree' } {
  const said = new Set([
    ...(order?.relieve ? [order.relieve] : []),
    ...(order?.injuries ?? []).flatMap(({ code }) => byInjury[code] ?? []),
  ]);
  const [only] = said;
  return said.size === 1 ? { relieve: only! } : { asks: said.size === 0 ? 'not-said' : 'disagree' };
}
