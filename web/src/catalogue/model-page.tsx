import { may } from '@estribo/core/access';
import { unitOf, type ProtocolStep } from '@estribo/core/measuring';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { lintChart, type Chart, type ChartFinding } from '@estribo/core/sizing';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import {
  contentQuery,
  queries,
  useCatalogue,
  useModels,
  useUser,
  useVersions,
  type ListedModel,
} from '../api/clinic';
import { AwayError, call, RefusedError } from '../api/http';
import { useUnit } from '../app/preferences';
import { color, size } from '../app/tokens';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printNumber, printReading, unitSign } from '../parts/print';
import { readQuantity } from '../parts/reading-field';
import { Ruler } from './ruler';

const Table = styled.table`
  border-collapse: collapse;
  & th,
  & td {
    text-align: left;
    padding: 2px 14px 2px 0;
    border-bottom: 1px solid ${color('line')};
    height: 40px;
  }
  & th {
    font-size: ${size.small};
    color: ${color('soft')};
    font-weight: 400;
  }
  & input {
    width: 92px;
    min-height: 36px;
    border: 1px solid ${color('edge')};
    border-radius: 4px;
    padding: 4px 8px;
    background: ${color('sheet')};
    color: ${color('ink')};
    font: inherit;
  }
  & input[aria-invalid='true'] {
    border: 2px solid ${color('madder')};
  }
`;

/** One model of the catalogue: its chart as a ruler, what the lint finds, its newest version to change. */
export default function ModelPage() {
  const { modelId = '' } = useParams();
  const found = useModels({ find: modelId, retired: true });
  const listed = found.data?.pages.flatMap(({ models }) => models).find(({ id }) => id === modelId);
  const families = useCatalogue();
  const versions = useVersions(modelId).data?.versions ?? [];
  const [query] = useSearchParams();
  const older = versions.find(({ version }) => String(version) === query.get('version'))?.hash;
  const model = useQuery(contentQuery<BraceModel>('model', older ?? listed?.hash));
  const family = families.data?.families.find(({ id }) => id === listed?.programme);
  const programme = useQuery(contentQuery<Programme>('programme', family?.hash));
  if (found.data && !listed)
    return (
      <Page>
        <Notice tone="stop">{t('catalogue.noSuchModel')}</Notice>
        <Link to="/catalogue">{t('nav.catalogue')}</Link>
      </Page>
    );
  if (!listed || !model.data || !programme.data || !family)
    return <Loading away={found.isError || model.isError} />;
  return (
    <Shown
      key={`${listed.hash} ${older}`}
      listed={listed}
      model={model.data}
      programme={programme.data}
      versions={versions.map(({ version }) => version)}
    />
  );
}

const stepOf = (programme: Programme, reading: string): ProtocolStep | undefined =>
  programme.measuring.find(({ id }) => id === reading);

function Shown({
  listed,
  model,
  programme,
  versions,
}: {
  listed: ListedModel;
  model: BraceModel;
  programme: Programme;
  versions: number[];
}) {
  const user = useUser();
  const navigate = useNavigate();
  const [unit, nextUnit] = useUnit();
  const [editing, setEditing] = useState(false);
  const [said, setSaid] = useState<{ tone: 'good' | 'stop'; text: string }>();
  const newest = model.version === listed.version;
  const mayWrite = newest && may(user.role, 'catalogue.write');
  const usual = Object.fromEntries(
    programme.measuring.flatMap((step) => ('plausible' in step ? [[step.id, step.plausible]] : [])),
  );
  const findings = lintChart(model.chart, usual);
  const attempt = async (act: () => Promise<void>) => {
    try {
      await act();
      await queries.invalidateQueries({ queryKey: ['models'] });
    } catch (error) {
      setSaid({
        tone: 'stop',
        text:
          error instanceof RefusedError
            ? error.problem.detail
            : error instanceof AwayError
              ? t('catalogue.notSaved')
              : String(error),
      });
    }
  };
  const duplicate = () =>
    attempt(async () => {
      const id = `${model.id.slice(0, 60)}-${Date.now().toString(36)}`;
      await call('POST', '/catalogue/models', {
        ...model,
        id,
        version: 1,
        name: t('catalogue.copyOf', { name: model.name }),
        chart: { ...model.chart, version: 1 },
      });
      await queries.invalidateQueries({ queryKey: ['models'] });
      await navigate(`/catalogue/${id}`);
    });
  const retire = (retired: boolean) =>
    attempt(async () => {
      await call('PUT', `/catalogue/models/${model.id}/retired`, { retired });
      setSaid({ tone: 'good', text: t(retired ? 'catalogue.isRetired' : 'catalogue.isBack') });
    });
  const save = (chart: Chart) =>
    attempt(async () => {
      await call('POST', '/catalogue/models', {
        ...model,
        version: model.version + 1,
        chart: { ...chart, version: model.chart.version + 1 },
      });
    });
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
        <Stack $gap={2}>
          <Link to="/catalogue">{t('nav.catalogue')}</Link>
          <h1>{model.name}</h1>
          <Soft>
            {model.maker}
            {model.invented && ` (${t('common.invented')})`} · {programmeTitle(programme)} ·{' '}
            {t('catalogue.versions', { version: model.version, chart: model.chart.version })}
            {listed.retired && ` · ${t('catalogue.retired')}`}
          </Soft>
          {versions.length > 1 && (
            <Row $gap={14} as="nav" aria-label={t('catalogue.allVersions')}>
              <Small>{t('catalogue.allVersions')}</Small>
              {versions.map((version) => (
                <Link
                  key={version}
                  to={`/catalogue/${model.id}${version === listed.version ? '' : `?version=${version}`}`}
                  aria-current={version === model.version ? 'page' : undefined}
                  aria-label={t('catalogue.versionNumber', { version })}
                >
                  {version}
                </Link>
              ))}
            </Row>
          )}
        </Stack>
        <Row>
          <Button onPress={nextUnit} aria-label={t('case.unit', { unit })}>
            {unit}
          </Button>
          {mayWrite && !editing && (
            <>
              <Button look="main" onPress={() => setEditing(true)}>
                {t('catalogue.edit')}
              </Button>
              <Button onPress={() => void duplicate()}>{t('catalogue.duplicate')}</Button>
              <Button onPress={() => void retire(!listed.retired)}>
                {t(listed.retired ? 'catalogue.bringBack' : 'catalogue.retire')}
              </Button>
            </>
          )}
        </Row>
      </Row>
      {said && (
        <Notice tone={said.tone} live>
          {said.text}
        </Notice>
      )}
      {findings.length > 0 ? (
        <Notice tone="caution">
          <ul>
            {findings.map((finding, i) => (
              <li key={i}>{sayFinding(finding, programme, unit)}</li>
            ))}
          </ul>
        </Notice>
      ) : (
        <Notice tone="good">{t('catalogue.lintClear')}</Notice>
      )}
      <Sheet>
        <Stack $gap={14}>
          {model.chart.axes.map((axis) => (
            <Ruler
              key={axis.reading}
              chart={model.chart}
              axis={axis}
              step={stepOf(programme, axis.reading)}
              unit={unit}
            />
          ))}
        </Stack>
      </Sheet>
      <Sheet>
        {editing ? (
          <EditChart
            chart={model.chart}
            programme={programme}
            unit={unit}
            onSave={save}
            onCancel={() => setEditing(false)}
          />
        ) : (
          <Facts model={model} programme={programme} unit={unit} />
        )}
      </Sheet>
    </Page>
  );
}

function sayFinding(
  finding: ChartFinding,
  programme: Programme,
  unit: ReturnType<typeof useUnit>[0],
): string {
  const step = 'reading' in finding ? stepOf(programme, finding.reading) : undefined;
  const words = {
    reading: 'reading' in finding ? named('steps', finding.reading) : '',
    size: 'size' in finding ? finding.size : '',
    next: 'next' in finding ? finding.next : '',
    by: 'by' in finding ? printReading(finding.by, step ? unitOf(step) : 'mm', unit) : '',
    row: 'row' in finding ? finding.row : '',
    column: 'column' in finding ? finding.column : '',
  };
  return t(`chartFindings.${finding.finding}`, words);
}

/** What the chart says, in words: rules, supply, distances, what comes with the size. */
function Facts({
  model,
  programme,
  unit,
}: {
  model: BraceModel;
  programme: Programme;
  unit: ReturnType<typeof useUnit>[0];
}) {
  const { chart } = model;
  const distances = Object.entries(model.distances).map(
    ([step, distance]) => `${named('steps', step)} ${printReading(distance, 'mm', unit)}`,
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
    ...(chart.extension
      ? ([[t('catalogue.extension'), printReading(chart.extension.upTo, 'mm', unit)]] as [string, string][])
      : []),
    ...(chart.table ? ([[t('catalogue.twoWay'), t('catalogue.twoWayHow')]] as [string, string][]) : []),
  ];
  return (
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
  );
}

/** The bands as fields; saved as a new version, the old one stays for the cases that hold on to it. */
function EditChart({
  chart,
  programme,
  unit,
  onSave,
  onCancel,
}: {
  chart: Chart;
  programme: Programme;
  unit: ReturnType<typeof useUnit>[0];
  onSave: (chart: Chart) => Promise<void>;
  onCancel: () => void;
}) {
  const keyOf = (axis: number, band: number, end: 'from' | 'to') => `${axis} ${band} ${end}`;
  const unitAt = (axis: number) => {
    const step = stepOf(programme, chart.axes[axis]!.reading);
    return step ? unitOf(step) : 'mm';
  };
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const read = (key: string, axis: number, before: number): number | undefined => {
    const text = typed[key];
    if (text === undefined) return before;
    const kept = unitAt(axis);
    const value = readQuantity(text, kept === 'mm' ? 'length' : kept === 'kg' ? 'mass' : 'count', unit);
    return 'value' in value ? value.value : undefined;
  };
  const save = () => {
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
    setWrong(problems);
    if (Object.keys(problems).length > 0) return;
    setBusy(true);
    void onSave({ ...chart, axes }).finally(() => setBusy(false));
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
                      <input
                        aria-label={`${named('steps', axis.reading)}, ${band.size}, ${t(`catalogue.${end}`)}`}
                        aria-invalid={wrong[key] !== undefined}
                        title={wrong[key]}
                        inputMode="decimal"
                        value={typed[key] ?? printNumber(band[end], unitAt(a), unit)}
                        onChange={({ target }) => setTyped({ ...typed, [key]: target.value })}
                      />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      ))}
      {Object.keys(wrong).length > 0 && (
        <Notice tone="stop" live>
          {t('common.notANumber')}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={busy} onPress={save}>
          {t('catalogue.saveVersion', { version: chart.version + 1 })}
        </Button>
        <Button look="quiet" onPress={onCancel}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
