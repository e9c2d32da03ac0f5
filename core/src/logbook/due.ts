import { addDays, phaseSpans, type ClinicDay } from '../calendar';
import { wearGrowth } from '../wearing';
import { daysOfChange, groundsOn, isChosenFirst, madeIn, sameMade } from '../setting';
import { windowOn, type Order } from '../order';
import { staysDue, type Buckle, type Ribbon, type WornSpan } from './buckle';
import type { VisitPurpose } from './case-entries';
import { stageAt } from './stage-states';
import type { CaseState } from './state';

const visitLetter: Partial<Record<VisitPurpose, Buckle['kind']>> = { fitting: 'F', review: 'R' };

/** The most a ribbon carries of either: more than a year of changes with its visits. */
const mostOnRibbon = 400;

/**
 * What is still to come in a case and since when the brace is worn. It does not depend on today:
 * what is late is for the reader's day to say. In a closed case nothing is to come.
 */
export function caseRibbon(state: CaseState): Ribbon {
  if (state.keeping.closed) return { worn: [], buckles: [] };
  const { order, setting, wearing, checking, visits, calls } = state;
  const changes = order ? changesAhead(state, order.order) : [];
  const plan = wearing.plan?.plan;
  const growth =
    plan?.kind === 'growing' && !wearing.held
      ? wearGrowth(plan).map(({ day, minutes }): Buckle => ({
          day,
          kind: 'W',
          stage: 'wear',
          visit: false,
          minutes,
        }))
      : [];
  const planned = visits
    .filter(({ kept }) => !kept)
    .map(({ day, time, purpose, note, noteBy, deskNote, entry, by }): Buckle => ({
      day,
      planned: { entry, by, purpose, ...(time === undefined ? {} : { time }) },
      kind: visitLetter[purpose] ?? 'V',
      stage: purpose === 'review' ? 'review' : stageAt(state),
      visit: true,
      ...(note === undefined ? {} : { note, noteBy: noteBy! }),
      ...(deskNote === undefined ? {} : { deskNote }),
    }));
  const toCall = calls
    .filter(({ made }) => made === undefined)
    .map(({ day, stage, why, about }): Buckle => ({
      day,
      kind: 'C',
      stage,
      visit: false,
      about: { why, name: about },
    }));
  const again = checking.later.map(({ check, day, until }): Buckle => ({
    day,
    kind: 'L',
    stage: 'check',
    visit: false,
    again: { check, until },
  }));
  const buckles = [...toCall, ...again, ...changes, ...growth, ...planned]
    .sort((a, b) => a.day.localeCompare(b.day) || a.kind.localeCompare(b.kind))
    .slice(0, mostOnRibbon);
  // a brace whose checks failed does not go home
  const isPassed = checking.signed?.decided.result === 'pass';
  const wornFrom = plan?.from ?? (isPassed ? setting.fitted?.day : undefined);
  // a new span with every change of stops since it is worn
  const fittings = setting.fittings.filter(({ day }) => wornFrom !== undefined && day > wornFrom);
  const starts = wornFrom
    ? [{ day: wornFrom, stops: setting.fittings.findLast(({ day }) => day <= wornFrom)?.stops }, ...fittings]
    : [];
  const worn = starts.map(({ day, stops }, i): WornSpan => ({
    from: day,
    ...(starts[i + 1] ? { until: starts[i + 1]!.day } : {}),
    ...(stops ? { stops } : {}),
    ...(plan?.kind === 'growing' ? { minutes: plan.firstDay } : {}),
  }));
  return { worn: worn.slice(-mostOnRibbon), buckles };
}

/**
 * The days ahead on which a setting is another one: its schedule's, and those on which a phase of the order begins. What stays
 * as it was needs no visit; before it is made for the first time, it is made with the fitting.
 */
function changesAhead(state: CaseState, order: Order): Buckle[] {
  const spans = phaseSpans(order.dayZero, order.phases);
  const phaseFrom = (index: number | undefined) => (index === undefined ? undefined : spans[index]?.from);
  return state.setting.made.flatMap(({ setting, made, chosen }): Buckle[] => {
    if (!made) return [];
    const { schedule = [] } = setting;
    // what was put in for a phase that has not begun stands for that phase
    const carriedOut = chosen && sameMade(made, madeIn(chosen.decided)) ? chosen.decided.phase : undefined;
    const since = phaseFrom(carriedOut) ?? made.day;
    const days = [
      ...spans.map(({ from }) => from),
      ...schedule.map(({ fromDay }) => addDays(order.dayZero, fromDay)),
    ]
      // a phase that would begin after the order's last day never does
      .filter((day) => day > since && (order.until === undefined || day <= order.until))
      .sort((a, b) => a.localeCompare(b));
    const limited = 'joint' in setting ? ({ joint: setting.joint, plane: 'sagittal' } as const) : undefined;
    // what the joint reached today says nothing of that day
    const grounds = { ...state, motion: undefined };
    return daysOfChange(setting, made, [...new Set(days)], (day) => groundsOn(grounds, day)).map(
      (day): Buckle => ({
        day,
        begins:
          schedule.findLast((one) => addDays(order.dayZero, one.fromDay) <= day)?.fromDay ??
          spans.findLastIndex(({ from }) => from <= day),
        kind: 'S',
        stage: isChosenFirst(setting) ? 'review' : 'set',
        visit: true,
        ...(isChosenFirst(setting) && limited
          ? { window: windowOn(order, day, limited)?.window ?? {}, motion: limited }
          : { setting: setting.id }),
      }),
    );
  });
}

/** The earliest day on which the patient is to come in or somebody is to be called; undefined when nothing is. */
export const firstVisit = (ribbon: Ribbon): ClinicDay | undefined => ribbon.buckles.find(staysDue)?.day;
