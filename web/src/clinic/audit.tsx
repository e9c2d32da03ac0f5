import { auditPage } from '@estribo/core/answers';
import { ask } from '../api/http';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useZone } from '../api/clinic';
import { en } from '../messages/en';
import { locale, named, t } from '../messages';
import { Button } from '../parts/button';
import { Pick } from '../parts/pick';
import { Row, RuledTable, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';

const actions = Object.keys(en.audited);

/** What was done by whom, the newest first. */
export function Audit() {
  const zone = useZone();
  const [action, setAction] = useState('');
  const audit = useInfiniteQuery({
    queryKey: ['audit', action],
    queryFn: ({ pageParam }) =>
      ask(auditPage, `/audit?action=${action}${pageParam ? `&before=${pageParam}` : ''}`),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.more ? last.lines.at(-1)!.n : undefined),
    placeholderData: (before) => before,
  });
  const at = new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'medium', timeZone: zone });
  const lines = audit.data?.pages.flatMap((page) => page.lines);
  return (
    <Sheet>
      <Stack $gap={12}>
        <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
          <div>
            <h2>{t('clinicPage.audit')}</h2>
            <Soft>{t('clinicPage.auditWhat')}</Soft>
          </div>
          <Pick
            label={t('clinicPage.kind')}
            options={[
              { value: '', label: t('clinicPage.all') },
              ...actions.map((value) => ({ value, label: named('audited', value) })),
            ]}
            value={action}
            onChange={setAction}
          />
        </Row>
        {!lines ? (
          <Loading away={audit.isError} />
        ) : lines.length === 0 ? (
          <Soft role="status">{t('clinicPage.auditNone')}</Soft>
        ) : (
          <RuledTable>
            <thead>
              <tr>
                {(['when', 'who', 'what', 'subject'] as const).map((head) => (
                  <th key={head} scope="col">
                    {t(`clinicPage.${head}`)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={line.n}>
                  <td style={{ whiteSpace: 'nowrap' }}>{at.format(new Date(line.at))}</td>
                  <td>{line.userName ?? line.user ?? t('clinicPage.nobody')}</td>
                  <td>
                    {named('audited', line.action)}
                    {line.fields.length > 0 && <Small> ({line.fields.join(', ')})</Small>}
                  </td>
                  <td style={{ overflowWrap: 'anywhere' }}>
                    {line.subjectName ?? <Small>{line.subject}</Small>}
                  </td>
                </tr>
              ))}
            </tbody>
          </RuledTable>
        )}
        {audit.hasNextPage && (
          <Row>
            <Button onPress={() => void audit.fetchNextPage()} isDisabled={audit.isFetchingNextPage}>
              {t('common.more')}
            </Button>
          </Row>
        )}
      </Stack>
    </Sheet>
  );
}
