import type { InferType } from 'yup';
import { oneOfKinds, statesOf } from '../brace';
import type { StepRule } from './kind';
import { act } from './kinds/act';
import { check } from './kinds/check';
import { list } from './kinds/list';
import { look } from './kinds/look';
import { repeat } from './kinds/repeat';
import { set } from './kinds/set';
import { settle } from './kinds/settle';
import { strap } from './kinds/strap';
import { work } from './kinds/work';

/** Every kind of step, each from its own file. */
const stepKinds = { act, strap, set, look, settle, check, work, list, repeat };

export const stepSchema = oneOfKinds(statesOf(stepKinds));
/** One thing to do while the brace goes on or comes off. */
export type SequenceStep = InferType<typeof stepSchema>;
export type StepKind = SequenceStep['kind'];

const ruleOf = (kind: StepKind): StepRule => stepKinds[kind].rule;

/** Whether a step is done once more in a later pass that names no steps. */
export const isDoneAgain = ({ kind }: SequenceStep): boolean => ruleOf(kind).again;

/** The check whose answer makes a step done; undefined where somebody says so. */
export const checkOfStep = (step: SequenceStep): string | undefined =>
  step.kind === 'check' ? step.check : step.kind === 'repeat' ? step.until : undefined;

/** The parts that a step is about, and those it holds. */
export const partsOfStep = (step: SequenceStep): string[] => [
  ...('part' in step && step.part ? [step.part] : []),
  ...(step.over?.parts ?? []),
  ...(step.holds?.parts ?? []),
];
