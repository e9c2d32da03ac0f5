import { sidesFrom, type Side } from '../anatomy';
import type { Stance } from '../brace';
import type { MotionWindow } from '../order';
import { assessReadings, type AssessedReading } from './reading';
import { judgePosture, sharedInPosture } from './posture';
import { isOfPerson, isReading, type MeasuringStep, type MotionStep, type SubstituteWay } from './protocol';

export interface TakenReading {
  step: string;
  side: Side;
  /** in the step's unit; absent for what is only marked or confirmed */
  value?: number;
  /** of a stance: how the patient stood, sat or lay, where it was not the named way */
  stance?: Stance;
  /** of a posture: the window that was ordered when it was read */
  ordered?: MotionWindow;
  entry: string;
}

/** A joint's motion as tested, flexion positive and hyperextension negative. */
export interface TakenMotion {
  step: string;
  side: Side;
  mode: 'active' | 'passive';
  from: number;
  to: number;
  /** tested to the ordered limit and not beyond it */
  limitReached: { extension: boolean; flexion: boolean };
  entry: string;
}

export interface SkippedStep {
  step: string;
  side: Side;
  reason: string;
  /** the other way in which it is taken instead */
  substitute?: SubstituteWay;
  entry: string;
}

/** This clinic's own deviation for a step, taken over in place of the protocol's. */
export interface OwnPrecision {
  step: string;
  withinPerson: number;
  pairs: number;
  entry: string;
}

export interface StepState {
  step: MeasuringStep;
  side: Side;
  readings: TakenReading[];
  assessed?: AssessedReading;
  /** of a posture: how far it is from the target */
  posture?: { angle: number; off: number; within: boolean };
  /** of a stance: how the patient stood, sat or lay */
  stance?: Stance;
  /** of a reading: the step whose posture it was not taken in, and how far off where that was read */
  outOfPosture?: { step: string; off?: number };
  motions: TakenMotion[];
  skipped?: SkippedStep;
  /** taken another way: what it says about the reading beside its larger uncertainty */
  substitute?: SubstituteWay;
  done: boolean;
}

export interface MeasuringProgress {
  /** of the person, then every step on the braced side, then every step on the other one */
  states: StepState[];
  done: boolean;
  /** deviations of the clinic's own taken over */
  precisions: readonly OwnPrecision[];
}

export interface MeasuringTaken {
  /** in the order they were taken */
  readings: readonly TakenReading[];
  motions?: readonly TakenMotion[];
  skipped: readonly SkippedStep[];
  precisions?: readonly OwnPrecision[];
}

/**
 * How far the measuring is. Of a pair both sides are measured, the braced one first.
 * @param steps of the protocol, resolved
 * @param braced the side the brace goes on
 * @param taken what is in the record
 */
export function measuringProgress(
  steps: readonly MeasuringStep[],
  braced: Side,
  taken: MeasuringTaken,
): MeasuringProgress {
  const places: { step: MeasuringStep; side: Side }[] = [
    ...steps.filter(isOfPerson).map((step) => ({ step, side: 'midline' as const })),
    ...sidesFrom(braced).flatMap((side) =>
      steps.filter((step) => !isOfPerson(step)).map((step) => ({ step, side })),
    ),
  ];
  const first: StepState[] = [];
  for (const { step, side } of places) first.push(stateOf(step, side, taken, first));
  const states = first.map((state) => fromOtherSide(state, first));
  return {
    states,
    done: states.every((state) => state.done || state.step.optional === true),
    precisions: taken.precisions ?? [],
  };
}

/**
 * What is asked for next: what is needed on either side first, then what may be left open.
 * @param leftOpen steps that are left open, by id
 */
export const nextStep = (
  states: readonly StepState[],
  leftOpen: readonly string[] = [],
): StepState | undefined => {
  const open = states.filter(({ step, done }) => !done && !leftOpen.includes(step.id));
  return open.find(({ step }) => !step.optional) ?? open[0];
};

/** A step's reading as it may be seen: a first one alone is out of sight until the second is in. */
export const inSight = (state: Pick<StepState, 'assessed'> | undefined): AssessedReading | undefined =>
  state?.assessed?.needs === 'second' ? undefined : state?.assessed;

/** A step's reading as a size may be made from it: nothing about it is outstanding or to be settled. */
export const settledReading = (
  state: Pick<StepState, 'assessed'> | undefined,
): AssessedReading | undefined => (state?.assessed?.needs === undefined ? state?.assessed : undefined);

/** One step on one side; of the person's own steps the one there is. */
export const stepAt = (states: readonly StepState[], step: string, side: Side): StepState | undefined =>
  states.find((state) => state.step.id === step && (state.side === side || isOfPerson(state.step)));

function stateOf(
  step: MeasuringStep,
  side: Side,
  taken: MeasuringTaken,
  before: readonly StepState[],
): StepState {
  const here = (one: { step: string; side: Side }) => one.step === step.id && one.side === side;
  const readings = taken.readings.filter(here);
  const motions = (taken.motions ?? []).filter(here);
  const said = taken.skipped.findLast(here);
  const substitute = said?.substitute;
  // what is taken another way is not left out
  const skipped =
    said && substitute === undefined && readings.length + motions.length === 0 ? said : undefined;
  const base = {
    step,
    side,
    readings,
    motions,
    ...(skipped ? { skipped } : {}),
    ...(substitute ? { substitute } : {}),
  };
  const left = skipped !== undefined;
  if (isReading(step)) {
    const own = taken.precisions?.findLast((precision) => precision.step === step.id);
    const instead = substitute && step.substitute?.how === substitute ? step.substitute : undefined;
    const outOfPosture = instead ? undefined : postureMissed(side, before);
    const { shared } = instead ?? step;
    const assessed = assessReadings(
      {
        ...step,
        ...(own ? { withinPerson: own.withinPerson } : {}),
        shared: outOfPosture ? sharedInPosture(shared, outOfPosture.off) : shared,
      },
      readings.flatMap(({ value }) => value ?? []),
    );
    return {
      ...base,
      ...(assessed && { assessed }),
      ...(assessed && outOfPosture && { outOfPosture }),
      // what the other side stands in for is not asked for here: that side is
      done:
        (assessed !== undefined && assessed.needs === undefined) ||
        (!assessed && (left || substitute === 'other-side')),
    };
  }
  switch (step.kind) {
    case 'mark':
      return { ...base, done: readings.length > 0 || left };
    case 'stance': {
      const last = readings.at(-1);
      const stance = last && (last.stance ?? step.stance);
      return { ...base, ...(stance ? { stance } : {}), done: last !== undefined || left };
    }
    case 'posture': {
      const last = readings.at(-1);
      const angle = last?.value;
      const posture =
        angle === undefined ? undefined : { angle, ...judgePosture(step, angle, last?.ordered) };
      // an angle that the joint cannot be brought to is left as it is, with the reason
      const stays = posture && !posture.within ? said : skipped;
      return {
        ...base,
        ...(posture && { posture }),
        ...(stays ? { skipped: stays } : {}),
        done: posture?.within === true || stays !== undefined,
      };
    }
    case 'motion':
      return { ...base, done: left || untested(step, motions).length === 0 };
  }
}

/**
 * The posture before a reading that it was not taken in: the last stance or joint angle that the protocol names
 * ahead of it on its side, if that was another one or could not be taken.
 */
function postureMissed(side: Side, before: readonly StepState[]): { step: string; off?: number } | undefined {
  const onSide = before.filter((state) => state.side === side || isOfPerson(state.step));
  const joint = onSide.findLast(({ step }) => step.kind === 'posture');
  if (joint?.posture && !joint.posture.within) return { step: joint.step.id, off: joint.posture.off };
  const stance = onSide.findLast(({ step }) => step.kind === 'stance');
  const missed = [joint, stance].find((state) => state && (state.skipped !== undefined || isOther(state)));
  return missed && { step: missed.step.id };
}

/** A stance that was not the named one, nor one that is as right. */
const isOther = ({ step, stance }: StepState): boolean =>
  step.kind === 'stance' &&
  step.stance !== undefined &&
  stance !== undefined &&
  stance !== step.stance &&
  !step.others?.includes(stance);

/** The modes in which a joint is still to be tested. */
export const untested = (
  { modes }: Pick<MotionStep, 'modes'>,
  motions: readonly TakenMotion[],
): MotionStep['modes'] => modes.filter((mode) => !motions.some((motion) => motion.mode === mode));

/**
 * A reading that the other side stands in for: its mean, with the larger shared part the protocol states
 * for this way.
 */
function fromOtherSide(state: StepState, states: readonly StepState[]): StepState {
  const { step, side, substitute } = state;
  if (substitute !== 'other-side' || !isReading(step) || state.readings.length > 0) return state;
  const other = states.find((one) => one.step.id === step.id && one.side !== side)?.assessed;
  if (!other || other.needs !== undefined) return state;
  const sharedPart = Math.max(step.substitute?.shared ?? 0, other.sharedPart);
  return {
    ...state,
    assessed: { ...other, sharedPart, uncertainty: Math.hypot(other.repeatPart, sharedPart) },
  };
}
