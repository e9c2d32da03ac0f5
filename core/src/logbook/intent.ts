import { orderProblems, type Order } from '../order';
import { planProblems, type WearPlan } from '../wearing';
import { notCarriedOut } from '../programmes';
import { current, type AnyEntry, type EntryFault } from './entry';
import type { CaseState } from './fold/state';
import { kinds, type BodyOf, type KindName } from './kinds';

/**
 * The intent that is in force where an entry would stand: what a new one must say it follows.
 * @param body of a choice: each setting has its own
 */
export function intentInForce(state: CaseState, kind: KindName, body: object): string | null {
  switch (kind) {
    case 'order.given':
      return state.order?.entry ?? null;
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
  const blocker = state.screening.blocking[0];
  if (blocker && entry.stage !== 'screen')
    return [{ at: 'kind', message: `is not taken while ${blocker.finding} blocks the fitting` }];
  switch (entry.kind) {
    case 'screen.overridden':
      return state.screening.blocking.some(
        ({ finding, entry: of }) => finding === entry.body.finding && of === entry.body.of,
      )
        ? []
        : [{ at: 'body.of', message: 'names no finding that blocks' }];
    case 'order.given':
      return orderFaults(state, entry.body as Order, sent.v);
    case 'wear.planned':
      return state.order
        ? [
            ...planProblems(entry.body as WearPlan, state.order.order),
            ...(entry.body.kind === 'growing' && state.checking.unsafe.length > 0 ? ['limb-not-safe'] : []),
          ].map((message) => ({ at: 'body', message }))
        : [{ at: 'kind', message: 'needs an order first' }];
    default:
      return [];
  }
}

/** An order of today's version says what the brace cannot carry out of it; one of an older version could not. */
function orderFaults({ side, programme, model }: CaseState, order: Order, v: number): EntryFault[] {
  const left =
    v < kinds['order.given'].v
      ? []
      : notCarriedOut(order, programme, model).filter((name) => !order.acknowledged?.includes(name));
  return [
    ...orderProblems(order, side)
      .filter(({ problem }) => problem !== 'protective-taken-off' && problem !== 'joint-not-said')
      .map((found) => ({
        at: 'phase' in found ? `body.phases[${found.phase}]` : 'body',
        message: found.problem,
      })),
    ...left.map((name) => ({
      at: 'body.acknowledged',
      message: `must name ${name}: this brace cannot carry it out`,
    })),
  ];
}
