import type { ClinicDay } from '../calendar';
import { windowOn } from '../order';
import { chooseStops, type StopChoice } from '../setting';
import { engineVersion } from './engine';
import type { CaseState } from './fold/state';
import type { BodyOf } from './kinds/all';

/*
 * Decisions as they are written: the result, the ids of what it was made from, the programme's hash and the
 * engine's version.
 */

const provenance = (state: CaseState, madeFrom: string[]) => ({
  madeFrom,
  programme: state.programmePin.hash,
  engine: engineVersion,
});

/**
 * The size as the chart gives it, or another one with a reason.
 * @returns undefined while readings are missing
 */
export function decideSize(
  state: CaseState,
  other?: { size: string; reason: string },
): BodyOf<'size.chosen'> | undefined {
  const { match } = state.sizing;
  if (match.outcome === 'incomplete') return undefined;
  const computed = match.outcome === 'made-to-measure' ? undefined : match.size;
  const size = other?.size ?? computed;
  return {
    ...(size === undefined ? {} : { size }),
    rule: match.rule,
    ...(other && computed !== undefined ? { computed } : {}),
    ...(other ? { reason: other.reason } : {}),
    probability: match.probabilities.find((entry) => entry.size === size)?.probability ?? 0,
    margin: match.margin,
    decides: match.decides,
    chart: state.model.chart.version,
    ...provenance(state, state.measuring.inputs),
  };
}

/** The stops for the window in force on a day, with what the joint reached taken into account. */
export function stopsFor(
  state: CaseState,
  day: ClinicDay,
): { phase: number; choice: StopChoice } | undefined {
  const now = state.order && windowOn(state.order.order, day);
  if (!now) return undefined;
  const reached = state.motion?.motion;
  const joint = reached && { from: -reached.extension || 0, to: reached.flexion };
  return {
    phase: now.phase,
    choice: chooseStops(now.window, state.model.hinge, state.programme.stops, joint),
  };
}

/**
 * The stops for a day as a decision: medial and lateral as one pair.
 * @returns undefined when nothing can be chosen
 */
export function decideStops(
  state: CaseState,
  day: ClinicDay,
  acknowledged: boolean,
): BodyOf<'set.stops-chosen'> | undefined {
  const found = stopsFor(state, day);
  if (!found?.choice.ok || !state.order) return undefined;
  const { stops, lost } = found.choice;
  return {
    medial: stops,
    lateral: stops,
    phase: found.phase,
    ordered: state.order.order.phases[found.phase]!.window,
    lost,
    acknowledged,
    ...provenance(state, [state.order.entry, ...(state.motion ? [state.motion.entry] : [])]),
  };
}

/** The signature under the checks. */
export function decideSignature(state: CaseState): BodyOf<'check.signed'> | undefined {
  const { result, inputs } = state.checking;
  return result === 'open' ? undefined : { result, ...provenance(state, inputs) };
}
