import type { Side } from '../anatomy';
import {
  instrumentOf,
  isReading,
  settledReading,
  stepAt,
  unitOf,
  type AssessedReading,
  type MeasuringState,
  type ReadingStep,
} from '../measuring';
import type { HeightName } from '../order';
import type { BodyIn, Decided, LiveRecord } from '../record';
import type { AxisReading } from './axis';
import type { Chart } from './chart';
import { sizeChosen } from './entries';
import { matchHeight, type HeightMatch } from './height';
import { matchSize, type SizeMatch } from './match';

/** What the readings say of the size, and the size decided. */
export interface SizingState {
  /** the model's chart, with the programme's own rules where it has any */
  chart: Chart;
  readings: Record<string, AxisReading | undefined>;
  match: SizeMatch;
  /** the entries a size is made from: the readings its axes use, and what decided how they count */
  inputs: string[];
  /** the height apart from the size, for a model that comes in more than one */
  height: HeightMatch | undefined;
  chosen: Decided<BodyIn<typeof sizeChosen>> | undefined;
}

/**
 * A reading as the chart's match takes it. What repeats share (tape, posture) is shared with another axis
 * only when that one is read with the same instrument in the same unit.
 */
export function axisReading(
  step: ReadingStep,
  assessed: AssessedReading,
  axes: readonly ReadingStep[],
): AxisReading {
  const { mean, repeatPart, sharedPart, values } = assessed;
  const shares = axes.some(
    (other) =>
      other.id !== step.id && instrumentOf(other) === instrumentOf(step) && unitOf(other) === unitOf(step),
  );
  const alike = shares || axes.length === 1;
  return {
    mean,
    repeatPart,
    sharedPart: alike ? sharedPart : 0,
    ...(alike ? {} : { alone: sharedPart }),
    repeats: values.length,
  };
}

/**
 * The chart's answer to the readings, and the size decided.
 * @param ordered the height that the order names
 */
export function foldSizing(
  record: LiveRecord,
  side: Side,
  chart: Chart,
  measuring: MeasuringState,
  ordered: HeightName | undefined,
): SizingState {
  const axes = measuring.steps
    .filter(isReading)
    .filter(({ id }) => chart.axes.some(({ reading }) => reading === id));
  const readings = Object.fromEntries(
    measuring.steps.filter(isReading).flatMap((step) => {
      const assessed = settledReading(stepAt(measuring.states, step.id, side));
      return assessed ? [[step.id, axisReading(step, assessed, axes)]] : [];
    }),
  );
  const match = matchSize(chart, readings);
  const now = match.outcome === 'incomplete' || match.outcome === 'made-to-measure' ? undefined : match.size;
  const chosen = record.decided(
    record.last(sizeChosen),
    ({ reason, size, computed }) => (reason === undefined ? size : computed) !== now,
  );
  return {
    chart,
    readings,
    match,
    inputs: sizeInputs(chart, side, measuring),
    height: matchHeight(chart, readings, ordered),
    chosen,
  };
}

/**
 * The entries a size is made from: of each reading that the chart or its heights use, its repeats, or the other
 * side's where that stands in for it, and the clinic's own deviation where it was taken over.
 */
function sizeInputs(
  { axes, heights = [] }: Chart,
  side: Side,
  { states, precisions }: MeasuringState,
): string[] {
  const used = [...axes.map(({ reading }) => reading), ...heights.flatMap(({ reading }) => reading ?? [])];
  return [...new Set(used)].flatMap((step) => {
    const state = stepAt(states, step, side);
    const own = state?.readings ?? [];
    const instead =
      own.length === 0 && state?.substitute === 'other-side'
        ? (states.find((one) => one.step.id === step && one.side !== side)?.readings ?? [])
        : own;
    const precision = precisions.findLast((one) => one.step === step);
    return [...instead.map(({ entry }) => entry), ...(precision ? [precision.entry] : [])];
  });
}
