import type { CaseState } from './fold/state';
import type { KindName } from './kinds/all';

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
