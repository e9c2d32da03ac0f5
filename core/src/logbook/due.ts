import type { JointPlane } from '../anatomy';
import { addDays, phaseSpans, type ClinicDay } from '../calendar';
import { limitedMotion, type Stage } from '../programmes';
import { wearSteps } from '../wearing';
import { chooseStops, type HingeStops } from '../setting';
import { windowOf, type MotionWindow, type Order } from '../order';
import { stageAt } from './fold/stage-states';
import type { CaseState, UrgentCall } from './fold/state';

/** A day on which something is to be done: call, fitting, stops, wear step, review. */
export interface Buckle {
  day: ClinicDay;
  /** a planned visit's entry and who planned it */
  planned?: { entry: string; by: string };
  kind: 'C' | 'F' | 'S' | 'W' | 'R';
  stage: Stage;
  /** the patient comes in for it; if not, it passes by itself */
  visit: boolean;
  /** what is to be done: the window of the phase, the minutes, the note */
  window?: MotionWindow;
  /** the motion that the window is of */
  motion?: JointPlane;
  /** a setting that is another from this day on */
  setting?: string;
  minutes?: number;
  note?: string;
  /** of a call: what it is about */
  about?: { why: UrgentCall['why']; name: string };
}

/** What stays due until it is done: a visit that was not kept, a call that was not made. */
export const staysDue = ({ visit, kind }: Pick<Buckle, 'visit' | 'kind'>): boolean => visit || kind === 'C';

/** A stretch of days in the brace. */
export interface WornSpan {
  from: ClinicDay;
  until?: ClinicDay;
  stops?: HingeStops;
  minutes?: number;
}

/** The most a ribbon carries of either: more than a year of steps with its visits. */
const mostOnRibbon = 400;

export interface Ribbon {
  worn: WornSpan[];
  buckles: Buckle[];
}

/**
 * What is still to come in a case and since when the brace is worn. It does not depend on today:
 * what is late is for the reader's day to say.
 */
export function caseRibbon(state: CaseState): Ribbon {
  const { order, setting, wearing, checking, visits, calls } = state;
  const reached = setting.fitted?.phase ?? -1;
  const stopChanges =
    order && setting.fitted ? changesAhead(state, order.order, setting.fitted.medial, reached) : [];
  const plan = wearing.plan?.plan;
  const growth =
    plan?.kind === 'growing' && !wearing.held
      ? wearSteps(plan).map(({ day, minutes }): Buckle => ({
          day,
          kind: 'W',
          stage: 'wear',
          visit: false,
          minutes,
        }))
      : [];
  const planned = visits
    .filter(({ kept }) => !kept)
    .map(({ day, purpose, note, entry, by }): Buckle => ({
      day,
      planned: { entry, by },
      kind: purpose === 'review' ? 'R' : 'F',
      stage: purpose === 'review' ? 'review' : stageAt(state),
      visit: true,
      ...(note ? { note } : {}),
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
  const scheduled = order ? scheduledChanges(state, order.order) : [];
  const buckles = [...toCall, ...stopChanges, ...scheduled, ...growth, ...planned]
    .sort((a, b) => a.day.localeCompare(b.day) || a.kind.localeCompare(b.kind))
    .slice(0, mostOnRibbon);
  // a brace whose checks failed does not go home
  const isPassed = checking.signed?.decided.result === 'pass';
  const wornFrom = plan?.from ?? (isPassed ? setting.fitted?.day : undefined);
  // a new span with every change of stops since it is worn
  const changes = setting.fittings.filter(({ day }) => wornFrom !== undefined && day > wornFrom);
  const starts = wornFrom
    ? [{ day: wornFrom, stops: setting.fittings.findLast(({ day }) => day <= wornFrom)?.stops }, ...changes]
    : [];
  const worn = starts.map(({ day, stops }, i): WornSpan => ({
    from: day,
    ...(starts[i + 1] ? { until: starts[i + 1]!.day } : {}),
    ...(stops ? { stops } : {}),
    ...(plan?.kind === 'growing' ? { minutes: plan.firstDay } : {}),
  }));
  return { worn: worn.slice(-mostOnRibbon), buckles };
}

/** The phases after the one reached on which other pieces go in; a phase with the same stops needs no visit. */
function changesAhead(state: CaseState, order: Order, fitted: HingeStops, reached: number): Buckle[] {
  const { stops } = state.programme;
  const { hinge } = state.model;
  if (!stops || !hinge) return [];
  const pieces = (window: MotionWindow) => {
    const choice = chooseStops(window, hinge, stops);
    return choice.ok ? `${choice.stops.extension} ${choice.stops.flexion}` : 'none fits';
  };
  const limited = limitedMotion(state.programme);
  let before = `${fitted.extension} ${fitted.flexion}`;
  return (
    phaseSpans(order.dayZero, order.phases)
      // a phase that would begin after the order's last day never does
      .filter(({ index, from }) => index > reached && (order.until === undefined || from <= order.until))
      .flatMap(({ index, from }): Buckle[] => {
        const window = limited ? windowOf(order.phases[index]!.limits, limited) : {};
        const now = pieces(window);
        const changes = now !== before;
        before = now;
        return changes
          ? [
              {
                day: from,
                kind: 'S',
                stage: 'review',
                visit: true,
                window,
                ...(limited ? { motion: limited } : {}),
              },
            ]
          : [];
      })
  );
}

/** The days on which a setting that goes by schedule is another one, after what it was last made for. */
function scheduledChanges({ setting: { made } }: CaseState, { dayZero }: Order): Buckle[] {
  return made.flatMap(({ setting: { id, schedule = [] }, made: last }) =>
    // before it is made for the first time, it is made with the fitting
    last === undefined
      ? []
      : schedule
          .map(({ fromDay }) => addDays(dayZero, fromDay))
          .filter((day) => day > last.day)
          .map((day): Buckle => ({ day, kind: 'S', stage: 'set', visit: true, setting: id })),
  );
}

/** The earliest day on which the patient is to come in or somebody is to be called; undefined when nothing is. */
export const firstVisit = (ribbon: Ribbon): ClinicDay | undefined => ribbon.buckles.find(staysDue)?.day;
