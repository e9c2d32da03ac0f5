import { array, object, string, type InferType, type Schema } from 'yup';
import {
  applies,
  finite,
  oneOfKinds,
  optionalCondition,
  optionalPosture,
  type Condition,
  type KnownFacts,
  type OneOfKinds,
} from '../brace';

const id = () => string().strict().required().min(1).max(80);

export const people = ['patient', 'orthotist', 'helper', 'carer'] as const;
export const pulls = ['provisional', 'loose', 'light', 'snug', 'final'] as const;

const step = {
  id: id(),
  posture: optionalPosture,
  who: string().oneOf(people),
  /** only where this holds; where it is not known it stands, and asks by its words */
  when: optionalCondition,
};

/** What each kind of step states; its wording hangs on its id. */
const stepKinds = {
  /** something done with the brace, the patient or an aid */
  act: object({
    ...step,
    on: string().oneOf(['brace', 'patient', 'helper', 'aid']).required(),
    part: string(),
  }),
  /** a part closed: a strap, a buckle, a belt */
  strap: object({ ...step, part: id(), pull: string().oneOf(pulls) }),
  /** something set now: the numbers are taken here */
  set: object({ ...step, setting: id() }),
  /** something looked at before going on */
  look: object({ ...step, part: string() }),
  /** time for the brace to settle */
  settle: object({
    ...step,
    how: string().oneOf(['walk', 'sit', 'lie']).required(),
    minutes: finite().positive().max(240).required(),
  }),
};

/** One thing to do while the brace goes on or comes off. */
export type SequenceStep = OneOfKinds<typeof stepKinds>;

export const purposes = ['first-donning', 'again', 'off', 'reset', 'reassemble'] as const;

const sequenceShape = {
  id: id(),
  purpose: string().oneOf(purposes).required(),
  /** which case it is for; where several or none hold it is asked */
  when: optionalCondition,
  /** who is there for it */
  people: array().of(string().oneOf(people).required()).min(1).required(),
  steps: array()
    .of(oneOfKinds(stepKinds) as unknown as Schema<SequenceStep>)
    .min(1)
    .max(80)
    .required(),
  /** all straps once more, in the same order, after a step */
  passes: array()
    .of(object({ after: id(), when: optionalCondition }).noUnknown().required())
    .max(8),
};
const plain = object(sequenceShape).noUnknown().required();

/** A list of steps with what it is for. Several for one purpose: it is asked which. */
export type Sequence = InferType<typeof plain>;

export const sequenceSchema = plain.test(
  'passes-after-a-step',
  'has a pass after what is no step of it',
  // lists that are none, and what is no step or pass in them, are faults of their own
  ({ steps, passes }) =>
    !Array.isArray(steps) ||
    !Array.isArray(passes) ||
    passes.every(
      (pass: { after?: string } | null) =>
        !pass || steps.some((one: { id?: string } | null) => one?.id === pass.after),
    ),
);

export interface StepDone {
  step: string;
  /** 1 for the first time, 2 for the first pass after it */
  pass: number;
}

export type RunnerStep = SequenceStep & { pass: number; state: 'done' | 'now' | 'ahead' };

export interface RunnerState {
  steps: RunnerStep[];
  now: RunnerStep | undefined;
  /** steps done, of all */
  done: number;
}

/**
 * A list as it stands: its steps in order, then for each of its passes every strap once more in the same order. A step is
 * never skipped: the first one not done is the one to do now.
 * @param sequence the list in use
 * @param done steps with their pass, in any order
 * @param facts of the case: a step or a pass whose condition does not hold is left out
 */
export function runSequence(
  sequence: Pick<Sequence, 'steps' | 'passes'>,
  done: readonly StepDone[],
  facts?: KnownFacts,
): RunnerState {
  const stands = (one: { when?: Condition | undefined }) => facts === undefined || applies(one, facts);
  const steps = sequence.steps.filter(stands);
  const passes = (sequence.passes ?? []).filter(stands);
  const all = [
    ...steps.map((one) => ({ ...one, pass: 1 })),
    ...passes.flatMap((_, i) =>
      steps.filter(({ kind }) => kind === 'strap').map((one) => ({ ...one, pass: i + 2 })),
    ),
  ];
  const isDone = (one: StepDone) => done.some(({ step, pass }) => step === one.step && pass === one.pass);
  const first = all.findIndex(({ id: name, pass }) => !isDone({ step: name, pass }));
  const run = all.map((one, i): RunnerStep => ({
    ...one,
    state: isDone({ step: one.id, pass: one.pass }) ? 'done' : i === first ? 'now' : 'ahead',
  }));
  return { steps: run, now: run[first], done: run.filter(({ state }) => state === 'done').length };
}
