import type { Face, Landmark, Region } from '../anatomy';
import { levelOn, type Part } from '../brace';
import type { Millimetres } from '../quantity';

/** What is seen on the skin and recorded. */
export const zoneKinds = ['scar', 'wound'] as const;
type Prominence = 'fibular-head' | 'crest' | 'malleolus' | 'iliac-crest' | 'collar-bone';

/** A stretch of the body on which nothing hard or tight should come to lie; levels in mm from the region's mark. */
export interface Zone {
  what: (typeof zoneKinds)[number] | Prominence;
  face: Face;
  from: Millimetres;
  to: Millimetres;
}

/** Bony prominences by region, from a landmark: common practice, no source; how far they reach is an estimate. */
const prominences: Partial<
  Record<Region, readonly { what: Prominence; face: Face; at: Landmark; above: number; below: number }[]>
> = {
  leg: [
    { what: 'fibular-head', face: 'lateral', at: 'fibular-neck', above: 22, below: 14 },
    { what: 'crest', face: 'front', at: 'tibial-tuberosity', above: -30, below: 220 },
    { what: 'malleolus', face: 'medial', at: 'malleoli', above: 16, below: 16 },
    { what: 'malleolus', face: 'lateral', at: 'malleoli', above: 12, below: 20 },
  ],
  ankle: [
    { what: 'malleolus', face: 'medial', at: 'malleoli', above: 16, below: 16 },
    { what: 'malleolus', face: 'lateral', at: 'malleoli', above: 12, below: 20 },
  ],
  trunk: [
    { what: 'iliac-crest', face: 'right', at: 'iliac-crest', above: 14, below: 18 },
    { what: 'iliac-crest', face: 'left', at: 'iliac-crest', above: 14, below: 18 },
    { what: 'collar-bone', face: 'front', at: 'sternal-notch', above: 26, below: 6 },
  ],
  neck: [{ what: 'collar-bone', face: 'front', at: 'sternal-notch', above: 20, below: 12 }],
  shoulder: [{ what: 'collar-bone', face: 'front', at: 'acromion', above: 6, below: 16 }],
};

/** The prominences of a region on one body. */
export const prominencesOf = (
  region: Region,
  levelOf: (landmark: Landmark) => Millimetres | undefined,
): Zone[] =>
  (prominences[region] ?? []).flatMap(({ what, face, at, above, below }) => {
    const level = levelOf(at);
    return level === undefined ? [] : [{ what, face, from: level + above, to: level - below }];
  });

/** A part on a zone: over how much of it, and what would free it. */
export interface OnZone {
  part: Part;
  zone: Zone;
  over: Millimetres;
  /** how far it is moved to lie clear, proximal positive; undefined where its place is its work */
  move?: Millimetres;
  /** how far its face is brought out over the zone instead */
  flare: Millimetres;
}

/** How far a part is brought off a prominence or a scar where it cannot move. An estimate. */
const flares: Millimetres = 4;

/** The stretches of a part by face: a bar or a strap lies where its course runs, all else between its levels. */
function stretches(
  part: Part,
  levelOf: (landmark: Landmark) => Millimetres | undefined,
): { face: Face; from: Millimetres; to: Millimetres }[] {
  if ('course' in part) {
    const half = part.kind === 'strap' ? part.width / 2 : 0;
    const places = part.course.flatMap((place) => {
      const level = levelOn(place, levelOf);
      return level === undefined ? [] : [{ face: place.face as Face, level }];
    });
    return part.kind === 'strap'
      ? places.map(({ face, level }) => ({ face, from: level + half, to: level - half }))
      : places.slice(1).flatMap((to, i) => {
          const from = places[i]!;
          return from.face === to.face ? [{ face: to.face, from: from.level, to: to.level }] : [];
        });
  }
  if (!('from' in part)) return [];
  const [from, to] = [levelOn(part.from, levelOf), levelOn(part.to, levelOf)];
  if (from === undefined || to === undefined) return [];
  const faces = 'faces' in part ? part.faces : [part.face];
  return faces.map((face) => ({ face: face as Face, from, to }));
}

/**
 * Every part that comes to lie on a scar, a wound or a prominence, with by how much it would be moved or brought out. Soft
 * parts that are made to lie there, liners and bladders, are not told of prominences.
 * @param levelOf a landmark's level on this body
 */
export function partsOnZones(
  parts: readonly Part[],
  zones: readonly Zone[],
  levelOf: (landmark: Landmark) => Millimetres | undefined,
): OnZone[] {
  return parts.flatMap((part) =>
    zones.flatMap((zone): OnZone[] => {
      const isSoft = part.kind === 'liner' || part.kind === 'bladder' || part.kind === 'pad';
      if (isSoft && zone.what !== 'scar' && zone.what !== 'wound') return [];
      const [low, high] = [Math.min(zone.from, zone.to), Math.max(zone.from, zone.to)];
      const on = stretches(part, levelOf)
        .filter(({ face }) => face === zone.face)
        .map(({ from, to }) => ({ bottom: Math.min(from, to), top: Math.max(from, to) }))
        .filter(({ bottom, top }) => bottom < high && top > low);
      if (on.length === 0) return [];
      const bottom = Math.min(...on.map((one) => one.bottom));
      const top = Math.max(...on.map((one) => one.top));
      const [up, down] = [high - bottom, low - top];
      const move = up <= -down ? up : down;
      const canMove = part.kind === 'strap' || part.kind === 'pad' || part.kind === 'panel';
      return [
        {
          part,
          zone,
          over: Math.min(top, high) - Math.max(bottom, low),
          ...(canMove ? { move: Math.round(move) } : {}),
          flare: flares,
        },
      ];
    }),
  );
}
