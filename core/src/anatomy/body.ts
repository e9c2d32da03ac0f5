import { LRUCache } from 'lru-cache';
import type { Millimetres } from '../quantity';
import { ankleBody } from './ankle-view';
import { fitted, type BodyReadings } from './body-readings';
import type { BodyView, RegionBody } from './body-view';
import type { Build } from './build';
import { landmarkLevel, type Landmark } from './landmark';
import { legBody } from './leg-view';
import { neckBody } from './neck-view';
import type { Region } from './region';
import { shoulderBody } from './shoulder-view';
import type { Side } from './side';
import { trunkBody } from './trunk-view';

/** A body part, drawn from its readings. */
export interface Body {
  views: BodyView[];
  /** a landmark's level from the region's datum */
  level: (landmark: Landmark) => Millimetres | undefined;
  /** levels at which the drawing was held within what a body can be: the reading says more or less */
  held: Millimetres[];
}

const bodyOfRegion: Record<Region, (readings: BodyReadings, side: Side, build: Build) => RegionBody> = {
  leg: legBody,
  trunk: trunkBody,
  neck: neckBody,
  shoulder: shoulderBody,
  ankle: ankleBody,
};

/**
 * A body part from its readings: an average body's outline scaled to them. An estimate, exact only where something
 * was read, and never more than a body can be.
 * @param region the part
 * @param side which of a pair
 * @param readings what was read; nothing leaves the average
 * @param build the body's proportions
 */
export function bodyOf(region: Region, side: Side, readings: BodyReadings, build: Build): Body {
  const of = JSON.stringify([region, side, readings, build]);
  const known = drawn.get(of);
  if (known) return known;
  const body = bodyFrom(region, side, readings, build);
  drawn.set(of, body);
  return body;
}

/** Bodies that were drawn lately: the figure, the straps and the bars of a page ask for the same one at every entry. */
const drawn = new LRUCache<string, Body>({ max: 32 });

function bodyFrom(region: Region, side: Side, readings: BodyReadings, build: Build): Body {
  const { build: fit, held } = fitted(region, readings, build);
  const body = bodyOfRegion[region](readings, side, fit);
  const level = body.level ?? ((landmark: Landmark) => landmarkLevel(region, landmark, fit));
  return { views: body.views, level, held: [...body.held, ...held.map((landmark) => level(landmark) ?? 0)] };
}
