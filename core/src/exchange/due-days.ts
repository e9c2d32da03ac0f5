import { phaseSpans, type ClinicDay } from '../calendar';
import { caseRibbon, staysDue, type Buckle, type CaseState } from '../logbook';
import { isChosenFirst } from '../setting';

/** A day that another calendar may hold: due, or cancelled since. */
export interface CalendarDay {
  /** the same for the same thing, wherever it is moved to */
  id: string;
  day: ClinicDay;
  /** absent for what is due no more */
  due?: Buckle;
}

/** The first of all entries that one corrects: a visit that is moved stays the same visit. */
function firstOf(state: Pick<CaseState, 'lines'>, id: string): string {
  const replaces = state.lines.find(({ entry }) => entry.id === id)?.entry.replaces;
  return replaces === undefined ? id : firstOf(state, replaces);
}

const idOf = (state: CaseState, { planned, kind, setting, begins, day }: Buckle): string =>
  `${state.case}-${planned ? firstOf(state, planned.entry) : `${kind}-${setting ?? 'stops'}-${begins ?? day}`}`;

/**
 * The days of a case for another calendar: what is due, each with an id that stays, and what an earlier file may have held and
 * has vanished: a visit that was called off, the changes of phases that an order has no more.
 */
export function calendarDays(state: CaseState): CalendarDay[] {
  const due = caseRibbon(state)
    .buckles.filter(staysDue)
    .map((buckle): CalendarDay => ({ id: idOf(state, buckle), day: buckle.day, due: buckle }));
  const known = new Set(due.map(({ id }) => id));
  const kept = new Set(state.visits.filter((visit) => visit.kept).map(({ entry }) => firstOf(state, entry)));
  const vanished = state.lines.flatMap(({ entry, status }): CalendarDay[] => {
    if (entry.kind === 'visit.planned' && entry.replaces === undefined && !kept.has(entry.id)) {
      const isOver =
        status === 'withdrawn' ||
        state.keeping.closed !== undefined ||
        !known.has(`${state.case}-${entry.id}`);
      return isOver ? [{ id: `${state.case}-${entry.id}`, day: entry.body.day }] : [];
    }
    if (entry.kind !== 'order.given') return [];
    return state.programme.settings.flatMap((setting) =>
      phaseSpans(entry.body.dayZero, entry.body.phases).map(({ index, from }) => ({
        id: `${state.case}-S-${isChosenFirst(setting) && 'joint' in setting ? 'stops' : setting.id}-${index}`,
        day: from,
      })),
    );
  });
  // what was due and has been done stays in the past as it was
  const cancelled = new Map(
    vanished
      .filter(({ id, day }) => !known.has(id) && day > state.keeping.lastDay)
      .map((one) => [one.id, one]),
  );
  return [...due, ...cancelled.values()];
}
