import { may } from '@estribo/core/access';
import { findingRule, type Finding } from '@estribo/core/screening';
import { useState } from 'react';
import { CallMade } from '../case/calls';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useReason } from '../parts/use-reason';
import { useSaving } from '../parts/use-saving';

/** A finding that stops the fitting: what it is, whom to call, and going on in spite of it with a reason. */
export function Blocking({ finding, of, note }: { finding: Finding; of: string; note?: string | undefined }) {
  const { state, user, write } = useWork();
  const call = state.calls.find((one) => one.about === finding && one.of === of);
  const [asking, setAsking] = useState(false);
  const { field, giving } = useReason(`${state.case}-override-${finding}`, t('screening.overrideReason'));
  const [saving, save] = useSaving();
  const mayOverride = may(user.role, 'screening.override');
  const override = () =>
    giving((reason) => void save(() => write('screen.overridden', 'screen', { finding, of, reason })));
  return (
    <Notice tone="stop" live>
      <Stack $gap={10}>
        <h2>{named('findings', finding)}</h2>
        {note && <i>{note}</i>}
        {/* what is said of a sign that is known is none of a new one */}
        {!findingRule(finding).mayBeKnown && named('findingAdvice', finding) && (
          <span>{named('findingAdvice', finding)}</span>
        )}
        <span>{named('referral', findingRule(finding).refer ?? 'prescriber')}</span>
        {call && <CallMade call={call} />}
        {!asking ? (
          <Row>
            {mayOverride ? (
              <Button look="stop" onPress={() => setAsking(true)}>
                {t('screening.override')}
              </Button>
            ) : (
              <Soft>{t('screening.onlyOrthotist')}</Soft>
            )}
          </Row>
        ) : (
          <>
            {field}
            <Row>
              <Button look="stop" isDisabled={saving} onPress={override}>
                {t('screening.goOnInSpite')}
              </Button>
              <Button look="quiet" onPress={() => setAsking(false)}>
                {t('common.cancel')}
              </Button>
            </Row>
          </>
        )}
      </Stack>
    </Notice>
  );
}
