import type { Body, BodyView, Landmark, Point } from '../anatomy';
import type { Box } from './place-labels';

/** A view with its place in the drawing. */
export interface PlacedView {
  view: BodyView;
  project: (point: Point) => Point;
  perMm: number;
  box: Box;
}

export interface Frame {
  width: number;
  height: number;
}

/** px kept free round the views: above, for the views' names below, and for the small whole body at the left */
const margin = { top: 18, bottom: 34, left: 64, right: 14 };
/** in a narrow drawing */
const narrow = { width: 400, left: 48, gap: 34 };
const wideGap = 58;
/** narrower than this, steps are shown in one view: their texts need the room */
const oneView = 320;
/** two views are shown where they are at least so large as one alone would be */
const worthTwo = 0.5;

const boxOf = (points: readonly Point[]): Box => ({
  left: Math.min(...points.map(([x]) => x)),
  right: Math.max(...points.map(([x]) => x)),
  top: Math.min(...points.map(([, y]) => y)),
  bottom: Math.max(...points.map(([, y]) => y)),
});

/**
 * Which views of a body are shown: two where there is room, those in which what is asked for is seen first.
 * @param body with all its views
 * @param wanted landmarks that are to be seen
 * @param frame in px
 * @param turned whether the other one is asked for
 * @param fromTheSide whether the side is seen first where there is room for one view alone
 */
export function viewsShown(
  body: Body,
  wanted: readonly Landmark[],
  frame: Frame,
  turned: boolean,
  fromTheSide: boolean,
): BodyView[] {
  const two = placeViews(body.views.slice(-2), frame)[0]!.perMm;
  const room =
    (wanted.length > 0 && frame.width < oneView) ||
    two < worthTwo * placeViews(body.views.slice(0, 1), frame)[0]!.perMm
      ? 1
      : 2;
  if (body.views.length <= room) return body.views;
  const seen = (view: BodyView) => wanted.filter((landmark) => view.place(landmark)).length;
  const best = body.views
    .map((view, i) => ({ view, i, seen: seen(view) }))
    .sort((a, b) => b.seen - a.seen || a.i - b.i);
  const [side, faces] = [
    body.views.filter(({ id }) => id === 'side' || id === 'outer'),
    best.map(({ view }) => view).filter(({ id }) => id !== 'side' && id !== 'outer'),
  ];
  if (room === 1) {
    const order = fromTheSide ? [...side, ...faces] : best.map(({ view }) => view);
    return [turned ? order[1]! : order[0]!];
  }
  const shown = [turned ? faces[1]! : faces[0]!, ...side].slice(0, room);
  return body.views.filter((view) => shown.includes(view));
}

/** Views side by side on one scale, their levels in line, as large as the frame allows. */
export function placeViews(views: readonly BodyView[], frame: Frame, above = 0): PlacedView[] {
  const boxes = views.map(({ skin }) => boxOf(skin));
  const wide = boxes.reduce((sum, { left, right }) => sum + right - left, 0);
  const [low, high] = [
    Math.min(...boxes.map(({ top }) => top)),
    Math.max(...boxes.map(({ bottom }) => bottom)),
  ];
  const [left0, gap] = frame.width < narrow.width ? [narrow.left, narrow.gap] : [margin.left, wideGap];
  const room = {
    width: Math.max(60, frame.width - left0 - margin.right - gap * (views.length - 1)),
    height: Math.max(60, frame.height - margin.top - above - margin.bottom),
  };
  const perMm = Math.min(room.width / wide, room.height / (high - low));
  let x = left0 + (room.width - wide * perMm) / 2;
  const y0 = margin.top + above + (room.height - (high - low) * perMm) / 2;
  return views.map((view, i): PlacedView => {
    const { left, right } = boxes[i]!;
    const at = x - left * perMm;
    const box = { left: x, right: x + (right - left) * perMm, top: y0, bottom: y0 + (high - low) * perMm };
    x = box.right + gap;
    return { view, perMm, box, project: ([px, py]) => [at + px * perMm, y0 + (high - py) * perMm] };
  });
}
