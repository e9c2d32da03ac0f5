import type { Body } from '@estribo/core/anatomy';
import { levelOn } from '@estribo/core/brace';
import type { DrawnFigure, Frame } from '@estribo/core/drawing';
import { useRef, type PointerEvent } from 'react';
import { color } from '../look/tokens';
import type { FigureHandle } from './layer';

type Views = DrawnFigure['views'];

/** From mm at the handle's own place to the drawing and back; undefined where the outer side is not shown. */
function placed({ from }: FigureHandle, body: Body, views: Views) {
  const outer = views.find(({ view }) => view.id === 'outer');
  const level = levelOn(from, body.level);
  const edges = outer && level !== undefined ? outer.view.edges(level) : undefined;
  if (!outer || level === undefined || !edges) return undefined;
  const middle = (edges[0] + edges[1]) / 2;
  // what is in front lies to the right where the right edge is the front
  const ahead = outer.view.faces.front === 1 ? 1 : -1;
  const [x0, y0] = outer.project([middle, level]);
  const [x1] = outer.project([middle + 1, level]);
  const perMm = x1 - x0;
  return {
    onDrawing: ({ forward, proximal }: { forward: number; proximal: number }): [number, number] => [
      x0 + ahead * forward * perMm,
      y0 - proximal * perMm,
    ],
    inMm: (dx: number, dy: number) => ({ forward: (ahead * dx) / perMm, proximal: -dy / perMm }),
    perMm,
    /** px of the skin behind (0) and in front (1) at the level */
    edge: (which: 0 | 1) => outer.project([edges[which], level])[0],
  };
}

/**
 * Something that is dragged on the outer view, against an estimate that lies beside it. The same is typed, or moved by
 * arrow keys, in the work.
 */
export function DraggedHandle({
  handle,
  body,
  views,
  frame,
}: {
  handle: FigureHandle;
  body: Body;
  views: Views;
  frame: Frame;
}) {
  const held = useRef<{ x: number; y: number; forward: number; proximal: number }>(undefined);
  const at = placed(handle, body, views);
  if (!at) return null;
  const [x, y] = at.onDrawing(handle);
  const [ex, ey] = at.onDrawing(handle.estimate);
  /** px on the screen for one of the drawing */
  const scaleOf = (event: PointerEvent<SVGElement>) =>
    event.currentTarget.ownerSVGElement!.getBoundingClientRect().width / frame.width;
  const grasp = (event: PointerEvent<SVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { x: event.clientX, y: event.clientY, forward: handle.forward, proximal: handle.proximal };
  };
  const drag = (event: PointerEvent<SVGElement>) => {
    if (!held.current) return;
    const scale = scaleOf(event);
    const by = at.inMm((event.clientX - held.current.x) / scale, (event.clientY - held.current.y) / scale);
    handle.onMove({
      forward: Math.round(held.current.forward + by.forward),
      proximal: Math.round(held.current.proximal + by.proximal),
    });
  };
  const release = () => {
    held.current = undefined;
  };
  // words stand in front of the leg or behind it, where the frame has more room, line by line
  const [back, front] = [at.edge(0), at.edge(1)];
  const side = frame.width - Math.max(back, front) >= Math.min(back, front) - frame.width / 2 ? 1 : -1;
  const from = side === 1 ? Math.max(back, front) + 10 : Math.min(back, front) - 10;
  const lines = (text: string, x0: number, y0: number) =>
    text.split(/(?<=[:,]) /).map((line, i) => (
      <tspan key={line} x={x0} y={y0 + 16 * i}>
        {line}
      </tspan>
    ));
  const anchor = side === 1 ? 'start' : 'end';
  return (
    <g>
      <path
        d={`M${x + side * 12} ${y - 8}L${from - side * 4} ${y - 34}`}
        className="extension"
        stroke={color('soft')}
        aria-hidden
      />
      <text textAnchor={anchor} style={{ fill: color('ink'), fontWeight: 700 }} aria-hidden>
        {lines(handle.label, from, y - 60)}
      </text>
      <path
        d={`M${ex + side * 6} ${ey + 6}L${from - side * 4} ${ey + 44}`}
        className="extension"
        stroke={color('river')}
        aria-hidden
      />
      <text textAnchor={anchor} style={{ fill: color('river') }} aria-hidden>
        {lines(handle.estimateLabel, from, ey + 52)}
      </text>
      <g
        data-touch
        data-handle
        onPointerDown={grasp}
        onPointerMove={drag}
        onPointerUp={release}
        onPointerCancel={release}
        style={{ cursor: 'grab', touchAction: 'none' }}
      >
        <circle cx={x} cy={y} r={24} fill="transparent" />
        <circle cx={x} cy={y} r={12} fill={color('sheet')} stroke={color('saddle')} strokeWidth={5} />
        <circle cx={x} cy={y} r={3} fill={color('ink')} />
      </g>
      <g aria-hidden style={{ pointerEvents: 'none' }}>
        <circle cx={ex} cy={ey} r={handle.estimate.within * at.perMm} fill={color('river')} opacity={0.22} />
        <path
          d={`M${ex - 9} ${ey}H${ex + 9}M${ex} ${ey - 9}V${ey + 9}`}
          stroke={color('river')}
          strokeWidth={2.6}
        />
      </g>
    </g>
  );
}
