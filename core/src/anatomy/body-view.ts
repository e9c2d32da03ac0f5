import type { Millimetres } from '../quantity';
import type { Drawn } from './foot';
import type { Landmark } from './landmark';
import { cutTo, inside, outlineOf, type Point } from './outline';
import type { Face } from './side';

/** One view of a body part: its outline with the places on it, in mm, y up along the body. */
export interface BodyView {
  id: 'front' | 'back' | 'side' | 'outer';
  /** closed outline of the skin, for filling */
  skin: Point[];
  /** the skin's own line */
  contours: Point[][];
  /** break lines, where the drawing ends and the body does not */
  cuts: Point[][];
  /** inner form lines */
  lines: Point[][];
  /** what lies behind */
  hidden: Point[][];
  /** the skin's edges at a level, smaller first; of the part that a tape goes round, counted from a landmark of it */
  edges: (level: Millimetres, from?: Landmark) => [Millimetres, Millimetres] | undefined;
  /** where each face that is seen lies across the body: from 0 at the smaller edge to 1 at the other */
  faces: Partial<Record<Face, number>>;
  /** where a landmark lies in this view, if it is seen or felt from there */
  place: (landmark: Landmark) => Point | undefined;
  /** the way of a tape along the body between two landmarks, if it runs in this view */
  along: (from: Landmark, to: Landmark) => Point[] | undefined;
  /** sides lettered on the drawing, beside a point of it */
  letters: readonly { text: 'R' | 'L' | 'M'; at: Point }[];
}

/** The views of one region, as they are drawn for a body. */
export interface RegionBody {
  views: BodyView[];
  held: Millimetres[];
  /** where its landmarks lie, when that is not their level alone */
  level?: (landmark: Landmark) => Millimetres | undefined;
}

/** how much finer the corners of fingers and toes are */
const finer = 0.38;

/**
 * One view from the parts it is made of.
 * @param drawn parts and lines
 * @param window what of it is shown
 * @param rest places and edges
 */
export function viewOf(
  drawn: Drawn,
  window: readonly Point[],
  rest: Omit<BodyView, 'skin' | 'contours' | 'cuts' | 'lines' | 'hidden'>,
  rounding: { fillet: number; round: number },
): BodyView {
  const large = outlineOf(drawn.parts, rounding.fillet, rounding.round);
  const fine = rounding.round * finer;
  const whole = drawn.small.length === 0 ? large : outlineOf([large, ...drawn.small], fine, fine);
  const cut = cutTo(whole, window);
  return {
    ...rest,
    ...cut,
    lines: inside(drawn.lines, cut.skin),
    hidden: inside(drawn.hidden, cut.skin),
  };
}

/** The same outline with what is seen from the other side: other lines, other places, and mirrored where it turns. */
export const seenFromBehind = (
  { skin, contours, cuts }: BodyView,
  lines: Drawn['lines'],
  turn: (points: readonly Point[]) => Point[],
  rest: Omit<BodyView, 'skin' | 'contours' | 'cuts' | 'lines' | 'hidden'>,
): BodyView => ({
  ...rest,
  skin: turn(skin),
  contours: contours.map(turn),
  cuts: cuts.map(turn),
  lines: inside(lines, turn(skin)),
  hidden: [],
});
