import { keeping } from '@estribo/core/answers';
import { useMutation, useQuery } from '@tanstack/react-query';
import type { InferType } from 'yup';
import { useState } from 'react';
import { useZone } from '../api/clinic';
import { ask, call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { locale, t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { formatInstant } from '../parts/format';
import { Loading } from '../parts/loading';
import { Row, RuledTable, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** A backup of longer ago than this is told: a day's work would be lost. */
const dueAfter = 26 * 3600_000;

type Kept = InferType<typeof keeping>;

/** When the last backups were made, where the clinic puts them every night, and whether one was restored on trial. */
export function Keeping() {
  const zone = useZone();
  const { data, isError } = useQuery({
    queryKey: ['keeping'],
    queryFn: () => ask(keeping, '/clinic/keeping'),
    refetchInterval: 60_000,
  });
  if (!data) return <Loading away={isError} />;
  const size = new Intl.NumberFormat(locale, { maximumFractionDigits: 1 });
  const last = data.backups.find(({ problem }) => problem === null);
  const [newest] = data.backups;
  const isLate = !last || Date.parse(data.now) - Date.parse(last.at) > dueAfter;
  return (
    <Stack $gap={16}>
      <Sheet>
        <Stack $gap={12}>
          <h2>{t('clinicPage.section.backup')}</h2>
          {data.low && (
            <Notice tone="stop" live>
              {t('clinicPage.diskLow', { free: size.format((data.free ?? 0) / 1e6) })}
            </Notice>
          )}
          <Notice tone={isLate ? 'caution' : 'good'}>
            {last
              ? t(isLate ? 'clinicPage.backupOld' : 'clinicPage.backupFresh', {
                  at: formatInstant(last.at, zone),
                })
              : t('clinicPage.backupNone')}
          </Notice>
          {newest?.problem && (
            <Notice tone="stop">
              {t('clinicPage.backupFailed', {
                at: formatInstant(newest.at, zone),
                problem: newest.problem,
              })}
            </Notice>
          )}
          <Drilled kept={data} zone={zone} />
          <Soft>
            {data.sealedAt
              ? t('clinicPage.sealedAt', { at: formatInstant(data.sealedAt, zone), count: data.cases })
              : t('clinicPage.sealedNever')}
          </Soft>
        </Stack>
      </Sheet>
      <Nightly key={`${data.folder} ${data.keep}`} kept={data} />
      {data.backups.length > 0 && (
        <Sheet>
          <RuledTable>
            <thead>
              <tr>
                <th scope="col">{t('clinicPage.when')}</th>
                <th scope="col">{t('clinicPage.file')}</th>
                <th scope="col">MB</th>
              </tr>
            </thead>
            <tbody>
              {data.backups.map((one) => (
                <tr key={one.n}>
                  <td>{formatInstant(one.at, zone)}</td>
                  <td style={{ overflowWrap: 'anywhere' }}>
                    {one.problem ?? [one.folder, one.file].filter(Boolean).join('/')}
                  </td>
                  <td>{one.problem === null && size.format(one.bytes / 1e6)}</td>
                </tr>
              ))}
            </tbody>
          </RuledTable>
        </Sheet>
      )}
    </Stack>
  );
}

function Drilled({ kept: { drilled }, zone }: { kept: Kept; zone: string }) {
  if (!drilled?.drilledAt) return <Notice tone="caution">{t('clinicPage.drillNone')}</Notice>;
  const at = formatInstant(drilled.drilledAt, zone);
  return drilled.drillProblem === null ? (
    <Notice tone="good">{t('clinicPage.drillGood', { at })}</Notice>
  ) : (
    <Notice tone="stop">{t('clinicPage.drillBad', { at, problem: drilled.drillProblem })}</Notice>
  );
}

/** Where the clinic backs itself up, how many it keeps; one made now, one restored on trial now. */
function Nightly({ kept }: { kept: Kept }) {
  const [folder, setFolder] = useState(kept.folder ?? '');
  const [keep, setKeep] = useState(String(kept.keep));
  const [problems, setProblems] = useState<Record<string, string>>({});
  const done = {
    onSuccess: async () => {
      setProblems({});
      await queries.invalidateQueries({ queryKey: ['keeping'] });
    },
    onError: (error: unknown) => setProblems(formProblems(error, t('common.away'))),
  };
  const put = useMutation({
    mutationFn: () => call('PUT', '/clinic/keeping', { folder: folder.trim() || null, keep: Number(keep) }),
    ...done,
  });
  const make = useMutation({ mutationFn: () => call('POST', '/clinic/keeping/backup'), ...done });
  const drill = useMutation({ mutationFn: () => call('POST', '/clinic/keeping/drill'), ...done });
  const busy = put.isPending || make.isPending || drill.isPending;
  const save = () =>
    /^([1-9]|[1-9]\d|[1-3]\d\d|400)$/.test(keep.trim())
      ? put.mutate()
      : setProblems({ keep: t('clinicPage.keepWrong') });
  return (
    <Sheet>
      <Stack $gap={12}>
        <h2>{t('clinicPage.nightly')}</h2>
        <Soft>{t('clinicPage.nightlyHow')}</Soft>
        <Row $align="flex-start">
          <Field
            label={t('clinicPage.folder')}
            value={folder}
            onChange={setFolder}
            maxLength={400}
            problem={problems.folder}
            help={t('clinicPage.folderHelp')}
          />
          <Field
            label={t('clinicPage.keep')}
            value={keep}
            onChange={setKeep}
            inputMode="numeric"
            maxLength={3}
            problem={problems.keep}
          />
        </Row>
        {problems[''] && (
          <Notice tone="stop" live>
            {problems['']}
          </Notice>
        )}
        <Row>
          <Button look="main" isDisabled={busy} onPress={save}>
            {t('clinicPage.keepSave')}
          </Button>
          <Button isDisabled={busy || kept.folder === null} onPress={() => make.mutate()}>
            {t('clinicPage.backupNow')}
          </Button>
          <Button
            isDisabled={busy || !kept.backups.some((one) => one.problem === null && one.folder !== null)}
            onPress={() => drill.mutate()}
          >
            {t('clinicPage.drillNow')}
          </Button>
          <span role="status">
            {make.isPending && t('clinicPage.backingUp')}
            {drill.isPending && t('clinicPage.drilling')}
          </span>
        </Row>
        <p>
          {t('clinicPage.backupHow')} <code>{kept.command}</code>
        </p>
      </Stack>
    </Sheet>
  );
}
