import { isDangerSign } from '@estribo/core/screening';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { formatDay } from '../parts/format';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Look } from './look';

/** The danger signs of the region, asked at a visit before anything is adjusted; one that is found stands at the stage's head. */
export function DangerToday() {
  const { state, today } = useWork();
  const [again, setAgain] = useState(false);
  const { asked, dangerAsked, blocking, overridden, qualifying, unable } = state.screening;
  if (dangerAsked?.day !== today || again)
    return (
      <Stack $gap={10}>
        <Stack $gap={4}>
          <h2>{t('screening.dangerTitle')}</h2>
          <Soft>{t('screening.dangerHow')}</Soft>
        </Stack>
        <Look asked={asked.filter(isDangerSign)} stage="review" onTaken={() => setAgain(false)} />
      </Stack>
    );
  const notAssessed = unable.filter(({ finding }) => isDangerSign(finding));
  const presentStill = [...overridden.map(({ answer }) => answer), ...qualifying].filter(({ finding }) =>
    isDangerSign(finding),
  );
  return (
    <Stack $gap={8}>
      {presentStill.length > 0 && (
        <Notice tone="caution">
          <Stack $gap={4}>
            <b>{t('screening.presentStill', { day: formatDay(today) })}</b>
            {presentStill.map(({ finding, known }) => (
              <span key={finding}>
                {named('findings', finding)}.{' '}
                {known && t('screening.isKnown', { by: known.by, day: formatDay(known.since) })}
              </span>
            ))}
          </Stack>
        </Notice>
      )}
      {notAssessed.length > 0 && (
        <Notice tone="caution">
          <b>{t('screening.unableTitle')}</b>{' '}
          {notAssessed.map(({ finding }) => named('findings', finding)).join(', ')}
        </Notice>
      )}
      <Row>
        {blocking.length + presentStill.length + notAssessed.length === 0 && (
          <Notice tone="good">{t('screening.dangerAsked', { day: formatDay(today) })}</Notice>
        )}
        <Button onPress={() => setAgain(true)}>{t('screening.lookAgain')}</Button>
      </Row>
    </Stack>
  );
}
