import {
  barTolerance,
  gapsAlong,
  gapStep,
  heightOf,
  largestGap,
  placeOn,
  targetOf,
  type BarBend,
  type BarShape,
  type BarState,
  type FrameLimits,
} from '@estribo/core/shaping';
import { useId } from 'react';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { useFrame } from '../figure/frame-of';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { fixed, formatFine } from '../parts/format';

const Told = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: ${size.small};
  color: ${color('soft')};
`;

const Place = styled.div`
  width: 100%;
  & svg {
    display: block;
    width: 100%;
    height: 256px;
  }
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
  & .pin {
    font-weight: 700;
    fill: ${color('onRiver')};
  }
  @media print {
    break-inside: avoid;
  }
`;

/** px: the picture's parts from above */
const layout = { pins: 40, body: 92, gapTop: 192, gapHeight: 60, edge: 16 };
/** heights are drawn larger than lengths, so that millimetres are seen */
const mostOver = 3;

type Point = readonly [number, number];
const pathOf = (points: readonly Point[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/**
 * The contour, the bar as it is and the bar with its bends over each other, proximal to the left, and below them the gap along
 * it with what is allowed. Heights are drawn larger than lengths; how much is said.
 */
export function BarPicture({
  bar,
  frame,
  bends,
  after,
  between = [],
}: {
  bar: BarState;
  frame: FrameLimits;
  /** bends that are ahead, by their place along the bar, numbered as in the list */
  bends: readonly (BarBend & { number: number })[];
  /** the bar with them */
  after: BarShape | undefined;
  /** the bar after each of them in turn, the last left out */
  between?: readonly BarShape[];
}) {
  const { unit } = useWork();
  const [place, { width }] = useFrame({ width: 604, height: 256 });
  const hatch = useId();
  const { contour } = bar;
  if (!contour) return null;
  const { proximal, distal } = frame.reach;
  const stations = contour.points.map(({ at }) => at);
  const far = {
    left: Math.min(proximal, Math.max(...stations) + 12),
    right: Math.max(-distal, Math.min(...stations) - 12),
  };
  const perMm = (width - 2 * layout.edge) / (far.left - far.right);
  const target = targetOf(contour, bar.held);
  const skin = targetOf({ ...contour, liner: 0, gap: 0, gapAtTop: 0, pad: 0 }, bar.held);
  const places = Array.from(
    { length: Math.floor((far.left - far.right) / 2) + 1 },
    (_, i) => far.right + i * 2,
  );
  const stand = bar.byHand ? contour.liner + contour.gap : contour.pad;
  const heights = places.flatMap((at) => [target(at) ?? 0, (skin(at) ?? 0) - stand]);
  const shapes = [bar.shape, ...(after ? [after] : [])];
  const all = [...heights, ...shapes.flatMap((shape) => places.flatMap((at) => heightOf(shape, at) ?? []))];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const over = Math.min(mostOver, 96 / Math.max(1, (high - low) * perMm));
  const x = (at: number) => layout.edge + (far.left - at) * perMm;
  const y = (out: number) => layout.body + 4 + (high - out) * perMm * over;
  const bottom = layout.gapTop - 8;
  const lineOf = (of: (at: number) => number | undefined): Point[] =>
    places.flatMap((at) => {
      const out = of(at);
      return out === undefined ? [] : [[x(at), y(out)] as const];
    });
  const skinLine = lineOf((at) => {
    const out = skin(at);
    return out === undefined ? undefined : out - stand;
  });
  // as far as the contour goes: a bar that is longer is cut off there
  const barLine = (shape: BarShape): Point[] => lineOf((at) => heightOf(shape, at));
  const now = gapsAlong(bar.shape, contour, bar.held, gapStep);
  const then = after ? gapsAlong(after, contour, bar.held, gapStep) : undefined;
  const most = Math.max(barTolerance * 1.6, ...now.map(({ gap }) => Math.abs(gap)));
  const gapY = (gap: number) =>
    layout.gapTop + layout.gapHeight - (Math.min(most, Math.abs(gap)) / most) * layout.gapHeight;
  // the line breaks where the bar is held and not judged
  const gapPaths = (gaps: readonly { at: number; gap: number }[]) => {
    let path = '';
    let before: number | undefined;
    for (const { at, gap } of gaps) {
      path += `${before === undefined || at - before > gapStep * 1.5 ? 'M' : 'L'}${x(at).toFixed(1)} ${gapY(gap).toFixed(1)}`;
      before = at;
    }
    return path;
  };
  const zones = [
    ...(bar.held > 0 ? [{ from: bar.held, to: -bar.held, said: t('shaping.noBendHinge') }] : []),
    ...(frame.bar?.keepOut ?? []).map(({ from, to, why }) => ({
      from,
      to,
      said: t(`shaping.keepOut.${why}`),
    })),
  ].filter(({ from, to }) => Math.max(from, to) > far.right && Math.min(from, to) < far.left);
  const shape = after ?? bar.shape;
  return (
    <Place ref={place}>
      <svg
        viewBox={`0 0 ${width} 256`}
        role="img"
        aria-label={t(then ? 'shaping.pictureAfter' : 'shaping.picture', {
          now: formatFine(largestGap(now), 'mm', unit),
          after: formatFine(largestGap(then ?? now), 'mm', unit),
        })}
      >
        <defs>
          <pattern
            id={hatch}
            width="7"
            height="7"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0 0V7" stroke={color('skinLine')} strokeWidth="1" opacity="0.55" />
          </pattern>
        </defs>
        {skinLine.length > 1 && (
          <>
            <path
              d={`${pathOf(skinLine)}L${skinLine.at(-1)![0]} ${bottom}L${skinLine[0]![0]} ${bottom}Z`}
              fill={color('skin')}
            />
            <path d={pathOf(skinLine)} fill="none" stroke={color('skinLine')} strokeWidth="1.6" />
          </>
        )}
        {zones.map(({ from, to, said }, i) => {
          const [left, right] = [x(Math.max(from, to)), x(Math.min(from, to))];
          return (
            <g key={`${from} ${to}`}>
              <rect
                x={left}
                width={right - left}
                y={layout.pins}
                height={bottom - layout.pins}
                fill={`url(#${hatch})`}
              />
              <text x={(left + right) / 2} y={i % 2 === 0 ? 14 : 30} textAnchor="middle">
                {said}
              </text>
            </g>
          );
        })}
        <path
          d={pathOf(lineOf(target))}
          fill="none"
          stroke={color('ink')}
          strokeWidth="1.3"
          strokeDasharray="1.5 4"
        />
        <path
          d={pathOf(barLine(bar.shape))}
          fill="none"
          stroke={color('saddle')}
          strokeWidth={after ? 8 : 7}
          strokeLinecap="round"
          strokeLinejoin="round"
          opacity={after ? 0.32 : 1}
        />
        {between.map((shape, i) => (
          <path
            key={i}
            d={pathOf(barLine(shape))}
            fill="none"
            stroke={color('saddle')}
            strokeWidth="1.4"
            opacity={0.7}
          />
        ))}
        {after && (
          <path
            d={pathOf(barLine(after))}
            fill="none"
            stroke={color('saddle')}
            strokeWidth="7"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        )}
        {bar.byHand ? (
          <path d={`M${x(0) - 7} ${y(0)}h14M${x(0)} ${y(0) - 7}v14`} stroke={color('ink')} strokeWidth="2" />
        ) : (
          <g>
            <circle
              cx={x(0)}
              cy={y(0)}
              r="14"
              fill={color('sheet')}
              stroke={color('saddle')}
              strokeWidth="5"
            />
            <circle cx={x(0)} cy={y(0)} r="3.5" fill={color('ink')} />
          </g>
        )}
        {bends.map(({ at, number }) => {
          const point = placeOn(shape, at);
          if (!point) return null;
          const [px, py] = [x(point[0]), y(point[1])];
          return (
            <g key={at}>
              <path d={`M${px} ${layout.pins + 24}V${py - 5}`} stroke={color('river')} strokeWidth="1.4" />
              <circle cx={px} cy={layout.pins + 13} r="12" fill={color('river')} />
              <text className="pin" x={px} y={layout.pins + 17.5} textAnchor="middle">
                {number}
              </text>
            </g>
          );
        })}
        <text x={layout.edge} y={bottom - 6}>
          {t(bar.byHand ? 'shaping.upperEnd' : 'shaping.proximalEnd')}
        </text>
        <text x={width - layout.edge} y={bar.byHand ? 14 : bottom - 6} textAnchor="end">
          {t(bar.byHand ? 'shaping.atTheMark' : 'shaping.distalEnd')}
        </text>
        <rect
          x={layout.edge}
          width={width - 2 * layout.edge}
          y={gapY(barTolerance)}
          height={layout.gapTop + layout.gapHeight - gapY(barTolerance)}
          fill={color('mossWash')}
        />
        <path d={gapPaths(now)} fill="none" stroke={color('ochre')} strokeWidth="2" />
        {then && <path d={gapPaths(then)} fill="none" stroke={color('river')} strokeWidth="2.4" />}
      </svg>
      <Told>
        <span style={{ color: color('ochre') }}>
          {t('shaping.gapNow', { gap: formatFine(largestGap(now), 'mm', unit) })}
        </span>
        {then && (
          <b style={{ color: color('river') }}>
            {t('shaping.gapAfter', { gap: formatFine(largestGap(then), 'mm', unit) })}
          </b>
        )}
        <span>{t('shaping.gapAllowed', { gap: formatFine(barTolerance, 'mm', unit) })}</span>
        <span>{t('shaping.heightsDrawn', { times: fixed(over, 1) })}</span>
        <span>{t(after ? 'shaping.legend' : 'shaping.legendNow')}</span>
      </Told>
    </Place>
  );
}
