import type { InferType } from 'yup';
import { oneOfKinds, statesOf } from '../brace';
import type { Millimetres } from '../quantity';
import type { Instrument, MeasuringKind, ReadingUnit } from './kinds/kind';
import { measuringKinds } from './kinds/list';

export {
  instruments,
  substituteWays,
  type Instrument,
  type ReadingUnit,
  type Substitute,
  type SubstituteWay,
} from './kinds/kind';

/** A step of measuring as a programme states it, whoever wrote it. */
export const stepSchema = oneOfKinds(statesOf(measuringKinds));
/** A step as a programme states it: a distance may be left to the model. */
export type ProtocolStep = InferType<typeof stepSchema>;

type StepOf<K extends ProtocolStep['kind']> = Extract<ProtocolStep, { kind: K }>;
export type StanceStep = StepOf<'stance'>;
export type PostureStep = StepOf<'posture'>;
export type MarkStep = StepOf<'mark'>;
export type MotionStep = StepOf<'motion'>;

/** Whether an injury forbids moving the joint passively for a test; the order's own words go before it. */
export const isNotMoved = (step: MotionStep | undefined, injuries: readonly { code: string }[]): boolean =>
  step?.notWith?.some((code) => injuries.some((injury) => injury.code === code)) === true;
export type GirthStep = Omit<StepOf<'girth'>, 'distance'> & { distance: Millimetres };
export type LengthStep = StepOf<'distance' | 'curve' | 'height'>;
export type WidthStep = StepOf<'width'>;
export type InclinationStep = StepOf<'inclination'>;
export type PersonStep = StepOf<'mass' | 'age' | 'stature' | 'shoe'>;

export type ReadingStep = GirthStep | LengthStep | WidthStep | InclinationStep | PersonStep;
/** A step as it is taken: every distance is known. */
export type MeasuringStep = StanceStep | PostureStep | MarkStep | MotionStep | ReadingStep;

/** A step at which something is read with an instrument, once or more. */
export type MeasuredStep = Exclude<MeasuringStep, StanceStep | MarkStep>;

export const isMeasured = <S extends Pick<MeasuringStep, 'kind'>>(
  step: S | undefined,
): step is Extract<S, Pick<MeasuredStep, 'kind'>> =>
  step !== undefined && measuringKinds[step.kind].unit !== undefined;

export const isReading = (step: MeasuringStep): step is ReadingStep => measuringKinds[step.kind].isReading;

/** What is read once for the whole person, not for a side. */
export const isOfPerson = (step: MeasuringStep): boolean => measuringKinds[step.kind].isOfPerson;

/** The unit a step's values are kept in. */
export const unitOf = (step: Pick<MeasuredStep, 'kind'>): ReadingUnit => measuringKinds[step.kind].unit;

/** What no body and no joint goes beyond, in each unit: a reading outside is refused, not asked about. */
const bodyBounds: Record<ReadingUnit, { least: number; most: number }> = {
  mm: { least: 1, most: 3000 },
  degrees: { least: -180, most: 180 },
  kg: { least: 0.2, most: 500 },
  years: { least: 0, most: 130 },
  newtons: { least: 0, most: 1000 },
};

/** From where to where a step's value may go, in its unit. */
export const readingBounds = (step: Pick<MeasuredStep, 'kind'>): { least: number; most: number } =>
  bodyBounds[unitOf(step)];

/** The instrument a step is read with. */
export const instrumentOf = (step: Pick<MeasuredStep, 'kind'>): Instrument =>
  measuringKinds[step.kind].instrument;

/** What makes two steps the same protocol for a clinic's own repeatability: how and from where, not how far. */
export const protocolOf = (step: ReadingStep): string => sameAs(step)!;

/** What a step's kind says of it. */
const kindOf = (step: MeasuringStep): MeasuringKind => measuringKinds[step.kind];

/** What a step takes of a body, from where and how; undefined where no other step takes the same. */
const sameAs = (step: MeasuringStep): string | undefined => kindOf(step).same(step);

/** Whether two steps take the same of a body in the same way and at the same place. */
export function isSameStep(one: MeasuringStep, other: MeasuringStep): boolean {
  const taken = sameAs(one);
  return (
    taken !== undefined &&
    taken === sameAs(other) &&
    kindOf(one).howFar?.(one) === kindOf(other).howFar?.(other)
  );
}

/**
 * The steps with the model's own distances filled in. What need not be read and has no distance is left out.
 * @param distances of the model, by step
 * @returns the steps, or the ids of those whose distance the model does not give
 */
export function resolveSteps(
  steps: readonly ProtocolStep[],
  distances: Readonly<Record<string, Millimetres>>,
): { ok: true; steps: MeasuringStep[] } | { ok: false; missing: string[] } {
  const missing: string[] = [];
  const resolved = steps.flatMap((step): MeasuringStep[] => {
    if (step.kind !== 'girth') return [step];
    const distance = step.distance === 'model' ? distances[step.id] : step.distance;
    if (distance !== undefined) return [{ ...step, distance }];
    if (!step.optional) missing.push(step.id);
    return [];
  });
  return missing.length > 0 ? { ok: false, missing } : { ok: true, steps: resolved };
}
