import type { InferType } from 'yup';
import { oneOfKinds, statesOf, type Part } from '../brace';
import type { FrameLimits } from './bends';
import type { OperationRule } from './kind';
import { bend } from './kinds/bend';
import { cut } from './kinds/cut';
import { exchange } from './kinds/exchange';
import { flare } from './kinds/flare';
import { mould } from './kinds/mould';
import { pad } from './kinds/pad';
import { trim } from './kinds/trim';

/** Every kind of operation, each from its own file. */
const operationKinds = { bend, mould, flare, trim, cut, pad, exchange };

export const operationSchema = oneOfKinds(statesOf(operationKinds));
/** Work on the brace itself: what is done, on which part, how much, what it requires first. */
export type Operation = InferType<typeof operationSchema>;
export type OperationKind = Operation['kind'];

const ruleOf = ({ kind }: Operation): OperationRule<Operation> =>
  operationKinds[kind].rule as OperationRule<Operation>;

/** The parts of a brace on which an operation may be done. */
export const partsWorkedOn = (operation: Operation, parts: readonly Part[]): Part[] =>
  parts.filter(({ id, kind }) => operation.parts?.includes(id) ?? ruleOf(operation).on.includes(kind));

/** Whether a brace has what an operation is done on. */
export const canBeDone = (
  operation: Operation,
  parts: readonly Part[],
  frame: FrameLimits | undefined,
): boolean =>
  partsWorkedOn(operation, parts).length > 0 &&
  (!ruleOf(operation).ofFrame?.(operation) || frame !== undefined);

/** The ways in which it may be said to be done on a part: a pad that does not split is placed or left out. */
export const waysOf = (operation: Operation, part: Part | undefined): readonly string[] =>
  ruleOf(operation)
    .ways(operation)
    .filter((way) => way !== 'split' || (part !== undefined && 'splits' in part && part.splits === true));

export const directionsOf = (operation: Operation): readonly string[] =>
  ruleOf(operation).directions?.(operation) ?? [];

/** How much of it is done at a time, where that is measured. */
export const measuredOf = (operation: Operation) => ruleOf(operation).measured(operation);

/** Whether it is said where along the part it was done. */
export const isPlaced = (operation: Operation): boolean => ruleOf(operation).placed?.(operation) === true;
