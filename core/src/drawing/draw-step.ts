import type { Body, Landmark, Point } from '../anatomy';
import type { MeasuringStep } from '../measuring';
import type { LabelWish } from './place-labels';
import type { PlacedView } from './place-views';

/** A measuring step to be drawn where it is read. */
export interface StepToDraw {
  step: MeasuringStep;
  state: 'now' | 'done' | 'ahead';
  /** its number, for what is dimensioned */
  label?: string;
}

/** How something is drawn: an area, a line that measures, a thin one that leads to it, a pen's mark on the skin. */
export interface Shape {
  kind: 'area' | 'dimension' | 'extension' | 'way' | 'pen' | 'ring';
  points: Point[];
}

export interface DrawnStep {
  id: string;
  state: StepToDraw['state'];
  /** asked for now, or touched */
  strong: boolean;
  shapes: Shape[];
  wishes: LabelWish[];
}

export interface DrawingOf {
  body: Body;
  views: readonly PlacedView[];
  /** a landmark in words */
  name: (landmark: Landmark) => string;
}

const level = ({ body }: DrawingOf, landmark: Landmark) => body.level(landmark) ?? 0;

/** Each step where it is read: tape, calliper, length, way along the back, inclinometer, the pen's cross. */
export function drawSteps(
  steps: readonly StepToDraw[],
  drawing: DrawingOf,
  selected: string | undefined,
): DrawnStep[] {
  const strong = steps.map(({ step, state }) => state === 'now' || step.id === selected);
  const ranges = steps.map(({ step }) => rangeOf(step, drawing));
  return steps.map((one, i): DrawnStep => {
    // dimensions that would lie over each other get a lane of their own
    const range = ranges[i];
    const lane = range
      ? ranges.slice(0, i).filter((other) => other && other[0] < range[1] && other[1] > range[0]).length
      : 0;
    // a landmark that two tapes are counted from is named once
    const named =
      strong[i]! &&
      !steps.some(
        ({ step }, j) =>
          j < i &&
          strong[j] &&
          step.kind === 'girth' &&
          one.step.kind === 'girth' &&
          step.from === one.step.from,
      );
    const { shapes, wishes } = drawStep(one, drawing, { lane, strong: strong[i]!, named });
    return { id: one.step.id, state: one.state, strong: strong[i]!, shapes, wishes };
  });
}

function rangeOf(step: MeasuringStep, drawing: DrawingOf): readonly [number, number] | undefined {
  if (step.kind !== 'girth' || step.distance === 0) return undefined;
  const from = level(drawing, step.from);
  return [Math.min(from, from + step.distance), Math.max(from, from + step.distance)];
}

interface How {
  lane: number;
  strong: boolean;
  named: boolean;
}
interface Drawn {
  shapes: Shape[];
  wishes: LabelWish[];
}
const nothing: Drawn = { shapes: [], wishes: [] };

function drawStep({ step, label, state }: StepToDraw, drawing: DrawingOf, how: How): Drawn {
  const { views, name } = drawing;
  const weight = how.strong ? 700 : 400;
  const wish = (
    text: string | undefined,
    at: Point | undefined,
    towards: readonly number[],
    part = 'label',
  ): LabelWish[] =>
    text === undefined || at === undefined
      ? []
      : [
          {
            id: `${step.id}-${part}`,
            text,
            at,
            weight: part === 'label' ? weight : 400,
            towards,
            away: 5,
            spare: !how.strong || part !== 'label',
          },
        ];
  switch (step.kind) {
    case 'girth': {
      const from = level(drawing, step.from);
      const at = from + step.distance;
      const bands = views.flatMap(({ view, project }) => {
        const edges = view.edges(at, step.from);
        return edges ? [band(project([edges[0], at]), project([edges[1], at]), how.strong)] : [];
      });
      const rise = step.distance === 0 ? nothing : riseOf(views, from, at, how.lane, step.from);
      const middle = rise.shapes.find(({ kind }) => kind === 'dimension')?.points;
      const last = views.at(-1);
      const edge = last?.view.edges(from, step.from)?.[1];
      return {
        shapes: [...bands, ...rise.shapes],
        wishes: [
          ...wish(
            step.distance === 0 ? undefined : label,
            middle && [middle[0]![0], (middle[0]![1] + middle[1]![1]) / 2],
            [0, 180, 30, -30],
          ),
          ...wish(
            how.named ? name(step.from) : undefined,
            last && edge !== undefined ? last.project([edge, from]) : undefined,
            [0, 25, -25],
            'name',
          ),
        ],
      };
    }
    case 'width': {
      const across = step.across === 'mediolateral';
      const fits = views.filter(({ view }) => (view.id === 'side' || view.id === 'outer') !== across);
      // a heel is seen from behind
      const placed = fits.find(({ view }) => step.at === 'heel' && view.id === 'back') ?? fits[0];
      const at = level(drawing, step.at);
      const edges = placed?.view.edges(at);
      if (!placed || !edges) return nothing;
      const [a, b] = [placed.project([edges[0], at]), placed.project([edges[1], at])];
      return {
        shapes: calliper(a[0], b[0], a[1], how.strong),
        wishes: wish(how.named ? name(step.at) : undefined, [b[0] + 3, b[1]], [0, 180, -45], 'name'),
      };
    }
    case 'distance':
    case 'height': {
      const placed = [...views].reverse().find(({ view }) => view.place(step.from) && view.place(step.to));
      return placed ? lengthOf(placed, step.from, step.to, how, label, wish, name) : nothing;
    }
    case 'curve':
      return views.reduce<Drawn>(
        (sum, { view, project }) => {
          const way = view.along(step.from, step.to)?.map(project);
          if (!way) return sum;
          const outer = view.id === 'side';
          return {
            shapes: [...sum.shapes, { kind: 'way', points: way }],
            wishes: [
              ...sum.wishes,
              ...(outer
                ? [
                    ...wish(label, way[Math.floor(way.length / 2)], [180, 150, 210]),
                    ...(how.strong
                      ? [
                          ...wish(name(step.from), way[0], [180, 135], 'from'),
                          ...wish(name(step.to), way.at(-1), [180, 225], 'to'),
                        ]
                      : []),
                  ]
                : []),
            ],
          };
        },
        { shapes: [], wishes: [] },
      );
    case 'inclination': {
      const placed = views.find(({ view }) => view.id === 'side');
      const way = placed?.view.along(step.from, step.to)?.map(placed.project);
      if (!way) return nothing;
      const at = Math.round(step.at * (way.length - 1));
      const [a, b] = [way[Math.max(0, at - 2)]!, way[Math.min(way.length - 1, at + 2)]!];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
      const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
      const [x, y] = way[at]!;
      // the instrument lies on the skin, behind the back
      const corner = (along: number, off: number): Point => [
        x + ux * along + uy * off * -1,
        y + uy * along + ux * off,
      ];
      const box = [corner(-9, 2), corner(-9, 15), corner(9, 15), corner(9, 2)];
      const out: Point = corner(0, 15);
      return { shapes: [{ kind: 'area', points: box }], wishes: wish(label, out, [180, 160, 200, 90, 270]) };
    }
    case 'mark':
      if (!how.strong && state === 'ahead') return nothing;
      return views.reduce<Drawn>(
        (sum, { view, project }) => {
          const place = view.place(step.landmark);
          if (!place) return sum;
          const [x, y] = project(place);
          const arm = how.strong ? 8 : 5.5;
          return {
            shapes: [
              ...sum.shapes,
              ...(how.strong ? [{ kind: 'ring' as const, points: circle(x, y, 14) }] : []),
              {
                kind: 'pen',
                points: [
                  [x - arm, y],
                  [x + arm, y],
                ],
              },
              {
                kind: 'pen',
                points: [
                  [x, y - arm],
                  [x, y + arm],
                ],
              },
            ],
            wishes:
              how.strong && sum.wishes.length === 0
                ? wish(name(step.landmark), [x + 14, y], [0, 180, 45, -45], 'name')
                : sum.wishes,
          };
        },
        { shapes: [], wishes: [] },
      );
    case 'shoe': {
      const placed = views.find(({ view }) => view.id === 'outer');
      if (!placed) return nothing;
      const heel = level(drawing, 'heel');
      const foot = placed.view.skin.filter(([, y]) => y < heel).map(placed.project);
      const xs = foot.map(([x]) => x);
      const y = Math.max(...foot.map(([, at]) => at)) + 12;
      return { shapes: calliper(Math.min(...xs), Math.max(...xs), y, how.strong), wishes: [] };
    }
    default:
      return nothing;
  }
}

const circle = (x: number, y: number, radius: number): Point[] =>
  Array.from({ length: 33 }, (_, i): Point => {
    const angle = (i / 32) * 2 * Math.PI;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

/** The tape's near edge round the body, bowed as seen slightly from above. */
function band([x0, y0]: Point, [x1, y1]: Point, strong: boolean): Shape {
  const half = strong ? 4 : 2.25;
  const bow = Math.min(9, (x1 - x0) / 12);
  const edge = (off: number) =>
    Array.from({ length: 13 }, (_, i): Point => {
      const t = i / 12;
      return [x0 - 1 + (x1 - x0 + 2) * t, y0 + (y1 - y0) * t + 4 * bow * t * (1 - t) * 0.5 + off];
    });
  return { kind: 'area', points: [...edge(-half), ...edge(half).reverse()] };
}

/** Two jaws and the beam between them. */
function calliper(x0: number, x1: number, y: number, strong: boolean): Shape[] {
  const jaw = strong ? 16 : 11;
  return [
    {
      kind: 'dimension',
      points: [
        [x0 - 2, y - jaw],
        [x0 - 2, y + jaw],
        [x1 + 2, y + jaw],
        [x1 + 2, y - jaw],
      ],
    },
    ...(strong
      ? [
          {
            kind: 'dimension' as const,
            points: [
              [x0 + 4, y],
              [x0 - 2, y],
            ] as Point[],
          },
          {
            kind: 'dimension' as const,
            points: [
              [x1 - 4, y],
              [x1 + 2, y],
            ] as Point[],
          },
        ]
      : []),
  ];
}

/** A line with a slash at each end, as on a drawing. */
const dimension = (x: number, y0: number, y1: number): Shape[] => [
  {
    kind: 'dimension',
    points: [
      [x, y0],
      [x, y1],
    ],
  },
  {
    kind: 'dimension',
    points: [
      [x - 5, y0 + 5],
      [x + 5, y0 - 5],
    ],
  },
  {
    kind: 'dimension',
    points: [
      [x - 5, y1 + 5],
      [x + 5, y1 - 5],
    ],
  },
];

/** How far a tape lies from its mark, dimensioned beside the first view. */
function riseOf(
  views: readonly PlacedView[],
  from: number,
  to: number,
  lane: number,
  landmark: Landmark,
): Drawn {
  const [first, second] = views;
  if (!first) return nothing;
  const edge = ({ view, project }: PlacedView, at: number, end: 0 | 1) =>
    project([view.edges(at, landmark)?.[end] ?? 0, at])[0];
  const x0 = Math.max(edge(first, from, 1), edge(first, to, 1));
  const x1 = second ? Math.min(edge(second, from, 0), edge(second, to, 0)) : x0 + 40;
  const x = x0 + Math.min(30, Math.max(8, (x1 - x0) / 2 - 26)) + lane * 26;
  const [y0, y1] = [first.project([0, from])[1], first.project([0, to])[1]];
  return {
    shapes: [
      ...[y0, y1].map((y): Shape => ({
        kind: 'extension',
        points: [
          [x0 + 3, y],
          [Math.max(x1 - 3, x + 8), y],
        ],
      })),
      ...dimension(x, y0, y1),
    ],
    wishes: [],
  };
}

/** A length between two places, beside the view in which both are felt. */
function lengthOf(
  { view, project }: PlacedView,
  fromMark: Landmark,
  toMark: Landmark,
  how: How,
  label: string | undefined,
  wish: (
    text: string | undefined,
    at: Point | undefined,
    towards: readonly number[],
    part?: string,
  ) => LabelWish[],
  name: (landmark: Landmark) => string,
): Drawn {
  const [from, to] = [project(view.place(fromMark)!), project(view.place(toMark)!)];
  const [high, low] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
  const between = view.skin.map(project).filter(([, y]) => y >= high - 8 && y <= low + 8);
  const right = Math.max(...between.map(([x]) => x), from[0], to[0]);
  // two places one above the other: the line runs through both
  const inLine = Math.abs(from[0] - to[0]) < 14;
  const x = inLine ? (from[0] + to[0]) / 2 : right + 14;
  return {
    shapes: [
      ...(inLine
        ? []
        : [from, to].map(([px, py]): Shape => ({
            kind: 'extension',
            points: [
              [px, py],
              [x + 8, py],
            ],
          }))),
      ...dimension(x, from[1], to[1]),
      ...[from, to].map(([px, py]): Shape => ({ kind: 'ring', points: circle(px, py, 3.5) })),
    ],
    wishes: [
      ...wish(label, [x, (from[1] + to[1]) / 2], [0, 180, 30, -30]),
      ...(how.strong
        ? [
            ...wish(name(fromMark), [from[0] - 4, from[1]], [180, 150, 210, 0], 'from'),
            ...wish(name(toMark), [to[0] - 4, to[1]], [180, 210, 150, 0], 'to'),
          ]
        : []),
    ],
  };
}
