import type { CaseState } from '@estribo/core/logbook';
import { axisBands, closedUp, girthDrift, type ChartAxis, type Drift } from '@estribo/core/sizing';
import type { LengthUnit } from '@estribo/core/quantity';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Small, Stack } from '../parts/layout';
import { formatDay, formatFine, formatNumber } from '../parts/format';
import { unitOfAxis } from './print-axis';
import { SizeTable } from './size-table';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
`;

const left = 64;
const right = 596;
const rowHeight = 64;

/** How a reading has moved over the visits, and when it would leave the band of the size in use. */
function driftOf(state: CaseState, axis: ChartAxis): { drift: Drift; size: string } | undefined {
  const size = state.sizing.chosen?.decided.size;
  const band = size === undefined || state.sizing.chart.table ? undefined : closedUp(axis, size);
  if (!size || !band || unitOfAxis(state, axis.reading) !== 'mm') return undefined;
  const { first, visits } = state.reviewing;
  const read = [first, ...visits].flatMap(({ day, girths }) => {
    const girth = girths[axis.reading];
    return girth === undefined ? [] : [{ day, girth }];
  });
  const drift = girthDrift(read, band);
  return drift && { drift, size };
}

/** The bands of every size as strips, the reading and its uncertainty laid across. */
export function SizeStrips({ state, unit }: { state: CaseState; unit: LengthUnit }) {
  const { chart, match } = state.sizing;
  const size = match.outcome === 'incomplete' ? undefined : match.size;
  const drifts = chart.axes.flatMap((axis) => {
    const found = driftOf(state, axis);
    return found ? [{ axis, ...found }] : [];
  });
  // a brace of one size has no bands
  if (chart.axes.length === 0) return null;
  if (chart.table) return <SizeTable state={state} unit={unit} />;
  return (
    <Stack $gap={4}>
      <Drawing
        viewBox={`0 0 ${right + 18} ${chart.axes.length * rowHeight + 4}`}
        role="img"
        aria-label={t('sizing.stripsLabel')}
      >
        {chart.axes.map((axis, row) => {
          const bands = axisBands(chart, axis);
          const reading = state.sizing.readings[axis.reading];
          const kept = unitOfAxis(state, axis.reading);
          const u = reading && Math.hypot(reading.repeatPart, reading.sharedPart, reading.alone ?? 0);
          const upTo = row === 0 && chart.sideExtension ? [chart.sideExtension.upTo] : [];
          const ends = [
            bands[0]!.from,
            bands.at(-1)!.to,
            ...upTo,
            ...(reading ? [reading.mean - 2.5 * u!, reading.mean + 2.5 * u!] : []),
          ];
          const [low, high] = [Math.min(...ends), Math.max(...ends)];
          const x = scaleLinear([low, high], [left, right]);
          const y = row * rowHeight + 14;
          const drift = drifts.find((one) => one.axis === axis)?.drift;
          return (
            <g key={axis.reading} aria-hidden>
              <text x={0} y={y + 21}>
                {named('axes', axis.reading)}
              </text>
              {upTo.map((end) => (
                <g key="extension">
                  <rect
                    x={x(bands.at(-1)!.to)}
                    y={y + 6}
                    width={Math.max(1, x(end) - x(bands.at(-1)!.to))}
                    height={20}
                    fill="none"
                    stroke={color('edge')}
                    strokeDasharray="4 3"
                  />
                  <text x={x(end)} y={y + 47} textAnchor="middle">
                    {formatNumber(end, kept, unit)}
                  </text>
                </g>
              ))}
              {bands.map((band) => {
                const chosen = band.size === size;
                return (
                  <g key={band.size}>
                    <rect
                      x={x(band.from) + 0.75}
                      y={y}
                      width={Math.max(1, x(band.to) - x(band.from) - 1.5)}
                      height={32}
                      fill={color(chosen ? 'riverWash' : 'band')}
                      stroke={color(chosen ? 'river' : 'band')}
                      strokeWidth={chosen ? 1.5 : 0}
                    />
                    <text
                      x={(x(band.from) + x(band.to)) / 2}
                      y={y + 22}
                      textAnchor="middle"
                      style={chosen ? { fontWeight: 700, fill: color('river'), fontSize: 18 } : undefined}
                    >
                      {band.size}
                    </text>
                  </g>
                );
              })}
              {[...bands.map(({ from }) => from), bands.at(-1)!.to].map((edge) => (
                <text key={edge} x={x(edge)} y={y + 47} textAnchor="middle">
                  {formatNumber(edge, kept, unit)}
                </text>
              ))}
              {reading && (
                <g stroke={color('madder')} strokeWidth={3}>
                  <path d={`M${x(reading.mean - 2 * u!)} ${y - 7}H${x(reading.mean + 2 * u!)}`} />
                  <path d={`M${x(reading.mean)} ${y - 12}V${y + 34}`} />
                  {drift && drift.perWeek !== 0 && (
                    <path
                      d={`M${x(reading.mean)} ${y + 38}h${Math.sign(drift.perWeek) * 26}l${-Math.sign(drift.perWeek) * 7} -5m${Math.sign(drift.perWeek) * 7} 5l${-Math.sign(drift.perWeek) * 7} 5`}
                      strokeWidth={1.8}
                      fill="none"
                    />
                  )}
                </g>
              )}
            </g>
          );
        })}
      </Drawing>
      {drifts.map(({ axis, drift, size: used }) => (
        <Small key={axis.reading}>
          {named('steps', axis.reading)}.{' '}
          {t('sizing.drift', {
            perWeek: formatFine(drift.perWeek, 'mm', unit),
          })}{' '}
          {drift.crosses &&
            (drift.crosses.to === undefined
              ? t('sizing.driftCrossesFrom', { size: used, from: formatDay(drift.crosses.from) })
              : t('sizing.driftCrosses', {
                  size: used,
                  from: formatDay(drift.crosses.from),
                  to: formatDay(drift.crosses.to),
                }))}{' '}
          {t('sizing.driftEstimate')}
        </Small>
      ))}
    </Stack>
  );
}
