import { color } from '../app/tokens';
import type { FigureMark } from './layer';
import { bandPath, edgesAt, uprightOffset, type LegOn } from './projection';

const markInk = { now: 'river', done: 'saddle', ahead: 'edge', bad: 'madder' } as const;

/** A strap, pad, scar, bend or spot on the limb. */
export function Mark({
  leg: { form, front, outer, ...scale },
  mark,
  chosen,
  onSelect,
}: {
  leg: LegOn;
  mark: FigureMark;
  chosen: boolean;
  onSelect: (() => void) | undefined;
}) {
  const edges = edgesAt(form, mark.level, front, outer);
  const ink = color(markInk[mark.state]);
  const strong = mark.state === 'now' || chosen;
  const touch = onSelect ? { 'data-touch': true, onClick: onSelect } : {};
  const { medial, lateral, front: fore, back } = form.edges(mark.level);
  switch (mark.kind) {
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
      const badgeY = scale.y(mark.badge ?? mark.level);
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
          <path d={`M${x} ${y}L${badge} ${badgeY}`} stroke={ink} />
          <circle
            cx={badge}
            cy={badgeY}
            r={strong ? 14 : 11}
            fill={strong ? color('river') : color('sheet')}
            stroke={strong ? color('river') : ink}
            strokeWidth={2}
          />
          <text
            x={badge}
            y={badgeY + 5}
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
