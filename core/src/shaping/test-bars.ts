import type { PartOf } from '../brace';
import { liveRecord, type Recorded } from '../record';
import { foldBar, gapsAlong, largestGap, onBar, planRequest, type BarState } from './bar';
import { bendBar, heightOf, straightBar, type BarShape } from './bar-shape';
import { planBends, type Arm } from './bend-plan';
import type { FrameLimits } from './bends';
import { targetOf, type Station } from './contour';
import { decideBends } from './planned';
import { elasticAngle } from './material';
import { bentTo, keptIn, virginPlace, type BentPlace } from './springback';

/*
 * A bar on a bench, for tests and the bench: its true springback is hidden from the plan, what is read off it is not exact.
 */

/** Numbers from 0 to 1 that come the same each time (mulberry32). */
export function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
const normal = (roll: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll());

export const benchFrame: FrameLimits = {
  bendable: true,
  hingeZone: 40,
  reach: { proximal: 185, distal: 180 },
  increment: 6,
  total: 60,
  bar: { material: 'aluminium', thickness: 3, width: 18, spread: 60, jaw: 20 },
};
export const bar: PartOf<'bar'> = {
  kind: 'bar',
  id: 'upright-lateral',
  course: [
    { from: 'trochanter', face: 'lateral' },
    { from: 'malleoli', face: 'lateral' },
  ],
};
export const bends = { id: 'bend-uprights' };

/** A side of a leg, invented: nearly flat at the hinge, hollow or bulging above and below it. */
export function someLimb(roll: () => number): Station[] {
  const [above, below, wave, length] = [4 + 14 * roll(), -4 + 12 * roll(), 1.2 * roll(), 70 + 40 * roll()];
  const out = (at: number): number => {
    const beyond = Math.max(0, Math.abs(at) - 30);
    return at > 0
      ? above * (1 - Math.cos((beyond / 155) * Math.PI * 0.6)) + wave * Math.sin(beyond / 18)
      : below * Math.sin(beyond / length);
  };
  return Array.from({ length: 19 }, (_, i) => i * 20 - 180).map((at) => ({ at, out: out(at) }));
}

/** Entries of one bar as they would stand in the record. */
export function barRecord(frame: FrameLimits, operation: { id: string; how?: string } = bends, part = bar) {
  const entries: Recorded[] = [];
  const write = (kind: string, body: object): string => {
    const id = `e${entries.length + 1}`;
    entries.push({
      id,
      kind,
      body,
      seq: entries.length + 1,
      observedAt: '2026-03-02T09:00:00.000Z',
    } as Recorded);
    return id;
  };
  const state = (): BarState =>
    foldBar(
      liveRecord(
        { lines: [], live: entries, heldBy: new Map(entries.map(({ id }) => [id, id])) },
        'Europe/Madrid',
      ),
      operation,
      part,
      frame,
    );
  /** plans as the screen does, and takes the fewest bends that lie within a tolerance */
  const plan = (tolerance: number): boolean => {
    const now = state();
    const asked = planRequest(now, frame);
    if (!asked.ok) return false;
    const choices = planBends(asked.request.arms, asked.request.limits, asked.request.grid);
    const chosen = choices.find(({ gap }) => gap <= tolerance) ?? choices.at(-1)!;
    const placed = onBar(asked.request, chosen);
    const body = decideBends(
      { shaping: { bars: [now] }, model: { frame }, programmePin: { hash: 'x' } },
      part.id,
      'contour',
      placed,
    );
    if (body) write('shape.planned', body);
    return placed.length > 0;
  };
  return { entries, write, state, plan };
}

/** The bar itself: its places through all their bends, its shape. */
export function realBar(frame: FrameLimits, truth: number) {
  const places = new Map<number, BentPlace>();
  const order: number[] = [];
  return {
    bend(at: number, hand: number): void {
      const place = places.get(at) ?? virginPlace;
      if (!places.has(at)) order.push(at);
      places.set(at, bentTo(place, (keptIn(place, truth) + hand) / truth).place);
    },
    shape: (): BarShape =>
      order.reduce<BarShape>(
        (shape, at) => bendBar(shape, at, keptIn(places.get(at)!, truth)),
        straightBar(frame.reach),
      ),
  };
}

export interface Shaped {
  passes: number;
  gap: number;
}

const mostPasses = 40;
/** mm: how exactly a gap is read */
const readingNoise = 0.4;

/** One limb, its bar bent by the plan: planned, a pass at each place, read, planned again, until it lies. */
export function bentByPlan(
  limb: Station[],
  truthShare: number,
  roll: () => number,
  tolerance: number,
): Shaped {
  const record = barRecord(benchFrame);
  const contour = { points: limb, liner: 6, pad: 6, gap: 0 };
  record.write('shape.contour', { part: bar.id, source: 'straight-edge', ...contour });
  const real = realBar(benchFrame, elasticAngle(benchFrame.bar!) * truthShare);
  const target = targetOf({ ...contour, gapAtTop: 0 }, benchFrame.hingeZone);
  let passes = 0;
  for (let round = 0; round < 12 && passes < mostPasses; round += 1) {
    if (!record.plan(tolerance * 0.8)) break;
    for (let sweep = 0; sweep < 4; sweep += 1) {
      const work = record.state().plan?.work ?? [];
      if (work.every(({ next }) => next === undefined)) break;
      for (const { at, turn, next } of work) {
        if (!next?.ok || next.hand === undefined) continue;
        real.bend(at, Math.sign(turn) * next.hand);
        passes += 1;
        record.write('work.done', {
          operation: bends.id,
          part: bar.id,
          at,
          direction: turn >= 0 ? 'away-from-limb' : 'towards-limb',
          amount: next.keeps,
          hand: next.hand,
        });
      }
      // looked at after each sweep: what the first passes kept tells the hand for the next
      const shape = real.shape();
      const points = limb.flatMap(({ at }) => {
        const [is, wanted] = [heightOf(shape, at), target(at)];
        return is === undefined || wanted === undefined
          ? []
          : [{ at, out: is - wanted + readingNoise * normal(roll) }];
      });
      record.write('shape.bar-read', { part: bar.id, what: 'gaps', points });
    }
    const { shape, contour: of } = record.state();
    if (of && largestGap(gapsAlong(shape, of, benchFrame.hingeZone, 2)) <= tolerance) break;
  }
  return {
    passes,
    gap: largestGap(gapsAlong(real.shape(), { ...contour, gapAtTop: 0 }, benchFrame.hingeZone, 2)),
  };
}

/** The same limb by the naive rule: at the same places the hand goes as far as is wanted, then by what is still missing more. */
export function bentNaively(
  limb: Station[],
  truthShare: number,
  roll: () => number,
  tolerance: number,
): Shaped {
  const record = barRecord(benchFrame);
  const contour = { points: limb, liner: 6, pad: 6, gap: 0 };
  record.write('shape.contour', { part: bar.id, source: 'straight-edge', ...contour });
  record.plan(tolerance * 0.8);
  const truth = elasticAngle(benchFrame.bar!) * truthShare;
  const work = record.state().plan?.work ?? [];
  const places = work.map(() => virginPlace);
  const hands = work.map(() => 0);
  let passes = 0;
  for (let round = 0; round < 12 && passes < mostPasses; round += 1) {
    let missing = 0;
    for (const [i, { turn }] of work.entries()) {
      // seen by eye: as exactly as by a rule
      const left = turn - keptIn(places[i]!, truth) + 0.4 * normal(roll);
      if (Math.abs(left) <= 1) continue;
      missing += 1;
      hands[i] = hands[i]! + left;
      places[i] = bentTo(places[i]!, hands[i]! / truth).place;
      passes += 1;
    }
    if (missing === 0) break;
  }
  const shape = work.reduce<BarShape>(
    (bent, { at }, i) => bendBar(bent, at, keptIn(places[i]!, truth)),
    straightBar(benchFrame.reach),
  );
  return { passes, gap: largestGap(gapsAlong(shape, { ...contour, gapAtTop: 0 }, benchFrame.hingeZone, 2)) };
}

/** Both ways over so many limbs, each with a bar whose springback is its own. */
export function overLimbs(count: number, tolerance: number, seed = 11) {
  const roll = dice(seed);
  const limbs = Array.from({ length: count }, () => ({
    limb: someLimb(roll),
    truth: Math.min(1.4, Math.max(0.65, 1 + 0.15 * normal(roll))),
  }));
  const told = (way: typeof bentByPlan) => {
    const results = limbs.map(({ limb, truth }) => way(limb, truth, roll, tolerance));
    const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
    const most = (values: number[], share: number) =>
      values.sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!;
    return {
      passes: middle(results.map(({ passes }) => passes)),
      gap: middle(results.map(({ gap }) => gap)),
      gapOfNineInTen: most(
        results.map(({ gap }) => gap),
        0.9,
      ),
      within: results.filter(({ gap }) => gap <= tolerance + 0.5).length / count,
    };
  };
  return { byPlan: told(bentByPlan), naively: told(bentNaively) };
}

/** A lateral contour, invented: flat at the hinge, hollow above it, a bulge below. */
export const hollow = (x: number) =>
  9 * (1 - Math.cos(Math.max(0, x - 30) / 60)) + 1.5 * Math.sin(Math.max(0, x - 30) / 20);
export const bulge = (x: number) => 6 * Math.sin(Math.max(0, x - 30) / 55);
export const sampled = (of: (x: number) => number, spacing: number, length = 180, keptOut = 45): Arm => ({
  beyond: Array.from({ length: Math.round(length / spacing) + 1 }, (_, i) => of(i * spacing)),
  mayBend: Array.from({ length: Math.round(length / spacing) + 1 }, (_, i) =>
    i * spacing < keptOut ? 'none' : 'both',
  ),
  freeStart: false,
});

/**
 * Fewer bends than this cannot stay within a gap: as long as possible with one straight piece after another, each laid as it
 * likes (Imai and Iri's tunnel, without its joints). Every bar with so many bends is such a row of pieces.
 */
function piecesAtLeast(beyond: readonly number[], spacing: number, gap: number): number {
  let pieces = 0;
  for (let first = 0; first < beyond.length;) {
    // slopes and heights of a line that passes within the gap of all stations from the first on: does any exist?
    let last = first;
    while (last + 1 < beyond.length && lineExists(beyond.slice(first, last + 2), spacing, gap)) last += 1;
    pieces += 1;
    first = last + 1;
  }
  return pieces;
}
/** A line within the gap of every station exists when no lower bound stands over an upper one for all slopes: checked by all pairs. */
function lineExists(beyond: readonly number[], spacing: number, gap: number): boolean {
  let [least, most] = [-Infinity, Infinity];
  for (let i = 0; i < beyond.length; i += 1)
    for (let j = i + 1; j < beyond.length; j += 1) {
      const run = (j - i) * spacing;
      least = Math.max(least, (beyond[j]! - gap - (beyond[i]! + gap)) / run);
      most = Math.min(most, (beyond[j]! + gap - (beyond[i]! - gap)) / run);
    }
  return least <= most + 1e-9;
}

/** The least gap that so few pieces can stay within, by halving. */
export function gapAtLeast(beyond: readonly number[], spacing: number, bends: number): number {
  let [low, high] = [0, Math.max(...beyond.map(Math.abs))];
  for (let i = 0; i < 24; i += 1) {
    const middle = (low + high) / 2;
    if (piecesAtLeast(beyond, spacing, middle) - 1 <= bends) high = middle;
    else low = middle;
  }
  return low;
}
