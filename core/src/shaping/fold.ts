import { buildOf, templateStature, type Region } from '../anatomy';
import {
  applies,
  holds,
  levelIn,
  partsOfKind,
  type KnownFacts,
  type Level,
  type Part,
  type PartOf,
} from '../brace';
import type { LiveRecord } from '../record';
import { bendOf, type Bend, type FrameLimits } from './bends';
import { scarSeen, workDone } from './entries';
import type { WorkDone } from './kind';
import { canBeDone, partsWorkedOn, type Operation, type OperationKind } from './operations';
import { padAdvice, type PadAdvice, type Scar } from './pads';

type PadWay = 'placed' | 'split' | 'left-out' | undefined;

/** An operation that this brace allows, with what was done of it. */
export interface WorkOnBrace {
  operation: Operation;
  parts: Part[];
  /** what it requires first holds; undefined where that is not known yet */
  mayBegin: boolean | undefined;
  done: (WorkDone & { entry: string; inSpite?: string })[];
}

/** What was found and done on the brace in Shape. */
export interface ShapingState {
  scars: Scar[];
  pads: { pad: PartOf<'pad'>; advice: PadAdvice; done: PadWay }[];
  bends: (Bend & { entry: string })[];
  work: WorkOnBrace[];
}

/**
 * Scars, pads and bends, and all other work on the brace.
 * @param operations that the family knows of
 * @param parts of this brace
 */
export function foldShaping(
  record: LiveRecord,
  region: Region,
  operations: readonly Operation[],
  frame: FrameLimits | undefined,
  parts: readonly Part[],
  facts: KnownFacts,
): ShapingState {
  const scars = record.of(scarSeen).map(({ body }) => body);
  const worked = record.of(workDone).map(({ id, body }) => ({ ...body, entry: id }));
  const isOf = (kind: OperationKind, id: string) =>
    operations.some((operation) => operation.kind === kind && operation.id === id);
  // nothing is known of the body's build here: pads that go by a mark on it are where they would be on an average one
  const average = buildOf(templateStature);
  const level = (at: Level) => levelIn(region, average, at) ?? 0;
  return {
    scars,
    pads: partsOfKind(parts, 'pad').map((pad) => ({
      pad,
      advice: padAdvice(
        { from: level(pad.from), to: level(pad.to), face: pad.face, splits: pad.splits === true },
        scars,
      ),
      done: worked.findLast(({ operation, part }) => isOf('pad', operation) && part === pad.id)
        ?.way as PadWay,
    })),
    bends: worked.flatMap((one) => {
      const bend = isOf('bend', one.operation) ? bendOf(one) : undefined;
      return bend ? [{ ...bend, entry: one.entry }] : [];
    }),
    work: operations
      .filter((operation) => canBeDone(operation, parts, frame) && applies(operation, facts))
      .map((operation) => ({
        operation,
        parts: partsWorkedOn(operation, parts),
        mayBegin: operation.requires === undefined ? true : holds(operation.requires, facts),
        done: worked.filter(({ operation: id }) => id === operation.id),
      })),
  };
}

/** Work that is asked for has been answered on each of its parts; any other is done where it is needed. */
export const isAnswered = ({ operation, parts, done }: WorkOnBrace): boolean =>
  !operation.asked || parts.every(({ id }) => done.some(({ part }) => part === id));
