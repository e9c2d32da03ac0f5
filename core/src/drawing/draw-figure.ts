import type { Body, Landmark, Point, BodyView } from '../anatomy';
import { levelOn, type Level } from '../brace';
import { drawBrace, type DrawnBrace, type MarkToDraw, type PartToDraw } from './draw-brace';
import { drawSteps, type DrawnStep, type StepToDraw } from './draw-step';
import { placeLabels, labelSize, type Box, type LabelWish, type PlacedLabel } from './place-labels';
import { placeViews, viewsShown, type Frame, type PlacedView } from './place-views';
import { textWidth } from './font-metrics';

export interface FigureToDraw {
  body: Body;
  frame: Frame;
  steps: readonly StepToDraw[];
  selected?: string | undefined;
  /** the other view is asked for */
  turned?: boolean;
  /** px kept free above for an instrument that is shown there */
  above?: number;
  /** boxes that are taken by something else */
  taken?: readonly Box[];
  /** the brace's parts, those beneath first */
  parts?: readonly PartToDraw[];
  /** places of checks, bends, scars */
  marks?: readonly MarkToDraw[];
  /** the level from which something is counted, across the drawing, with its name */
  reference?: { at: Level; text?: string } | undefined;
  words: {
    landmark: (landmark: Landmark) => string;
    view: (id: BodyView['id']) => string;
    /** beside a place at which the drawing was held within what a body can be */
    held: string;
  };
}

export interface DrawnFigure {
  views: PlacedView[];
  /** the ids of views that are not shown */
  turnedAway: BodyView['id'][];
  steps: DrawnStep[];
  brace: DrawnBrace;
  /** the level from which something is counted */
  reference?: readonly [Point, Point];
  /** small arrows at the skin where it was held, pointing to where it would be */
  held: Point[][];
  /** each view's name, under it */
  captions: { id: BodyView['id']; text: string; x: number; y: number }[];
  labels: PlacedLabel[];
}

/** Landmarks of the step that is asked for, to turn the figure so that they are seen. */
export const landmarksNow = (steps: readonly StepToDraw[]): Landmark[] => {
  const step = steps.find(({ state }) => state === 'now')?.step;
  return step
    ? Object.entries(step).flatMap(([field, value]) =>
        ['from', 'to', 'at', 'landmark'].includes(field) && typeof value === 'string'
          ? [value as Landmark]
          : [],
      )
    : [];
};

/** Whether what is asked for now is seen best from the side. */
const fromTheSide = (steps: readonly StepToDraw[]): boolean =>
  steps.some(
    ({ step, state }) =>
      state === 'now' &&
      (['curve', 'inclination', 'height', 'shoe'].includes(step.kind) ||
        (step.kind === 'width' && step.across === 'anteroposterior')),
  );

/**
 * A whole drawing: views placed, steps drawn in them, every text where it lies over nothing.
 * @returns all of it in px of the frame, y downwards
 */
export function drawFigure({
  body,
  frame,
  steps,
  selected,
  turned = false,
  above = 0,
  taken = [],
  parts = [],
  marks = [],
  reference,
  words,
}: FigureToDraw): DrawnFigure {
  const shown = viewsShown(body, landmarksNow(steps), frame, turned, fromTheSide(steps));
  const views = placeViews(shown, frame, above);
  const brace = drawBrace(parts, marks, { body, views }, selected);
  const across = reference && referenceIn(body, views, frame, reference.at);
  const drawn = drawSteps(steps, { body, views, name: words.landmark }, selected);
  const captions = views.map(({ view, box }) => {
    const text = words.view(view.id);
    return {
      id: view.id,
      text,
      x: Math.max(
        4,
        Math.min(
          frame.width - textWidth(text, labelSize) - 4,
          (box.left + box.right - textWidth(text, labelSize)) / 2,
        ),
      ),
      y: frame.height - 10,
    };
  });
  const held = heldArrows(body, views);
  const letters = views.flatMap(({ view, project }) => {
    const middle = view.letters.length > 1 ? 0 : undefined;
    return view.letters.map(({ text, at }): LabelWish => {
      const right =
        at[0] >
        (middle ?? (Math.min(...view.skin.map(([x]) => x)) + Math.max(...view.skin.map(([x]) => x))) / 2);
      return {
        id: `${view.id}-${text}`,
        text,
        at: project(at),
        weight: 400,
        towards: right ? [0, 20, -20, 45] : [180, 160, 200, 135],
        away: 8,
      };
    });
  });
  const wishes: LabelWish[] = [
    ...[...drawn].sort((a, b) => Number(b.strong) - Number(a.strong)).flatMap((step) => step.wishes),
    ...brace.wishes,
    ...(across && reference.text !== undefined
      ? [
          {
            id: 'reference',
            text: reference.text,
            at: across.edge,
            weight: 400 as const,
            towards: [30, -30, 0, 150],
            away: 8,
            spare: true,
          },
        ]
      : []),
    ...held.slice(0, 1).map((arrow): LabelWish => ({
      id: 'held',
      text: words.held,
      at: arrow[1]!,
      weight: 400,
      towards: [0, 180, 90, 270],
      away: 5,
    })),
    ...letters,
  ];
  const lines = [
    ...views.flatMap(({ view, project }) =>
      [...view.contours, ...view.cuts, ...view.lines, ...view.hidden].map((line) => line.map(project)),
    ),
    ...drawn.flatMap(({ shapes }) =>
      shapes.map(({ kind, points }) => (kind === 'area' ? [...points, points[0]!] : points)),
    ),
    ...held,
    ...brace.lines,
    ...(across ? [across.line] : []),
  ];
  const boxes = captions.map(({ text, x, y }): Box => ({
    left: x,
    right: x + textWidth(text, labelSize),
    top: y - labelSize,
    bottom: y + 4,
  }));
  return {
    views,
    turnedAway: body.views.filter((view) => !shown.includes(view)).map(({ id }) => id),
    steps: drawn,
    brace,
    ...(across ? { reference: across.line } : {}),
    held,
    captions,
    labels: placeLabels(wishes, lines, [...taken, ...boxes], frame),
  };
}

/** A level across the drawing, and where it leaves the body in the last view. */
function referenceIn(
  body: Body,
  views: readonly PlacedView[],
  frame: Frame,
  at: Level,
): { line: readonly [Point, Point]; edge: Point } | undefined {
  const level = levelOn(at, (landmark) => body.level(landmark));
  const [first, last] = [views[0], views.at(-1)];
  if (level === undefined || !first || !last) return undefined;
  const [x, y] = first.project([0, level]);
  return {
    line: [
      [Math.max(4, x - 86), y],
      [frame.width - 8, y],
    ],
    edge: last.project([last.view.edges(level, at.from)?.[1] ?? 0, level]),
  };
}

function heldArrows({ held }: Body, views: readonly PlacedView[]): Point[][] {
  return held.flatMap((level) =>
    views.flatMap(({ view, project }) => {
      const edges = view.edges(level);
      if (!edges) return [];
      return edges.map((x, i): Point[] => {
        const [px, py] = project([x, level]);
        const out = i === 0 ? -1 : 1;
        return [
          [px + out * 3, py],
          [px + out * 13, py],
          [px + out * 8, py - 4],
          [px + out * 13, py],
          [px + out * 8, py + 4],
        ];
      });
    }),
  );
}
