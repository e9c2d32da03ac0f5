import type { Degrees, Millimetres } from '../quantity';
import type { Belt, Chart } from './chart';
import { axisBands } from './band';

export interface BeltEnds {
  /** from the back panel's edge to the fold, both ends alike */
  side: Millimetres;
  /** the mark both ends go to, counted from 1, and what that leaves open or over */
  mark: number;
  off: Millimetres;
  /** the marks do not reach */
  beyond: boolean;
}

/**
 * Both ends of a belt: each side (girth + overlap - back panel)/2, folded at the same mark on both.
 * @param girth of the body where the belt lies
 * @param belt of the model
 */
export function beltEnds(girth: Millimetres, { overlap, backPanel, marks }: Belt): BeltEnds {
  const side = (girth + overlap - backPanel) / 2;
  const wanted = Math.round((side - marks.first) / marks.spacing) + 1;
  const mark = Math.min(marks.count, Math.max(1, wanted));
  return { side, mark, off: marks.first + (mark - 1) * marks.spacing - side, beyond: mark !== wanted };
}

/**
 * How far the belt's lower edge leans out against its upper one: the body between two girths taken as a
 * cone, atan((below - above) / (2 pi h)).
 * @param above girth above the belt's middle
 * @param below girth below it
 * @param height between the two
 */
export const beltTilt = (above: Millimetres, below: Millimetres, height: Millimetres): Degrees =>
  (Math.atan((below - above) / (2 * Math.PI * height)) * 180) / Math.PI;

/**
 * The extension on each side that makes the largest size reach a girth.
 * @returns 0 where the largest size reaches by itself
 */
export function extensionEachSide(chart: Chart, girth: Millimetres): Millimetres {
  const top = axisBands(chart, chart.axes[0]!).at(-1)!.to;
  return Math.max(0, (girth - top) / 2);
}
