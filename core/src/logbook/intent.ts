import { faultAt, type EntryFault } from '../faults';
import { changeFaults, orderFaults, type Order, type OrderChange } from '../order';
import { notCarriedOut } from '../programmes';
import { overrideFaults } from '../screening';
import { planFaults, type WearPlan } from '../wearing';
import { current, type AnyEntry } from './entry';
import { kinds, type BodyOf, type KindName } from './kinds';
import type { CaseState } from './state';

/**
 * The intent that is in force where an entry would stand: what a new one must say it follows.
 * @param body of a choice: each setting has its own
 */
export function intentInForce(state: CaseState, kind: KindName, body: object): string | null {
  switch (kind) {
    case 'order.given':
      return state.order?.entry ?? null;
    case 'order.changed':
      return state.order?.changes.at(-1)?.entry ?? state.order?.entry ?? null;
    case 'set.chosen': {
      const { setting: id } = body as BodyOf<'set.chosen'>;
      return state.setting.made.find(({ setting }) => setting.id === id)?.chosen?.entry ?? null;
    }
    case 'wear.planned':
      return state.wearing.plan?.entry ?? null;
    default:
      return null;
  }
}

/**
 * Why a decision or an intent cannot be taken into a case as it stands. Facts are always taken, so
 * they never have a fault here: what happened has happened.
 */
export function intentFaults(state: CaseState, sent: AnyEntry): EntryFault[] {
  if (kinds[sent.kind].nature === 'fact') return [];
  const entry = current(sent, state.programme);
  if (state.keeping.closed) return faultAt('kind', 'case-closed');
  const blocker = state.screening.blocking[0];
  if (blocker && entry.stage !== 'screen')
    return faultAt('kind', 'fitting-blocked', { finding: blocker.finding });
  switch (entry.kind) {
    case 'screen.overridden':
      return overrideFaults(state.screening, entry.body);
    case 'order.given': {
      const order = entry.body as Order;
      return orderFaults(order, state.side, leftOf(state, order, sent.v));
    }
    case 'order.changed':
      return changeFaults(state.order, entry.body as OrderChange);
    case 'wear.planned':
      return planFaults(entry.body as WearPlan, state.order?.order, state.checking.unsafe.length === 0);
    default:
      return [];
  }
}

/** version of orders since which they acknowledge what the brace cannot carry out */
const acknowledgedSince = 2;

/** What of an order the brace cannot carry out; an order of an older version could not acknowledge it. */
const leftOf = ({ programme, model }: CaseState, order: Order, v: number): string[] =>
  v < acknowledgedSince ? [] : notCarriedOut(order, programme, model);
