import { frontOutline, outerOutline, type LegForm, type Point, type Side } from '@estribo/core/anatomy';
import { useMemo } from 'react';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { t } from '../messages';
import { Brace } from './brace';
import type { FigureLayer } from './layer';
import { Mark } from './mark';
import { Dimension, Goniometer } from './measures';
import { height, kneecapY, scaleFor, width, type Scale, type View } from './projection';

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
