import { addDays, phaseSpans, type ClinicDay } from '../calendar';
import type { CaseState } from '../logbook';
import type { CaseFinding } from './finding';
import { findingsOf } from './findings-of';
import { reviewBy } from './review-by';

/** The most urgent finding of a case from a day on; none where nothing is to be resolved. */
export interface FindingAhead {
  from: ClinicDay;
  found: Pick<CaseFinding, 'kind' | 'about' | 'level' | 'stage' | 'day'> | null;
}

/** As many phases as an order may have, with its first day and the day after its last. */
const most = 24;

/**
 * What lists show of a case: its most urgent finding on the day it was written to last, and on each day ahead on which a phase
 * begins, the order ends, a nerve block is over or a review is overdue. Of a closed case nothing is found.
 * @param born the patient's day of birth
 */
export function findingsAhead(state: CaseState, born?: ClinicDay): FindingAhead[] {
  const { lastDay, closed } = state.keeping;
  if (closed) return [];
  const order = state.order?.order;
  const ahead = order
    ? [
        ...phaseSpans(order.dayZero, order.phases).map(({ from }) => from),
        ...(order.until === undefined ? [] : [addDays(order.until, 1)]),
      ].filter((day) => day > lastDay)
    : [];
  for (const { known } of state.screening.qualifying)
    if (known?.until !== undefined && known.until >= lastDay) ahead.push(addDays(known.until, 1));
  const due = reviewBy(state, born);
  if (due && due.day >= lastDay) ahead.push(addDays(due.day, 1));
  const days = [lastDay, ...[...new Set(ahead)].sort((a, b) => a.localeCompare(b))].slice(0, most);
  return days.map((from) => ({ from, found: shown(findingsOf(state, from, born)[0]) }));
}

/** What is only left to do in the course of the work is no news. */
const shown = (one: CaseFinding | undefined): FindingAhead['found'] =>
  one === undefined || one.level === 'note'
    ? null
    : {
        kind: one.kind,
        level: one.level,
        stage: one.stage,
        ...(one.about === undefined ? {} : { about: one.about }),
        ...(one.day === undefined ? {} : { day: one.day }),
      };

/** How urgent a finding is in a list: 2 for an emergency, 1 for today, 0 for what may wait. */
export const urgencyOf = (one: FindingAhead['found']): 0 | 1 | 2 =>
  one?.level === 'emergency' ? 2 : one?.level === 'today' ? 1 : 0;
