import type { Degrees } from '../quantity';
import { bentTo, handFor, keptIn, placeAfter, type LearnedSpring } from './springback';

/** The next pass at one place of a bar. */
export type BenchPass =
  | {
      ok: true;
      /** what shall stay of it, and between which angles it will with what is known of the bar */
      keeps: Degrees;
      between: readonly [Degrees, Degrees];
      /** how far the irons go from where the bar stands; undefined by hand alone */
      hand?: Degrees;
      /** passes to the end, this one with them */
      passes: number;
    }
  /** with irons this far apart it would come all the way back */
  | { ok: false; why: 'stays-elastic'; elastic: Degrees }
  /** what is here already is not known well enough for so little more: the bar is looked at first */
  | { ok: false; why: 'look-first' };

/** A bend is done when no more than this is left of it: finer is not bent. An estimate. */
export const bendDone: Degrees = 0.5;

/**
 * What a hand leaves at a place, beyond what is there.
 * @param hand how far it goes from where the place stands, either way
 * @param hands that went before
 * @returns degrees more that stay, in the hand's own direction
 */
export function leavesOf(hand: Degrees, hands: readonly Degrees[], elastic: Degrees): Degrees {
  const place = placeAfter(hands, elastic);
  const now = keptIn(place, elastic);
  return Math.sign(hand) * (bentTo(place, (now + hand) / elastic).kept * elastic - now);
}

/**
 * What the next pass at a place shall leave, and how far the hand goes for it: no more than the frame takes in one pass, and
 * no further than that a bar which keeps more than it is known to still stays short of the whole. What is overdone would have to
 * be bent back.
 * @param left degrees that this place still lacks; away from the limb positive
 * @param hands that went before at this place, each from where it stood
 * @param increment the most that one pass may leave
 * @param spring of this bar; undefined where it is bent by hand, without irons
 */
export function nextPass(
  left: Degrees,
  hands: readonly Degrees[],
  increment: Degrees,
  spring: LearnedSpring | undefined,
): BenchPass {
  const direction = Math.sign(left);
  const keeps = Math.min(increment, Math.abs(left));
  const passes = Math.max(1, Math.ceil(Math.abs(left) / increment - 1e-9));
  if (!spring) return { ok: true, keeps, between: [keeps, keeps], passes };
  const { elastic, within } = spring;
  const place = placeAfter(hands, elastic);
  const before = keptIn(place, elastic);
  const wanted = handFor(place, before + direction * keeps, elastic);
  if (wanted === undefined) return { ok: false, why: 'stays-elastic', elastic };
  const leaves = (hand: Degrees, back: Degrees): Degrees => leavesOf(direction * hand, hands, back);
  const soft = Math.max(elastic * 0.3, elastic - 1.64 * within);
  const springy = elastic + 1.64 * within;
  const most = Math.min(Math.abs(left) + bendDone, increment * 1.25 + bendDone);
  // a bar that comes back less keeps more of the same hand: it is held short of overdoing
  let hand = wanted;
  if (leaves(hand, soft) > most) {
    let [short, far] = [0, wanted];
    for (let i = 0; i < 30; i += 1) {
      const middle = (short + far) / 2;
      if (leaves(middle, soft) > most) far = middle;
      else short = middle;
    }
    hand = short;
  }
  const kept = leaves(hand, elastic);
  if (kept < Math.min(bendDone, keeps / 2)) return { ok: false, why: 'look-first' };
  return {
    ok: true,
    keeps: kept,
    between: [Math.max(0, leaves(hand, springy)), leaves(hand, soft)],
    hand,
    passes,
  };
}
