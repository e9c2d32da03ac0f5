import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useClinic, useZone } from '../api/clinic';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** The clinic's name, what stands under it on sheets and letters, and by whose clock its days are counted. */
export function ClinicName() {
  const clinic = useClinic();
  const ownZone = useZone();
  const [name, setName] = useState(clinic.name);
  const [letterhead, setLetterhead] = useState(clinic.letterhead ?? '');
  const [zone, setZone] = useState(ownZone);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const put = useMutation({
    mutationFn: () =>
      call('PUT', '/clinic/name', { name: name.trim(), letterhead: letterhead.trim(), zone: zone.trim() }),
    onSuccess: async () => {
      setProblems({});
      await queries.invalidateQueries();
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  return (
    <Sheet>
      <Stack $gap={14}>
        <h2>{t('clinicPage.name')}</h2>
        <Row $align="flex-start">
          <Field
            label={t('setUp.clinic')}
            value={name}
            onChange={setName}
            maxLength={120}
            problem={problems.name}
            width="300px"
          />
          <Field
            label={t('setUp.zone')}
            value={zone}
            onChange={setZone}
            maxLength={64}
            problem={problems.zone}
            width="320px"
          />
        </Row>
        <Field
          label={t('clinicPage.letterhead')}
          value={letterhead}
          onChange={setLetterhead}
          lines={2}
          maxLength={400}
          problem={problems.letterhead}
        />
        {zone.trim() !== ownZone && <Notice tone="caution">{t('clinicPage.zoneCaution')}</Notice>}
        {problems[''] && (
          <Notice tone="stop" live>
            {problems['']}
          </Notice>
        )}
        {put.isSuccess && (
          <Notice tone="good" live>
            {t('clinicNumbers.kept')}
          </Notice>
        )}
        <Row>
          <Button look="main" onPress={() => put.mutate()} isDisabled={put.isPending || name.trim() === ''}>
            {t('clinicPage.save')}
          </Button>
          <Soft>{t('clinicPage.nameHow')}</Soft>
        </Row>
      </Stack>
    </Sheet>
  );
}
