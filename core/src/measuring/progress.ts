import { otherSide, type Side } from '../anatomy';
import { assessReadings, type AssessedReading } from './reading';
import { judgePosture } from './posture';
import type { MeasuringStep } from './protocol';

export interface TakenReading {
  step: string;
  side: Side;
  /** mm or degrees, by the step's kind; absent for a mark */
  value?: number;
  entry: string;
}

export interface SkippedStep {
  step: string;
  side: Side;
  reason: string;
  entry: string;
}

export interface StepState {
  step: MeasuringStep;
  side: Side;
  readings: TakenReading[];
  assessed?: AssessedReading;
  /** of a posture: how far it is from the target */
  posture?: { angle: number; off: number; within: boolean };
  skipped?: SkippedStep;
  done: boolean;
}

export interface MeasuringProgress {
  /** every step on the braced side, then every step on the other one */
  states: StepState[];
  next: StepState | undefined;
  done: boolean;
}

/**
 * How far the measuring is. Both sides are measured, the braced one first.
 * @param steps of the protocol, resolved
 * @param braced the side the brace goes on
 * @param readings in the order they were taken
 * @param skipped steps that could not be taken, with the reason
 */
export function measuringProgress(
  steps: readonly MeasuringStep[],
  braced: Side,
  readings: readonly TakenReading[],
  skipped: readonly SkippedStep[],
): MeasuringProgress {
  const states = [braced, otherSide(braced)].flatMap((side) =>
    steps.map((step) => stateOf(step, side, readings, skipped)),
  );
  const next = states.find((state) => !state.done);
  return {
    states,
    next,
    done: next === undefined,
  };
}

/** One step on one side. */
export const stepAt = (states: readonly StepState[], step: string, side: Side): StepState | undefined =>
  states.find((state) => state.step.id === step && state.side === side);

function stateOf(
  step: MeasuringStep,
  side: Side,
  allReadings: readonly TakenReading[],
  allSkipped: readonly SkippedStep[],
): StepState {
  const here = (taken: { step: string; side: Side }) => taken.step === step.id && taken.side === side;
  const readings = allReadings.filter(here);
  const skipped = allSkipped.findLast(here);
  const base = { step, side, readings, ...(skipped && readings.length === 0 ? { skipped } : {}) };
  switch (step.kind) {
    case 'mark':
      return { ...base, done: readings.length > 0 || skipped !== undefined };
    case 'posture': {
      const angle = readings.at(-1)?.value;
      const posture = angle === undefined ? undefined : { angle, ...judgePosture(step, angle) };
      return {
        ...base,
        ...(posture && { posture }),
        done: posture?.within === true || skipped !== undefined,
      };
    }
    case 'girth': {
      const assessed = assessReadings(
        step,
        readings.flatMap(({ value }) => value ?? []),
      );
      return {
        ...base,
        ...(assessed && { assessed }),
        done:
          (assessed !== undefined && assessed.needs === undefined) || (skipped !== undefined && !assessed),
      };
    }
  }
}
