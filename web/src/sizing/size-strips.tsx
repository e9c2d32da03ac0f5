import { bandEdges } from '@estribo/core/sizing';
import type { CaseState } from '@estribo/core/logbook';
import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { language, named, t } from '../messages';

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

/** The bands of every size as strips, the reading and its uncertainty laid across. */
export function SizeStrips({ state, unit }: { state: CaseState; unit: LengthUnit }) {
  const { chart } = state.model;
  const { match } = state.sizing;
  const size = match.outcome === 'incomplete' ? undefined : match.size;
  return (
    <Drawing
      viewBox={`0 0 ${right + 18} ${chart.axes.length * rowHeight + 4}`}
      role="img"
      aria-label={t('sizing.stripsLabel')}
    >
      {chart.axes.map((axis, row) => {
        const bands = bandEdges(axis, chart.sizes);
        const reading = state.sizing.readings[axis.reading];
        const u = reading && Math.hypot(reading.repeatPart, reading.sharedPart);
        const ends = [
          bands[0]!.from,
          bands.at(-1)!.to,
          ...(reading ? [reading.mean - 2.5 * u!, reading.mean + 2.5 * u!] : []),
        ];
        const [low, high] = [Math.min(...ends), Math.max(...ends)];
        const x = (mm: number) => left + ((mm - low) / (high - low)) * (right - left);
        const y = row * rowHeight + 14;
        return (
          <g key={axis.reading} aria-hidden>
            <text x={0} y={y + 21}>
              {named('axes', axis.reading)}
            </text>
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
                {formatLength(edge, unit, language)}
              </text>
            ))}
            {reading && (
              <g stroke={color('madder')} strokeWidth={3}>
                <path d={`M${x(reading.mean - 2 * u!)} ${y - 7}H${x(reading.mean + 2 * u!)}`} />
                <path d={`M${x(reading.mean)} ${y - 12}V${y + 34}`} />
              </g>
            )}
          </g>
        );
      })}
    </Drawing>
  );
}
