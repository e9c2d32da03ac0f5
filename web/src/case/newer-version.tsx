import { may } from '@estribo/core/access';
import type { Pin } from '@estribo/core/programmes';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { keepEntry, useCatalogue, useUser, useVersions, useZone } from '../api/clinic';
import { taken } from '@estribo/core/answers';
import { tell } from '../api/http';
import { newEntry } from '../api/new-entry';
import { sayRefusal } from '../api/say-problem';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReasonDialog } from '../parts/reason-dialog';
import { useWork } from './case-context';

/**
 * Which version of its family and model a case holds on to, and the way to a newer one: a case never changes by itself when
 * the catalogue does. Moving is an entry, with its reason; what was decided is then computed anew and says where it differs.
 */
export function NewerVersion() {
  const { state } = useWork();
  const user = useUser();
  const zone = useZone();
  const [asking, ask] = useState(false);
  const [problem, setProblem] = useState<string>();
  const families = useCatalogue();
  const versions = useVersions(state.modelPin.id);
  const programme: Pin | undefined = families.data?.families.find(({ id }) => id === state.programmePin.id);
  const newest = versions.data?.versions[0];
  const model: Pin | undefined = newest && {
    id: state.modelPin.id,
    version: newest.version,
    hash: newest.hash,
  };
  const move = useMutation({
    mutationFn: async (reason: string) => {
      const { id, version, hash } = programme!;
      const entry = newEntry(
        'case.moved',
        { case: state.case, stage: 'case', zone, by: user.id },
        { programme: { id, version, hash }, model: model!, reason },
      );
      return tell(taken, 'POST', `/cases/${state.case}/entries`, entry);
    },
    onSuccess: ({ entry }) => {
      keepEntry(entry);
      ask(false);
    },
    onError: (error) => {
      ask(false);
      setProblem(sayRefusal(error));
    },
  });
  if (!programme || !model) return null;
  const isNewer = programme.version > state.programmePin.version || model.version > state.modelPin.version;
  return (
    <Stack $gap={6}>
      <h2>{t('versions.title')}</h2>
      <p>
        {t('versions.holds', {
          family: state.programmePin.version,
          model: state.modelPin.version,
        })}
      </p>
      {problem && <Notice tone="stop">{problem}</Notice>}
      {!isNewer ? (
        <Soft>{t('versions.newest')}</Soft>
      ) : (
        <>
          <p>{t('versions.newer', { family: programme.version, model: model.version })}</p>
          {may(user.role, 'cases.write') && (
            <Row>
              <Button onPress={() => ask(true)}>{t('versions.move')}</Button>
            </Row>
          )}
        </>
      )}
      {asking && (
        <ReasonDialog
          reasonFor={`${state.case}-move`}
          title={t('versions.move')}
          doing={t('versions.move')}
          onReason={(reason) => move.mutate(reason)}
          onClose={() => ask(false)}
        >
          <p>{t('versions.what')}</p>
        </ReasonDialog>
      )}
    </Stack>
  );
}
