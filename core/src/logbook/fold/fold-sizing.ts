import type { Side } from '../../anatomy';
import { measuringProgress, stepAt } from '../../measuring';
import { stepsOf, type BraceModel, type Programme } from '../../programmes';
import { matchSize, type AxisReading } from '../../sizing';
import type { LiveRecord } from './live-record';
import type { CaseState } from './state';

/** The readings of Measure, step by step and side by side. */
export function foldMeasuring(
  record: LiveRecord,
  side: Side,
  programme: Programme,
  model: BraceModel,
): CaseState['measuring'] {
  const steps = stepsOf(programme, model);
  const taken = [...record.of('measure.read'), ...record.of('measure.marked')]
    .filter(({ stage }) => stage === 'measure')
    .map(({ id, body }) => ({ ...body, entry: id }));
  const skipped = record.of('measure.skipped').map(({ id, body }) => ({ ...body, entry: id }));
  const progress = measuringProgress(steps, side, taken, skipped);
  return {
    ...progress,
    steps,
    // what a size is made from: the braced side's readings
    inputs: progress.states
      .filter((state) => state.side === side)
      .flatMap(({ readings }) => readings.map(({ entry }) => entry)),
  };
}

/** The chart's answer to the readings, and the size decided. */
export function foldSizing(
  record: LiveRecord,
  side: Side,
  programme: Programme,
  model: BraceModel,
  measuring: CaseState['measuring'],
): CaseState['sizing'] {
  const axisReading = (step: string): AxisReading | undefined => {
    const assessed = stepAt(measuring.states, step, side)?.assessed;
    if (!assessed || assessed.needs === 'second') return undefined;
    const { mean, repeatPart, sharedPart, values } = assessed;
    return { mean, repeatPart, sharedPart, repeats: values.length };
  };
  const readings = Object.fromEntries(programme.axes.map((axis) => [axis, axisReading(axis)]));
  const match = matchSize(model.chart, readings);
  const now = match.outcome === 'incomplete' || match.outcome === 'made-to-measure' ? undefined : match.size;
  const chosen = record.decided(
    record.last('size.chosen'),
    ({ reason, size, computed }) => (reason === undefined ? size : computed) !== now,
  );
  return { readings, match, chosen };
}
