import {
  frontOutline,
  levelOf,
  outerOutline,
  type LegForm,
  type Point,
  type Side,
} from '@estribo/core/anatomy';
import { useMemo } from 'react';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { t } from '../messages';
import type { FigureLayer, FigureMark } from './layer';

const width = 484;
const height = 618;
const kneecapY = 252;

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
    @media (orientation: portrait) {
      font-size: 18px;
    }
  }
  & .skin {
    fill: ${color('skin')};
    stroke: ${color('skinLine')};
    stroke-width: 1.5;
    stroke-linejoin: round;
    transition: d 260ms ease-out;
  }
  & .form {
    fill: none;
    stroke: ${color('skinForm')};
    stroke-width: 1.2;
    stroke-linecap: round;
  }
  & .other {
    fill: none;
    stroke: ${color('river')};
    stroke-width: 1.2;
    stroke-dasharray: 5 4;
  }
  & [data-touch] {
    cursor: pointer;
  }
`;

const markInk = { now: 'river', done: 'saddle', ahead: 'edge', bad: 'madder' } as const;

interface View {
  /** where the leg's axis stands in the drawing */
  axis: number;
  facing: 1 | -1;
}

const path = (points: readonly Point[], axis: number, scale: Scale) =>
  points
    .map(
      ([x, y], i) => `${i === 0 ? 'M' : 'L'}${(axis + x * scale.perMm).toFixed(1)} ${scale.y(y).toFixed(1)}`,
    )
    .join('');

/** The drawing's scale: a small leg is drawn as large as a long one. */
interface Scale {
  perMm: number;
  y: (level: number) => number;
}

const scaleFor = (form: LegForm): Scale => {
  const perMm = 340 / -form.sole;
  return { perMm, y: (level) => kneecapY - level * perMm };
};

/**
 * The leg from the front and from its outer side, from the readings, with what the stage lays over it.
 * What can be touched here can be reached in the work beside it by keyboard too.
 */
export function LegFigure({
  form,
  side,
  layer,
  other,
  selected,
  onSelect,
  description,
}: {
  form: LegForm;
  side: Side;
  layer: FigureLayer;
  /** another form laid over as an outline: the other side, an earlier visit */
  other?: LegForm | undefined;
  selected?: string | undefined;
  onSelect?: (id: string) => void;
  description: string;
}) {
  const drawn = useMemo(
    () => ({ front: frontOutline(form, side), outer: outerOutline(form, side) }),
    [form, side],
  );
  const laid = useMemo(
    () => (other ? { front: frontOutline(other, side), outer: outerOutline(other, side) } : undefined),
    [other, side],
  );
  const front: View = { axis: 112, facing: drawn.front.facing };
  const outer: View = { axis: side === 'right' ? 292 : 372, facing: drawn.outer.facing };
  const scale = scaleFor(form);
  const mid = width / 2 - 34;
  const top = scale.y(form.top);
  return (
    <Drawing
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={description}
      preserveAspectRatio="xMidYMin meet"
    >
      <Limb scale={scale} outline={drawn.front} laid={laid?.front} axis={front.axis} top={top} />
      <Limb scale={scale} outline={drawn.outer} laid={laid?.outer} axis={outer.axis} top={top} />
      <g aria-hidden>
        <text x={front.axis - 84 * front.facing} y={top + 18} textAnchor="middle">
          L
        </text>
        <text x={front.axis + 84 * front.facing} y={top + 18} textAnchor="middle">
          M
        </text>
        <text x={front.axis} y={height - 6} textAnchor="middle">
          {t('figure.front')}
        </text>
        <text x={outer.axis + 30 * outer.facing} y={height - 6} textAnchor="middle">
          {t('figure.outer')}
        </text>
      </g>
      {layer.brace && <Brace scale={scale} form={form} front={front} outer={outer} layer={layer} />}
      {layer.kneecapMark && (
        <path
          d={`M${front.axis - 6} ${kneecapY}h12M${front.axis} ${kneecapY - 6}v12`}
          stroke={color('madder')}
          strokeWidth={2.4}
        />
      )}
      {layer.dimensions?.map(({ id, to, label, now }, i) => (
        <Dimension
          key={id}
          scale={scale}
          x={mid + i * 6}
          to={to}
          label={label}
          now={now}
          left={front.axis + 66}
          right={outer.axis - 66}
        />
      ))}
      {layer.marks.map((mark) => (
        <Mark
          key={mark.id}
          scale={scale}
          // spots are places of the body, the rest distances that were measured
          mark={mark.kind === 'spot' ? { ...mark, level: form.scaled(mark.level) } : mark}
          form={form}
          front={front}
          outer={outer}
          chosen={mark.id === selected}
          onSelect={onSelect ? () => onSelect(mark.id) : undefined}
        />
      ))}
      {layer.goniometer && <Goniometer {...layer.goniometer} x={side === 'right' ? 430 : 254} y={70} />}
    </Drawing>
  );
}

function Limb({
  scale,
  outline,
  laid,
  axis,
  top,
}: {
  scale: Scale;
  outline: { skin: Point[]; lines: Point[][] };
  laid: { skin: Point[] } | undefined;
  axis: number;
  top: number;
}) {
  const [first, last] = [outline.skin[0]!, outline.skin.at(-1)!];
  const [from, to] = [axis + first[0] * scale.perMm, axis + last[0] * scale.perMm];
  // the cut through the thigh, drawn as the section it is
  const cut = `A${Math.abs(to - from) / 2} 9 0 0 ${to > from ? 0 : 1} ${from} ${top}`;
  return (
    <g aria-hidden>
      <path className="skin" d={`${path(outline.skin, axis, scale)}${cut}Z`} />
      <path
        className="form"
        d={`M${from} ${top}A${Math.abs(to - from) / 2} 9 0 0 ${to > from ? 1 : 0} ${to} ${top}`}
        style={{ stroke: color('skinLine') }}
      />
      {outline.lines.map((line, i) => (
        <path key={i} className="form" d={path(line, axis, scale)} />
      ))}
      {laid && <path className="other" d={path(laid.skin, axis, scale)} />}
    </g>
  );
}

/** A line with a slash at each end, as on a drawing. */
function Dimension({
  scale,
  x,
  to,
  label,
  now,
  left,
  right,
}: {
  scale: Scale;
  x: number;
  to: number;
  label: string;
  now: boolean;
  left: number;
  right: number;
}) {
  const [from, end] = [kneecapY, scale.y(to)];
  const ink = now ? color('river') : color('edge');
  return (
    <g stroke={ink} fill="none" aria-hidden>
      <path d={`M${left} ${end}H${right}M${left} ${from}H${right}`} strokeDasharray="1.5 4" />
      <path d={`M${x} ${from}V${end}`} strokeWidth={now ? 2.2 : 1.2} />
      <path d={`M${x - 5} ${from + 5}l10 -10M${x - 5} ${end + 5}l10 -10`} strokeWidth={1.6} />
      <text x={x + 9} y={(from + end) / 2 + 4} style={{ fill: ink, fontWeight: 700, stroke: 'none' }}>
        {label}
      </text>
    </g>
  );
}

/** A band round the limb at a level: its near edge, bowed as seen slightly from above. */
function bandPath(
  scale: Scale,
  view: View,
  left: number,
  right: number,
  level: number,
  thickness: number,
): string {
  const [x0, x1] = [view.axis + left * scale.perMm, view.axis + right * scale.perMm];
  const y = scale.y(level);
  const bow = 7;
  return `M${x0} ${y - thickness / 2}Q${(x0 + x1) / 2} ${y + bow - thickness / 2} ${x1} ${y - thickness / 2}L${x1} ${y + thickness / 2}Q${(x0 + x1) / 2} ${y + bow + thickness / 2} ${x0} ${y + thickness / 2}Z`;
}

/** The skin's edges at a level as x offsets in each view, smaller first. */
function edgesAt(form: LegForm, level: number, front: View, outer: View) {
  const { medial, lateral, front: fore, back } = form.edges(level);
  const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a]);
  return {
    front: sorted(medial * front.facing, -lateral * front.facing),
    outer: sorted(fore * outer.facing, -back * outer.facing),
  };
}

function Mark({
  scale,
  mark,
  form,
  front,
  outer,
  chosen,
  onSelect,
}: {
  scale: Scale;
  mark: FigureMark;
  form: LegForm;
  front: View;
  outer: View;
  chosen: boolean;
  onSelect: (() => void) | undefined;
}) {
  const edges = edgesAt(form, mark.level, front, outer);
  const ink = color(markInk[mark.state]);
  const strong = mark.state === 'now' || chosen;
  const touch = onSelect ? { 'data-touch': true, onClick: onSelect } : {};
  const { medial, lateral, front: fore, back } = form.edges(mark.level);
  switch (mark.kind) {
    case 'tape': {
      const thick = strong ? 8 : 4.5;
      return (
        <g {...touch} aria-hidden>
          <path
            d={bandPath(scale, front, edges.front[0] - 2, edges.front[1] + 2, mark.level, thick)}
            fill={ink}
            opacity={strong ? 1 : 0.55}
          />
          <path
            d={bandPath(scale, outer, edges.outer[0] - 2, edges.outer[1] + 2, mark.level, thick)}
            fill={ink}
            opacity={strong ? 1 : 0.55}
          />
        </g>
      );
    }
    case 'strap': {
      const seen = mark.face !== 'back';
      const x = outer.axis + (seen ? fore : -back) * outer.facing * scale.perMm;
      const y = scale.y(mark.level);
      const upright = uprightOffset(form, mark.level, 6) * outer.facing;
      const skin = (seen ? fore : -back) * outer.facing;
      // stitched along its edges, so that it stands out from the shell beneath
      const style = {
        fill: color('saddle'),
        stroke: color('thread'),
        strokeDasharray: '4 3',
        opacity: mark.state === 'ahead' ? 0.4 : 1,
      };
      const badge = outer.axis + (seen ? fore + 22 : -(back + 22)) * outer.facing * scale.perMm;
      return (
        <g {...touch} aria-hidden>
          {seen && (
            <path d={bandPath(scale, front, edges.front[0], edges.front[1], mark.level, 15)} style={style} />
          )}
          <path
            d={bandPath(scale, outer, Math.min(skin, upright), Math.max(skin, upright), mark.level, 15)}
            style={style}
          />
          <path d={`M${x} ${y}H${badge}`} stroke={ink} />
          <circle
            cx={badge}
            cy={y}
            r={strong ? 14 : 11}
            fill={strong ? color('river') : color('sheet')}
            stroke={strong ? color('river') : ink}
            strokeWidth={2}
          />
          <text
            x={badge}
            y={y + 5}
            textAnchor="middle"
            style={{ fontWeight: 700, fill: strong ? color('onRiver') : color('ink') }}
          >
            {mark.state === 'done' && !strong ? '✓' : mark.label}
          </text>
        </g>
      );
    }
    case 'pad':
    case 'scar':
    case 'bend':
    case 'spot': {
      const [low, high] = mark.span ?? [mark.level - 9, mark.level + 9];
      const [y0, y1] = [scale.y(high), scale.y(low)];
      const face = mark.face ?? 'lateral';
      const offset = {
        front: 0,
        back: 0,
        medial: (medial - 10) * front.facing,
        lateral: -(lateral - 10) * front.facing,
      }[face];
      const x = front.axis + offset * scale.perMm;
      const sideX =
        outer.axis +
        ({ front: fore - 10, back: -(back - 10), medial: -14, lateral: 0 }[face] ?? 0) *
          outer.facing *
          scale.perMm;
      if (mark.kind === 'scar')
        return (
          <g aria-hidden stroke={color('madder')} fill="none" strokeWidth={1.8}>
            <path d={`M${x} ${y0}V${y1}`} />
            {Array.from(
              { length: Math.max(2, Math.round((y1 - y0) / 12)) },
              (_, i, all = Math.max(2, Math.round((y1 - y0) / 12))) => (
                <path key={i} d={`M${x - 4} ${y0 + ((i + 0.5) * (y1 - y0)) / all}h8`} />
              ),
            )}
          </g>
        );
      if (mark.kind === 'pad')
        return (
          <g {...touch} aria-hidden>
            {face !== 'back' && (
              <rect
                x={x - (face === 'front' ? 24 : 9)}
                y={y0}
                width={face === 'front' ? 48 : 18}
                height={y1 - y0}
                rx={7}
                fill={color('thread')}
                stroke={ink}
                strokeWidth={strong ? 3 : 1.6}
                opacity={0.92}
              />
            )}
            {mark.label === 'split' && (
              <path d={`M${x} ${y0}V${y1}`} stroke={color('skin')} strokeWidth={7} />
            )}
            {face !== 'medial' && (
              <rect
                x={sideX - 7}
                y={y0}
                width={14}
                height={y1 - y0}
                rx={6}
                fill={color('thread')}
                stroke={ink}
                strokeWidth={strong ? 3 : 1.6}
                opacity={0.92}
              />
            )}
          </g>
        );
      const sideOnly = face === 'front' || face === 'back';
      return (
        <g {...touch} aria-hidden>
          {(sideOnly ? [sideX] : [x + (face === 'medial' ? 12 : -12) * front.facing]).map((cx) => (
            <g key={cx}>
              <circle
                cx={cx}
                cy={scale.y(mark.level)}
                r={strong ? 13 : 10}
                fill={strong ? ink : color('sheet')}
                stroke={ink}
                strokeWidth={2}
              />
              <text
                x={cx}
                y={scale.y(mark.level) + 5}
                textAnchor="middle"
                style={{ fontWeight: 700, fill: strong ? color('sheet') : color('ink') }}
              >
                {mark.label}
              </text>
            </g>
          ))}
        </g>
      );
    }
  }
}

/**
 * Where the upright runs in the outer view, in front of the leg's axis: straight from the midline of the
 * thigh to the hinge, and from there to the midline of the shin.
 */
function uprightOffset(form: LegForm, level: number, behind: number): number {
  const midline = (at: number) => {
    const { front, back } = form.edges(at);
    return (front - back) / 2;
  };
  const hinge = levelOf('kneecap-upper-edge', form.stature);
  const end = form.scaled(level > hinge ? 178 : -172);
  const share = Math.min(1, Math.abs((level - hinge) / (end - hinge)));
  return midline(hinge) - behind + share * (midline(end) - midline(hinge) + behind);
}

/** A rigid frame on the leg: uprights on both sides, thigh and shin shells, hinges at the kneecap's upper edge. */
function Brace({
  scale,
  form,
  front,
  outer,
  layer,
}: {
  scale: Scale;
  form: LegForm;
  front: View;
  outer: View;
  layer: FigureLayer;
}) {
  const hingeLevel = levelOf('kneecap-upper-edge', form.stature) + (layer.hinge?.above ?? 0);
  const behind = layer.hinge?.behind ?? 6;
  const [top, bottom] = [form.scaled(178), form.scaled(-172)];
  const levels = Array.from({ length: 29 }, (_, i) => top + ((bottom - top) * i) / 28);
  const gap = 5;
  const upright = (edge: 'medial' | 'lateral') =>
    levels
      .map((level, i) => {
        const off = form.edges(level)[edge] + gap;
        const x = front.axis + (edge === 'medial' ? off : -off) * front.facing * scale.perMm;
        return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${scale.y(level).toFixed(1)}`;
      })
      .join('');
  const sideX = (level: number) =>
    outer.axis + uprightOffset(form, level, behind) * outer.facing * scale.perMm;
  const sideUpright = levels
    .map((level, i) => `${i === 0 ? 'M' : 'L'}${sideX(level).toFixed(1)} ${scale.y(level).toFixed(1)}`)
    .join('');
  const shell = (level: number) => {
    const edges = edgesAt(form, level, front, outer);
    const upright = uprightOffset(form, level, behind) * outer.facing;
    const sideEdge = outer.facing > 0 ? [upright, edges.outer[1]] : [edges.outer[0], upright];
    return (
      <g key={level} fill={color('saddle')} opacity={0.9}>
        <path d={bandPath(scale, front, edges.front[0] - gap, edges.front[1] + gap, level, 34)} />
        <path d={bandPath(scale, outer, sideEdge[0]!, sideEdge[1]!, level, 34)} />
      </g>
    );
  };
  const hingeEdges = form.edges(hingeLevel);
  const y = scale.y(hingeLevel);
  const kneecapEdge = scale.y(levelOf('kneecap-upper-edge', form.stature));
  const hinges = [
    front.axis + (hingeEdges.medial + gap) * front.facing * scale.perMm,
    front.axis - (hingeEdges.lateral + gap) * front.facing * scale.perMm,
    sideX(hingeLevel),
  ];
  return (
    <g aria-hidden>
      {[form.scaled(150), form.scaled(-148)].map(shell)}
      <g fill="none" stroke={color('saddle')} strokeWidth={9} strokeLinecap="round" strokeLinejoin="round">
        <path d={upright('medial')} />
        <path d={upright('lateral')} />
        <path d={sideUpright} />
      </g>
      <path
        d={`M${front.axis - 86} ${kneecapEdge}H${width - 8}`}
        stroke={color('river')}
        strokeDasharray="2 4"
      />
      {hinges.map((x) => (
        <g key={x}>
          <circle cx={x} cy={y} r={13} fill={color('sheet')} stroke={color('saddle')} strokeWidth={4.5} />
          <circle cx={x} cy={y} r={3.2} fill={color('ink')} />
        </g>
      ))}
      {layer.hinge?.label && (
        <text
          x={outer.facing > 0 ? width - 8 : 206}
          y={kneecapEdge - 8}
          textAnchor={outer.facing > 0 ? 'end' : 'start'}
          style={{ fill: color('river') }}
        >
          {layer.hinge.label}
        </text>
      )}
    </g>
  );
}

function Goniometer({ angle, wanted, x, y }: { angle?: number; wanted?: number; x: number; y: number }) {
  const radius = 38;
  const arc = (from: number, to: number) => {
    const at = (degrees: number): [number, number] => {
      const turn = Math.PI * (1 - degrees / 180);
      return [x + radius * Math.cos(turn), y - radius * Math.sin(turn)];
    };
    const [[x0, y0], [x1, y1]] = [at(from), at(to)];
    return `M${x0} ${y0}A${radius} ${radius} 0 0 1 ${x1} ${y1}`;
  };
  const near = angle !== undefined && wanted !== undefined && Math.abs(angle - wanted) <= 5;
  return (
    <g aria-hidden fill="none" strokeWidth={7}>
      <path d={arc(0, 180)} stroke={color('band')} />
      {angle !== undefined && angle > 0 && (
        <path d={arc(0, Math.min(180, angle))} stroke={near ? color('moss') : color('ochre')} />
      )}
      {wanted !== undefined && (
        <path d={arc(Math.max(0, wanted - 1.5), wanted + 1.5)} stroke={color('ink')} strokeWidth={14} />
      )}
      <text
        x={x}
        y={y - 4}
        textAnchor="middle"
        style={{ fontSize: 18, fontWeight: 700, fill: color('ink'), stroke: 'none' }}
      >
        {angle === undefined ? '–' : `${angle}°`}
      </text>
      {wanted !== undefined && (
        <text x={x} y={y + 17} textAnchor="middle" style={{ stroke: 'none' }}>
          {t('figure.wanted', { angle: wanted })}
        </text>
      )}
    </g>
  );
}
