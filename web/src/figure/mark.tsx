import type { Point } from '@estribo/core/anatomy';
import type { PlacedLabel } from '@estribo/core/drawing';
import { color } from '../app/tokens';
import type { FigureMark } from './layer';
import { padBoxes, placeOf, scarLine, strapBands, strapEnd, strapWidth } from './mark-places';
import { bandPath, type LegOn } from './projection';

const markInk = { now: 'river', done: 'saddle', ahead: 'edge', bad: 'madder' } as const;

/** A strap, pad, scar, bend or spot on the limb. */
export function Mark({
  leg,
  mark,
  badge,
  strong,
  onSelect,
}: {
  leg: LegOn;
  mark: FigureMark;
  /** its number, where the solver put it */
  badge: PlacedLabel | undefined;
  /** it is the one in hand */
  strong: boolean;
  onSelect: (() => void) | undefined;
}) {
  const ink = color(markInk[mark.state]);
  const touch = onSelect ? { 'data-touch': true, onClick: onSelect } : {};
  switch (mark.kind) {
    case 'strap':
      return (
        <g {...touch} aria-hidden>
          {strapBands(leg, mark).map(({ view, left, right }) => (
            <path
              key={view.axis}
              d={bandPath(leg, view, left, right, mark.level, strapWidth)}
              // stitched along its edges, so that it stands out from the shell beneath
              style={{
                fill: color('saddle'),
                stroke: color('thread'),
                strokeDasharray: '4 3',
                opacity: mark.state === 'ahead' ? 0.4 : 1,
              }}
            />
          ))}
          <Badge mark={mark} at={strapEnd(leg, mark)} label={badge} strong={strong} />
        </g>
      );
    case 'spot':
    case 'bend':
      return (
        <g {...touch} aria-hidden>
          <Badge mark={mark} at={placeOf(leg, mark)} label={badge} strong={strong} />
        </g>
      );
    case 'scar': {
      const [x, y0, y1] = scarLine(leg, mark);
      const stitches = Math.max(2, Math.round((y1 - y0) / 12));
      return (
        <g aria-hidden stroke={color('madder')} fill="none" strokeWidth={1.8}>
          <path d={`M${x} ${y0}V${y1}`} />
          {Array.from({ length: stitches }, (_, i) => (
            <path key={i} d={`M${x - 4} ${y0 + ((i + 0.5) * (y1 - y0)) / stitches}h8`} />
          ))}
        </g>
      );
    }
    case 'pad': {
      const [x, y0, y1] = scarLine(leg, mark);
      return (
        <g {...touch} aria-hidden>
          {padBoxes(leg, mark).map(({ left, right, top, bottom }) => (
            <rect
              key={left}
              x={left}
              y={top}
              width={right - left}
              height={bottom - top}
              rx={7}
              fill={color('thread')}
              stroke={ink}
              strokeWidth={strong ? 3 : 1.6}
              opacity={0.92}
            />
          ))}
          {mark.label === 'split' && <path d={`M${x} ${y0}V${y1}`} stroke={color('skin')} strokeWidth={7} />}
        </g>
      );
    }
  }
}

/** A mark's number beside it, tied to its place with a thread. */
function Badge({
  mark,
  at: [x, y],
  label,
  strong,
}: {
  mark: FigureMark;
  at: Point;
  label: PlacedLabel | undefined;
  strong: boolean;
}) {
  if (!label) return null;
  const { left, right, top, bottom } = label.box;
  const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
  const ink = color(markInk[mark.state]);
  const fill = strong ? ink : color('sheet');
  return (
    <g>
      <path className="leader" d={`M${x} ${y}L${cx} ${cy}`} stroke={ink} strokeWidth={1.4} />
      {mark.kind !== 'strap' && (
        <circle cx={x} cy={y} r={4} fill={color('sheet')} stroke={ink} strokeWidth={2} />
      )}
      <circle
        className="badge"
        cx={cx}
        cy={cy}
        r={(right - left) / 2 - 1}
        fill={fill}
        stroke={ink}
        strokeWidth={2}
      />
      <text
        x={cx}
        y={cy + 5}
        textAnchor="middle"
        style={{ fontWeight: 700, fill: strong ? color('onRiver') : color('ink') }}
      >
        {mark.kind === 'strap' && mark.state === 'done' && !strong ? '✓' : mark.label}
      </text>
    </g>
  );
}
