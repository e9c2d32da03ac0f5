import { buildOf, legGirth } from '../anatomy';
import {
  bodyReadings,
  girthsFrom,
  isOfPerson,
  isReading,
  isSameStep,
  settledReading,
  stepAt,
  type GirthStep,
} from '../measuring';
import { monotoneCurve } from '../statistics';
import { chartOf, stepsOf, type BraceModel, type Programme } from '../programmes';
import { axisReading, bestFit, type AxisReading, type RankedFit } from '../sizing';
import type { CaseState } from './state';

/** A model as the body of a case sees it. */
export interface ModelToRank {
  model: BraceModel;
  programme: Programme;
}

export interface RankedModel extends RankedFit<ModelToRank> {
  /** some readings were read at another distance and estimated at this model's */
  estimated: boolean;
}

/** A girth is estimated at a model's own distance no further than this from where one was read. */
const reach = 80;

/**
 * Every model ranked for the body of a case. A model that reads its girths at other distances gets them from
 * the limb's profile, with half of what they change by as an uncertainty of their own: an estimate, and
 * said so.
 * @param stature in mm, for the profile
 */
export function rankModels(
  state: CaseState,
  candidates: readonly ModelToRank[],
  stature: number,
): RankedModel[] {
  // models of one family and the same distances ask for the same readings: compute them once
  const known = new Map<string, { readings: Record<string, AxisReading>; estimated: boolean }>();
  const readingsFor = ({ model, programme }: ModelToRank) => {
    const axes = model.chart.axes.map(({ reading }) => `${reading} ${model.distances[reading] ?? ''}`);
    const key = `${programme.id} ${programme.version} ${axes.join(' ')}`;
    const found = known.get(key) ?? readingsAs(state, { model, programme }, stature);
    known.set(key, found);
    return found;
  };
  const judged = candidates.map((candidate) => ({ candidate, ...readingsFor(candidate) }));
  const estimated = new Map(judged.map((one) => [one.candidate, one.estimated]));
  return bestFit(
    judged.map(({ candidate, readings }) => ({
      model: candidate,
      chart: chartOf(candidate.programme, candidate.model),
      readings,
    })),
  ).map((fit) => ({ ...fit, estimated: estimated.get(fit.model)! }));
}

function readingsAs(
  state: CaseState,
  { model, programme }: ModelToRank,
  stature: number,
): { readings: Record<string, AxisReading>; estimated: boolean } {
  const { states } = state.measuring;
  const axes = stepsOf(programme, model)
    .filter(isReading)
    .filter(({ id }) => model.chart.axes.some(({ reading }) => reading === id));
  let estimated = false;
  const readings = Object.fromEntries(
    axes.flatMap((step): [string, AxisReading][] => {
      const own = states.find(
        (one) =>
          (one.side === state.side || isOfPerson(one.step)) &&
          settledReading(one) &&
          isReading(one.step) &&
          isSameStep(one.step, step),
      );
      if (own) return [[step.id, axisReading(step, own.assessed!, axes)]];
      const guess = step.kind === 'girth' ? fromProfile(state, step, stature) : undefined;
      if (!guess) return [];
      estimated = true;
      const nearest = stepAt(states, guess.from, state.side)!.assessed!;
      const base = axisReading(step, nearest, axes);
      return [
        [step.id, { ...base, mean: guess.girth, alone: Math.hypot(base.alone ?? 0, guess.uncertainty) }],
      ];
    }),
  );
  return { readings, estimated };
}

function fromProfile(
  state: CaseState,
  step: GirthStep,
  stature: number,
): { girth: number; uncertainty: number; from: string } | undefined {
  const { states } = state.measuring;
  const girths = girthsFrom(states, state.side, step.from);
  const near = states
    .flatMap((one) => {
      const { step: at, side } = one;
      const read = settledReading(one);
      return at.kind === 'girth' && side === state.side && at.from === step.from && read
        ? [{ id: at.id, level: at.distance, girth: read.mean }]
        : [];
    })
    .sort((a, b) => Math.abs(a.level - step.distance) - Math.abs(b.level - step.distance))[0];
  if (!near || Math.abs(near.level - step.distance) > reach) return undefined;
  const girth =
    state.programme.region === 'leg'
      ? legGirth(bodyReadings(states, state.side), buildOf(stature))(step.distance)
      : profileOf(girths)(step.distance);
  return { girth, uncertainty: Math.max(3, Math.abs(girth - near.girth) / 2), from: near.id };
}

function profileOf(girths: readonly { level: number; girth: number }[]): (level: number) => number {
  const rising = [...girths].sort((a, b) => a.level - b.level);
  return monotoneCurve(
    rising.map(({ level }) => level),
    rising.map(({ girth }) => girth),
  );
}
