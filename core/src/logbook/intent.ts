import { orderProblems, type Order } from '../order';
import { planProblems, type WearPlan } from '../wearing';
import type { AnyEntry, EntryFault } from './entry';
import type { CaseState } from './fold/state';
import { kinds, type KindName } from './kinds/all';

/** The intent of a kind that is in force: what a new one must say it follows. */
export function intentInForce(state: CaseState, kind: KindName): string | null {
  switch (kind) {
    case 'order.given':
      return state.order?.entry ?? null;
    case 'set.stops-chosen':
      return state.setting.chosen?.entry ?? null;
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
export function intentFaults(state: CaseState, entry: AnyEntry): EntryFault[] {
  if (kinds[entry.kind].nature === 'fact') return [];
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
      return orderProblems(entry.body as Order, state.side)
        .filter(({ problem }) => problem !== 'protective-taken-off')
        .map((found) => ({
          at: 'phase' in found ? `body.phases[${found.phase}]` : 'body',
          message: found.problem,
        }));
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
