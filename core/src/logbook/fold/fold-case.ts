import { group } from 'd3-array';
import { dayOf, type ClinicDay } from '../../calendar';
import { checkingResult, judgeCheck } from '../../checking';
import { assessReadings, measuringProgress, stepAt } from '../../measuring';
import { windowOn, type Order } from '../../order';
import { checksOf, stepsOf, type BraceModel, type Programme } from '../../programmes';
import { judgeScreening } from '../../screening';
import { chooseStops, pairProblems } from '../../setting';
import { padAdvice } from '../../shaping';
import { matchSize, type AxisReading } from '../../sizing';
import { runSequence } from '../../strapping';
import type { WearPlan } from '../../wearing';
import { current, type AnyRecordedEntry, type RecordedEntry } from '../entry';
import type { KindName } from '../kinds/all';
import { settle } from './settle';
import { stageStates } from './stage-states';
import type { CaseState, Decided, LookAtBrace, PlannedVisit, ReviewVisit } from './state';

/** What a case holds on to: the content its pins name. */
export interface FoldContext {
  programme: Programme;
  model: BraceModel;
  /** the clinic's zone: decides which day an instant was */
  zone: string;
}

/**
 * Everything shown of a case, computed from its entries: the same entries always give the same state.
 * @param recorded entries of one case, by rising seq, the first one `case.opened`
 * @returns undefined when the case was never opened
 */
export function foldCase(recorded: readonly AnyRecordedEntry[], context: FoldContext): CaseState | undefined {
  const { programme, model, zone } = context;
  const { lines, live } = settle(recorded.map(current));
  const of = <K extends KindName>(kind: K) =>
    live.filter((entry) => entry.kind === kind) as unknown as RecordedEntry<K>[];
  const opened = of('case.opened')[0];
  if (!opened) return undefined;
  const { side } = opened.body;
  const liveIds = new Set(live.map(({ id }) => id));
  const dayIn = (entry: { observedAt: string }): ClinicDay => dayOf(entry.observedAt, zone);

  const screening = judgeScreening(
    programme.findings,
    of('screen.looked').flatMap(({ id, body }) =>
      body.answers.map(({ note, ...answer }) => ({ ...answer, ...(note ? { note } : {}), entry: id })),
    ),
    of('screen.overridden').map(({ id, body }) => ({ ...body, entry: id })),
  );

  const orderEntry = of('order.given').at(-1);
  const order = orderEntry && { entry: orderEntry.id, order: orderEntry.body as Order };

  const steps = stepsOf(programme, model);
  const readings = [
    ...of('measure.read').map(({ id, seq, stage, body }) => ({ ...body, seq, stage, entry: id })),
    ...of('measure.marked').map(({ id, seq, stage, body }) => ({ ...body, seq, stage, entry: id })),
  ].filter(({ stage }) => stage === 'measure');
  const progress = measuringProgress(
    steps,
    side,
    readings,
    of('measure.skipped').map(({ id, body }) => ({ ...body, entry: id })),
  );
  const measuring = { ...progress, steps, inputs: inputsOf(progress.states, side) };

  const axisReading = (step: string): AxisReading | undefined => {
    const assessed = stepAt(progress.states, step, side)?.assessed;
    return assessed && assessed.needs !== 'second'
      ? {
          mean: assessed.mean,
          repeatPart: assessed.repeatPart,
          sharedPart: assessed.sharedPart,
          repeats: assessed.values.length,
        }
      : undefined;
  };
  const axisReadings = Object.fromEntries(programme.axes.map((axis) => [axis, axisReading(axis)]));
  const match = matchSize(model.chart, axisReadings);

  const decided = <B extends { madeFrom: string[] }>(
    entry: { id: string; body: B } | undefined,
    differs: (body: B) => boolean,
  ): Decided<B> | undefined =>
    entry && {
      entry: entry.id,
      decided: entry.body,
      staleBecause: entry.body.madeFrom.filter((id) => !liveIds.has(id)),
      wouldDiffer: differs(entry.body),
    };

  const chosenSize = decided(of('size.chosen').at(-1), (body) => {
    const now =
      match.outcome === 'incomplete' || match.outcome === 'made-to-measure' ? undefined : match.size;
    return (body.reason === undefined ? body.size : body.computed) !== now;
  });

  const motionEntry = of('motion.tested')
    .filter(({ body }) => body.side === side)
    .at(-1);
  const motion = motionEntry && { entry: motionEntry.id, day: dayIn(motionEntry), motion: motionEntry.body };

  const chosenEntry = of('set.stops-chosen').at(-1);
  const chosenStops = decided(chosenEntry, (body) => {
    const window = order?.order.phases[body.phase]?.window;
    const again = window && chooseStops(window, model.hinge, programme.stops);
    return (
      !again?.ok ||
      again.stops.extension !== body.medial.extension ||
      again.stops.flexion !== body.medial.flexion
    );
  });
  const fittedEntry = of('set.stops-fitted').at(-1);
  const fitted = fittedEntry && {
    entry: fittedEntry.id,
    day: dayIn(fittedEntry),
    medial: fittedEntry.body.medial,
    lateral: fittedEntry.body.lateral,
    phase: of('set.stops-chosen').find(({ id }) => id === fittedEntry.body.of)?.body.phase,
  };
  const look = fittedEntry ? lookAtBrace(fittedEntry, chosenEntry, order?.order, dayIn(fittedEntry)) : [];

  const scars = of('shape.scar').map(({ body }) => body);
  const pads = model.pads.map((pad) => ({
    pad,
    advice: padAdvice(pad, scars),
    done: of('shape.pad').findLast(({ body }) => body.pad === pad.id)?.body.done,
  }));

  const begun = of('strap.begun').at(-1)?.seq ?? 0;
  const straps = of('strap.done').filter(({ seq }) => seq > begun);
  const settling = straps.findLast(({ body }) => body.minutes !== undefined)?.body;
  const strapping = {
    ...runSequence(
      programme.sequence,
      straps.map(({ body }) => ({ step: body.step, pass: body.pass as 1 | 2 })),
    ),
    settled: settling && {
      minutes: settling.minutes!,
      ...(settling.dropped === undefined ? {} : { dropped: settling.dropped }),
    },
  };

  // a check speaks of the brace as it was put on: a new donning or other stops ask for it again
  const since = Math.max(begun, fittedEntry?.seq ?? 0);
  const fitDay = [...of('check.recorded')].at(-1);
  const window = order
    ? (windowOn(order.order, fitDay ? dayIn(fitDay) : (fitted?.day ?? dayIn(opened)))?.window ?? {})
    : {};
  const checks = checksOf(programme, model).map((check) => {
    const entry = of('check.recorded').findLast(
      ({ seq, body }) => body.check === check.id && seq > (check.kind === 'angle-at-stop' ? since : begun),
    );
    const { value, reference, seen } = entry?.body ?? {};
    const recordedValue = {
      ...(value === undefined ? {} : { value }),
      ...(reference === undefined ? {} : { reference }),
      ...(seen === undefined ? {} : { seen }),
    };
    return {
      check,
      judged: judgeCheck(check, entry && { check: check.id, entry: entry.id, ...recordedValue }, {
        window,
        stops: fitted?.medial,
      }),
      ...recordedValue,
      ...(entry ? { entry: entry.id } : {}),
    };
  });
  const result = checkingResult(checks.map(({ judged }) => judged));
  const signedEntry = of('check.signed').at(-1);
  const checking = {
    checks,
    result,
    inputs: [...checks.flatMap(({ entry }) => entry ?? []), ...(fittedEntry ? [fittedEntry.id] : [])],
    signed: decided(
      signedEntry && {
        id: signedEntry.id,
        body: { ...signedEntry.body, by: signedEntry.by, at: signedEntry.observedAt },
      },
      (body) => body.result !== result,
    ),
  };

  const planEntry = of('wear.planned').at(-1);
  const wearing = {
    plan: planEntry && { entry: planEntry.id, plan: planEntry.body as WearPlan },
    taught: of('wear.taught').at(-1)?.body.who,
  };

  const reviewDays = reviewVisits(live, side, dayIn);
  const first: ReviewVisit = {
    day: dayIn(opened),
    ...motionFigures(
      of('motion.tested').find(({ stage, body }) => stage === 'set' && body.side === side)?.body,
    ),
    girths: Object.fromEntries(
      progress.states.flatMap(({ step, side: at, assessed }) =>
        at === side && assessed ? [[step.id, assessed.mean]] : [],
      ),
    ),
  };
  const visits = of('visit.planned').map(({ id, body }): PlannedVisit => ({
    entry: id,
    day: body.day,
    purpose: body.purpose,
    ...(body.note ? { note: body.note } : {}),
    kept: keptVisit(body, live, dayIn),
  }));

  const state: Omit<CaseState, 'stages'> = {
    case: opened.case,
    person: opened.body.person,
    side,
    opened: dayIn(opened),
    seq: recorded.at(-1)?.seq ?? 0,
    programmePin: opened.body.programme,
    modelPin: opened.body.model,
    programme,
    model,
    lines,
    conflicts: lines.filter(({ status }) => status === 'conflict'),
    screening,
    order,
    measuring,
    motion,
    sizing: { readings: axisReadings, match, chosen: chosenSize },
    setting: {
      chosen: chosenStops,
      fitted,
      fittings: of('set.stops-fitted').map((entry) => ({ day: dayIn(entry), stops: entry.body.medial })),
      look,
    },
    shaping: { scars, pads, bends: of('shape.bent').map(({ id, body }) => ({ ...body, entry: id })) },
    strapping,
    checking,
    wearing,
    reviewing: { first, visits: reviewDays },
    visits,
  };
  return { ...state, stages: stageStates(state) };
}

/** The entries whose readings the size is made from: the braced side's. */
function inputsOf(states: CaseState['measuring']['states'], side: CaseState['side']): string[] {
  return states
    .filter((state) => state.side === side)
    .flatMap(({ readings }) => readings.map(({ entry }) => entry));
}

function lookAtBrace(
  fitted: RecordedEntry<'set.stops-fitted'>,
  chosen: RecordedEntry<'set.stops-chosen'> | undefined,
  order: Order | undefined,
  day: ClinicDay,
): LookAtBrace[] {
  const { medial, lateral } = fitted.body;
  const unequal = pairProblems(medial, lateral);
  const window = order && windowOn(order, day)?.window;
  const outside = [medial, lateral].some(
    ({ extension, flexion }) =>
      (window?.extension !== undefined && extension < window.extension) ||
      (window?.flexion !== undefined && (flexion === null || flexion > window.flexion)),
  );
  const differs =
    chosen &&
    (pairProblems(medial, chosen.body.medial).length > 0 ||
      pairProblems(lateral, chosen.body.lateral).length > 0);
  return [
    ...(differs ? [{ what: 'fitted-differs-from-chosen' as const, entry: fitted.id }] : []),
    ...(unequal.length > 0 ? [{ what: 'pair-differs' as const, entry: fitted.id, stops: unequal }] : []),
    ...(outside ? [{ what: 'outside-order' as const, entry: fitted.id }] : []),
  ];
}

const motionFigures = (motion: { extension: number; flexion: number } | undefined) =>
  motion ? { extension: -motion.extension || 0, flexion: motion.flexion } : {};

/** What the reviews took, one visit a day. */
function reviewVisits(
  live: readonly AnyRecordedEntry[],
  side: CaseState['side'],
  dayIn: (entry: AnyRecordedEntry) => ClinicDay,
): ReviewVisit[] {
  const byDay = group(
    live.filter(({ stage }) => stage === 'review'),
    dayIn,
  );
  return [...byDay]
    .map(([day, entries]): ReviewVisit => {
      const found = entries.findLast((entry) => entry.kind === 'review.found');
      const motion = entries.findLast((entry) => entry.kind === 'motion.tested');
      const read = entries
        .filter((entry) => entry.kind === 'measure.read')
        .filter(({ body }) => body.side === side);
      const girths = Object.fromEntries(
        [...group(read, ({ body }) => body.step)].map(([step, taken]) => [
          step,
          assessReadings(
            { tolerance: Infinity, withinPerson: 0, shared: 0 },
            taken.map(({ body }) => body.value),
          )!.mean,
        ]),
      );
      const { skin, pain, hours, note } = found?.body ?? {};
      return {
        day,
        girths,
        ...motionFigures(motion?.body),
        ...(pain === undefined ? {} : { pain }),
        ...(hours === undefined ? {} : { hours }),
        ...(found && {
          entry: found.id,
          found: {
            skin: skin!,
            pain: pain!,
            ...(hours === undefined ? {} : { hours }),
            ...(note ? { note } : {}),
          },
        }),
      };
    })
    .filter((visit) => visit.found ?? visit.extension ?? Object.keys(visit.girths).length > 0)
    .sort((a, b) => a.day.localeCompare(b.day));
}

/**
 * Whether a planned visit has taken place: a review with a finding on its day or
 * later, a fitting with a signed check.
 */
function keptVisit(
  visit: { day: string; purpose: 'fitting' | 'review' },
  live: readonly AnyRecordedEntry[],
  dayIn: (entry: AnyRecordedEntry) => ClinicDay,
): boolean {
  const kind = visit.purpose === 'review' ? 'review.found' : 'check.signed';
  return live.some((entry) => entry.kind === kind && dayIn(entry) >= visit.day);
}
