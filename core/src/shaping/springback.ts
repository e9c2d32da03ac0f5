import type { Degrees } from '../quantity';

/*
 * One place of a bar through all its bends. The bar is elastic and then plastic without hardening, as the closed form above has it;
 * it is followed in layers through its thickness, each with the strain that stayed in it. So a second pass starts from
 * the bent bar and a bend back from what the first one left in it, and for a virgin bar the closed form comes out.
 */

/** The strain that stayed in each layer from the middle outwards, in units of the strain at which it yields. */
export type BentPlace = readonly number[];

const layers = 48;
/** heights of the layers' middles over the neutral line, as shares of half the thickness */
const heights = Array.from({ length: layers }, (_, i) => (i + 0.5) / layers);
const inertia = heights.reduce((sum, height) => sum + height * height, 0);

export const virginPlace: BentPlace = heights.map(() => 0);

/**
 * A place held at an angle by the irons and let go.
 * @param place as it is before
 * @param hand the angle it is held at, counted from the straight bar, in units of the elastic angle; either way
 * @returns the place afterwards and the angle that stays in it, counted from the straight bar, same units
 */
export function bentTo(place: BentPlace, hand: number): { place: BentPlace; kept: number } {
  const after = heights.map((height, i) => {
    const stress = hand * height - place[i]!;
    return Math.abs(stress) <= 1 ? place[i]! : hand * height - Math.sign(stress);
  });
  // let go it springs back by as much as takes the moment out of it, all of it elastic
  return { place: after, kept: after.reduce((sum, stayed, i) => sum + stayed * heights[i]!, 0) / inertia };
}

/** How far the irons go at most; what needs more is not done with them that far apart. */
export const furthestHand: Degrees = 45;

/** The angle that stays in a place now. */
export const keptIn = (place: BentPlace, elastic: Degrees): Degrees =>
  (place.reduce((sum, stayed, i) => sum + stayed * heights[i]!, 0) / inertia) * elastic;

/**
 * How far the hand goes so that a place keeps an angle.
 * @param place as it is now
 * @param wanted the angle it shall keep in all, counted from the straight bar; either way
 * @param elastic the angle up to which this bar comes all the way back
 * @returns how far from where the place stands now, degrees; undefined where the irons would have to go further than they do
 */
export function handFor(place: BentPlace, wanted: Degrees, elastic: Degrees): Degrees | undefined {
  const now = keptIn(place, elastic);
  const direction = Math.sign(wanted - now);
  if (direction === 0) return 0;
  let [short, far] = [0, furthestHand];
  const reaches = (hand: number) =>
    direction * (bentTo(place, (now + direction * hand) / elastic).kept * elastic - wanted) >= 0;
  if (!reaches(far)) return undefined;
  for (let i = 0; i < 40; i += 1) {
    const middle = (short + far) / 2;
    if (reaches(middle)) far = middle;
    else short = middle;
  }
  return far;
}

/** A place after some bends, each so far from where it stood before. */
export const placeAfter = (hands: readonly Degrees[], elastic: Degrees): BentPlace =>
  hands.reduce((place, hand) => bentTo(place, (keptIn(place, elastic) + hand) / elastic).place, virginPlace);

/** A pass that was made and what it was seen to keep. */
export interface SeenPass {
  /** how far the hand went each time at this place, from where it stood before; away from the limb positive */
  hands: readonly Degrees[];
  /** what the place keeps in all, counted from the bar as it came, with how well that is known */
  kept: Degrees;
  within: Degrees;
}

export interface LearnedSpring {
  /** the angle up to which this bar comes all the way back, and how well that is known (one standard deviation) */
  elastic: Degrees;
  within: Degrees;
  /** from so many passes that were looked at */
  passes: number;
}

/** How well a catalogue knows a bar's elastic angle: the alloy's temper, the section, where the irons sat. An estimate. */
export const catalogueSpread = 0.15;

/**
 * A bar's own springback: the catalogue's elastic angle, corrected by what its passes kept. Bayes on a grid of elastic angles,
 * normal prior and normal errors.
 * @param stated by the catalogue
 * @param seen passes of this bar
 */
export function learnSpring(stated: Degrees, seen: readonly SeenPass[]): LearnedSpring {
  const count = 161;
  const grid = Array.from({ length: count }, (_, i) => stated * (0.4 + (1.2 * i) / (count - 1)));
  const weights = grid.map((elastic) => {
    const prior = ((elastic - stated) / (stated * catalogueSpread)) ** 2;
    const misses = seen.reduce((sum, { hands, kept, within }) => {
      return sum + ((keptIn(placeAfter(hands, elastic), elastic) - kept) / within) ** 2;
    }, 0);
    return -(prior + misses) / 2;
  });
  const highest = Math.max(...weights);
  const shares = weights.map((weight) => Math.exp(weight - highest));
  const sum = shares.reduce((all, share) => all + share, 0);
  const elastic = grid.reduce((mean, one, i) => mean + one * shares[i]!, 0) / sum;
  const variance = grid.reduce((all, one, i) => all + (one - elastic) ** 2 * shares[i]!, 0) / sum;
  return { elastic, within: Math.sqrt(variance), passes: seen.length };
}
