import type { FitCheck } from '../checking';
import { resolveSteps, type MeasuringStep } from '../measuring';
import type { Minutes, Millimetres } from '../quantity';
import type { FrameLimits, Pad } from '../shaping';
import type { StopHardware } from '../setting';
import type { Chart } from '../sizing';
import type { StrapPlace } from '../strapping';
import type { Programme } from './programme';

/** What one maker's model adds to its family: distances, chart, pieces, limits, places. */
export interface BraceModel {
  id: string;
  version: number;
  name: string;
  maker: string;
  /** the family it belongs to */
  programme: string;
  /** demo models are invented, and say so */
  invented: boolean;
  distances: Record<string, Millimetres>;
  chart: Chart;
  hinge: StopHardware;
  frame: FrameLimits;
  pads: Pad[];
  straps: StrapPlace[];
  tolerances: Record<string, { from: Millimetres; to: Millimetres }>;
  wear: { firstDay: Minutes; grow: Minutes; everyDays: number; ceiling: Minutes };
}

export type ModelProblem =
  | { problem: 'no-distance'; step: string }
  | { problem: 'no-axis'; reading: string }
  | { problem: 'no-tolerance'; check: string }
  | { problem: 'no-strap-place'; strap: number };

/** What a model leaves out that its programme asks of it. Empty when it can be used. */
export function modelProblems(model: BraceModel, programme: Programme): ModelProblem[] {
  const resolved = resolveSteps(programme.measuring, model.distances);
  return [
    ...(resolved.ok ? [] : resolved.missing.map((step) => ({ problem: 'no-distance' as const, step }))),
    ...programme.axes
      .filter((reading) => !model.chart.axes.some((axis) => axis.reading === reading))
      .map((reading) => ({ problem: 'no-axis' as const, reading })),
    ...programme.checks
      .filter((check) => 'tolerance' in check && !model.tolerances[check.id])
      .map(({ id }) => ({ problem: 'no-tolerance' as const, check: id })),
    ...programme.sequence
      .filter(({ strap }) => strap !== undefined && !model.straps.some((place) => place.strap === strap))
      .map(({ strap }) => ({ problem: 'no-strap-place' as const, strap: strap! })),
  ];
}

/** The measuring steps of a family with a model's distances. A model with problems gives none. */
export function stepsOf(programme: Programme, model: BraceModel): MeasuringStep[] {
  const resolved = resolveSteps(programme.measuring, model.distances);
  return resolved.ok ? resolved.steps : [];
}

/** The checks of a family with a model's tolerances. */
export function checksOf(programme: Programme, model: BraceModel): FitCheck[] {
  return programme.checks.flatMap((check): FitCheck[] => {
    if (!('tolerance' in check)) return [check];
    const tolerance = model.tolerances[check.id];
    return tolerance ? [{ kind: 'distance', id: check.id, ...tolerance }] : [];
  });
}
