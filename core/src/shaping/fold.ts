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
import { foldBar, type BarState } from './bar';
import type { FrameLimits } from './bends';
import { contourOf, type Contour, type ContourSource } from './contour';
import { contourTaken, scarSeen, workDone } from './entries';
import { foldHeat, type HeatNow } from './heat';
import type { WorkDone } from './kind';
import { canBeDone, partsWorkedOn, type Operation, type OperationKind } from './operations';
import { padAdvice, type PadAdvice } from './pads';
import { foldMarks, type PressureMark } from './pressure-marks';
import type { Zone } from './zones';

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
  /** scars and wounds as they were seen */
  scars: Zone[];
  pads: { pad: PartOf<'pad'>; advice: PadAdvice; done: PadWay }[];
  /** bars that are bent to a contour */
  bars: BarState[];
  /** contours of what is formed and not bent, by part */
  forms: (Contour & { part: string; entry: string; source: ContourSource })[];
  heat: HeatNow[];
  marks: PressureMark[];
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
  const scars = record.of(scarSeen).map(({ body }): Zone => body);
  const worked = record.of(workDone).map(({ id, body }) => ({ ...body, entry: id }));
  const isOf = (kind: OperationKind, id: string) =>
    operations.some((operation) => operation.kind === kind && operation.id === id);
  // nothing is known of the body's build here: pads that go by a mark on it are where they would be on an average one
  const average = buildOf(templateStature);
  const level = (at: Level) => levelIn(region, average, at) ?? 0;
  const bars = operations.flatMap((operation) =>
    operation.kind === 'bend' && operation.how !== 'over-edge' && frame && applies(operation, facts)
      ? partsOfKind(partsWorkedOn(operation, parts), 'bar').map((bar) =>
          foldBar(record, operation, bar, frame),
        )
      : [],
  );
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
    bars,
    forms: record
      .of(contourTaken)
      .filter(({ body }) => bars.every(({ part }) => part.id !== body.part))
      .map(({ id, body }) => ({ ...contourOf(body), entry: id })),
    heat: foldHeat(record),
    marks: foldMarks(record),
    work: operations
      .filter((operation) => canBeDone(operation, parts, frame) && applies(operation, facts))
      .map((operation) => ({
        operation,
        // a part that was left out is not worked on
        parts: partsWorkedOn(operation, parts).filter(({ id }) => facts.parts[id] !== false),
        mayBegin: operation.requires === undefined ? true : holds(operation.requires, facts),
        done: worked.filter(({ operation: id }) => id === operation.id),
      })),
  };
}

/** Work that is asked for has been answered on each of its parts; any other is done where it is needed. */
export const isAnswered = ({ operation, parts, done }: WorkOnBrace): boolean =>
  !operation.asked || parts.every(({ id }) => done.some(({ part }) => part === id));
