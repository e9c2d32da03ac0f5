import type { Degrees, Millimetres, Minutes } from '../quantity';

/** One thing to do while the brace goes on. Its wording hangs on its id. */
export interface SequenceStep {
  id: string;
  kind: 'prepare' | 'don' | 'strap' | 'press' | 'settle';
  /** the strap's number, for a strap */
  strap?: number;
  /** the knee's angle during the step; absent where it does not matter */
  knee?: Degrees;
  /** how long the settling walk lasts */
  minutes?: Minutes;
}

/** Where a strap of the model runs. */
export interface StrapPlace {
  strap: number;
  level: Millimetres;
  face: 'front' | 'back';
}

export interface StepDone {
  step: string;
  pass: 1 | 2;
}

export interface RunnerStep extends SequenceStep {
  pass: 1 | 2;
  state: 'done' | 'now' | 'ahead';
}

export interface RunnerState {
  steps: RunnerStep[];
  now: RunnerStep | undefined;
  /** steps done, of all */
  done: number;
}

/**
 * The sequence as it stands: first pass in order, then (after the settling walk) every strap once more
 * in the same order. A step is never skipped: the first one not done is the one to do now.
 * @param sequence of the programme
 * @param done steps with their pass, in any order
 */
export function runSequence(sequence: readonly SequenceStep[], done: readonly StepDone[]): RunnerState {
  const settles = sequence.some(({ kind }) => kind === 'settle');
  const all = [
    ...sequence.map((step) => ({ ...step, pass: 1 as const })),
    ...(settles ? sequence.filter(({ kind }) => kind === 'strap') : []).map((step) => ({
      ...step,
      pass: 2 as const,
    })),
  ];
  const isDone = (step: { id: string; pass: 1 | 2 }) =>
    done.some((entry) => entry.step === step.id && entry.pass === step.pass);
  const first = all.findIndex((step) => !isDone(step));
  const steps = all.map((step, i): RunnerStep => ({
    ...step,
    state: isDone(step) ? 'done' : i === first ? 'now' : 'ahead',
  }));
  return { steps, now: steps[first], done: steps.filter(({ state }) => state === 'done').length };
}
