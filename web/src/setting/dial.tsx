import type { JointPlane } from '@estribo/core/anatomy';
import type { MotionWindow } from '@estribo/core/order';
import type { Arc, HingeStops, StopHardware } from '@estribo/core/setting';
import { arc } from 'd3-shape';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { formatArc, formatStops, formatWindow } from '../parts/format';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 560px;
  height: auto;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
  & .leg {
    transition: transform 300ms ease-out;
  }
`;

/** What an arc says, in as many lines as it takes: an open end is never cut off. */
const Said = styled.div<{ $long: boolean }>`
  line-height: 1.2;
  & b {
    display: block;
    font-size: ${({ $long }) => ($long ? 15 : 18)}px;
    color: ${color('ink')};
    overflow-wrap: break-word;
  }
  & span {
    font-size: 13px;
    color: ${color('soft')};
  }
`;

const centre = { x: 252, y: 236 };
const least = -15;
const most = 135;

/** A flexion angle as a point: full extension lies to the left, the thigh to the right. */
function point(angle: number, radius: number): [number, number] {
  const turn = ((180 - angle) * Math.PI) / 180;
  return [centre.x + radius * Math.cos(turn), centre.y - radius * Math.sin(turn)];
}

/** Part of a ring about the hinge: full extension lies a quarter turn before the top, where d3 counts from. */
const ring = (from: number, to: number, innerRadius: number, outerRadius: number): string =>
  arc()({
    innerRadius,
    outerRadius,
    startAngle: ((from - 90) * Math.PI) / 180,
    endAngle: ((to - 90) * Math.PI) / 180,
  }) ?? '';
const atHinge = `translate(${centre.x} ${centre.y})`;

/** The order, the hardware's stops and what the knee can do, as three arcs of one dial. */
export function Dial({
  window,
  motion,
  hardware,
  stops,
  knee,
  tested,
}: {
  window: MotionWindow;
  /** the one that the stops limit */
  motion: JointPlane | undefined;
  hardware: StopHardware;
  stops: HingeStops | undefined;
  knee: Arc | undefined;
  /** when the knee was tested: "today", a day */
  tested: string;
}) {
  const end = (value: number | undefined, otherwise: number) =>
    Math.min(most, Math.max(least, value ?? otherwise));
  const ticks = [-10, 0, 15, 30, 45, 60, 75, 90, 105, 120];
  const legend: [string, string, string, string?][] = [
    ['riverWash', t('setting.legendOrder'), formatWindow(window, motion)],
    [
      'river',
      t('setting.legendStops'),
      stops
        ? formatArc({ from: stops.extension, to: stops.flexion ?? undefined }, motion)
        : t('setting.noneChosen'),
    ],
    [
      'skinForm',
      t('setting.legendJoint', { joint: named('joints', motion?.joint ?? 'any'), day: tested }),
      knee ? formatArc(knee, motion) : t('setting.notTested'),
      knee ? t('setting.notBeyond') : undefined,
    ],
  ];
  const shank = stops?.extension ?? knee?.from ?? 0;
  return (
    <Drawing
      viewBox="0 0 620 300"
      role="img"
      aria-label={legend.map(([, name, value]) => `${name}: ${value}`).join('; ')}
    >
      <g aria-hidden>
        <path transform={atHinge} d={ring(least, most, 166, 186)} fill={color('band')} />
        <path
          transform={atHinge}
          d={ring(end(window.extension, least), end(window.flexion, most), 166, 186)}
          fill={color('riverWash')}
          stroke={color('river')}
          strokeWidth="1"
        />
        {stops && (
          <path
            transform={atHinge}
            d={ring(end(stops.extension, least), end(stops.flexion ?? undefined, most), 166, 186)}
            fill={color('river')}
          />
        )}
        {knee && (
          <path
            transform={atHinge}
            d={ring(end(knee.from, least), end(knee.to, most), 146, 153)}
            fill={color('skinForm')}
          />
        )}
        {ticks.map((angle) => {
          const long = angle % 30 === 0 || angle === -10;
          const [[x0, y0], [x1, y1], [xt, yt]] = [
            point(angle, 192),
            point(angle, long ? 204 : 198),
            point(angle, 220),
          ];
          return (
            <g key={angle}>
              <path d={`M${x0} ${y0}L${x1} ${y1}`} stroke={color('edge')} />
              {long && (
                <text x={xt} y={yt + 5} textAnchor="middle">
                  {angle < 0 ? `−${-angle}` : angle}
                </text>
              )}
            </g>
          );
        })}
        {[...new Set([...hardware.extension, ...hardware.flexion])].map((piece) => {
          const [x, y] = point(piece, 176);
          return <circle key={piece} cx={x} cy={y} r="3.600" fill={color('sheet')} stroke={color('ink')} />;
        })}
        {stops &&
          [stops.extension, stops.flexion].map((stop, i) => {
            if (stop === null) return null;
            const [[x0, y0], [x1, y1]] = [point(stop, 142), point(stop, 192)];
            return <path key={i} d={`M${x0} ${y0}L${x1} ${y1}`} stroke={color('madder')} strokeWidth="6" />;
          })}
        <g stroke={color('skinForm')} strokeWidth="24" strokeLinecap="round">
          <path d={`M${centre.x} ${centre.y}H${centre.x + 150}`} />
          <path
            className="leg"
            style={{ transform: `rotate(${shank}deg)`, transformOrigin: `${centre.x}px ${centre.y}px` }}
            d={`M${centre.x} ${centre.y}H${centre.x - 118}`}
          />
        </g>
        <circle
          cx={centre.x}
          cy={centre.y}
          r="18"
          fill={color('sheet')}
          stroke={color('saddle')}
          strokeWidth="5"
        />
        <circle cx={centre.x} cy={centre.y} r="4" fill={color('ink')} />
        <text x={centre.x + 84} y={centre.y + 5} textAnchor="middle" style={{ fill: color('ink') }}>
          {t('setting.thigh')}
        </text>
        {legend.map(([token, name, value, more], i) => (
          <g key={name} transform={`translate(474 ${34 + i * 66})`}>
            <rect
              width="14"
              height="12"
              y="-10"
              fill={`var(--${token})`}
              stroke={color('edge')}
              strokeWidth="0.600"
            />
            <text x="20">{name}</text>
            <foreignObject x="0" y="6" width="146" height="60">
              <Said $long={value.length > 14}>
                <b>{value}</b>
                {more && <span>{more}</span>}
              </Said>
            </foreignObject>
          </g>
        ))}
        <text
          x={centre.x}
          y={294}
          textAnchor="middle"
          style={{ fontSize: size.title, fontWeight: 700, fill: color('ink') }}
        >
          {stops ? formatStops(stops) : ''}
        </text>
      </g>
    </Drawing>
  );
}
