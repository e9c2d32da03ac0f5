import type { ClinicDay } from '../calendar';
import { madeFromOf, type SettingChoice } from '../setting';
import { extensionEachSide } from '../sizing';
import { engineVersion } from './engine';
import { bodyOfMade, choiceOn } from './fold/fold-setting';
import type { CaseState } from './fold/state';
import type { BodyOf } from './kinds';

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

/** What is chosen for one of the case's settings on a day; undefined where nothing says what it should be. */
export function choiceFor(state: CaseState, setting: string, day: ClinicDay): SettingChoice | undefined {
  const one = state.programme.settings.find(({ id }) => id === setting);
  return one && choiceOn(one, state, day);
}

/**
 * A setting for a day as a decision: every place of it at once.
 * @param acknowledged what the hardware cannot give of the order was seen
 * @returns undefined when nothing can be chosen
 */
export function decideSetting(
  state: CaseState,
  setting: string,
  day: ClinicDay,
  acknowledged: boolean,
): BodyOf<'set.chosen'> | undefined {
  const one = state.programme.settings.find(({ id }) => id === setting);
  const choice = choiceFor(state, setting, day);
  if (!one || !choice?.ok) return undefined;
  const { made, phase, ordered, lost } = choice;
  const from = {
    order: state.order ? [state.order.entry] : [],
    motion: state.motion ? [state.motion.entry] : [],
    readings: state.sizing.inputs,
  };
  return {
    setting,
    ...bodyOfMade(made),
    ...(phase === undefined ? {} : { phase }),
    ...(ordered ? { ordered } : {}),
    lost,
    acknowledged,
    ...provenance(
      state,
      madeFromOf(one).flatMap((what) => from[what]),
    ),
  };
}

/** The signature under the checks. */
export function decideSignature(state: CaseState): BodyOf<'check.signed'> | undefined {
  const { result, inputs } = state.checking;
  return result === 'open' ? undefined : { result, ...provenance(state, inputs) };
}
