/* Numbers of what is marked on the limb: where each points to, and how it would rather stand. */
import type { Point } from '@estribo/core/anatomy';
import type { Box, LabelWish } from '@estribo/core/drawing';
import type { FigureMark } from './layer';
import { bandEdges, edgesAt, uprightOffset, type LegOn } from './projection';

/** px across a number's badge */
export const badgeSize = (strong: boolean): number => (strong ? 30 : 25);
export const strapWidth = 15;
/** px about the place that a badge points to */
const placeSize = 4;

/** A spot's or a bend's place, in px: sides in the view from the front, front and back in the one from outside. */
export function placeOf(
  { form, front, outer, ...scale }: LegOn,
  { level, face = 'lateral' }: FigureMark,
): Point {
  const { medial, lateral, front: fore, back } = form.edges(level);
  const y = scale.y(level);
  switch (face) {
    case 'medial':
      return [front.axis + (medial + 2) * front.facing * scale.perMm, y];
    case 'lateral':
      return [front.axis - (lateral + 2) * front.facing * scale.perMm, y];
    case 'front':
      return [outer.axis + (fore - 10) * outer.facing * scale.perMm, y];
    case 'back':
      return [outer.axis - (back - 10) * outer.facing * scale.perMm, y];
  }
}

/** The end of a strap that is seen from outside, where its number is tied. */
export function strapEnd({ form, outer, ...scale }: LegOn, { level, face }: FigureMark): Point {
  const { front, back } = form.edges(level);
  const edge = face === 'back' ? -back : front;
  return [outer.axis + edge * outer.facing * scale.perMm, scale.y(level)];
}

/** A strap's bands in the view from the front, where it crosses it, and in the one from outside. */
export function strapBands(leg: LegOn, { level, face }: FigureMark) {
  const edges = edgesAt(leg.form, level, leg.front, leg.outer);
  const side = uprightOffset(leg.form, level, 6) * leg.outer.facing;
  const skin = (strapEnd(leg, { level, face } as FigureMark)[0] - leg.outer.axis) / leg.perMm;
  return [
    ...(face === 'back' ? [] : [{ view: leg.front, left: edges.front[0], right: edges.front[1] }]),
    { view: leg.outer, left: Math.min(skin, side), right: Math.max(skin, side) },
  ];
}

/** A scar's line in the view from the front: x, and its upper and lower end. */
export function scarLine({ form, front, ...scale }: LegOn, mark: FigureMark): [number, number, number] {
  const [low, high] = mark.span ?? [mark.level - 9, mark.level + 9];
  const { medial, lateral } = form.edges(mark.level);
  const aside = { front: 0, back: 0, medial: medial - 10, lateral: -(lateral - 10) }[mark.face ?? 'lateral'];
  return [front.axis + aside * front.facing * scale.perMm, scale.y(high), scale.y(low)];
}

/** A pad in the views in which it is seen. */
export function padBoxes(leg: LegOn, mark: FigureMark): Box[] {
  const face = mark.face ?? 'lateral';
  const [x, top, bottom] = scarLine(leg, mark);
  const { front, back } = leg.form.edges(mark.level);
  const aside = { front: front - 10, back: -(back - 10), medial: -14, lateral: 0 }[face];
  const side = leg.outer.axis + aside * leg.outer.facing * leg.perMm;
  const half = face === 'front' ? 24 : 9;
  return [
    ...(face === 'back' ? [] : [{ left: x - half, right: x + half, top, bottom }]),
    ...(face === 'medial' ? [] : [{ left: side - 7, right: side + 7, top, bottom }]),
  ];
}

const hasBadge = ({ kind }: FigureMark) => kind === 'strap' || kind === 'spot' || kind === 'bend';

/** Whether a mark is the one in hand, which is drawn stronger. */
export const isStrong = (mark: FigureMark, selected: string | undefined): boolean =>
  mark.state === 'now' || mark.id === selected;

/**
 * A badge for every mark that has a number, strongest first.
 * @returns wishes for the drawing's solver, named `badge-` and the mark's id
 */
export const badgeWishes = (
  leg: LegOn,
  marks: readonly FigureMark[],
  selected: string | undefined,
): LabelWish[] =>
  [...marks]
    .filter(hasBadge)
    .sort((a, b) => Number(isStrong(b, selected)) - Number(isStrong(a, selected)))
    .map((mark): LabelWish => {
      const at = mark.kind === 'strap' ? strapEnd(leg, mark) : placeOf(leg, mark);
      const fromFront = mark.kind !== 'strap' && (mark.face === 'medial' || mark.face === 'lateral');
      const outwards = Math.sign(at[0] - (fromFront ? leg.front : leg.outer).axis) || 1;
      return {
        id: `badge-${mark.id}`,
        text: mark.label ?? '',
        at,
        weight: 700,
        badge: badgeSize(isStrong(mark, selected)),
        towards: outwards > 0 ? [0, 20, -20, 45, -45] : [180, 160, 200, 135, 225],
        away: 12,
      };
    });

/** Lines through a box, near enough together to leave no room for a text. */
const acrossBox = ({ left, right, top, bottom }: Box): (readonly Point[])[] =>
  Array.from({ length: Math.ceil((bottom - top) / 10) + 1 }, (_, i, y = Math.min(bottom, top + i * 10)) => [
    [left, y],
    [right, y],
  ]);

/** What marks draw on the limb, as lines in px that no text may lie over. */
export const linesOfMarks = (leg: LegOn, marks: readonly FigureMark[]): (readonly Point[])[] =>
  marks.flatMap((mark) => {
    if (mark.kind === 'strap')
      return strapBands(leg, mark).flatMap(({ view, left, right }) =>
        bandEdges(leg, view, left, right, mark.level, strapWidth),
      );
    if (mark.kind === 'pad') return padBoxes(leg, mark).flatMap(acrossBox);
    if (mark.kind === 'scar') {
      const [x, top, bottom] = scarLine(leg, mark);
      return [
        [
          [x, top],
          [x, bottom],
        ] as const,
      ];
    }
    const [x, y] = placeOf(leg, mark);
    return [
      [
        [x - placeSize, y],
        [x + placeSize, y],
      ] as const,
    ];
  });
