import { isMeasured, unitOf } from '@estribo/core/measuring';
import { chartChanges, type ChartChange } from '@estribo/core/exchange';
import { heightNames } from '@estribo/core/order';
import { chartBandFaults, type BraceModel, type Programme } from '@estribo/core/programmes';
import type { LengthUnit } from '@estribo/core/quantity';
import {
  addAxis,
  addBand,
  addBelt,
  addHeight,
  addSize,
  removeAxis,
  removeBand,
  removeBelt,
  removeHeight,
  removeSize,
  renameSize,
  sizesWithout,
  type Chart,
} from '@estribo/core/sizing';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { named, t } from '../messages';
import { Button, IconButton } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { formatNumber, unitSign } from '../parts/format';
import { readQuantity } from '../parts/reading-field';
import { CellInput } from './cell-input';
import { ChartChanges } from './chart-changes';
import { stepOf, Table, TwoWayTable } from './chart-table';

/** What of a model is changed on its page: its names, its distances, its chart. */
type Changed = Pick<BraceModel, 'name' | 'maker' | 'distances' | 'chart'>;

const pickChanged = ({ name, maker, distances, chart }: BraceModel): Changed => ({
  name,
  maker,
  distances,
  chart,
});

const nothingRead = '-';

/**
 * A model's names, sizes, bands, heights and belt as fields; saved as a new version, the old one stays for the cases that
 * hold on to it. What is typed is text until it is looked at; what is added or taken away stands at once.
 */
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
  onSave: (changed: Changed) => Promise<void>;
  onCancel: () => void;
}) {
  const kept = `chart-${model.id}-${model.version}`;
  const start = pickChanged(model);
  const [shape, setShape] = useDraft<Changed>(`${kept}-shape`, start);
  const [typed, setTyped] = useDraft<Record<string, string>>(kept, {});
  const [looked, look] = useState<{ changed: Changed; changes: ChartChange[] }>();
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const { chart } = shape;
  const keyOf = (axis: number, band: number, end: 'from' | 'to') => `${axis} ${band} ${end}`;
  const unitOfReading = (reading: string) => {
    const step = stepOf(programme, reading);
    return isMeasured(step) ? unitOf(step) : 'mm';
  };
  const quantityAt = (key: string, in_: ReturnType<typeof unitOfReading> | 'count', before: number) => {
    const text = typed[key];
    if (text === undefined) return before;
    const kind = in_ === 'mm' ? 'length' : in_ === 'kg' ? 'mass' : 'count';
    const value = readQuantity(text, kind, unit);
    return 'value' in value ? value.value : undefined;
  };

  /** What was typed taken into the shape; what is no number stays as it was, and is told. */
  const taken = (): { changed: Changed; problems: Record<string, string> } => {
    const problems: Record<string, string> = {};
    const number = (key: string, in_: ReturnType<typeof unitOfReading> | 'count', before: number) => {
      const value = quantityAt(key, in_, before);
      if (value === undefined) problems[key] = t('common.notANumber');
      return value ?? before;
    };
    const counted = (key: string, before: number) => {
      const value = number(key, 'count', before);
      if (!Number.isInteger(value) || value < 1 || value > 60) problems[key] ??= t('catalogue.wrongWhole');
      return value;
    };
    const axes = chart.axes.map((axis, a) => ({
      ...axis,
      bands: axis.bands.map((band, b) => ({
        ...band,
        from: number(keyOf(a, b, 'from'), unitOfReading(axis.reading), band.from),
        to: number(keyOf(a, b, 'to'), unitOfReading(axis.reading), band.to),
      })),
    }));
    const table = chart.table?.map((cells, row) =>
      cells.map((before, column) => {
        const key = `cell ${row} ${column}`;
        const size = (typed[key] ?? before).trim();
        if (size !== '' && !chart.sizes.includes(size))
          problems[key] = t('catalogue.noSuchSize', { sizes: chart.sizes.join(', ') });
        return size;
      }),
    );
    const heights = chart.heights?.map((height, i) =>
      height.reading === undefined
        ? height
        : {
            ...height,
            from: number(`height ${i} from`, unitOfReading(height.reading), height.from ?? 0),
            to: number(`height ${i} to`, unitOfReading(height.reading), height.to ?? 0),
          },
    );
    const belt = chart.belt && {
      overlap: number('belt overlap', 'mm', chart.belt.overlap),
      backPanel: number('belt backPanel', 'mm', chart.belt.backPanel),
      marks: {
        first: number('belt first', 'mm', chart.belt.marks.first),
        spacing: number('belt spacing', 'mm', chart.belt.marks.spacing),
        count: counted('belt count', chart.belt.marks.count),
      },
    };
    const distances = Object.fromEntries(
      Object.entries(shape.distances).map(([step, distance]) => [
        step,
        number(`distance ${step}`, 'mm', distance),
      ]),
    );
    let next: Chart = {
      ...chart,
      axes,
      ...(table ? { table } : {}),
      ...(heights ? { heights } : {}),
      ...(belt ? { belt } : {}),
    };
    for (const size of chart.sizes) {
      const name = typed[`size ${size}`]?.trim();
      if (name === undefined || name === size) continue;
      const renamed = renameSize(next, size, name);
      if (renamed === next) problems[`size ${size}`] = t('catalogue.sizeTaken');
      next = renamed;
    }
    const [name, maker] = (['name', 'maker'] as const).map((field) => {
      const text = (typed[field] ?? shape[field]).trim();
      if (text === '') problems[field] = t('catalogue.addNeeds');
      return text === '' ? shape[field] : text;
    });
    return { changed: { name: name!, maker: maker!, distances, chart: next }, problems };
  };

  const change = () => {
    const { changed, problems } = taken();
    for (const { axis, band, end, fault } of chartBandFaults(changed.chart, programme))
      problems[keyOf(axis, band, end)] ??= t(
        fault === 'reversed' ? 'catalogue.bandReversed' : 'catalogue.bandNoBody',
      );
    setWrong(problems);
    if (Object.keys(problems).length > 0) return;
    look({ changed, changes: chartChanges(model, { ...model, ...changed }, programme) });
  };
  const save = () => {
    setBusy(true);
    void onSave(looked!.changed)
      .then(() => {
        setTyped({});
        setShape(start);
      })
      .finally(() => setBusy(false));
  };
  const type = (key: string, text: string) => {
    look(undefined);
    setTyped({ ...typed, [key]: text });
  };
  /** Something comes or goes: what was typed so far is taken first, where it can be. */
  const reshape = (by: (chart: Chart) => Chart) => {
    const { changed, problems } = taken();
    look(undefined);
    setWrong({});
    setShape({ ...changed, chart: by(changed.chart) });
    setTyped(Object.fromEntries(Object.entries(typed).filter(([key]) => key in problems)));
  };
  const cell = (key: string, label: string, value: string, decimal = true) => (
    <CellInput
      label={label}
      problem={wrong[key]}
      {...(decimal ? { inputMode: 'decimal' as const } : {})}
      value={typed[key] ?? value}
      onChange={(text) => type(key, text)}
    />
  );
  const away = (label: string, by: (chart: Chart) => Chart) => (
    <IconButton aria-label={label} onPress={() => reshape(by)}>
      <Minus size={16} aria-hidden />
    </IconButton>
  );
  const more = programme.axes.filter((reading) => !chart.axes.some((axis) => axis.reading === reading));
  const readings = programme.measuring.filter((step) => 'plausible' in step);
  return (
    <Stack>
      <Soft>{t('catalogue.editHow')}</Soft>
      <Row $align="flex-start">
        {(['name', 'maker'] as const).map((field) => (
          <Field
            key={field}
            label={t(`catalogue.${field}`)}
            value={typed[field] ?? shape[field]}
            onChange={(text) => type(field, text)}
            problem={wrong[field]}
            maxLength={80}
          />
        ))}
      </Row>
      <h3>{t('catalogue.sizesOf')}</h3>
      <Row $gap={6}>
        {chart.axes.length > 0 && (
          <Button onPress={() => reshape((now) => addSize(now, t('catalogue.newSize'), 'first'))}>
            <Plus size={16} aria-hidden /> {t('catalogue.smaller')}
          </Button>
        )}
        {chart.sizes.map((size) => (
          <Row key={size} $gap={0}>
            {cell(`size ${size}`, t('catalogue.sizeName', { size }), size, false)}
            {chart.sizes.length > 1 &&
              away(t('catalogue.removeSize', { size }), (now) => removeSize(now, size))}
          </Row>
        ))}
        {chart.axes.length > 0 && (
          <Button onPress={() => reshape((now) => addSize(now, t('catalogue.newSize'), 'last'))}>
            <Plus size={16} aria-hidden /> {t('catalogue.larger')}
          </Button>
        )}
      </Row>
      {chart.axes.map((axis, a) => (
        <Stack key={axis.reading} $gap={4}>
          <Table>
            <caption style={{ textAlign: 'left', fontWeight: 700 }}>
              {named('steps', axis.reading)} ({unitSign(unitOfReading(axis.reading), unit)})
            </caption>
            <thead>
              <tr>
                <th scope="col">{t('catalogue.size')}</th>
                <th scope="col">{t('catalogue.from')}</th>
                <th scope="col">{t('catalogue.to')}</th>
                <th scope="col" aria-label={t('catalogue.change')} />
              </tr>
            </thead>
            <tbody>
              {axis.bands.map((band, b) => (
                <tr key={`${band.size} ${b}`}>
                  <th scope="row">{band.size}</th>
                  {(['from', 'to'] as const).map((end) => (
                    <td key={end}>
                      {cell(
                        keyOf(a, b, end),
                        `${named('steps', axis.reading)}, ${band.size}, ${t(`catalogue.${end}`)}`,
                        formatNumber(band[end], unitOfReading(axis.reading), unit),
                      )}
                    </td>
                  ))}
                  <td>
                    {axis.bands.length > 1 &&
                      away(t('catalogue.removeBand', { size: band.size }), (now) => removeBand(now, a, b))}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
          <Row>
            {(chart.table !== undefined || sizesWithout(chart, a).length > 0) && (
              <Button onPress={() => reshape((now) => addBand(now, a))}>{t('catalogue.addBand')}</Button>
            )}
            {removeAxis(chart, a) !== chart && (
              <Button look="quiet" onPress={() => reshape((now) => removeAxis(now, a))}>
                {t('catalogue.removeAxis', { reading: named('steps', axis.reading) })}
              </Button>
            )}
          </Row>
        </Stack>
      ))}
      {!chart.table && more.length > 0 && (
        <Pick
          label={t('catalogue.addAxis')}
          options={more.map((value) => ({ value, label: named('steps', value) }))}
          value=""
          onChange={(reading) => {
            const step = stepOf(programme, reading);
            if (step && 'plausible' in step)
              reshape((now) => addAxis(now, reading, step.plausible as [number, number]));
          }}
        />
      )}
      {chart.table && (
        <TwoWayTable
          chart={chart}
          programme={programme}
          unit={unit}
          cell={(row, column, label) =>
            cell(`cell ${row} ${column}`, label, chart.table![row]![column]!, false)
          }
        />
      )}
      {Object.keys(shape.distances).length > 0 && (
        <Table>
          <caption style={{ textAlign: 'left', fontWeight: 700 }}>
            {t('catalogue.distancesTitle')} ({unit})
          </caption>
          <tbody>
            {Object.entries(shape.distances).map(([step, distance]) => (
              <tr key={step}>
                <th scope="row">{named('steps', step)}</th>
                <td>{cell(`distance ${step}`, named('steps', step), formatNumber(distance, 'mm', unit))}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <h3>{t('catalogue.heightsTitle')}</h3>
      {(chart.heights ?? []).map((height, i) => (
        <Row key={height.height} $align="flex-end">
          <b style={{ minWidth: 70, lineHeight: '44px' }}>{named('heights', height.height)}</b>
          <Pick
            label={t('catalogue.heightBy')}
            options={[
              { value: nothingRead, label: t('catalogue.notRead') },
              ...readings.map(({ id }) => ({ value: id, label: named('steps', id) })),
            ]}
            value={height.reading ?? nothingRead}
            onChange={(reading) =>
              reshape((now) => ({
                ...now,
                heights: now.heights!.map((one, at) =>
                  at !== i
                    ? one
                    : reading === nothingRead
                      ? { height: one.height }
                      : { height: one.height, reading, from: one.from ?? 0, to: one.to ?? 0 },
                ),
              }))
            }
          />
          {height.reading !== undefined &&
            (['from', 'to'] as const).map((end) =>
              cell(
                `height ${i} ${end}`,
                `${named('heights', height.height)}, ${t(`catalogue.${end}`)}`,
                formatNumber(height[end] ?? 0, unitOfReading(height.reading!), unit),
              ),
            )}
          {away(t('catalogue.removeHeight', { height: named('heights', height.height) }), (now) =>
            removeHeight(now, i),
          )}
        </Row>
      ))}
      {addHeight(chart, heightNames) !== chart && (
        <Row>
          <Button onPress={() => reshape((now) => addHeight(now, heightNames))}>
            {t('catalogue.addHeight')}
          </Button>
        </Row>
      )}
      <h3>{t('catalogue.beltTitle')}</h3>
      {chart.belt ? (
        <>
          <Table>
            <tbody>
              {(
                [
                  ['overlap', chart.belt.overlap],
                  ['backPanel', chart.belt.backPanel],
                  ['first', chart.belt.marks.first],
                  ['spacing', chart.belt.marks.spacing],
                ] as const
              ).map(([what, value]) => (
                <tr key={what}>
                  <th scope="row">
                    {t(`catalogue.${beltWords[what]}`)} ({unit})
                  </th>
                  <td>
                    {cell(`belt ${what}`, t(`catalogue.${beltWords[what]}`), formatNumber(value, 'mm', unit))}
                  </td>
                </tr>
              ))}
              <tr>
                <th scope="row">{t('catalogue.markCount')}</th>
                <td>{cell('belt count', t('catalogue.markCount'), String(chart.belt.marks.count))}</td>
              </tr>
            </tbody>
          </Table>
          <Row>
            <Button look="quiet" onPress={() => reshape(removeBelt)}>
              {t('catalogue.removeBelt')}
            </Button>
          </Row>
        </>
      ) : (
        <Row>
          <Button onPress={() => reshape(addBelt)}>{t('catalogue.addBelt')}</Button>
        </Row>
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
            setShape(start);
            onCancel();
          }}
        >
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}

const beltWords = {
  overlap: 'overlap',
  backPanel: 'backPanel',
  first: 'firstMark',
  spacing: 'markSpacing',
} as const;
