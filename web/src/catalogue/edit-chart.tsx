import { unitOf } from '@estribo/core/measuring';
import { chartChanges, type ChartChange } from '@estribo/core/exchange';
import { chartBandFaults, type BraceModel, type Programme } from '@estribo/core/programmes';
import type { LengthUnit } from '@estribo/core/quantity';
import type { Chart } from '@estribo/core/sizing';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatNumber, unitSign } from '../parts/format';
import { readQuantity } from '../parts/reading-field';
import { CellInput } from './cell-input';
import { ChartChanges } from './chart-changes';
import { stepOf, Table, TwoWayTable } from './chart-table';

/** The bands, and the cells of a two-way table, as fields; saved as a new version, the old one stays for the cases that hold on to it. */
export function EditChart({
  model,
  programme,
  unit,
  onSave,
  onCancel,
}: {
  model: BraceModel;
  programme: Programme;
  unit: LengthUnit;
  onSave: (chart: Chart) => Promise<void>;
  onCancel: () => void;
}) {
  const { chart } = model;
  const keyOf = (axis: number, band: number, end: 'from' | 'to') => `${axis} ${band} ${end}`;
  const cellKey = (row: number, column: number) => `cell ${row} ${column}`;
  const unitAt = (axis: number) => {
    const step = stepOf(programme, chart.axes[axis]!.reading);
    return step ? unitOf(step) : 'mm';
  };
  const [typed, setTyped] = useDraft<Record<string, string>>(`chart-${model.id}-${model.version}`, {});
  const [looked, look] = useState<{ chart: Chart; changes: ChartChange[] }>();
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const read = (key: string, axis: number, before: number): number | undefined => {
    const text = typed[key];
    if (text === undefined) return before;
    const kept = unitAt(axis);
    const value = readQuantity(text, kept === 'mm' ? 'length' : kept === 'kg' ? 'mass' : 'count', unit);
    return 'value' in value ? value.value : undefined;
  };
  const change = () => {
    const problems: Record<string, string> = {};
    const axes = chart.axes.map((axis, a) => ({
      ...axis,
      bands: axis.bands.map((band, b) => {
        const [from, to] = (['from', 'to'] as const).map((end) => {
          const value = read(keyOf(a, b, end), a, band[end]);
          if (value === undefined) problems[keyOf(a, b, end)] = t('common.notANumber');
          return value ?? band[end];
        });
        return { ...band, from: from!, to: to! };
      }),
    }));
    const table = chart.table?.map((cells, row) =>
      cells.map((before, column) => {
        const size = (typed[cellKey(row, column)] ?? before).trim();
        if (size !== '' && !chart.sizes.includes(size))
          problems[cellKey(row, column)] = t('catalogue.noSuchSize', { sizes: chart.sizes.join(', ') });
        return size;
      }),
    );
    for (const { axis, band, end, fault } of chartBandFaults({ axes }, programme))
      problems[keyOf(axis, band, end)] ??= t(
        fault === 'reversed' ? 'catalogue.bandReversed' : 'catalogue.bandNoBody',
      );
    setWrong(problems);
    if (Object.keys(problems).length > 0) return;
    const next: Chart = { ...chart, axes, ...(table ? { table } : {}) };
    look({ chart: next, changes: chartChanges(model, { ...model, chart: next }, programme) });
  };
  const save = () => {
    setBusy(true);
    void onSave(looked!.chart)
      .then(() => setTyped({}))
      .finally(() => setBusy(false));
  };
  const type = (key: string, text: string) => {
    look(undefined);
    setTyped({ ...typed, [key]: text });
  };
  return (
    <Stack>
      <Soft>{t('catalogue.editHow')}</Soft>
      {chart.axes.map((axis, a) => (
        <Table key={axis.reading}>
          <caption style={{ textAlign: 'left', fontWeight: 700 }}>
            {named('steps', axis.reading)} ({unitSign(unitAt(a), unit)})
          </caption>
          <thead>
            <tr>
              <th scope="col">{t('catalogue.size')}</th>
              <th scope="col">{t('catalogue.from')}</th>
              <th scope="col">{t('catalogue.to')}</th>
            </tr>
          </thead>
          <tbody>
            {axis.bands.map((band, b) => (
              <tr key={band.size}>
                <th scope="row">{band.size}</th>
                {(['from', 'to'] as const).map((end) => {
                  const key = keyOf(a, b, end);
                  return (
                    <td key={end}>
                      <CellInput
                        label={`${named('steps', axis.reading)}, ${band.size}, ${t(`catalogue.${end}`)}`}
                        problem={wrong[key]}
                        inputMode="decimal"
                        value={typed[key] ?? formatNumber(band[end], unitAt(a), unit)}
                        onChange={(text) => type(key, text)}
                      />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      ))}
      {chart.table && (
        <TwoWayTable
          chart={chart}
          programme={programme}
          unit={unit}
          cell={(row, column, label) => {
            const key = cellKey(row, column);
            return (
              <CellInput
                label={label}
                problem={wrong[key]}
                value={typed[key] ?? chart.table![row]![column]!}
                onChange={(text) => type(key, text)}
              />
            );
          }}
        />
      )}
      {Object.keys(wrong).length > 0 && (
        <Notice tone="stop" live>
          {[...new Set(Object.values(wrong))].join(' ')}
        </Notice>
      )}
      {looked && (
        <Stack $gap={8}>
          <h3>{t('catalogue.previewTitle')}</h3>
          {looked.changes.length === 0 ? (
            <Soft>{t('catalogue.noChange')}</Soft>
          ) : (
            <ChartChanges changes={looked.changes} />
          )}
        </Stack>
      )}
      <Row>
        {looked && looked.changes.length > 0 ? (
          <Button look="main" isDisabled={busy} onPress={save}>
            {t('catalogue.saveVersion', { version: chart.version + 1 })}
          </Button>
        ) : (
          <Button look="main" onPress={change}>
            {t('catalogue.lookFirst')}
          </Button>
        )}
        <Button
          look="quiet"
          onPress={() => {
            setTyped({});
            onCancel();
          }}
        >
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
