import { keeping } from '@estribo/core/answers';
import { useQuery } from '@tanstack/react-query';
import { useZone } from '../api/clinic';
import { ask } from '../api/http';
import { locale, t } from '../messages';
import { formatInstant } from '../parts/format';
import { Loading } from '../parts/loading';
import { RuledTable, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** A backup of longer ago than this is told: a day's work would be lost. */
const dueAfter = 26 * 3600_000;

/** When the last backups were made, and how the next one is. */
export function Keeping() {
  const zone = useZone();
  const { data, isError } = useQuery({
    queryKey: ['keeping'],
    queryFn: () => ask(keeping, '/clinic/keeping'),
    refetchInterval: 60_000,
  });
  if (!data) return <Loading away={isError} />;
  const size = new Intl.NumberFormat(locale, { maximumFractionDigits: 1 });
  const last = data.backups[0];
  const isLate = !last || Date.parse(data.now) - Date.parse(last.at) > dueAfter;
  return (
    <Sheet>
      <Stack $gap={12}>
        <h2>{t('clinicPage.section.backup')}</h2>
        <Notice tone={isLate ? 'caution' : 'good'}>
          {last
            ? t(isLate ? 'clinicPage.backupOld' : 'clinicPage.backupFresh', {
                at: formatInstant(last.at, zone),
              })
            : t('clinicPage.backupNone')}
        </Notice>
        <p>
          {t('clinicPage.backupHow')} <code>npm run backup -- /path/of/a/folder</code>
        </p>
        <Soft>
          {data.sealedAt
            ? t('clinicPage.sealedAt', { at: formatInstant(data.sealedAt, zone), count: data.cases })
            : t('clinicPage.sealedNever')}
        </Soft>
        {data.backups.length > 0 && (
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
                  <td style={{ overflowWrap: 'anywhere' }}>{one.file}</td>
                  <td>{size.format(one.bytes / 1e6)}</td>
                </tr>
              ))}
            </tbody>
          </RuledTable>
        )}
      </Stack>
    </Sheet>
  );
}
