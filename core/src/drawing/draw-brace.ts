import { bandsAlong, smooth, type Body, type BodyView, type Face, type Point } from '../anatomy';
import { levelOn, type Level, type Part, type PartKind, type PartOf, type Place } from '../brace';
import type { Millimetres } from '../quantity';
import type { LabelWish } from './place-labels';
import type { PlacedView } from './place-views';

/** A part of the brace as the stage shows it. */
export interface PartToDraw {
  part: Part;
  state: 'now' | 'done' | 'ahead' | 'bad';
  /** its number is shown beside it */
  numbered?: boolean;
  /** the number by which it is closed, where none stands printed on the brace */
  number?: string;
  /** found there: so much proximal of its place, and so much aside of it */
  moved?: { along?: Millimetres; aside?: Millimetres };
  /** its halves straddle a scar */
  split?: boolean;
}

/** Something marked on the body: a check's place, a bend, a scar, a wound or a prominence that nothing hard should lie on. */
export interface MarkToDraw {
  id: string;
  kind: 'spot' | 'bend' | 'scar' | 'zone';
  at: Place;
  /** the other end, of what has a length */
  to?: Level;
  /** its number */
  label?: string;
  state: PartToDraw['state'];
}

/** A piece of a part, or of a mark, in one of the views; px. */
export interface BraceShape {
  id: string;
  kind: PartKind | MarkToDraw['kind'];
  view: BodyView['id'];
  /** a closed outline, a line, or the middle of something round */
  points: readonly Point[];
  state: PartToDraw['state'];
  /** the line along which its halves are parted */
  parted?: readonly Point[];
  /** a strap's own way, from its anchor to its end: there it is pulled */
  way?: readonly Point[];
}

export interface DrawnBrace {
  shapes: BraceShape[];
  /** lines that no text may lie over */
  lines: (readonly Point[])[];
  /** a round badge for what has a number */
  wishes: LabelWish[];
  /** what each badge points to, by the id of its part or mark */
  anchors: Record<string, Point>;
}

/** px: half a bar's width, a hinge's radius, how thick a flat part is from its side */
export const barHalf = 4.5;
export const roundRadius = 13;
const flat = { within: 12, without: 3 };
/** mm between skin and bar */
const clearance = 5;
/** px across a number's badge */
const badgeSize = { strong: 30, weak: 25 };
/** levels of one area, at most: a drawing is no larger than a screen */
const mostLevels = 400;
/** px between lines that fill an area, so that no text stands in it */
const hatch = 9;

interface OnBody {
  body: Body;
  placed: PlacedView;
}

const levelAt = ({ body }: OnBody, at: Level): number | undefined =>
  levelOn(at, (landmark) => body.level(landmark));

/** A point across the body at a level: 0 at its smaller edge, 1 at the other; `out` mm outside of an edge. */
function across({ placed }: OnBody, level: number, at: Level, share: number, out = 0): Point | undefined {
  const edges = placed.view.edges(level, at.from);
  if (!edges) return undefined;
  const beyond = share === 0 ? -out : share === 1 ? out : 0;
  return placed.project([edges[0] + (edges[1] - edges[0]) * share + beyond, level]);
}

/** Which way aside lies in a view: on a side face towards the front, on front and back towards lateral or left. */
function asideIn({ faces }: BodyView, face: Face): 1 | 0 | -1 {
  const toward = face === 'front' || face === 'back' ? (faces.lateral ?? faces.left) : faces.front;
  return toward === undefined || toward === 0.5 ? 0 : toward > 0.5 ? 1 : -1;
}

/** Where a place lies in a view, if its face is seen there. */
function pointOf(on: OnBody, place: Place, out = 0, moved: PartToDraw['moved'] = {}): Point | undefined {
  const { view, perMm } = on.placed;
  const share = view.faces[place.face];
  const level = levelAt(on, place);
  if (share === undefined || level === undefined) return undefined;
  const point = across(on, level + (moved.along ?? 0), place, share, out);
  if (!point || share !== 0.5) return point;
  const aside = ((place.aside ?? 0) + (moved.aside ?? 0)) * asideIn(view, place.face) * perMm;
  // on a narrow body a place aside still lies on its face
  const ends = [0, 1].map((end) => across(on, level + (moved.along ?? 0), place, end)![0]);
  return [Math.min(Math.max(...ends), Math.max(Math.min(...ends), point[0] + aside)), point[1]];
}

/** Both edges of an area from its upper end to its lower one, sampled. */
type Sides = { left: Point[]; right: Point[] };

/** The outline of an area, its ends bowed as seen slightly from above. */
function outlineOf({ left, right }: Sides): Point[] {
  const end = (from: Point, to: Point): Point[] => {
    const bow = Math.min(7, Math.abs(to[0] - from[0]) / 14);
    return Array.from({ length: 7 }, (_, i): Point => {
      const t = (i + 1) / 8;
      return [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t + bow * 4 * t * (1 - t)];
    });
  };
  return [...left, ...end(left.at(-1)!, right.at(-1)!), ...[...right].reverse(), ...end(right[0]!, left[0]!)];
}

const filling = ({ left, right }: Sides): (readonly Point[])[] => left.map((at, i) => [at, right[i]!]);

/** Levels between two ends, so near to each other that an area between them is drawn and kept free of text. */
function levelsOf(on: OnBody, from: Level, to: Level): number[] {
  const [a, b] = [levelAt(on, from), levelAt(on, to)];
  if (a === undefined || b === undefined) return [];
  const [low, high] = [Math.min(a, b), Math.max(a, b)];
  const count = Math.min(mostLevels, Math.max(1, Math.ceil(((high - low) * on.placed.perMm) / hatch)));
  return Array.from({ length: count + 1 }, (_, i) => high - ((high - low) * i) / count);
}

function sidesOf(
  levels: readonly number[],
  left: (level: number) => Point | undefined,
  right: (level: number) => Point | undefined,
): Sides | undefined {
  // beyond the last of the body there is no edge: what lies there is not drawn
  const points = levels.flatMap((level) => {
    const [a, b] = [left(level), right(level)];
    return a && b ? [[a, b] as const] : [];
  });
  return points.length > 1 ? { left: points.map(([a]) => a), right: points.map(([, b]) => b) } : undefined;
}

type Round = PartOf<'cuff' | 'shell' | 'wing' | 'liner'>;
type Patch = PartOf<'panel' | 'pad' | 'bladder'>;

/** how much of the width is seen of what goes round behind, or of one face from beside it */
const strip = 0.14;

/** Which stretches across the body are seen of what goes round some faces, each from one share to another. */
function stretchesOf(shares: readonly number[]): (readonly [number, number])[] {
  const [low, high] = [Math.min(...shares), Math.max(...shares)];
  if (low < high && (shares.includes(0.5) || high - low < 1)) return [[low, high]];
  // both edges and not what lies between them: it goes round behind
  if (low < high)
    return [
      [0, strip],
      [1 - strip, 1],
    ];
  return low === 0.5 ? [[0, 1]] : low === 0 ? [[0, strip]] : [[1 - strip, 1]];
}

/** What goes round some faces, where they are seen. */
function roundIn(on: OnBody, part: Round): Sides[] {
  const { view } = on.placed;
  const shares = part.faces.flatMap((face) => view.faces[face] ?? []);
  if (shares.length === 0) return [];
  const out = part.kind === 'liner' ? 0 : clearance;
  const levels = levelsOf(on, part.from, part.to);
  return stretchesOf(shares).flatMap(
    ([from, to]) =>
      sidesOf(
        levels,
        (level) => across(on, level, part.from, from, out),
        (level) => across(on, level, part.from, to, out),
      ) ?? [],
  );
}

/** What lies on one face: as wide as it is from there, thin from beside. */
function patchIn(on: OnBody, part: Patch): Sides[] {
  const { view, perMm } = on.placed;
  const share = view.faces[part.face];
  if (share === undefined) return [];
  const half = (part.width / 2) * perMm;
  const [left, right] =
    share === 0.5 ? [-half, half] : share === 0 ? [-flat.without, flat.within] : [-flat.within, flat.without];
  const at = (by: number) => (level: number) => {
    const point = across(on, level, part.from, share);
    return point && ([point[0] + by, point[1]] as const);
  };
  return [sidesOf(levelsOf(on, part.from, part.to), at(left), at(right)) ?? []].flat();
}

/** A bar: straight between its places from its face, along the skin from beside. */
function barIn(on: OnBody, part: PartOf<'bar'>): Point[] | undefined {
  const points = part.course.flatMap((place, i): Point[] => {
    const here = pointOf(on, place, clearance);
    const next = part.course[i + 1];
    if (!here) return [];
    if (!next || on.placed.view.faces[place.face] === 0.5) return [here];
    const [a, b] = [levelAt(on, place), levelAt(on, next)];
    if (a === undefined || b === undefined) return [here];
    return Array.from({ length: 14 }, (_, j) =>
      across(on, a + ((b - a) * j) / 14, place, on.placed.view.faces[place.face]!, clearance),
    ).filter((point) => point !== undefined);
  });
  return points.length > 1 ? points : undefined;
}

/** The seen pieces of a strap's way: each a line of points, sampled and bowed. */
function wayIn(on: OnBody, part: PartOf<'strap'>): Point[][] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  for (const place of part.course) {
    const point = pointOf(on, place);
    if (point) run.push(point);
    if (!point || place === part.course.at(-1)) {
      if (run.length > 1) runs.push(run);
      run = [];
    }
  }
  return runs.map((points) => {
    const wide = Math.abs(points.at(-1)![0] - points[0]![0]);
    const bow = Math.min(7, wide / 14);
    // webbing lies without a kink, whatever it goes over
    return smooth(points).map(([x, y], i, all): Point => {
      const t = i / (all.length - 1);
      return [x, y + bow * 4 * t * (1 - t)];
    });
  });
}

const ring = ([x, y]: Point, radius: number): Point[] =>
  Array.from({ length: 13 }, (_, i): Point => {
    const angle = (i / 6) * Math.PI;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

interface Piece {
  points: readonly Point[];
  lines: (readonly Point[])[];
  /** where its number would be tied */
  anchor: Point;
  parted?: readonly Point[];
  way?: readonly Point[];
}

const outermost = (points: readonly Point[], middle: number): Point =>
  points.reduce((far, one) => (Math.abs(one[0] - middle) > Math.abs(far[0] - middle) ? one : far));

/** The middle of the body in a view, at the level of a place; px. */
function middleOf(on: OnBody, at: Level): number {
  const level = levelAt(on, at);
  const point = level === undefined ? undefined : across(on, level, at, 0.5);
  return point?.[0] ?? (on.placed.box.left + on.placed.box.right) / 2;
}

const placeIn = (part: Part): Level =>
  'at' in part ? part.at : 'course' in part ? part.course[0]! : part.from;

/** A part in one view, in as many pieces as are seen of it. */
function piecesOf(on: OnBody, { part, moved, split }: PartToDraw): Piece[] {
  const { placed } = on;
  const middle = middleOf(on, placeIn(part));
  switch (part.kind) {
    case 'bar': {
      const line = barIn(on, part);
      if (!line) return [];
      const lines = [-barHalf, 0, barHalf].map((by) => line.map(([x, y]): Point => [x + by, y]));
      return [{ points: line, lines, anchor: line[0]! }];
    }
    case 'hinge':
    case 'dial': {
      const at = pointOf(on, part.at, clearance, moved);
      return at ? [{ points: [at], lines: [ring(at, roundRadius + 2)], anchor: at }] : [];
    }
    case 'strap':
      return wayIn(on, part).flatMap((line) =>
        bandsAlong(line, (part.width / 2) * placed.perMm).map((band, i): Piece => ({
          points: band,
          lines: [line, [...band, band[0]!]],
          anchor: outermost([line[0]!, line.at(-1)!], middle),
          ...(i === 0 ? { way: line } : {}),
        })),
      );
    default: {
      const all = 'faces' in part ? roundIn(on, part) : patchIn(on, part);
      return all.map((sides) => {
        const half = Math.floor(sides.left.length / 2);
        const centre = sides.left.map(([x, y], i): Point => [(x + sides.right[i]![0]) / 2, y]);
        return {
          points: outlineOf(sides),
          lines: filling(sides),
          anchor: outermost([sides.left[half]!, sides.right[half]!], middle),
          ...(split && 'face' in part && placed.view.faces[part.face] === 0.5 ? { parted: centre } : {}),
        };
      });
    }
  }
}

/** The views in which a number is tied to its part, the side first: there straps end. */
const sideFirst = (views: readonly PlacedView[]): PlacedView[] =>
  [...views].sort((a, b) => Number(isSide(b)) - Number(isSide(a)));
const isSide = ({ view }: PlacedView) => view.id === 'outer' || view.id === 'side';

/**
 * A brace on a body, from its parts, with what is marked on the body: in every view what is seen from there.
 * @param parts the brace's, those beneath first
 * @param marks places of checks, bends, scars
 * @param body the part of the body
 * @param views placed in the drawing
 * @param selected the id of what is touched
 */
export function drawBrace(
  parts: readonly PartToDraw[],
  marks: readonly MarkToDraw[],
  { body, views }: { body: Body; views: readonly PlacedView[] },
  selected: string | undefined,
): DrawnBrace {
  const shapes: BraceShape[] = [];
  const lines: (readonly Point[])[] = [];
  const numbered: { id: string; label: string; at: Point; middle: number; strong: boolean }[] = [];
  const isStrong = (one: { state: string }, id: string) => one.state === 'now' || id === selected;
  for (const one of parts) {
    const { part, state } = one;
    let tied: { at: Point; placed: PlacedView } | undefined;
    for (const placed of sideFirst(views))
      for (const piece of piecesOf({ body, placed }, one)) {
        tied ??= { at: piece.anchor, placed };
        lines.push(...piece.lines);
        shapes.push({
          id: part.id,
          kind: part.kind,
          view: placed.view.id,
          points: piece.points,
          state,
          ...(piece.parted ? { parted: piece.parted } : {}),
          ...(piece.way ? { way: piece.way } : {}),
        });
      }
    const label = part.mark ?? one.number;
    if (tied && one.numbered && label)
      numbered.push({
        id: part.id,
        label,
        at: tied.at,
        middle: middleOf({ body, placed: tied.placed }, placeIn(part)),
        strong: isStrong(one, part.id),
      });
  }
  for (const mark of marks) {
    const placed = views.find(({ view }) => view.faces[mark.at.face] !== undefined);
    const at =
      placed && pointOf({ body, placed }, mark.at, mark.kind === 'scar' || mark.kind === 'zone' ? -10 : 2);
    if (!at) continue;
    const end = mark.to && levelAt({ body, placed }, mark.to);
    const line: readonly Point[] =
      end === undefined
        ? [
            [at[0] - 4, at[1]],
            [at[0] + 4, at[1]],
          ]
        : [at, [at[0], placed.project([0, end])[1]]];
    // over a zone text may stand: it is only a tint
    if (mark.kind !== 'zone') lines.push(line);
    shapes.push({
      id: mark.id,
      kind: mark.kind,
      view: placed.view.id,
      points: end === undefined ? [at] : line,
      state: mark.state,
    });
    if (mark.label !== undefined)
      numbered.push({
        id: mark.id,
        label: mark.label,
        at,
        middle: middleOf({ body, placed }, mark.at),
        strong: isStrong(mark, mark.id),
      });
  }
  return {
    shapes,
    lines,
    anchors: Object.fromEntries(numbered.map(({ id, at }) => [id, at])),
    wishes: [...numbered]
      .sort((a, b) => Number(b.strong) - Number(a.strong))
      .map(({ id, label, at, middle, strong }): LabelWish => ({
        id: `badge-${id}`,
        text: label,
        at,
        weight: 700,
        badge: strong ? badgeSize.strong : badgeSize.weak,
        towards: at[0] >= middle ? [0, 20, -20, 45, -45] : [180, 160, 200, 135, 225],
        away: 12,
      })),
  };
}
