import type { PartOf } from '../brace';
import type { Kilopascals, Millimetres, Newtons } from '../quantity';

/** How a strap ends: the share of the girth that it goes, what lies over itself, where it finishes. */
export type StrapEnds = NonNullable<PartOf<'strap'>['ends']>;

export interface StrapLength {
  /** from its anchor to its end, over the girth as it is now */
  now: Millimetres;
  /** over the largest girth expected: swelling, a muscle that works */
  room: Millimetres;
  /** what it is cut to: it has to reach over the largest */
  cut: Millimetres;
  /** at the girth of today, what of it lies over itself */
  overlapNow: Millimetres;
}

/**
 * How long a strap has to be: girth at the strap times the wrapped part, and what lies over itself (formulas, Strapping).
 * @param girth mm at the strap
 * @param largest mm, the largest girth that is expected there; the girth itself where nothing is
 */
export function strapLength(
  { wraps, overlap }: Pick<StrapEnds, 'wraps' | 'overlap'>,
  girth: Millimetres,
  largest: Millimetres = girth,
): StrapLength {
  const now = girth * wraps + overlap;
  const room = Math.max(girth, largest) * wraps + overlap;
  return { now, room, cut: Math.ceil(room), overlapNow: overlap + room - now };
}

/** Hook on loop, along the closure, before it peels: a usual value, from memory; the maker's own goes before it. */
export const usualShear: Kilopascals = 60;
/** What a closure holds more than it has to: an estimate. */
export const closureSafety = 3;

/**
 * Whether an overlap holds: area times shear strength against tension times the safety factor.
 * @param width of the strap, mm
 */
export function overlapHolds(
  overlap: Millimetres,
  width: Millimetres,
  tension: Newtons,
  shear: Kilopascals = usualShear,
): { holds: boolean; least: Millimetres; strength: Newtons } {
  // kPa times mm² is a thousandth of a newton
  const strength = (overlap * width * shear) / 1000;
  const least = (tension * closureSafety * 1000) / (width * shear);
  return { holds: strength >= tension * closureSafety, least, strength };
}

/**
 * Where a strap's end comes to lie, in degrees round the limb from the upright that it is anchored at, 180 at the other side.
 * Half the girth goes over to the other upright, the rest comes back.
 * @param length from the anchor to the end, mm
 */
export function endLies(length: Millimetres, girth: Millimetres): number {
  const round = (length / girth) * 360;
  return round <= 180 ? round : Math.max(0, 360 - round);
}
