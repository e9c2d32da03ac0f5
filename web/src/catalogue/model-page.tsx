import { may } from '@estribo/core/access';
import { isMeasured, unitOf } from '@estribo/core/measuring';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { lintChart, type ChartFinding } from '@estribo/core/sizing';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { ListedModel } from '@estribo/core/answers';
import { contentQuery, useCatalogue, useModels, useUser, useVersions } from '../api/clinic';
import { queries } from '../api/queries';
import { call } from '../api/http';
import { sayRefusal } from '../api/say-problem';
import { useUnit } from '../browser/preferences';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';
import { stepOf } from './chart-table';
import { EditChart } from './edit-chart';
import { ModelFacts } from './model-facts';
import { ModelLists } from './model-lists';
import { Ruler } from './ruler';

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
  const [editing, setEditing] = useDraft(`chart-${model.id}-editing`, false);
  const [said, setSaid] = useState<{ tone: 'good' | 'stop'; text: string }>();
  const newest = model.version === listed.version;
  const mayWrite = newest && may(user.role, 'catalogue.write');
  const usual = Object.fromEntries(
    programme.measuring.flatMap((step) => ('plausible' in step ? [[step.id, step.plausible]] : [])),
  );
  const findings = lintChart(model.chart, usual);
  const { mutateAsync } = useMutation({
    mutationFn: (act: () => Promise<void>) => act(),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['models'] }),
    onError: (error) => setSaid({ tone: 'stop', text: sayRefusal(error, t('catalogue.notSaved')) }),
  });
  // what went wrong is said by onError; nobody waits for it
  const attempt = (act: () => Promise<void>) => mutateAsync(act).catch(() => undefined);
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
  const save = (changed: Pick<BraceModel, 'name' | 'maker' | 'distances' | 'chart'>) =>
    attempt(async () => {
      await call('POST', '/catalogue/models', {
        ...model,
        ...changed,
        version: model.version + 1,
        chart: { ...changed.chart, version: model.chart.version + 1 },
      });
      setEditing(false);
    });
  const saveLists = (next: BraceModel) =>
    attempt(async () => {
      await call('POST', '/catalogue/models', { ...next, version: model.version + 1 });
    });
  const confirm = () =>
    attempt(async () => {
      await call('POST', '/catalogue/models', { ...model, version: model.version + 1, invented: false });
      setSaid({ tone: 'good', text: t('catalogue.confirmed') });
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
      {model.invented && (
        <Notice tone="caution">
          <Stack $gap={8}>
            <span>{t('catalogue.unconfirmed')}</span>
            {mayWrite && (
              <Row>
                <Button onPress={() => void confirm()}>{t('catalogue.confirmNumbers')}</Button>
              </Row>
            )}
          </Stack>
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
            model={model}
            programme={programme}
            unit={unit}
            onSave={save}
            onCancel={() => setEditing(false)}
          />
        ) : (
          <ModelFacts model={model} programme={programme} unit={unit} />
        )}
      </Sheet>
      <ModelLists model={model} programme={programme} mayWrite={mayWrite && !editing} onSave={saveLists} />
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
    by: 'by' in finding ? formatReading(finding.by, isMeasured(step) ? unitOf(step) : 'mm', unit) : '',
    row: 'row' in finding ? finding.row : '',
    column: 'column' in finding ? finding.column : '',
  };
  return t(`chartFindings.${finding.finding}`, words);
}
