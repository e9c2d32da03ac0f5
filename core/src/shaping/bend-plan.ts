import type { Degrees, Millimetres } from '../quantity';
import { leastGaps, leastTurning, type ArmOnGrid, type GridBend } from './bend-search';

/**
 * A stretch of a bar from the place where it is held outwards: a hinge's centre, the mark on the sacrum. Everything is
 * counted from there along the straight-edge.
 */
export interface Arm {
  /** how far the contour lies beyond the bar as it is, at each station of the grid from 0 on; mm, away from the limb positive */
  beyond: readonly Millimetres[];
  /** where a bend may be, station by station, and which way */
  mayBend: readonly BendWays[];
  /** the bar leaves its place in any direction: nothing rigid holds it there */
  freeStart: boolean;
}

export type BendWays = 'both' | 'away' | 'towards' | 'none';

/** How finely a plan is made: bends stand on stations so far apart, their slopes are multiples of this share of the tangent of 1 degree. */
export interface PlanGrid {
  spacing: Millimetres;
  angle: Degrees;
}

export interface PlanLimits {
  /** no bend nearer to another than the irons are wide */
  jaw: Millimetres;
  /** all bends of the bar together, what is spent taken off */
  left: Degrees;
  /** the steepest a bar stands against its straight-edge */
  steepest: Degrees;
  /** bends at most */
  most: number;
}

/** One bend of a plan: on which arm, how far from its start, how far; away from the limb positive. */
export interface PlannedBend {
  arm: number;
  at: Millimetres;
  turn: Degrees;
}

/** What so many bends reach. */
export interface BendChoice {
  bends: PlannedBend[];
  /** the direction in which each arm leaves its place; 0 where it is held */
  starts: Degrees[];
  /** the largest gap left between bar and contour, and what no such plan can be below */
  gap: Millimetres;
  atLeast: Millimetres;
}

const rad = Math.PI / 180;
const near = 1e-9;
/** grids are halved no more than so often before they are solved */
const coarsest = 3;

/** cells of the programme that are looked at before halving ends: a few seconds of a slow machine, the same answer on each */
const workload = 1.5e8;

/** A plan on the grid: by arm, the direction it starts in and its bends, in units of the grid. */
type GridPlan = { start: number; bends: GridBend[] }[];

interface Solved {
  plan: GridPlan;
  gap: Millimetres;
  atLeast: Millimetres;
}

/**
 * Where a bar is bent and how far, so that the largest gap to its contour is the least that so many bends can give, for
 * every number of bends up to the most. On the grid it is the optimum: bends on stations, slopes in whole units, at least a
 * jaw apart, the sum of all within what the frame has left; among equally good ones the one that turns least.
 *
 * Without the frame's limit a dynamic programme gives the least gap for each number of bends. Where the limit is kept by a
 * plan of that gap, it is the answer; else the answer is the least gap between it and a coarser grid's at which another
 * programme, whose value is the turning, stays within the limit: found by halving among the gaps that can be.
 *
 * A bar ends where its contour ends: the last bend stands a jaw's width before the last station, and what lies beyond goes
 * on straight. A contour no bends can follow (to and fro, far off) would be halved for minutes: after a fixed amount of work
 * the best plan found so far is the answer, and `atLeast` says how much better one could still be.
 *
 * @param arms of one bar, from its held place outwards; they share the limits
 * @param within how near to the optimum is enough, as a share of the gap; 0 solves it to the last digit
 * @param onProgress told as numbers of bends are solved, from 0 to 1
 * @returns by number of bends, from none on; more bends that give nothing better are left out
 * @throws RangeError when the grid or the arms are no such thing
 */
export function planBends(
  arms: readonly Arm[],
  limits: PlanLimits,
  grid: PlanGrid,
  { within = 0, onProgress }: { within?: number; onProgress?: (share: number) => void } = {},
): BendChoice[] {
  if (
    !(grid.spacing > 0) ||
    !(grid.angle > 0) ||
    arms.length === 0 ||
    arms.some(({ beyond, mayBend }) => beyond.length < 2 || beyond.length !== mayBend.length)
  )
    throw new RangeError('a plan needs a grid and arms with two stations or more, each with its ways');
  const slope = Math.tan(rad) * grid.angle;
  const solved = solve(arms, limits, grid, within, coarsest, onProgress);
  onProgress?.(1);
  return solved.map(({ plan, gap, atLeast }) => ({
    gap,
    atLeast,
    starts: plan.map(({ start }) => Math.atan(start * slope) / rad),
    bends: plan.flatMap(({ start, bends }, arm) => {
      let at = start;
      return bends.map((bend): PlannedBend => {
        const before = Math.atan(at * slope);
        at += bend.turn;
        return { arm, at: bend.at * grid.spacing, turn: (Math.atan(at * slope) - before) / rad };
      });
    }),
  }));
}

/** The same stretch with every other station. */
const everyOther = ({ beyond, mayBend, freeStart }: Arm): Arm => ({
  beyond: beyond.filter((_, i) => i % 2 === 0),
  mayBend: mayBend.filter((_, i) => i % 2 === 0),
  freeStart,
});

/** By number of bends, what each first reaches. */
function solve(
  arms: readonly Arm[],
  limits: PlanLimits,
  grid: PlanGrid,
  within: number,
  deeper: number,
  onProgress?: (share: number) => void,
): Solved[] {
  const rise = Math.tan(rad) * grid.angle * grid.spacing;
  const left = Math.max(0, Math.min(250, Math.floor(limits.left / grid.angle + near)));
  const most = Math.max(0, Math.floor(limits.most));
  const steepest = Math.max(0, Math.floor(limits.steepest / grid.angle + near));
  const works = arms.map(({ beyond, mayBend, freeStart }): ArmOnGrid => ({
    beyond,
    mayBend,
    freeStart,
    rise,
    // an arm that is held can stand no steeper than all its bends together
    steepest: freeStart ? steepest : Math.min(steepest, left),
    jaw: Math.max(1, Math.ceil(limits.jaw / grid.spacing - near)),
  }));
  const worth = (plan: GridPlan) => Math.max(...works.map((work, arm) => gapOf(work, plan[arm]!)));
  // a plan of a coarser grid is one of this grid too: no answer is worse
  const coarse =
    deeper > 0 && arms.every(({ beyond }) => beyond.length > 12)
      ? solve(
          arms.map(everyOther),
          limits,
          { spacing: grid.spacing * 2, angle: grid.angle * 2 },
          Math.max(within, 0.05),
          deeper - 1,
        ).map(({ plan }): GridPlan =>
          plan.map(({ start, bends }) => ({
            start: start * 2,
            bends: bends.map(({ at, turn }) => ({ at: at * 2, turn: turn * 2 })),
          })),
        )
      : [];
  const count = (plan: GridPlan) => plan.reduce((sum, { bends }) => sum + bends.length, 0);
  const none: GridPlan = works.map(() => ({ start: 0, bends: [] }));
  /** the best plan known with no more bends than so many */
  const knownFor = (k: number): { plan: GridPlan; gap: number } =>
    [none, ...coarse]
      .filter((plan) => count(plan) <= k)
      .map((plan) => ({ plan, gap: worth(plan) }))
      .reduce((best, one) => (one.gap < best.gap ? one : best));
  const all = Array.from({ length: most + 1 }, (_, k) => knownFor(k));
  // no bend helps where none may be: with as few bends as reach that gap the search ends
  const forced = Math.max(...works.map(gapWithoutBend));
  const enough = all.findIndex(({ gap }) => gap <= forced + 1e-6);
  const known = enough < 0 ? all : all.slice(0, enough + 1);
  onProgress?.(0.1);
  const alone = works.map((work) =>
    leastGaps(
      work,
      known.map(({ gap }) => gap),
    ),
  );
  onProgress?.(0.3);
  const bounds = known.map((_, k) => sharedGap(alone, k));
  const found: Solved[] = [];
  let cells = 0;
  for (let k = 0; k < known.length; k += 1) {
    const before = found.at(-1);
    const bound = bounds[k]!;
    let best = known[k]!;
    if (before && before.gap < best.gap) best = before;
    // as good as fewer bends: nothing is gained by one more
    if (before && bound >= before.gap - 1e-6) continue;
    const atGap = (gap: number): { plan: GridPlan; gap: number } | undefined => {
      for (const work of works)
        cells += work.beyond.length * (1 + (2 * gap) / rise) * (2 * work.steepest + 1) * (k + 1);
      const plan = withLeastTurning(works, gap, k, left);
      return plan && { plan, gap: worth(plan) };
    };
    let atLeast = bound;
    const exact = atGap(bound + 1e-6);
    if (exact) best = exact;
    else {
      const candidates = gapsBetween(works, bound, best.gap);
      let [cannot, can] = [0, candidates.length];
      while (can - cannot > 1 && best.gap > (1 + within) * atLeast && cells < workload) {
        const middle = (cannot + can) >> 1;
        const tried = atGap(candidates[middle]! + 1e-6);
        if (tried) {
          best = tried;
          can = middle;
        } else {
          cannot = middle;
          atLeast = candidates[middle]!;
        }
      }
      // between the last that cannot be and the least that can there is no gap of the grid
      if (can - cannot <= 1) atLeast = best.gap;
    }
    onProgress?.(0.3 + (0.69 * (k + 1)) / known.length);
    if (!before || best.gap < before.gap - 1e-6)
      found.push({ plan: best.plan, gap: best.gap, atLeast: Math.min(atLeast, best.gap) });
  }
  return found;
}

/** The gap that any plan leaves on an arm that is held: up to the first place where a bend may be it stands as it stands. */
function gapWithoutBend({ beyond, mayBend, freeStart }: ArmOnGrid): Millimetres {
  const first = mayBend.findIndex((ways) => ways !== 'none');
  const held = freeStart ? beyond.slice(0, 1) : first < 0 ? beyond : beyond.slice(0, first + 1);
  return Math.max(...held.map(Math.abs));
}

/** The largest gap that a plan leaves on an arm. */
function gapOf(
  { beyond, rise }: ArmOnGrid,
  { start, bends }: { start: number; bends: readonly GridBend[] },
): Millimetres {
  let [height, slope, gap, next] = [0, start, 0, 0];
  for (let i = 0; i < beyond.length; i += 1) {
    gap = Math.max(gap, Math.abs(beyond[i]! - height * rise));
    while (bends[next]?.at === i) {
      slope += bends[next]!.turn;
      next += 1;
    }
    height += slope;
  }
  return gap;
}

/** The least gap with so many bends shared out among the arms, whatever they turn. */
function sharedGap(alone: readonly (readonly number[])[], most: number): Millimetres {
  let best = Array.from({ length: most + 1 }, () => 0);
  for (const arm of alone)
    best = best.map((_, k) =>
      Math.min(...Array.from({ length: k + 1 }, (_, own) => Math.max(arm[own]!, best[k - own]!))),
    );
  return best[most]!;
}

/** The plan within a gap that has no more than so many bends and turns least; undefined when all turn more than is left. */
function withLeastTurning(
  works: readonly ArmOnGrid[],
  gap: Millimetres,
  most: number,
  left: number,
): GridPlan | undefined {
  const reached = [];
  for (const work of works) {
    const one = leastTurning(work, gap, most, left);
    if (!one) return undefined;
    reached.push(one);
  }
  let shares: { of: number[]; used: number }[] = [{ of: [], used: 0 }];
  for (const { turning } of reached) {
    const next: { of: number[]; used: number }[] = [];
    for (const { of, used } of shares)
      for (const [own, turned] of turning.entries()) {
        const k = of.reduce((sum, one) => sum + one, 0) + own;
        const all = used + turned;
        if (all > left || k > most) continue;
        if (!next[k] || all < next[k].used) next[k] = { of: [...of, own], used: all };
      }
    shares = next.filter((one) => one !== undefined);
  }
  const [best] = [...shares].sort((a, b) => a.used - b.used);
  return best && reached.map(({ planOf }, arm) => planOf(best.of[arm]!));
}

/** Every gap between a height of the grid and the contour that lies between two bounds, rising. */
function gapsBetween(works: readonly ArmOnGrid[], least: Millimetres, most: Millimetres): Float64Array {
  const gaps = new Set<number>([least]);
  for (const { beyond: all, rise } of works)
    for (const beyond of all) {
      for (const direction of [1, -1])
        for (
          let height = direction * Math.ceil((direction * beyond + least) / rise - near);
          Math.abs(height * rise - beyond) <= most;
          height += direction
        )
          gaps.add(Math.abs(height * rise - beyond));
    }
  return Float64Array.from(gaps).sort();
}
