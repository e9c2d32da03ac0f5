import type { PartOf } from '../brace';
import type { Degrees, Millimetres } from '../quantity';
import type { BodyIn, LiveRecord } from '../record';
import {
  alongAt,
  barThrough,
  bendBar,
  heightOf,
  reaching,
  straightBar,
  turnBar,
  type BarShape,
} from './bar-shape';
import { fitBends, gapReadWithin } from './bar-fit';
import type { Arm, BendWays, PlanGrid, PlanLimits } from './bend-plan';
import { bendOf, jawOf, placeProblems, turnOf, waysLeft, type Bend, type FrameLimits } from './bends';
import { bendDone, nextPass, type BenchPass } from './bench-passes';
import { contourOf, targetOf, type Contour, type ContourSource } from './contour';
import { barRead, contourTaken, bendsPlanned, workDone } from './entries';
import { elasticAngle, furthestAngle } from './material';
import { learnSpring, type LearnedSpring, type SeenPass } from './springback';

/** mm: how near a bar shall lie to its contour where nobody states it. An estimate. */
export const barTolerance: Millimetres = 2;

/** Passes that a bar's springback is learned from, the last ones, and hands at one place that are followed. */
const mostSeen = 12;
const mostHands = 8;
/** Bends that one reading is laid upon; those before them are taken as they were meant. */
const mostFitted = 40;

/** A bend that was made on a bar. */
export interface MadeBend extends Bend {
  entry: string;
  /** what it kept: as it was seen, else as it was meant; away from the limb positive */
  turn: Degrees;
  /** how far the hand went, from where the place stood; away from the limb positive */
  hand?: Degrees | undefined;
  /** the bar was looked at since */
  seen: boolean;
}

/** One bend of the plan in force, with what was done of it. */
export interface PlannedWork {
  /** along the bar from its held place, proximal positive */
  at: Millimetres;
  /** to be kept in all, and what of it is; away from the limb positive */
  turn: Degrees;
  done: Degrees;
  made: MadeBend[];
  /** undefined when nothing is left of it */
  next: BenchPass | undefined;
}

/** A bar that is bent to a contour: what was taken of both, what was made, what is planned. */
export interface BarState {
  part: PartOf<'bar'>;
  operation: string;
  /** bent by hand from its mark, without irons, in whatever direction it leaves it */
  byHand: boolean;
  /** so far on either side of its held place it lies on a pad and is not judged by its contour */
  held: Millimetres;
  contour?: (Contour & { entry: string; source: ContourSource }) | undefined;
  shape: BarShape;
  /** its shape was read off it, last by this entry; else it is what bends should have made of it */
  read?: string | undefined;
  /** of what was read last, the most that the bends do not explain */
  unexplained: Millimetres;
  made: MadeBend[];
  spent: Degrees;
  left: Degrees;
  spring?: LearnedSpring | undefined;
  plan?:
    | {
        entry: string;
        work: PlannedWork[];
        gap: Millimetres;
        purpose: 'contour' | 'set';
        /** what it was made from is no longer what is known */
        stale: boolean;
      }
    | undefined;
}

type Plan = BodyIn<typeof bendsPlanned>;

/** The bars that an operation bends, followed through the record. */
export function foldBar(
  record: LiveRecord,
  operation: { id: string; how?: string | undefined },
  part: PartOf<'bar'>,
  frame: FrameLimits,
): BarState {
  const byHand = operation.how === 'by-hand';
  const isOf = (one: { body: { part?: string | undefined } }) => one.body.part === part.id;
  const contourEntry = record.of(contourTaken).findLast(isOf);
  const contour = contourEntry && { ...contourOf(contourEntry.body), entry: contourEntry.id };
  const elastic = byHand || !frame.bar ? undefined : elasticAngle(frame.bar);
  const supplied = frame.bar?.supplied?.[part.id];
  let shape: BarShape = supplied ? reaching(barThrough(supplied), frame.reach) : straightBar(frame.reach);
  let read: string | undefined;
  let unexplained = 0;
  const made: MadeBend[] = [];
  const seen: SeenPass[] = [];
  let fresh: MadeBend[] = [];
  // gaps are read against the contour of their day: one that is taken anew does not change what was read
  let target: ReturnType<typeof targetOf> | undefined;
  for (const entry of record.all) {
    if (entry.kind === contourTaken.kind) {
      const body = entry.body as BodyIn<typeof contourTaken>;
      if (body.part === part.id) target = targetOf(contourOf(body), frame.hingeZone);
    }
    if (entry.kind === workDone.kind) {
      const body = entry.body as BodyIn<typeof workDone>;
      const bend = body.operation === operation.id && body.part === part.id ? bendOf(body) : undefined;
      if (!bend) continue;
      const turn = turnOf(bend);
      const one: MadeBend = {
        ...bend,
        entry: entry.id,
        turn,
        ...(body.hand === undefined ? {} : { hand: Math.sign(turn) * body.hand }),
        seen: false,
      };
      made.push(one);
      fresh.push(one);
    }
    if (entry.kind === barRead.kind) {
      const body = entry.body as BodyIn<typeof barRead>;
      if (body.part !== part.id) continue;
      // before a contour was taken gaps say nothing of the bar
      const points =
        body.what === 'offsets'
          ? body.points
          : body.points.flatMap(({ at, out }) => {
              const wanted = target?.(at);
              return wanted === undefined ? [] : [{ at, out: wanted + out }];
            });
      if (points.length === 0) continue;
      if (byHand || (body.what === 'offsets' && fresh.length === 0)) {
        // by hand a bar bends along its length: it is what was read of it
        shape = reaching(barThrough(byHand ? [{ at: 0, out: 0 }, ...points] : points), frame.reach);
        unexplained = 0;
        for (const one of fresh) one.seen = true;
      } else {
        for (const { place, turn } of fresh.slice(0, -mostFitted)) shape = bendBar(shape, place, turn);
        const laid = fresh.slice(-mostFitted);
        const fitted = fitBends(
          shape,
          laid.map(({ place, turn, hand }) => ({
            along: place,
            turn,
            within: Math.max(1, Math.abs(turn) * (hand === undefined ? 0.5 : 0.3)),
          })),
          points,
        );
        ({ shape, unexplained } = fitted);
        laid.forEach((one, i) => {
          one.turn = fitted.bends[i]!.turn;
          one.seen = true;
        });
        // only what bends leave unexplained within the reading's own error teaches anything of their springback
        if (fitted.unexplained < 3 * gapReadWithin)
          laid.forEach((one, i) => {
            const here = made.slice(0, made.indexOf(one) + 1).filter((other) => other.place === one.place);
            // no place is bent so often; a record that says so is not followed further
            if (here.length <= mostHands && here.every(({ hand }) => hand !== undefined))
              seen.push({
                hands: here.map(({ hand }) => hand!),
                kept: here.reduce((sum, { turn }) => sum + turn, 0),
                within: Math.max(0.4, fitted.bends[i]!.within),
              });
          });
      }
      fresh = [];
      read = entry.id;
    }
  }
  for (const { place, turn } of fresh) shape = bendBar(shape, place, turn);
  if (byHand && contour) shape = laidOn(shape, contour, frame.hingeZone);
  const spring = elastic === undefined ? undefined : learnSpring(elastic, seen.slice(-mostSeen));
  const used = made.reduce((sum, { turn }) => sum + Math.abs(turn), 0);
  const planned = record.of(bendsPlanned).findLast(isOf);
  const plan = planned && followed(planned, byHand, made, frame, spring, record);
  return {
    part,
    operation: operation.id,
    byHand,
    held: frame.hingeZone,
    contour,
    shape,
    read,
    unexplained,
    made,
    spent: used,
    left: Math.max(0, frame.total - used),
    spring,
    plan: plan && {
      ...plan,
      entry: planned.id,
      gap: planned.body.gap,
      purpose: planned.body.purpose,
      stale:
        planned.body.madeFrom.some((id) => record.heldBy(id) !== id) ||
        (planned.body.purpose === 'contour' &&
          (planned.body.madeFrom[0] !== contour?.entry ||
            (read !== undefined && record.isAfter({ id: read }, planned)))),
    },
  };
}

/** By hand a bar is bent from its mark upwards; between irons, from its upper end down. */
export const benchOrder =
  (byHand: boolean) =>
  (a: { at: Millimetres }, b: { at: Millimetres }): number =>
    byHand ? a.at - b.at : b.at - a.at;

/** The bends of a plan with what was made of each since. */
function followed(
  { id, body }: { id: string; body: Plan },
  byHand: boolean,
  made: readonly MadeBend[],
  frame: FrameLimits,
  spring: LearnedSpring | undefined,
  record: LiveRecord,
): { work: PlannedWork[] } {
  const since = made.filter((bend) => record.isAfter({ id: bend.entry }, { id }));
  return {
    work: [...body.bends].sort(benchOrder(byHand)).map(({ at, turn }): PlannedWork => {
      const here = since.filter(({ place }) => Math.abs(place - at) < jawOf(frame) / 2);
      const done = here.reduce((sum, one) => sum + one.turn, 0);
      const left = turn - done;
      const hands = made.filter(({ place }) => Math.abs(place - at) < 1).map(({ hand }) => hand ?? 0);
      return {
        at,
        turn,
        done,
        made: here,
        // done, or overdone: a plan never bends back what it asked for
        next:
          Math.sign(left) !== Math.sign(turn) || Math.abs(left) <= bendDone
            ? undefined
            : nextPass(left, hands, frame.increment, spring),
      };
    }),
  };
}

/** Whether nothing is left of a plan. */
export const isBent = ({ plan }: BarState): boolean =>
  plan !== undefined && plan.work.every(({ next }) => next === undefined);

/** A place on the bar with the gap there: beyond the contour positive, it stands off; negative, it presses. */
export interface GapAt {
  at: Millimetres;
  gap: Millimetres;
}

/**
 * The gap along a bar against its contour, place by place, but for where it is held: there it lies on a pad.
 * @param held so far on either side of its held place
 * @param apart between places along the straight-edge
 */
export function gapsAlong(shape: BarShape, contour: Contour, held: Millimetres, apart: Millimetres): GapAt[] {
  const target = targetOf(contour, held);
  const [low, high] = [shape[0]![0], shape.at(-1)![0]];
  const gaps: GapAt[] = [];
  for (let at = Math.ceil(low / apart) * apart; at <= high + 1e-9; at += apart) {
    const [wanted, is] = [target(at), heightOf(shape, at)];
    if (wanted !== undefined && is !== undefined && Math.abs(at) >= held) gaps.push({ at, gap: is - wanted });
  }
  return gaps;
}

export const largestGap = (gaps: readonly GapAt[]): Millimetres =>
  Math.max(0, ...gaps.map(({ gap }) => Math.abs(gap)));

/** mm between two places along a bar at which its gap is told */
export const gapStep = 2;

/** The largest gap that a bar of some shape leaves to its contour; undefined without one. */
export const gapLeft = ({ contour, held }: BarState, shape: BarShape): Millimetres | undefined =>
  contour && largestGap(gapsAlong(shape, contour, held, gapStep));

/**
 * A bar that nothing rigid holds, laid on its mark: turned about it to where its largest gap is the least.
 * @returns the bar in that direction
 */
export function laidOn(shape: BarShape, contour: Contour, held: Millimetres): BarShape {
  const apart = 6;
  const gapAt = (turn: Degrees) => largestGap(gapsAlong(turnBar(shape, turn), contour, held, apart));
  // along the straight-edge the gap is convex in the slope: what is narrowed in keeps the least
  let [low, high] = [-60, 60];
  for (let i = 0; i < 40; i += 1) {
    const [left, right] = [low + (high - low) / 3, high - (high - low) / 3];
    if (gapAt(left) <= gapAt(right)) high = right;
    else low = left;
  }
  return turnBar(shape, (low + high) / 2);
}

/** What a plan is made from: all that the worker needs and nothing of the case. */
export interface PlanRequest {
  arms: Arm[];
  /** which way along the straight-edge each arm runs */
  directions: (1 | -1)[];
  limits: PlanLimits;
  grid: PlanGrid;
  shape: BarShape;
}

/** The grid that plans are made on: solved to the optimum while the hand waits. */
export const planGrid: PlanGrid = { spacing: 4, angle: 1 };

/** Bends at most that a plan has, on a bar between irons and on one by hand. */
const mostBends = { irons: 6, hand: 9 };

export type NoPlan =
  | 'no-contour'
  | 'no-bar'
  | 'not-bendable'
  | 'unbent'
  | 'nothing-left'
  | 'contour-too-short'
  | 'contour-too-steep';

/** The steepest that a bar is planned to stand against its straight-edge; common practice, no source. */
const steepestBar: Degrees = 40;
/** Over so far a contour is looked at for its slope: one reading that is off by a little is no slope. */
const slopeOver: Millimetres = 20;

/** Whether a contour beyond the hinge's zone runs steeper than a bar ever stands: no limb does, a slip of the hand does. */
function isTooSteep(
  target: (at: Millimetres) => Millimetres | undefined,
  { hingeZone }: Pick<FrameLimits, 'hingeZone'>,
): boolean {
  const most = Math.tan((steepestBar * Math.PI) / 180) * slopeOver;
  for (let at = hingeZone; ; at += 1) {
    const [from, to] = [target(at), target(at + slopeOver)];
    if (from === undefined || to === undefined) return false;
    if (Math.abs(to - from) > most) return true;
  }
}

/** What a bar's plan is computed from, or why there is none. */
export function planRequest(
  bar: BarState,
  frame: FrameLimits,
  grid: PlanGrid = planGrid,
): { ok: true; request: PlanRequest } | { ok: false; why: NoPlan } {
  const { contour, shape, part, byHand, made } = bar;
  if (!frame.bar) return { ok: false, why: 'no-bar' };
  const [general] = placeProblems(part.id, Math.max(frame.hingeZone, 1), frame);
  if (general === 'not-bendable' || general === 'unbent') return { ok: false, why: general };
  if (!contour) return { ok: false, why: 'no-contour' };
  if (bar.left < grid.angle) return { ok: false, why: 'nothing-left' };
  const target = targetOf(contour, frame.hingeZone);
  const arms: Arm[] = [];
  const directions: (1 | -1)[] = [];
  for (const direction of [1, -1] as const) {
    const beyond: number[] = [];
    const mayBend: BendWays[] = [];
    for (let i = 0; ; i += 1) {
      const at = direction * i * grid.spacing;
      const [wanted, is] = [target(at), heightOf(shape, at)];
      if (wanted === undefined || is === undefined) break;
      const along = alongAt(shape, at)!;
      const ways = waysLeft(part.id, along, made, frame);
      const half = frame.bar.jaw / 2;
      // the irons' whole width stays out of the zones; a bend's middle is half of it away
      const free =
        i > 0 &&
        [along - half, along, along + half].every(
          (place) =>
            (place !== along && Math.abs(place) > (place >= 0 ? frame.reach.proximal : frame.reach.distal)) ||
            placeProblems(part.id, place, frame).length === 0,
        );
      beyond.push(i === 0 || Math.abs(at) < frame.hingeZone ? 0 : wanted - is);
      mayBend.push(
        !free ? 'none' : ways === 'both' ? 'both' : ways === 'away-from-limb' ? 'away' : 'towards',
      );
    }
    if (beyond.length < 2) continue;
    arms.push({ beyond, mayBend, freeStart: byHand });
    directions.push(direction);
  }
  if (arms.length === 0) return { ok: false, why: 'contour-too-short' };
  if (directions.some((direction) => isTooSteep((at) => target(direction * at), frame)))
    return { ok: false, why: 'contour-too-steep' };
  return {
    ok: true,
    request: {
      arms,
      directions,
      limits: {
        jaw: frame.bar.jaw,
        left: bar.left,
        // no bend can be more than twice this: none is tighter than the material bears
        steepest: Math.min(steepestBar, furthestAngle(frame.bar) / 2),
        most: byHand ? mostBends.hand : mostBends.irons,
      },
      grid,
      shape,
    },
  };
}

/** The bends of a plan as they are marked on the bar: along it, from its held place, proximal positive. */
export interface BarBend {
  at: Millimetres;
  turn: Degrees;
}

/** A bar with bends that are ahead: as it is held, or laid on its mark anew. */
export const barAfter = (bar: BarState, bends: readonly BarBend[]): BarShape => {
  const bent = bends.reduce((shape, { at, turn }) => bendBar(shape, at, turn), bar.shape);
  return bar.byHand && bar.contour ? laidOn(bent, bar.contour, bar.held) : bent;
};

/** A choice of the search on the bar itself: places along the straight-edge become places along the bar. */
export function onBar(
  { shape, directions }: PlanRequest,
  {
    bends,
    starts,
  }: { bends: readonly { arm: number; at: Millimetres; turn: Degrees }[]; starts: readonly Degrees[] },
): BarBend[] {
  let bent = shape;
  // where nothing rigid holds it the bar has one arm, and stands as that leaves
  const start = directions.length === 1 ? starts[0]! : 0;
  if (start !== 0) bent = turnBar(bent, start);
  const placed: BarBend[] = [];
  for (const { arm, at, turn } of [...bends].sort((a, b) => a.at - b.at)) {
    const along = alongAt(bent, directions[arm]! * at);
    if (along === undefined) continue;
    // to tenths: no bench works finer
    const bend = { at: Math.round(along), turn: Math.round(turn * 10) / 10 };
    bent = bendBar(bent, bend.at, bend.turn);
    placed.push(bend);
  }
  return placed;
}
