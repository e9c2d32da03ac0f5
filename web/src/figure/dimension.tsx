import type { Landmark } from '@estribo/core/anatomy';
import { named } from '../messages';
import type { PlacedView } from './drawing';
import { width } from './projection';

/** How far a tape lies from its mark, dimensioned beside the first view. */
export function Rise({
  lane,
  views,
  from,
  to,
  label,
  ink,
  strong,
}: {
  lane: number;
  views: readonly PlacedView[];
  from: number;
  to: number;
  label: string | undefined;
  ink: string;
  strong: boolean;
}) {
  const [first, second] = views;
  if (!first) return null;
  const right = ({ view, project }: PlacedView, level: number) => {
    const edges = view.edges(level);
    return edges ? project([edges[1], level])[0] : project([0, level])[0];
  };
  const [x0, x1] = [
    Math.max(right(first, from), right(first, to)),
    second
      ? Math.min(...[from, to].map((level) => second.project([second.view.edges(level)?.[0] ?? 0, level])[0]))
      : undefined,
  ];
  const x = (x1 === undefined ? x0 + 22 : x0 + Math.min(30, Math.max(8, (x1 - x0) / 2 - 26))) + lane * 26;
  const [y0, y1] = [first.project([0, from])[1], first.project([0, to])[1]];
  return (
    <g stroke={ink} fill="none">
      <path
        d={`M${x0 + 3} ${y0}H${(x1 ?? x + 10) - 3}M${x0 + 3} ${y1}H${(x1 ?? x + 10) - 3}`}
        strokeDasharray="1.5 4"
      />
      <Dimension x={x} y0={y0} y1={y1} label={label} ink={ink} strong={strong} />
    </g>
  );
}

/** The landmark's name at its level where there is room: before the views, behind them, or between them. */
export function LandmarkName({
  landmark,
  views,
  level,
  below,
  ink,
}: {
  landmark: Landmark;
  views: readonly PlacedView[];
  level: number;
  /** whether the tape lies above it: the name goes under the line */
  below: boolean;
  ink: string;
}) {
  const name = named('landmarks', landmark);
  // a letter is about 7 px wide
  const needed = 26 + name.length * 7;
  const ends = views.map(({ view, project }) => {
    const [left, right] = view.edges(level) ?? [0, 0];
    return { left: project([left, level])[0], right: project([right, level])[0] };
  });
  const y = views[0]!.project([0, level])[1];
  const [before, behind] = [ends[0]!.left, ends.at(-1)!.right];
  const beside =
    before > needed
      ? { edge: before, way: -1, textAnchor: 'end' as const }
      : width - behind > needed
        ? { edge: behind, way: 1, textAnchor: 'start' as const }
        : undefined;
  return beside ? (
    <>
      <path d={`M${beside.edge + 3 * beside.way} ${y}h${14 * beside.way}`} strokeDasharray="1.5 4" />
      <text
        x={beside.edge + 21 * beside.way}
        y={y + 4}
        textAnchor={beside.textAnchor}
        style={{ fill: ink, stroke: 'none' }}
      >
        {name}
      </text>
    </>
  ) : (
    <text className="onLines" x={ends[0]!.right + 5} y={y + (below ? 15 : -5)} style={{ fill: ink }}>
      {name}
    </text>
  );
}

/** A line with a slash at each end, as on a drawing. */
export function Dimension({
  x,
  y0,
  y1,
  label,
  ink,
  strong,
}: {
  x: number;
  y0: number;
  y1: number;
  label: string | undefined;
  ink: string;
  strong: boolean;
}) {
  const short = Math.abs(y1 - y0) < 26;
  return (
    <g stroke={ink} fill="none">
      <path d={`M${x} ${y0}V${y1}`} strokeWidth={strong ? 2.2 : 1.2} />
      <path d={`M${x - 5} ${y0 + 5}l10 -10M${x - 5} ${y1 + 5}l10 -10`} strokeWidth={1.6} />
      {label && (
        <text
          x={x + 9}
          y={short ? Math.min(y0, y1) - 6 : (y0 + y1) / 2 + 4}
          style={{ fill: ink, fontWeight: 700, stroke: 'none' }}
        >
          {label}
        </text>
      )}
    </g>
  );
}
