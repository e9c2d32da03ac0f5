import type { Side } from '../../anatomy';
import {
  isReading,
  measuringProgress,
  stepAt,
  settledReading,
  unitOf,
  instrumentOf,
  type AssessedReading,
  type MeasuringStep,
} from '../../measuring';
import { windowOn, type Order } from '../../order';
import { chartOf, stepsOf, type BraceModel, type Programme } from '../../programmes';
import { matchHeight, matchSize, type AxisReading } from '../../sizing';
import type { LiveRecord } from './live-record';
import type { CaseState } from './state';

/** The readings of Measure, step by step and side by side. */
export function foldMeasuring(
  record: LiveRecord,
  side: Side,
  programme: Programme,
  model: BraceModel,
  order: Order | undefined,
): CaseState['measuring'] {
  const steps = stepsOf(programme, model);
  const postures = new Set(steps.flatMap(({ kind, id }) => (kind === 'posture' ? [id] : [])));
  const jointOf = (id: string) => {
    const step = steps.find((one) => one.id === id);
    return step?.kind === 'posture' ? { joint: step.joint, plane: 'sagittal' as const } : undefined;
  };
  const readings = [...record.of('measure.read'), ...record.of('measure.marked')]
    .filter(({ stage }) => stage === 'measure')
    .map(({ id, observedAt, body }) => ({
      ...body,
      entry: id,
      ...(postures.has(body.step) && order
        ? { ordered: windowOn(order, record.dayIn({ observedAt }), jointOf(body.step))?.window ?? {} }
        : {}),
    }));
  const skipped = record.of('measure.skipped').map(({ id, body }) => ({ ...body, entry: id }));
  const precisions = record.of('measure.precision').map(({ id, body }) => ({ ...body, entry: id }));
  const motions = record
    .of('motion.tested')
    .flatMap(({ id, stage, body: { step, extension, flexion, ...body } }) =>
      step === undefined || stage !== 'measure'
        ? []
        : [{ ...body, step, from: -extension || 0, to: flexion, entry: id }],
    );
  const progress = measuringProgress(steps, side, { readings, motions, skipped, precisions });
  return {
    ...progress,
    steps,
  };
}

/**
 * A reading as the chart's match takes it. What repeats share (tape, posture) is shared with another axis
 * only when that one is read with the same instrument in the same unit.
 */
export function axisReading(
  step: MeasuringStep,
  assessed: AssessedReading,
  axes: readonly MeasuringStep[],
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

/** The chart's answer to the readings, and the size decided. */
export function foldSizing(
  record: LiveRecord,
  side: Side,
  programme: Programme,
  model: BraceModel,
  measuring: CaseState['measuring'],
  order: Order | undefined,
): CaseState['sizing'] {
  const chart = chartOf(programme, model);
  const axes = measuring.steps.filter(({ id }) => chart.axes.some(({ reading }) => reading === id));
  const readings = Object.fromEntries(
    measuring.steps.filter(isReading).flatMap((step) => {
      const assessed = settledReading(stepAt(measuring.states, step.id, side));
      return assessed ? [[step.id, axisReading(step, assessed, axes)]] : [];
    }),
  );
  const match = matchSize(chart, readings);
  const now = match.outcome === 'incomplete' || match.outcome === 'made-to-measure' ? undefined : match.size;
  const chosen = record.decided(
    record.last('size.chosen'),
    ({ reason, size, computed }) => (reason === undefined ? size : computed) !== now,
  );
  return {
    chart,
    readings,
    match,
    inputs: sizeInputs(chart, side, measuring),
    height: matchHeight(chart, readings, order?.height),
    chosen,
  };
}

/**
 * The entries a size is made from: of each reading that the chart or its heights use, its repeats, or the other
 * side's where that stands in for it, and the clinic's own deviation where it was taken over.
 */
function sizeInputs(
  { axes, heights = [] }: CaseState['sizing']['chart'],
  side: Side,
  { states, precisions }: CaseState['measuring'],
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
