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
    case 'set.stops-chosen':
      return stopFaults(state, entry.body);
    case 'wear.planned':
      return state.order
        ? planProblems(entry.body as WearPlan, state.order.order).map((message) => ({ at: 'body', message }))
        : [{ at: 'kind', message: 'needs an order first' }];
    default:
      return [];
  }
}

type StopsChosen = Extract<AnyEntry, { kind: 'set.stops-chosen' }>['body'];

/** Stops are chosen inside the order of the phase, in equal pairs, with what is lost acknowledged. */
function stopFaults(state: CaseState, body: StopsChosen): EntryFault[] {
  const window = state.order?.order.phases[body.phase]?.window;
  if (!window) return [{ at: 'body.phase', message: 'is no phase of the order in force' }];
  if (!state.programme.stops) return [{ at: 'kind', message: 'is not for this family: it has no stops' }];
  const { leastExtension } = state.programme.stops;
  const faults: EntryFault[] = [];
  for (const hinge of ['medial', 'lateral'] as const) {
    const { extension, flexion } = body[hinge];
    if (extension < Math.max(window.extension ?? leastExtension, leastExtension))
      faults.push({ at: `body.${hinge}.extension`, message: 'lies outside the order' });
    if (window.flexion !== undefined && (flexion === null || flexion > window.flexion))
      faults.push({ at: `body.${hinge}.flexion`, message: 'lies outside the order' });
  }
  if (body.medial.extension !== body.lateral.extension || body.medial.flexion !== body.lateral.flexion)
    faults.push({ at: 'body.lateral', message: 'differs from medial: a pair must be equal' });
  if ((body.lost.extension > 0 || body.lost.flexion > 0) && !body.acknowledged)
    faults.push({ at: 'body.acknowledged', message: 'must be true: motion is lost against the order' });
  return faults;
}
