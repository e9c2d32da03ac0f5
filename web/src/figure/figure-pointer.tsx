import type { Face } from '@estribo/core/anatomy';
import type { DrawnFigure, Frame } from '@estribo/core/drawing';
import { useState, type PointerEvent } from 'react';
import { color } from '../look/tokens';
import { pathOf } from './drawing';
import type { FigurePointing, PointedAt, SpotAt } from './layer';

type View = DrawnFigure['views'][number];

/** From the drawing's px to mm across a view and its level: a view is drawn with one scale, upright. */
function inMm({ project }: View, [x, y]: readonly [number, number]): PointedAt {
  const [x0, y0] = project([0, 0]);
  const perMm = project([1, 0])[0] - x0;
  return { x: (x - x0) / perMm, level: (y0 - y) / Math.abs(perMm) };
}

/** Which face of the body a point of a view lies on, by how far across it is. */
function spotIn({ view }: View, { x, level }: PointedAt): SpotAt | undefined {
  const edges = view.edges(level);
  if (!edges) return undefined;
  const share = Math.min(1, Math.max(0, (x - edges[0]) / (edges[1] - edges[0])));
  const faces = Object.entries(view.faces) as [Face, number][];
  const nearest = faces.reduce((best, one) =>
    Math.abs(one[1] - share) < Math.abs(best[1] - share) ? one : best,
  );
  const [face, at] = nearest;
  // on a face that is seen whole, how far beside its middle; the way that is counted is the drawing's
  const towards = view.faces.lateral ?? view.faces.left ?? view.faces.front;
  const aside = at === 0.5 ? (x - (edges[0] + edges[1]) / 2) * (towards === 0 ? -1 : 1) : 0;
  return { level: Math.round(level), face, aside: Math.round(aside) };
}

/** A touch of the figure: a line drawn along an edge, or a spot. */
export function FigurePointer({
  pointing,
  views,
  frame,
}: {
  pointing: FigurePointing;
  views: readonly View[];
  frame: Frame;
}) {
  const [line, setLine] = useState<(readonly [number, number])[]>([]);
  const at = (event: PointerEvent<SVGElement>): readonly [number, number] => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const scale = Math.min(box.width / frame.width, box.height / frame.height);
    return [
      (event.clientX - box.left - (box.width - frame.width * scale) / 2) / scale,
      (event.clientY - box.top - (box.height - frame.height * scale) / 2) / scale,
    ];
  };
  /** the view that is nearest to a point */
  const viewAt = ([x]: readonly [number, number]): View | undefined =>
    views
      .map((one) => {
        const edges = one.view.edges(0) ?? [0, 0];
        return { one, away: Math.abs(one.project([(edges[0] + edges[1]) / 2, 0])[0] - x) };
      })
      .sort((a, b) => a.away - b.away)[0]?.one;
  const done = (points: readonly (readonly [number, number])[]) => {
    setLine([]);
    if (pointing.kind === 'line') {
      const view = views.find((one) => one.view.id === pointing.view);
      if (view && points.length > 1) pointing.onLine(points.map((point) => inMm(view, point)));
      return;
    }
    const [point] = points;
    const view = point && viewAt(point);
    const spot = view && point && spotIn(view, inMm(view, point));
    if (spot) pointing.onSpot(spot);
  };
  return (
    <g data-pointing={pointing.kind}>
      <rect
        width={frame.width}
        height={frame.height}
        fill={color('river')}
        opacity={0.05}
        style={{ cursor: 'crosshair', touchAction: 'none' }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setLine([at(event)]);
        }}
        onPointerMove={(event) =>
          line.length > 0 && pointing.kind === 'line' && setLine([...line, at(event)])
        }
        onPointerUp={(event) => done(pointing.kind === 'line' ? [...line, at(event)] : [at(event)])}
        onPointerCancel={() => setLine([])}
      />
      <text
        x={frame.width / 2}
        y={frame.height - 14}
        textAnchor="middle"
        style={{ fill: color('river'), fontWeight: 700 }}
      >
        {pointing.label}
      </text>
      {line.length > 1 && (
        <path
          d={pathOf(line)}
          fill="none"
          stroke={color('river')}
          strokeWidth={2.6}
          style={{ pointerEvents: 'none' }}
        />
      )}
    </g>
  );
}
