import {
  bodyViews,
  frontOutline,
  nothingRead,
  outerOutline,
  type BodyReadings,
  type LegForm,
  type Point,
  type Side,
} from '@estribo/core/anatomy';
import { useMemo } from 'react';
import { color } from '../app/tokens';
import { t } from '../messages';
import { Brace } from './brace';
import { Drawing, type Overlay, type PlacedView } from './drawing';
import type { FigureLayer } from './layer';
import { Mark } from './mark';
import { Goniometer } from './measures';
import { height, scaleFor, width, type Scale, type View } from './projection';
import { StepMarks } from './step-marks';

const path = (points: readonly Point[], axis: number, scale: Scale) =>
  points
    .map(
      ([x, y], i) => `${i === 0 ? 'M' : 'L'}${(axis + x * scale.perMm).toFixed(1)} ${scale.y(y).toFixed(1)}`,
    )
    .join('');

/**
 * The leg from the front and from its outer side, from the readings, with what the stage lays over it.
 * What can be touched here can be reached in the work beside it by keyboard too.
 */
export function LegFigure({
  form,
  side,
  readings = nothingRead,
  layer,
  overlays = [],
  selected,
  onSelect,
  description,
}: {
  form: LegForm;
  side: Side;
  /** what the form was made from, for the places of the measuring steps */
  readings?: BodyReadings;
  layer: FigureLayer;
  /** other forms laid over as outlines: the other side, the last visit */
  overlays?: readonly { kind: Overlay; form: LegForm }[];
  selected?: string | undefined;
  onSelect?: (id: string) => void;
  description: string;
}) {
  const drawn = useMemo(
    () => ({ front: frontOutline(form, side), outer: outerOutline(form, side) }),
    [form, side],
  );
  const laid = useMemo(
    () =>
      overlays.map(({ kind, form: other }) => ({
        kind,
        front: frontOutline(other, side).skin,
        outer: outerOutline(other, side).skin,
      })),
    [overlays, side],
  );
  const views = useMemo(() => bodyViews('leg', side, readings, form.stature), [side, readings, form.stature]);
  const front: View = { axis: 112, facing: drawn.front.facing };
  const outer: View = { axis: side === 'right' ? 292 : 372, facing: drawn.outer.facing };
  const scale = scaleFor(form);
  const top = scale.y(form.top);
  const placed = views.map((view): PlacedView => {
    const { axis } = view.id === 'front' ? front : outer;
    return { view, project: ([x, y]) => [axis + x * scale.perMm, scale.y(y)] };
  });
  return (
    <Drawing
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={description}
      preserveAspectRatio="xMidYMin meet"
    >
      <Limb
        scale={scale}
        outline={drawn.front}
        laid={laid.map(({ kind, front: skin }) => ({ kind, skin }))}
        axis={front.axis}
        top={top}
      />
      <Limb
        scale={scale}
        outline={drawn.outer}
        laid={laid.map(({ kind, outer: skin }) => ({ kind, skin }))}
        axis={outer.axis}
        top={top}
      />
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
      {layer.steps && (
        <StepMarks
          steps={layer.steps}
          views={placed}
          region="leg"
          stature={form.stature}
          selected={selected}
          onSelect={onSelect}
        />
      )}
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
  laid: readonly { kind: Overlay; skin: Point[] }[];
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
      {laid.map(({ kind, skin }) => (
        <path key={kind} className={kind} d={path(skin, axis, scale)} />
      ))}
    </g>
  );
}
