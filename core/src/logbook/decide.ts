import type { ClinicDay } from '../calendar';
import { hasEnded, windowOf, windowOn } from '../order';
import { limitedMotion } from '../programmes';
import { chooseStops, type StopChoice } from '../setting';
import { extensionEachSide } from '../sizing';
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
 * @param other size than the computed one; undefined for made to measure in spite of a stock size
 * @param height for a size that comes in more than one
 * @returns undefined while readings are missing
 */
export function decideSize(
  state: CaseState,
  other?: { size: string | undefined; reason: string },
  height?: { height: NonNullable<BodyOf<'size.chosen'>['height']>; reason: string },
): BodyOf<'size.chosen'> | undefined {
  const { match, chart, readings } = state.sizing;
  if (match.outcome === 'incomplete') return undefined;
  const computed = match.outcome === 'made-to-measure' ? undefined : match.size;
  const size = other ? other.size : computed;
  return {
    ...(size === undefined ? {} : { size }),
    rule: match.rule,
    ...(other && computed !== undefined ? { computed } : {}),
    ...(other ? { reason: other.reason } : {}),
    ...(height ? { height: height.height, heightReason: height.reason } : {}),
    ...(match.rule === 'extension' && size === computed
      ? { extension: extensionEachSide(chart, readings[chart.axes[0]!.reading]!.mean) }
      : {}),
    probability: match.probabilities.find((entry) => entry.size === size)?.probability ?? 0,
    ...(match.margin === undefined ? {} : { margin: match.margin }),
    ...(match.decides === undefined ? {} : { decides: match.decides }),
    chart: chart.version,
    ...provenance(state, state.sizing.inputs),
  };
}

/** The stops for the window in force on a day, with what the joint reached taken into account. */
export function stopsFor(
  state: CaseState,
  day: ClinicDay,
): { phase: number; choice: StopChoice } | undefined {
  const now = state.order && windowOn(state.order.order, day, limitedMotion(state.programme));
  const { stops } = state.programme;
  const { hinge } = state.model;
  // an order that has ended orders nothing any more
  if (!now || !stops || !hinge || hasEnded(state.order!.order, day)) return undefined;
  const reached = state.motion?.motion;
  const joint = reached && { from: -reached.extension || 0, to: reached.flexion };
  return {
    phase: now.phase,
    choice: chooseStops(now.window, hinge, stops, joint),
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
    ordered: windowOf(state.order.order.phases[found.phase]!.limits, limitedMotion(state.programme)!),
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
