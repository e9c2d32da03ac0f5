import type { Point } from '@estribo/core/anatomy';
import {
  barHalf,
  roundRadius,
  type BraceShape,
  type DrawnBrace,
  type PlacedLabel,
} from '@estribo/core/drawing';
import { color } from '../look/tokens';
import { pathOf } from './drawing';

const ink = { now: 'river', done: 'saddle', ahead: 'edge', bad: 'madder' } as const;

type Touch = ((id: string) => void) | undefined;
const touchOf = (onSelect: Touch, id: string) =>
  onSelect ? { 'data-touch': true, onClick: () => onSelect(id) } : {};

/** The brace from its parts and what is marked on the body, then a numbered badge beside each that has one. */
export function BraceShapes({
  brace: { shapes, anchors },
  labels,
  selected,
  onSelect,
}: {
  brace: DrawnBrace;
  labels: readonly PlacedLabel[];
  selected: string | undefined;
  onSelect: Touch;
}) {
  return (
    <>
      {shapes.map((shape, i) => (
        <g key={i} data-part={shape.id} aria-hidden {...touchOf(onSelect, shape.id)}>
          <Shape shape={shape} strong={shape.state === 'now' || shape.id === selected} />
        </g>
      ))}
      {Object.entries(anchors).map(([id, at]) => {
        const label = labels.find((one) => one.id === `badge-${id}`);
        const shape = shapes.find((one) => one.id === id);
        return (
          label &&
          shape && (
            <g key={id} aria-hidden {...touchOf(onSelect, id)}>
              <Badge shape={shape} at={at} label={label} strong={shape.state === 'now' || id === selected} />
            </g>
          )
        );
      })}
    </>
  );
}

/** One piece of a part as leather, metal or padding; a scar as a sewn line. */
function Shape({
  shape: { kind, points, state, parted, way },
  strong,
}: {
  shape: BraceShape;
  strong: boolean;
}) {
  const [x, y] = points[0]!;
  switch (kind) {
    case 'bar':
      return (
        <path
          className="bar"
          d={pathOf(points)}
          fill="none"
          stroke={color('saddle')}
          strokeWidth={2 * barHalf}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      );
    case 'hinge':
    case 'dial':
      return (
        <>
          <circle
            className="hinge"
            cx={x}
            cy={y}
            r={roundRadius}
            fill={color('sheet')}
            stroke={color('saddle')}
            strokeWidth={4.5}
          />
          <circle cx={x} cy={y} r={3.2} fill={color('ink')} />
          {kind === 'dial' && <path d={`M${x} ${y}v${-roundRadius}`} stroke={color('ink')} strokeWidth={2} />}
        </>
      );
    case 'scar': {
      const length = points.at(-1)![1] - y;
      const stitches = Math.max(2, Math.round(Math.abs(length) / 12));
      return (
        <g stroke={color('madder')} fill="none" strokeWidth={1.8}>
          <path d={pathOf(points)} />
          {Array.from({ length: stitches }, (_, i) => (
            <path key={i} d={`M${x - 4} ${y + ((i + 0.5) * length) / stitches}h8`} />
          ))}
        </g>
      );
    }
    case 'zone':
      return (
        <path
          d={pathOf(points)}
          fill="none"
          stroke={color(state === 'bad' ? 'madder' : 'ochre')}
          strokeWidth={15}
          strokeLinecap="round"
          opacity={state === 'bad' ? 0.5 : 0.3}
        />
      );
    case 'spot':
    case 'bend':
      return null;
    case 'pad':
    case 'bladder':
      return (
        <>
          <path
            d={pathOf(points, true)}
            fill={color('thread')}
            stroke={color(ink[state])}
            strokeWidth={strong ? 3 : 1.6}
            strokeLinejoin="round"
            opacity={0.92}
          />
          {parted && <path d={pathOf(parted)} stroke={color('skin')} strokeWidth={7} fill="none" />}
        </>
      );
    case 'liner':
      return (
        <path
          d={pathOf(points, true)}
          fill={color('thread')}
          stroke={color('saddle')}
          strokeDasharray="2 3"
          opacity={0.6}
        />
      );
    case 'shell':
    case 'cuff':
      return <path d={pathOf(points, true)} fill={color('saddle')} opacity={0.9} />;
    case 'wing':
    case 'panel':
    case 'strap':
      // stitched along its edges, so that it stands out from what lies beneath
      return (
        <>
          <path
            d={pathOf(points, true)}
            fill={color('saddle')}
            opacity={state === 'ahead' ? 0.4 : kind === 'wing' ? 0.86 : 1}
            {...(strong
              ? { stroke: color('river'), strokeWidth: 3 }
              : { stroke: color('thread'), strokeDasharray: '4 3' })}
          />
          {way && state === 'now' && (
            <Pull way={way} wide={Math.hypot(points.at(-1)![0] - x, points.at(-1)![1] - y)} />
          )}
        </>
      );
  }
}

/** Which way a strap is pulled: along its own way, to its end. */
function Pull({ way, wide }: { way: readonly Point[]; wide: number }) {
  const [x, y] = way.at(-1)!;
  const [fromX, fromY] = way[Math.max(0, way.length - 4)]!;
  const angle = (Math.atan2(y - fromY, x - fromX) * 180) / Math.PI;
  return (
    <g className="pull" stroke={color('onRiver')} fill="none" strokeWidth={2.2} strokeLinejoin="round">
      <path d={pathOf(way)} strokeDasharray="7 5" />
      <path
        transform={`translate(${x} ${y}) rotate(${angle}) scale(${Math.min(1.1, Math.max(0.4, wide / 18))})`}
        d="M-8 -9L12 0L-8 9Z"
        fill={color('river')}
      />
    </g>
  );
}

/** A number beside what it means, tied to it with a thread. */
function Badge({
  shape: { kind, state },
  at: [x, y],
  label,
  strong,
}: {
  shape: BraceShape;
  at: readonly [number, number];
  label: PlacedLabel;
  strong: boolean;
}) {
  const { left, right, top, bottom } = label.box;
  const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
  const line = color(ink[state]);
  const isPlace = kind === 'spot' || kind === 'bend';
  return (
    <>
      <path d={`M${x} ${y}L${cx} ${cy}`} stroke={line} strokeWidth={1.4} />
      {isPlace && <circle cx={x} cy={y} r={4} fill={color('sheet')} stroke={line} strokeWidth={2} />}
      <circle
        className="badge"
        cx={cx}
        cy={cy}
        r={(right - left) / 2 - 1}
        fill={strong ? line : color('sheet')}
        stroke={line}
        strokeWidth={2}
      />
      <text
        x={cx}
        y={cy + 5}
        textAnchor="middle"
        style={{ fontWeight: 700, fill: strong ? color('onRiver') : color('ink') }}
      >
        {!isPlace && state === 'done' && !strong ? '✓' : label.text}
      </text>
    </>
  );
}
