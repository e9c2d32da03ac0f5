import type { Joint, Side } from '../anatomy';
import type { ClinicDay } from '../calendar';
import { angleOn, type Order } from '../order';
import type { BodyIn, LiveRecord } from '../record';
import { measureMarked, measurePrecision, measureRead, measureSkipped, motionTested } from './entries';
import { measuringProgress, type MeasuringProgress } from './progress';
import type { MeasuringStep, ProtocolStep } from './protocol';

/** The readings of Measure with the steps that ask for them. */
export type MeasuringState = MeasuringProgress & { steps: MeasuringStep[] };

/** A motion of a joint as it was tested. */
export interface TestedMotion {
  entry: string;
  day: ClinicDay;
  motion: BodyIn<typeof motionTested>;
}

/** The readings of Measure, step by step and side by side. */
export function foldMeasuring(
  record: LiveRecord,
  side: Side,
  steps: MeasuringStep[],
  order: Order | undefined,
): MeasuringState {
  const jointOf = new Map(steps.flatMap((step) => (step.kind === 'posture' ? [[step.id, step.joint]] : [])));
  const orderedFor = (joint: Joint | undefined, day: ClinicDay) =>
    joint && order ? { ordered: angleOn(order, day, { joint, plane: 'sagittal' }) } : {};
  const readings = [...record.of(measureRead), ...record.of(measureMarked)]
    .filter(({ stage }) => stage === 'measure')
    .map(({ id, observedAt, body }) => ({
      ...body,
      entry: id,
      ...orderedFor(jointOf.get(body.step), record.dayIn({ observedAt })),
    }));
  const skipped = record.of(measureSkipped).map(({ id, body }) => ({ ...body, entry: id }));
  const precisions = record.of(measurePrecision).map(({ id, body }) => ({ ...body, entry: id }));
  const motions = record
    .of(motionTested)
    .flatMap(({ id, stage, body: { step, extension, flexion, ...body } }) =>
      step === undefined || stage !== 'measure'
        ? []
        : [{ ...body, step, from: -extension || 0, to: flexion, entry: id }],
    );
  return { ...measuringProgress(steps, side, { readings, motions, skipped, precisions }), steps };
}

/** The measuring steps that test the motion which the order limits: the family's joint in the sagittal plane. */
export const limitedSteps = (steps: readonly ProtocolStep[], joint: Joint | undefined): string[] =>
  steps.flatMap((step) =>
    step.kind === 'motion' && step.joint === joint && step.plane === 'sagittal' ? [step.id] : [],
  );

/**
 * Every test of the motion that the order limits, on the braced side, in the order they were made.
 * @param limited measuring steps of that motion
 */
export const foldMotions = (record: LiveRecord, side: Side, limited: readonly string[]): TestedMotion[] =>
  record
    .of(motionTested)
    .filter(({ body }) => body.side === side && (body.step === undefined || limited.includes(body.step)))
    .map((motion) => ({ entry: motion.id, day: record.dayIn(motion), motion: motion.body }));

/** Of all tests the last that counts: a passive one where there is any. */
export const lastMotion = (motions: readonly TestedMotion[]): TestedMotion | undefined =>
  motions.findLast(({ motion }) => motion.mode === 'passive') ?? motions.at(-1);
