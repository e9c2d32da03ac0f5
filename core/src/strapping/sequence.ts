import { rule } from '../faults';
import { array, number, object, string, type InferType } from 'yup';
import {
  applies,
  doesBearNothing,
  optionalCondition,
  optionalPosture,
  type Condition,
  type KnownFacts,
  name,
} from '../brace';
import { people } from './kind';
import { checkOfStep, isDoneAgain, stepSchema, type SequenceStep } from './steps';

export const purposes = ['first-donning', 'again', 'off', 'reset', 'reassemble'] as const;

/** How somebody is moved who may not move alone: the trunk rolled as one, or the neck kept in line. */
export const handlings = ['roll', 'in-line'] as const;
/** What of the order a list may wait for. */
export const needed = ['posture', 'roll'] as const;
export type Needed = (typeof needed)[number];

const passSchema = object({
  after: name(),
  when: optionalCondition,
  posture: optionalPosture,
  /** which steps; where it says nothing, every strap that was closed before */
  steps: array().of(name()).min(1).max(40),
})
  .noUnknown()
  .required();

const sequenceShape = {
  id: name(),
  purpose: string().oneOf(purposes).required(),
  /** which case it is for; where several or none hold it is asked */
  when: optionalCondition,
  /** who is there for it */
  people: array().of(string().oneOf(people).required()).min(1).required(),
  /** who leads, where several move the patient together, and how many helpers it takes */
  leads: string().oneOf(people),
  helpers: number().strict().integer().min(1).max(8),
  /** it moves somebody who may not move alone: by the facility's own policy, which is acknowledged first */
  handling: string().oneOf(handlings),
  /** what the order has to say before it begins; where it does not, the list waits */
  needs: array().of(string().oneOf(needed).required()).min(1).max(4),
  steps: array().of(stepSchema).min(1).max(80).required(),
  /** some of it once more, in the same order, right after a step */
  passes: array().of(passSchema).max(8),
};
const plain = object(sequenceShape).noUnknown().required();

/** A list of steps with what it is for. Several for one purpose: it is asked which. */
export type Sequence = InferType<typeof plain>;

/** Ids of what is a step; lists that are none, and what is no step in them, are faults of their own. */
const stepIds = (steps: unknown): string[] | undefined =>
  Array.isArray(steps) ? steps.flatMap((one: { id?: string } | null) => one?.id ?? []) : undefined;

export const sequenceSchema = plain
  .test(...rule('passes-after-a-step'), ({ steps, passes }) => {
    const ids = stepIds(steps);
    return (
      !ids ||
      !Array.isArray(passes) ||
      passes.every(
        (pass: { after?: string; steps?: string[] } | null) =>
          !pass ||
          [pass.after, ...(Array.isArray(pass.steps) ? pass.steps : [])].every((one) => ids.includes(one!)),
      )
    );
  })
  .test(...rule('repeats-steps-before'), ({ steps }) => {
    const ids = stepIds(steps);
    return (
      !ids ||
      !Array.isArray(steps) ||
      steps.every(
        (step: { kind?: string; id?: string; steps?: unknown } | null) =>
          step?.kind !== 'repeat' ||
          !Array.isArray(step.steps) ||
          step.steps.every((one) => ids.slice(0, ids.indexOf(step.id!)).includes(one as string)),
      )
    );
  });

export interface StepDone {
  step: string;
  /** 1 for the first time, 2 for the next */
  pass: number;
  outOfOrder?: boolean | undefined;
}

export type RunnerStep = SequenceStep & {
  pass: number;
  state: 'done' | 'now' | 'ahead';
  /** it was done before one that stands before it */
  outOfOrder?: true;
};

export interface RunnerState {
  steps: RunnerStep[];
  now: RunnerStep | undefined;
  /** steps done, of all */
  done: number;
}

/** What is known of a case while a list is run. */
export interface Running {
  facts?: KnownFacts | undefined;
  /** the other lists of the family, by which a step may go on */
  lists?: readonly Sequence[];
  /** of each check, how often it was answered since the brace went on anew, and whether it holds now */
  answers?: Readonly<Record<string, { times: number; passed: boolean }>>;
}

type Pass = NonNullable<Sequence['passes']>[number];

/** A list's steps with the passes after each, those of the lists it takes in in their places; no list takes in itself. */
function unfolded(
  { id: own, steps, passes = [] }: Pick<Sequence, 'steps' | 'passes'> & { id?: string },
  lists: readonly Sequence[],
  within: readonly string[] = [],
): { step: SequenceStep; passes: Pass[] }[] {
  const around = own === undefined ? within : [...within, own];
  return steps.flatMap((step) => {
    const after = passes.filter((pass) => pass.after === step.id);
    const other = step.kind === 'list' ? lists.find((one) => one.id === step.list) : undefined;
    const inner =
      other && !around.includes(other.id) ? unfolded(other, lists, around) : [{ step, passes: [] }];
    return inner.map((one, i) =>
      i === inner.length - 1 ? { ...one, passes: [...one.passes, ...after] } : one,
    );
  });
}

/** A walk that lets a brace settle, done seated: for a leg that is to bear nothing. */
const seated = (step: SequenceStep): SequenceStep =>
  step.kind === 'settle' && step.how === 'walk' ? { ...step, how: 'sit' } : step;

/**
 * A list as it stands: its steps in order, after a step that a pass follows the pass. A step is never skipped: the first one
 * not done is the one to do now. What repeats until a check passes is there once more for every time that it did not.
 * @param sequence the list in use
 * @param done steps with their pass, in any order
 * @param running what is known: a step or a pass whose condition does not hold is left out
 */
export function runSequence(
  sequence: Pick<Sequence, 'steps' | 'passes'> & { id?: string },
  done: readonly StepDone[],
  { facts, lists = [], answers = {} }: Running = {},
): RunnerState {
  const stands = (one: { when?: Condition | undefined }) => facts === undefined || applies(one, facts);
  const times = new Map<string, number>();
  const next = (step: SequenceStep, more: Pick<SequenceStep, 'posture'> = {}) => {
    const pass = (times.get(step.id) ?? 0) + 1;
    times.set(step.id, pass);
    return {
      ...(bearsNothing ? seated(step) : step),
      ...(more.posture ? { posture: more.posture } : {}),
      pass,
    };
  };
  const bearsNothing = facts !== undefined && doesBearNothing(facts);
  const all: (SequenceStep & { pass: number })[] = [];
  const before: SequenceStep[] = [];
  for (const { step, passes } of unfolded(sequence, lists)) {
    if (stands(step)) {
      if (step.kind === 'repeat') {
        const { times: tried = 0, passed = false } = answers[step.until] ?? {};
        const failed = passed ? tried - 1 : tried;
        const once = before.filter(({ id: name }) => step.steps.includes(name));
        for (let round = 0; round < failed; round += 1) all.push(...once.map((one) => next(one)));
      }
      all.push(next(step));
      before.push(step);
    }
    // a pass follows its step also where the step itself is left out
    for (const pass of passes.filter(stands))
      all.push(
        ...before
          .filter((one) => (pass.steps ? pass.steps.includes(one.id) : isDoneAgain(one)))
          .map((one) => next(one, pass)),
      );
  }
  const isDone = (one: SequenceStep & { pass: number }): boolean => {
    const check = checkOfStep(one);
    if (check !== undefined) {
      const answer = answers[check];
      return one.kind === 'repeat' ? answer?.passed === true : (answer?.times ?? 0) > 0;
    }
    return done.some(({ step, pass }) => step === one.id && pass === one.pass);
  };
  const first = all.findIndex((one) => !isDone(one));
  const run = all.map((one, i): RunnerStep => ({
    ...one,
    state: isDone(one) ? 'done' : i === first ? 'now' : 'ahead',
    ...(done.some(({ step, pass, outOfOrder }) => outOfOrder && step === one.id && pass === one.pass)
      ? { outOfOrder: true as const }
      : {}),
  }));
  return { steps: run, now: run[first], done: run.filter(({ state }) => state === 'done').length };
}
