import { landmarkLevel, type Landmark, type Region } from '@estribo/core/anatomy';
import type { MeasuringStep } from '@estribo/core/measuring';
import { color } from '../app/tokens';
import { named } from '../messages';
import { Dimension, LandmarkName, Rise } from './dimension';
import type { PlacedView } from './drawing';
import type { FigureStep } from './layer';

const inks = { now: 'river', done: 'saddle', ahead: 'edge' } as const;

/** Measuring steps where they are read: the tape's line, the calliper, the way along the back, the mark. */
export function StepMarks({
  steps,
  views,
  region,
  stature,
  selected,
  onSelect,
}: {
  steps: readonly FigureStep[];
  views: readonly PlacedView[];
  region: Region;
  stature: number;
  selected?: string | undefined;
  onSelect?: ((id: string) => void) | undefined;
}) {
  // what is asked for now lies on top
  const ordered = [...steps].sort((a, b) => Number(a.state === 'now') - Number(b.state === 'now'));
  const strong = ordered.map(({ step, state }) => state === 'now' || selected === step.id);
  const lanes = lanesOf(ordered.map(({ step }) => rangeOf(step, region, stature)));
  return (
    <g aria-hidden>
      {ordered.map((one, i) => (
        <g
          key={one.step.id}
          {...(onSelect ? { 'data-touch': true, onClick: () => onSelect(one.step.id) } : {})}
        >
          <StepMark
            one={one}
            lane={lanes[i]!}
            views={views}
            region={region}
            stature={stature}
            strong={strong[i]!}
            // a landmark that two tapes are counted from is named once
            names={
              strong[i]! && !ordered.some(({ step }, j) => j < i && strong[j] && sameMark(step, one.step))
            }
          />
        </g>
      ))}
    </g>
  );
}

const sameMark = (a: MeasuringStep, b: MeasuringStep) =>
  a.kind === 'girth' && b.kind === 'girth' && a.from === b.from;

type Range = readonly [number, number];

/** From where to where a tape's distance is dimensioned. */
function rangeOf(step: MeasuringStep, region: Region, stature: number): Range | undefined {
  if (step.kind !== 'girth' || step.distance === 0) return undefined;
  const from = landmarkLevel(region, step.from, stature) ?? 0;
  return [Math.min(from, from + step.distance), Math.max(from, from + step.distance)];
}

/** Dimensions that would lie over each other each get a lane of their own. */
const lanesOf = (ranges: readonly (Range | undefined)[]): number[] =>
  ranges.map((range, i) =>
    range
      ? ranges.slice(0, i).filter((other) => other && other[0] < range[1] && other[1] > range[0]).length
      : 0,
  );

function StepMark({
  one: { step, state, label },
  lane,
  views,
  region,
  stature,
  strong,
  names,
}: {
  one: FigureStep;
  lane: number;
  views: readonly PlacedView[];
  region: Region;
  stature: number;
  strong: boolean;
  /** whether the mark it is counted from is named */
  names: boolean;
}) {
  const ink = color(strong ? 'river' : inks[state]);
  switch (step.kind) {
    case 'girth': {
      const from = landmarkLevel(region, step.from, stature) ?? 0;
      const level = from + step.distance;
      return (
        <>
          {views.map(({ view, project }) => {
            const edges = view.edges(level);
            return (
              edges && (
                <Band
                  key={view.id}
                  from={project([edges[0], level])}
                  to={project([edges[1], level])}
                  ink={ink}
                  strong={strong}
                />
              )
            );
          })}
          {step.distance !== 0 && label && (
            <Rise lane={lane} views={views} from={from} to={level} label={label} strong={strong} ink={ink} />
          )}
          {step.distance !== 0 && names && (
            <g stroke={ink} fill="none">
              <LandmarkName landmark={step.from} views={views} level={from} below={level > from} ink={ink} />
            </g>
          )}
        </>
      );
    }
    case 'width': {
      const wanted = step.across === 'mediolateral' ? 'front' : undefined;
      const placed = views.find(({ view }) =>
        wanted ? view.id === wanted || view.id === 'back' : view.id === 'side' || view.id === 'outer',
      );
      const level = landmarkLevel(region, step.at, stature);
      const edges = placed && level !== undefined ? placed.view.edges(level) : undefined;
      if (!placed || !edges || level === undefined) return null;
      const [[x0, y], [x1]] = [placed.project([edges[0], level]), placed.project([edges[1], level])];
      return <Calliper x0={x0} x1={x1} y={y} ink={ink} strong={strong} />;
    }
    case 'distance':
    case 'height': {
      const placed = [...views].reverse().find(({ view }) => view.place(step.from) && view.place(step.to));
      if (!placed) return null;
      return <Length placed={placed} step={step} label={label} ink={ink} strong={strong} />;
    }
    case 'curve':
      return (
        <>
          {views.map(({ view, project }) => {
            const way = view.along(step.from, step.to);
            if (!way) return null;
            const d = way
              .map(
                (point, i) =>
                  `${i === 0 ? 'M' : 'L'}${project(point)
                    .map((n) => n.toFixed(1))
                    .join(' ')}`,
              )
              .join('');
            return (
              <g key={view.id} fill="none" stroke={ink} strokeLinecap="round">
                <path d={d} strokeWidth={strong ? 5 : 2.5} opacity={strong ? 1 : 0.6} />
                {strong && <path d={d} strokeWidth={1.2} stroke={color('sheet')} strokeDasharray="1 5" />}
              </g>
            );
          })}
        </>
      );
    case 'inclination': {
      const placed = views.find(({ view }) => view.id === 'side');
      const way = placed?.view.along(step.from, step.to);
      if (!placed || !way) return null;
      const at = Math.round(step.at * (way.length - 1));
      const [x, y] = placed.project(way[at]!);
      const [[xa, ya], [xb, yb]] = [
        placed.project(way[Math.max(0, at - 2)]!),
        placed.project(way[Math.min(way.length - 1, at + 2)]!),
      ];
      const turn = (Math.atan2(yb - ya, xb - xa) * 180) / Math.PI - 90;
      return (
        <g transform={`translate(${x} ${y}) rotate(${turn})`}>
          <rect
            x={-16}
            y={-9}
            width={14}
            height={18}
            rx={3}
            fill={strong ? ink : color('sheet')}
            stroke={ink}
            strokeWidth={2}
          />
          {label && (
            <text
              transform={`rotate(${-turn})`}
              x={-24}
              y={5}
              textAnchor="end"
              style={{ fill: ink, fontWeight: strong ? 700 : 400 }}
            >
              {label}
            </text>
          )}
        </g>
      );
    }
    case 'mark':
      return <Cross views={views} landmark={step.landmark} strong={strong} state={state} />;
    case 'shoe': {
      const placed = views.find(({ view }) => view.id === 'outer');
      if (!placed) return null;
      const points = placed.view.skin
        .filter(([, y]) => y < (landmarkLevel(region, 'heel', stature) ?? 0))
        .map(placed.project);
      const xs = points.map(([x]) => x);
      const y = Math.max(...points.map(([, at]) => at)) + 18;
      return <Calliper x0={Math.min(...xs)} x1={Math.max(...xs)} y={y} ink={ink} strong={strong} />;
    }
    default:
      return null;
  }
}

/** The tape's near edge round the body, bowed as seen slightly from above. */
function Band({
  from: [x0, y0],
  to: [x1, y1],
  ink,
  strong,
}: {
  from: readonly [number, number];
  to: readonly [number, number];
  ink: string;
  strong: boolean;
}) {
  const thick = strong ? 8 : 4.5;
  const bow = Math.min(9, (x1 - x0) / 12);
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2 + bow];
  const half = thick / 2;
  return (
    <path
      d={`M${x0 - 1} ${y0 - half}Q${mx} ${my - half} ${x1 + 1} ${y1 - half}L${x1 + 1} ${y1 + half}Q${mx} ${my + half} ${x0 - 1} ${y0 + half}Z`}
      fill={ink}
      opacity={strong ? 1 : 0.55}
    />
  );
}

/** Two jaws and the beam between them. */
function Calliper({
  x0,
  x1,
  y,
  ink,
  strong,
}: {
  x0: number;
  x1: number;
  y: number;
  ink: string;
  strong: boolean;
}) {
  const jaw = strong ? 16 : 11;
  return (
    <g fill="none" stroke={ink} strokeWidth={strong ? 3 : 1.8}>
      <path d={`M${x0 - 2} ${y - jaw}V${y + jaw}M${x1 + 2} ${y - jaw}V${y + jaw}`} strokeLinecap="round" />
      <path d={`M${x0 - 2} ${y + jaw}H${x1 + 2}`} />
      {strong && <path d={`M${x0 + 4} ${y}l-6 0M${x1 - 4} ${y}l6 0`} />}
    </g>
  );
}

/** A length between two places, beside the view in which both are felt. */
function Length({
  placed: { view, project },
  step,
  label,
  ink,
  strong,
}: {
  placed: PlacedView;
  step: Extract<MeasuringStep, { from: Landmark; to: Landmark }>;
  label: string | undefined;
  ink: string;
  strong: boolean;
}) {
  const [from, to] = [project(view.place(step.from)!), project(view.place(step.to)!)];
  const xs = view.skin.map(project);
  const between = xs
    .filter(([, y]) => y >= Math.min(from[1], to[1]) - 8 && y <= Math.max(from[1], to[1]) + 8)
    .map(([x]) => x);
  const right = Math.max(...between, from[0], to[0]);
  // two places one above the other: the line runs through both
  const inLine = Math.abs(from[0] - to[0]) < 14;
  const x = inLine ? (from[0] + to[0]) / 2 : Math.min(right + 14, 462);
  return (
    <g stroke={ink} fill="none">
      {!inLine && (
        <path d={`M${from[0]} ${from[1]}H${x + 8}M${to[0]} ${to[1]}H${x + 8}`} strokeDasharray="1.5 4" />
      )}
      <Dimension x={x} y0={from[1]} y1={to[1]} label={label} ink={ink} strong={strong} />
      {[from, to].map(([cx, cy], i) => (
        <g key={i}>
          <circle cx={cx} cy={cy} r={3.5} fill={strong ? ink : color('sheet')} strokeWidth={1.6} />
          {strong && (
            <text x={cx - 8} y={cy + 4} textAnchor="end" style={{ fill: ink, stroke: 'none' }}>
              {named('landmarks', i === 0 ? step.from : step.to)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** The pen's cross on the skin. */
function Cross({
  views,
  landmark,
  strong,
  state,
}: {
  views: readonly PlacedView[];
  landmark: Landmark;
  strong: boolean;
  state: FigureStep['state'];
}) {
  if (!strong && state === 'ahead') return null;
  const arm = strong ? 8 : 5.5;
  return (
    <>
      {views.map(({ view, project }) => {
        const place = view.place(landmark);
        if (!place) return null;
        const [x, y] = project(place);
        return (
          <g key={view.id}>
            {strong && <circle cx={x} cy={y} r={14} fill="none" stroke={color('river')} strokeWidth={2} />}
            <path
              d={`M${x - arm} ${y}h${2 * arm}M${x} ${y - arm}v${2 * arm}`}
              stroke={color('madder')}
              strokeWidth={2.4}
            />
          </g>
        );
      })}
    </>
  );
}
