import Flatbush from 'flatbush';
import type { Point } from '../anatomy';
import { ascent, descent, textWidth, type Weight } from './font-metrics';

/** A box in px, y downwards. */
export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A text that wants a place beside a point. */
export interface LabelWish {
  id: string;
  text: string;
  /** what it names, in px */
  at: Point;
  weight: Weight;
  /** where it would rather stand, in turn: directions in degrees, 0 to the right, 90 up */
  towards: readonly number[];
  /** px between the point and the text, at least */
  away?: number;
  /** it is a number in a round badge, so wide in px */
  badge?: number;
  /** it stands in the work beside the drawing too: left out where there is no room */
  spare?: boolean;
}

export interface PlacedLabel extends LabelWish {
  box: Box;
  /** where its letters begin, and the line they stand on */
  x: number;
  y: number;
  /** from what it names to the text, where it could not stand beside it */
  leader?: readonly [Point, Point];
}

export const labelSize = 15;
/** px kept free round a text */
const air = 3;
const leaderFrom = 15;

const meets = (a: Box, b: Box) =>
  a.left < b.right && a.right > b.left && a.top < b.bottom && a.bottom > b.top;

/** Whether a line from one point to another touches a box (Liang and Barsky's clipping). */
export function touches([x1, y1]: Point, [x2, y2]: Point, { left, right, top, bottom }: Box): boolean {
  let [from, to] = [0, 1];
  for (const [by, room] of [
    [x1 - x2, x1 - left],
    [x2 - x1, right - x1],
    [y1 - y2, y1 - top],
    [y2 - y1, bottom - y1],
  ] as const) {
    if (by === 0) {
      if (room < 0) return false;
    } else if (by < 0) from = Math.max(from, room / by);
    else to = Math.min(to, room / by);
    if (from > to) return false;
  }
  return true;
}

const sizeOf = ({ text, weight, badge }: LabelWish) => ({
  wide: badge ?? textWidth(text, labelSize, weight),
  high: badge ?? ((ascent + descent) * labelSize) / 1000,
});
const grown = (box: Box, by: number): Box => ({
  left: box.left - by,
  right: box.right + by,
  top: box.top - by,
  bottom: box.bottom + by,
});

/** A text of some size whose nearest edge lies at a distance from a point, in a direction. */
function besides(wish: LabelWish, degrees: number, distance: number): Box {
  const angle = (degrees * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle), -Math.sin(angle)];
  const { wide, high } = sizeOf(wish);
  const left = wish.at[0] + dx * distance - (wide / 2) * (1 - dx);
  const top = wish.at[1] + dy * distance - (high / 2) * (1 - dy);
  return { left, right: left + wide, top, bottom: top + high };
}

const around = Array.from({ length: 16 }, (_, i) => i * 22.5);
/** a text that may be left out stands no further off than this */
const spareReach = 118;
const distances = [4, 8, 13, 20, 28, 38, 50, 64, 80, 98, 118, 140, 165, 195, 230, 270, 320, 380, 450];

/**
 * Places texts so that none lies over a line, a taken box, another text or outside the frame: each in turn at the free
 * place nearest to what it names, in the direction it would rather have. A text that had to go further gets a leader.
 * @param wishes in order of importance
 * @param lines polylines in px that no text may lie over
 * @param taken boxes that no text may lie over
 * @param frame in px
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  lines: readonly (readonly Point[])[],
  taken: readonly Box[],
  frame: { width: number; height: number },
): PlacedLabel[] {
  const pieces = lines.flatMap((line) => line.slice(1).map((to, i) => [line[i]!, to] as const));
  const index = pieces.length > 0 ? new Flatbush(pieces.length) : undefined;
  for (const [[x1, y1], [x2, y2]] of pieces)
    index!.add(Math.min(x1, x2), Math.min(y1, y2), Math.max(x1, x2), Math.max(y1, y2));
  index?.finish();
  const boxes = [...taken];
  const leaders: (readonly [Point, Point])[] = [];
  const inFrame = ({ left, right, top, bottom }: Box) =>
    left >= 0 && top >= 0 && right <= frame.width && bottom <= frame.height;
  const free = (box: Box) => {
    const wide = grown(box, air);
    return (
      inFrame(box) &&
      !boxes.some((other) => meets(wide, other)) &&
      !leaders.some(([from, to]) => touches(from, to, wide)) &&
      !(index?.search(wide.left, wide.top, wide.right, wide.bottom) ?? []).some((i) =>
        touches(pieces[i]![0], pieces[i]![1], wide),
      )
    );
  };
  // nor may the thin line to a text cross another text
  const reachable = (wish: LabelWish, box: Box) => {
    const leader = leaderTo(wish.at, box, wish.away ?? 0);
    return !leader || !boxes.some((other) => touches(leader[0], leader[1], other));
  };
  return wishes.flatMap((wish): PlacedLabel[] => {
    const found = nearestFree(wish, (box) => free(box) && reachable(wish, box));
    if (!found && wish.spare) return [];
    const box = found ?? besides(wish, wish.towards[0] ?? 0, wish.away ?? 4);
    boxes.push(box);
    const leader = leaderTo(wish.at, box, wish.away ?? 0);
    if (leader) leaders.push(leader);
    return [
      {
        ...wish,
        box,
        x: box.left,
        y: box.top + (ascent * labelSize) / 1000,
        ...(leader ? { leader } : {}),
      },
    ];
  });
}

function nearestFree(wish: LabelWish, free: (box: Box) => boolean): Box | undefined {
  for (const distance of distances) {
    if (wish.spare && distance > spareReach) return undefined;
    const away = Math.max(distance, wish.away ?? 0);
    for (const degrees of [...wish.towards, ...around]) {
      const box = besides(wish, degrees, away);
      if (free(box)) return box;
    }
  }
  return undefined;
}

/** From a point to the nearest point of a text that stands further off. */
function leaderTo(at: Point, box: Box, away: number): readonly [Point, Point] | undefined {
  const [x, y] = [
    Math.min(box.right + 2, Math.max(box.left - 2, at[0])),
    Math.min(box.bottom + 1, Math.max(box.top - 1, at[1])),
  ];
  return Math.hypot(x - at[0], y - at[1]) > leaderFrom + away ? [at, [x, y]] : undefined;
}
