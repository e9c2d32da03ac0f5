import { isMeasured, unitOf, type ProtocolStep } from '@estribo/core/measuring';
import type { Programme } from '@estribo/core/programmes';
import { axisBands, type Chart } from '@estribo/core/sizing';
import type { LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { RuledTable } from '../parts/layout';
import { formatNumber } from '../parts/format';

export const Table = styled(RuledTable)`
  & th,
  & td {
    height: 40px;
  }
  & th {
    font-size: ${size.small};
    color: ${color('soft')};
    font-weight: 400;
  }
`;

export const stepOf = (programme: Programme, reading: string): ProtocolStep | undefined =>
  programme.measuring.find(({ id }) => id === reading);

/** A two-way table: the first axis down, the second across, a size where they meet. */
export function TwoWayTable({
  chart,
  programme,
  unit,
  cell,
}: {
  chart: Chart;
  programme: Programme;
  unit: LengthUnit;
  /** what stands where a row and a column meet */
  cell: (row: number, column: number, label: string) => React.ReactNode;
}) {
  const [down, across] = chart.axes.map((axis) => {
    const step = stepOf(programme, axis.reading);
    const print = (edge: number) => formatNumber(edge, isMeasured(step) ? unitOf(step) : 'mm', unit);
    return axisBands(chart, axis).map(({ from, to }) => `${print(from)} – ${print(to)}`);
  }) as [string[], string[]];
  const [rows, columns] = chart.axes.map(({ reading }) => named('steps', reading));
  return (
    <Table>
      <caption style={{ textAlign: 'left', fontWeight: 700 }}>
        {t('catalogue.twoWayAxes', { rows: rows ?? '', columns: columns ?? '' })}
      </caption>
      <thead>
        <tr>
          <td />
          {across.map((band) => (
            <th key={band} scope="col">
              {band}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {down.map((band, i) => (
          <tr key={band}>
            <th scope="row">{band}</th>
            {across.map((other, j) => (
              <td key={other}>{cell(i, j, `${rows} ${band}, ${columns} ${other}`)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
