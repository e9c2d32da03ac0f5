import { color } from '../app/tokens';
import type { FigureLayer } from './layer';
import { bandPath, edgesAt, kneecapTop, uprightOffset, type LegOn } from './projection';

/** A rigid frame on the leg: uprights on both sides, thigh and shin shells, hinges at the kneecap's upper edge. */
export function Brace({ leg: { form, front, outer, ...scale }, layer }: { leg: LegOn; layer: FigureLayer }) {
  const hingeLevel = kneecapTop(form) + (layer.hinge?.above ?? 0);
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
      {hinges.map((x) => (
        <g key={x}>
          <circle cx={x} cy={y} r={13} fill={color('sheet')} stroke={color('saddle')} strokeWidth={4.5} />
          <circle cx={x} cy={y} r={3.2} fill={color('ink')} />
        </g>
      ))}
    </g>
  );
}
