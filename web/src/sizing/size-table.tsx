import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { axisBands } from '@estribo/core/sizing';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { formatNumber } from '../parts/format';
import { unitOfAxis } from './print-axis';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
`;

const [left, right, top, bottom] = [64, 596, 8, 232];

/** A two-way table as the plane it is: one reading along, one across, the body where they meet. */
export function SizeTable({ state, unit }: { state: CaseState; unit: LengthUnit }) {
  const { chart, readings, match } = state.sizing;
  const [rows, columns] = chart.axes;
  if (!rows || !columns || !chart.table) return null;
  const [rowBands, columnBands] = [axisBands(chart, rows), axisBands(chart, columns)];
  const chosen = match.outcome === 'incomplete' ? undefined : match.size;
  const span = (bands: typeof rowBands, reading: { mean: number } | undefined) => {
    const ends = [bands[0]!.from, bands.at(-1)!.to, ...(reading ? [reading.mean] : [])];
    return [Math.min(...ends), Math.max(...ends)] as const;
  };
  const [row, column] = [readings[rows.reading], readings[columns.reading]];
  const [x0, x1] = span(columnBands, column);
  const [y0, y1] = span(rowBands, row);
  const x = (value: number) => left + ((value - x0) / (x1 - x0)) * (right - left);
  const y = (value: number) => bottom - ((value - y0) / (y1 - y0)) * (bottom - top);
  const u = (reading: NonNullable<typeof row>) =>
    2 * Math.hypot(reading.repeatPart, reading.sharedPart, reading.alone ?? 0);
  const number = (reading: string, value: number) => formatNumber(value, unitOfAxis(state, reading), unit);
  const edges = (bands: typeof rowBands) => [...bands.map(({ from }) => from), bands.at(-1)!.to];
  return (
    <Drawing viewBox={`0 0 ${right + 18} ${bottom + 42}`} role="img" aria-label={t('sizing.tableLabel')}>
      {rowBands.map((rowBand, r) =>
        columnBands.map((columnBand, c) => {
          const size = chart.table![r]![c]!;
          const mine = size !== '' && size === chosen;
          const [cx, cy] = [x(columnBand.from), y(rowBand.to)];
          const [w, h] = [x(columnBand.to) - cx, y(rowBand.from) - cy];
          return (
            <g key={`${r} ${c}`} aria-hidden>
              <rect
                x={cx + 0.75}
                y={cy + 0.75}
                width={w - 1.5}
                height={h - 1.5}
                fill={size === '' ? 'none' : color(mine ? 'riverWash' : 'band')}
                stroke={color(mine ? 'river' : 'line')}
                strokeWidth={mine ? 1.5 : 0.75}
              />
              <text
                x={cx + w / 2}
                y={cy + h / 2 + 5}
                textAnchor="middle"
                style={mine ? { fontWeight: 700, fill: color('river') } : undefined}
              >
                {size}
              </text>
            </g>
          );
        }),
      )}
      <g aria-hidden>
        {edges(columnBands).map((edge) => (
          <text key={edge} x={x(edge)} y={bottom + 18} textAnchor="middle">
            {number(columns.reading, edge)}
          </text>
        ))}
        {edges(rowBands).map((edge) => (
          <text key={edge} x={left - 8} y={y(edge) + 4} textAnchor="end">
            {number(rows.reading, edge)}
          </text>
        ))}
        <text x={(left + right) / 2} y={bottom + 37} textAnchor="middle">
          {named('steps', columns.reading)}
        </text>
        <text
          x={14}
          y={(top + bottom) / 2}
          textAnchor="middle"
          transform={`rotate(-90 14 ${(top + bottom) / 2})`}
        >
          {named('steps', rows.reading)}
        </text>
        <g stroke={color('madder')} strokeWidth={3} fill="none">
          {row && (
            <path
              d={`M${left} ${y(row.mean)}H${column ? x(column.mean) : right}`}
              strokeWidth={1.2}
              strokeDasharray="4 3"
            />
          )}
          {column && (
            <path
              d={`M${x(column.mean)} ${bottom}V${row ? y(row.mean) : top}`}
              strokeWidth={1.2}
              strokeDasharray="4 3"
            />
          )}
          {row && column && (
            <path
              d={`M${x(column.mean - u(column))} ${y(row.mean)}H${x(column.mean + u(column))}M${x(column.mean)} ${y(row.mean - u(row))}V${y(row.mean + u(row))}`}
            />
          )}
        </g>
      </g>
    </Drawing>
  );
}
