import { isMeasured, unitOf, type ProtocolStep, type ReadingUnit } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { axisBands, type Chart, type ChartAxis } from '@estribo/core/sizing';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { formatNumber, unitSign } from '../parts/format';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
`;

const [left, right] = [8, 892];

/** Ticks a tape would have: a round number of units apart, not too close. */
function ticksBetween(
  low: number,
  high: number,
  unit: ReadingUnit,
  length: LengthUnit,
): { at: number; labelled: boolean }[] {
  const one = unit === 'mm' ? (length === 'in' ? 25.4 : 10) : 1;
  const stride = one * [1, 2, 5, 10, 20, 50].find((step) => (high - low) / (one * step) <= 60)!;
  const count = Math.floor((high - low) / stride);
  const start = Math.ceil(low / stride);
  return Array.from({ length: count + 1 }, (_, i) => (start + i) * stride)
    .filter((at) => at <= high)
    .map((at) => ({ at, labelled: Math.round(at / stride) % 5 === 0 }));
}

/** An axis of a chart as a tape laid along it: where each size lies, where two overlap, where none is. */
export function Ruler({
  chart,
  axis,
  step,
  unit,
}: {
  chart: Chart;
  axis: ChartAxis;
  step: ProtocolStep | undefined;
  unit: LengthUnit;
}) {
  const kept = isMeasured(step) ? unitOf(step) : 'mm';
  const bands = axisBands(chart, axis);
  const [low, high] = [Math.min(...bands.map(({ from }) => from)), Math.max(...bands.map(({ to }) => to))];
  const pad = (high - low) * 0.04 || 1;
  const x = (value: number) => left + ((value - low + pad) / (high - low + 2 * pad)) * (right - left);
  const gaps = bands
    .slice(1)
    .flatMap((next, i) => (next.from > bands[i]!.to + 1e-6 ? [[bands[i]!.to, next.from] as const] : []));
  return (
    <figure>
      <figcaption>
        <b>{named('steps', axis.reading)}</b>{' '}
        <span style={{ color: color('soft') }}>
          {unitSign(kept, unit)}
          {axis.resolution > 0 &&
            `, ${t('catalogue.printedIn', { spacing: formatNumber(axis.resolution, kept, unit) })}`}
        </span>
      </figcaption>
      <Drawing
        viewBox="0 0 900 104"
        role="img"
        aria-label={bands
          .map(
            ({ size, from, to }) =>
              `${size}: ${formatNumber(from, kept, unit)} – ${formatNumber(to, kept, unit)}`,
          )
          .join('; ')}
      >
        {bands.map(({ size, from, to }, i) => (
          <g key={size} aria-hidden>
            <rect
              x={x(from)}
              y={i % 2 === 0 ? 6 : 12}
              width={Math.max(1, x(to) - x(from))}
              height={34}
              fill={color(i % 2 === 0 ? 'band' : 'riverWash')}
              stroke={color('edge')}
              strokeWidth={0.8}
              opacity={0.9}
            />
            <text
              x={(x(from) + x(to)) / 2}
              y={(i % 2 === 0 ? 6 : 12) + 22}
              textAnchor="middle"
              style={{ fill: color('ink'), fontWeight: 700 }}
            >
              {size}
            </text>
          </g>
        ))}
        {gaps.map(([from, to]) => (
          <g key={from} aria-hidden stroke={color('madder')} strokeWidth={1.6}>
            <path d={`M${x(from)} 4V52M${x(to)} 4V52`} />
            <path d={`M${x(from)} 28H${x(to)}`} strokeDasharray="3 3" />
          </g>
        ))}
        <g aria-hidden>
          <rect
            x={left}
            y={54}
            width={right - left}
            height={26}
            fill={color('sheet')}
            stroke={color('line')}
          />
          {ticksBetween(low - pad, high + pad, kept, unit).map(({ at, labelled }) => (
            <g key={at}>
              <path
                d={`M${x(at)} 54v${labelled ? 16 : 9}`}
                stroke={color('ink')}
                strokeWidth={labelled ? 1.4 : 0.8}
              />
              {labelled && (
                <text x={x(at)} y={97} textAnchor="middle">
                  {formatNumber(at, kept, unit)}
                </text>
              )}
            </g>
          ))}
        </g>
      </Drawing>
    </figure>
  );
}
