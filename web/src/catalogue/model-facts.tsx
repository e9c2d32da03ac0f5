import type { BraceModel, Programme } from '@estribo/core/programmes';
import type { LengthUnit } from '@estribo/core/quantity';
import type { Belt } from '@estribo/core/sizing';
import { named, t } from '../messages';
import { Stack } from '../parts/layout';
import { formatReading } from '../parts/format';
import { Table, TwoWayTable } from './chart-table';

/** What the chart says, in words: rules, supply, distances, what comes with the size. */
export function ModelFacts({
  model,
  programme,
  unit,
}: {
  model: BraceModel;
  programme: Programme;
  unit: LengthUnit;
}) {
  const { chart } = model;
  const distances = Object.entries(model.distances).map(
    ([step, distance]) => `${named('steps', step)} ${formatReading(distance, 'mm', unit)}`,
  );
  const rows: [string, string][] = [
    [t('catalogue.between'), named('between', programme.between ?? chart.between)],
    [t('catalogue.disagree'), named('disagree', programme.disagree ?? chart.disagree)],
    [t('catalogue.supply'), named('supply', chart.supply ?? 'stock')],
    [t('catalogue.sidedness'), t(model.sided ? 'catalogue.sided' : 'catalogue.universal')],
    ...(distances.length > 0
      ? ([[t('catalogue.distances'), distances.join(', ')]] as [string, string][])
      : []),
    ...(chart.heights
      ? ([
          [
            t('sizing.height'),
            chart.heights
              .map(({ height, reading }) =>
                reading
                  ? `${named('heights', height)} (${named('steps', reading)})`
                  : `${named('heights', height)} (${t('catalogue.byOrder')})`,
              )
              .join(', '),
          ],
        ] as [string, string][])
      : []),
    ...(chart.sideExtension
      ? ([[t('catalogue.sideExtension'), formatReading(chart.sideExtension.upTo, 'mm', unit)]] as [
          string,
          string,
        ][])
      : []),
    ...(chart.belt
      ? ([[t('catalogue.belt'), t('catalogue.beltHow', beltWords(chart.belt, unit))]] as [string, string][])
      : []),
  ];
  return (
    <Stack>
      <Table>
        <tbody>
          {rows.map(([term, text]) => (
            <tr key={term}>
              <th scope="row">{term}</th>
              <td>{text}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {chart.table && (
        <TwoWayTable
          chart={chart}
          programme={programme}
          unit={unit}
          cell={(row, column) => <b>{chart.table![row]![column] || '–'}</b>}
        />
      )}
    </Stack>
  );
}

const beltWords = ({ overlap, backPanel, marks }: Belt, unit: LengthUnit) => ({
  overlap: formatReading(overlap, 'mm', unit),
  panel: formatReading(backPanel, 'mm', unit),
  first: formatReading(marks.first, 'mm', unit),
  spacing: formatReading(marks.spacing, 'mm', unit),
  count: marks.count,
});
