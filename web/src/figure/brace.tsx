import type { Point } from '@estribo/core/anatomy';
import { color } from '../app/tokens';
import { pathOf } from './drawing';
import type { FigureLayer } from './layer';
import { bandEdges, bandPath, edgesAt, kneecapTop, uprightOffset, type LegOn } from './projection';

/** px: half an upright's width, and a hinge's radius */
const upright = 4.5;
const hingeRadius = 13;
/** mm between skin and upright */
const gap = 5;
const shellHeight = 34;

/** Where a rigid frame lies in the drawing, in px. */
function frameOn(leg: LegOn, layer: FigureLayer) {
  const { form, front, outer } = leg;
  const hingeLevel = kneecapTop(form) + (layer.hinge?.above ?? 0);
  const behind = layer.hinge?.behind ?? 6;
  const [top, bottom] = [form.scaled(178), form.scaled(-172)];
  const levels = Array.from({ length: 29 }, (_, i) => top + ((bottom - top) * i) / 28);
  const sideX = (level: number) => outer.axis + uprightOffset(form, level, behind) * outer.facing * leg.perMm;
  const beside = (edge: 'medial' | 'lateral') => (level: number) =>
    front.axis + (edge === 'medial' ? 1 : -1) * (form.edges(level)[edge] + gap) * front.facing * leg.perMm;
  const runs = [beside('medial'), beside('lateral'), sideX];
  return {
    uprights: runs.map((x) => levels.map((level): Point => [x(level), leg.y(level)])),
    hinges: runs.map((x): Point => [x(hingeLevel), leg.y(hingeLevel)]),
    shells: [form.scaled(150), form.scaled(-148)].flatMap((level) => {
      const edges = edgesAt(form, level, front, outer);
      const side = uprightOffset(form, level, behind) * outer.facing;
      const [from, to] = outer.facing > 0 ? [side, edges.outer[1]] : [edges.outer[0], side];
      return [
        { view: front, left: edges.front[0] - gap, right: edges.front[1] + gap, level },
        { view: outer, left: from, right: to, level },
      ];
    }),
  };
}

/** A rigid frame on the leg: uprights on both sides, thigh and shin shells, hinges at the kneecap's upper edge. */
export function Brace({ leg, layer }: { leg: LegOn; layer: FigureLayer }) {
  const { uprights, hinges, shells } = frameOn(leg, layer);
  return (
    <g aria-hidden>
      <g fill={color('saddle')} opacity={0.9}>
        {shells.map(({ view, left, right, level }) => (
          <path key={`${level} ${view.axis}`} d={bandPath(leg, view, left, right, level, shellHeight)} />
        ))}
      </g>
      <g
        fill="none"
        stroke={color('saddle')}
        strokeWidth={2 * upright}
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        {uprights.map((line, i) => (
          <path key={i} className="upright" d={pathOf(line)} />
        ))}
      </g>
      {hinges.map(([x, y]) => (
        <g key={x}>
          <circle
            cx={x}
            cy={y}
            r={hingeRadius}
            fill={color('sheet')}
            stroke={color('saddle')}
            strokeWidth={upright}
          />
          <circle cx={x} cy={y} r={3.2} fill={color('ink')} />
        </g>
      ))}
    </g>
  );
}

/** The frame as lines in px that no text may lie over: both edges of what is wide. */
export function linesOfBrace(leg: LegOn, layer: FigureLayer): (readonly Point[])[] {
  const { uprights, hinges, shells } = frameOn(leg, layer);
  return [
    ...uprights.flatMap((line) =>
      [-upright, 0, upright].map((by) => line.map(([x, y]): Point => [x + by, y])),
    ),
    ...hinges.map(([x, y]) =>
      Array.from({ length: 13 }, (_, i): Point => {
        const angle = (i / 6) * Math.PI;
        return [x + (hingeRadius + 2) * Math.cos(angle), y + (hingeRadius + 2) * Math.sin(angle)];
      }),
    ),
    ...shells.flatMap(({ view, left, right, level }) =>
      bandEdges(leg, view, left, right, level, shellHeight),
    ),
  ];
}
