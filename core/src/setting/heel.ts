import type { Degrees, Millimetres } from '../quantity';

/*
 * A heel that is raised: wedges under it for a pointed foot, a lift under the other shoe for a high sole.
 */

/** Below this two heights are one: a height of whole wedges does not add up to the last bit. */
const hair = 1e-9;

/**
 * How high a heel stands over the ball for a foot that points downward: h = L sin(theta), L from heel to the ball of the foot
 * (not the foot's length). 20 degrees on 181 mm: 62 mm. Trigonometry, no source needed.
 * @returns mm; none for a foot that points upward
 */
export const wedgeHeight = (plantarflexion: Degrees, heelToBall: Millimetres): Millimetres =>
  heelToBall * Math.sin((Math.max(0, plantarflexion) * Math.PI) / 180);

/** The inverse: how far a foot points on a heel so high; undefined where no foot stands on that. */
export const wedgeAngle = (height: Millimetres, heelToBall: Millimetres): Degrees | undefined =>
  heelToBall > 0 && height <= heelToBall ? (Math.asin(height / heelToBall) * 180) / Math.PI : undefined;

/** How many wedges of one thickness hold a foot at an angle, never less pointed than that, and the angle they give. */
export function wedgesFor(
  plantarflexion: Degrees,
  heelToBall: Millimetres,
  each: Millimetres,
): { count: number; angle: Degrees } | undefined {
  const count = Math.max(0, Math.ceil(wedgeHeight(plantarflexion, heelToBall) / each - hair));
  const angle = wedgeAngle(count * each, heelToBall);
  return Number.isFinite(count) && angle !== undefined ? { count, angle } : undefined;
}

/**
 * The lift under the other shoe: what the brace's sole is higher than that shoe's, less what the braced leg is shorter by.
 * @param shorterBy mm that the braced leg is shorter than the other; longer is negative
 * @returns mm; negative where the braced side would still stand lower
 */
export const liftFor = (
  braceSole: Millimetres,
  otherSole: Millimetres,
  shorterBy: Millimetres,
): Millimetres => braceSole - otherSole - shorterBy;
