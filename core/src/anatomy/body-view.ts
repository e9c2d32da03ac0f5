import type { Degrees, Millimetres } from '../quantity';
import { landmarkLevel, type Landmark } from './landmark';
import { ankleViews } from './ankle-view';
import { legViews } from './leg-view';
import { neckViews } from './neck-view';
import type { Point } from './outline';
import type { Region } from './region';
import { shoulderViews } from './shoulder-view';
import type { Side } from './side';
import { trunkViews } from './trunk-view';

/** What was read of a body part, as far as it moves its outline. All lengths in mm. */
export interface BodyReadings {
  girths: readonly { from: Landmark; distance: Millimetres; girth: Millimetres }[];
  lengths: readonly { from: Landmark; to: Landmark; length: Millimetres }[];
  widths: readonly { at: Landmark; across: 'mediolateral' | 'anteroposterior'; width: Millimetres }[];
  /** leaning forward positive, at shares of the way from the first landmark down to the last */
  inclinations: readonly { at: number; angle: Degrees }[];
  footLength?: Millimetres;
}

export const nothingRead: BodyReadings = { girths: [], lengths: [], widths: [], inclinations: [] };

/** One view of a body part: its outline with the places on it, in mm, y up along the body. */
export interface BodyView {
  id: 'front' | 'back' | 'side' | 'outer';
  /** closed outline of the skin */
  skin: Point[];
  /** inner form lines */
  lines: Point[][];
  /** the skin's edges at a level, smaller first; of the part that a tape goes round */
  edges: (level: Millimetres) => [Millimetres, Millimetres] | undefined;
  /** where a landmark lies in this view, if it is seen or felt from there */
  place: (landmark: Landmark) => Point | undefined;
  /** the way of a tape along the body between two landmarks, if it runs in this view */
  along: (from: Landmark, to: Landmark) => Point[] | undefined;
  /** sides lettered on the drawing */
  letters: readonly { text: 'R' | 'L' | 'M'; at: Point }[];
}

export interface ViewsOf {
  (readings: BodyReadings, side: Side, stature: Millimetres): BodyView[];
}

const viewsOf: Record<Region, ViewsOf> = {
  leg: legViews,
  trunk: trunkViews,
  neck: neckViews,
  shoulder: shoulderViews,
  ankle: ankleViews,
};

/**
 * The views of a body part, drawn from its readings: an average body's outline scaled to them. An estimate,
 * exact only where something was read.
 * @param region the part
 * @param side which of a pair
 * @param readings what was read; nothing leaves the average
 * @param stature in mm; sets the lengths
 */
export const bodyViews = (
  region: Region,
  side: Side,
  readings: BodyReadings,
  stature: Millimetres,
): BodyView[] => viewsOf[region](readings, side, stature);

/** A landmark's level with a distance along the body from it. */
export const levelFrom = (
  region: Region,
  landmark: Landmark,
  distance: Millimetres,
  stature: Millimetres,
): Millimetres => (landmarkLevel(region, landmark, stature) ?? 0) + distance;
