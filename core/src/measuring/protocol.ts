import type { Landmark } from '../anatomy';
import type { Degrees, Millimetres } from '../quantity';

interface Step {
  /** named by the chart's axes, the record and the wording */
  id: string;
}

/** The joint is put at an angle and read with the goniometer. */
export interface PostureStep extends Step {
  kind: 'posture';
  joint: 'knee';
  target: Degrees;
  tolerance: Degrees;
}

/** A landmark is felt and marked on the skin; later steps work from the mark. */
export interface MarkStep extends Step {
  kind: 'mark';
  landmark: Landmark;
}

/** The tape goes round at a distance along the limb from a mark. */
export interface GirthStep extends Step {
  kind: 'girth';
  from: Landmark;
  /** proximal positive */
  distance: Millimetres;
  /** two readings further apart ask for a third */
  tolerance: Millimetres;
  /** s_w: deviation of one reading within a person, until the clinic has its own */
  withinPerson: Millimetres;
  /** u_B: what repeats share, from tape, landmark and posture */
  shared: Millimetres;
  /** outside it is no reading of a limb */
  plausible: readonly [Millimetres, Millimetres];
}

export type MeasuringStep = PostureStep | MarkStep | GirthStep;

/** A step as a programme states it: a distance may be left to the model. */
export type ProtocolStep =
  PostureStep | MarkStep | (Omit<GirthStep, 'distance'> & { distance: Millimetres | 'model' });

/**
 * The steps with the model's own distances filled in.
 * @param distances of the model, by step
 * @returns the steps, or the ids of those whose distance the model does not give
 */
export function resolveSteps(
  steps: readonly ProtocolStep[],
  distances: Readonly<Record<string, Millimetres>>,
): { ok: true; steps: MeasuringStep[] } | { ok: false; missing: string[] } {
  const missing: string[] = [];
  const resolved = steps.map((step): MeasuringStep => {
    if (step.kind !== 'girth') return step;
    const distance = step.distance === 'model' ? distances[step.id] : step.distance;
    if (distance === undefined) missing.push(step.id);
    return { ...step, distance: distance ?? 0 };
  });
  return missing.length > 0 ? { ok: false, missing } : { ok: true, steps: resolved };
}
