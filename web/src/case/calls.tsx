import { may } from '@estribo/core/access';
import type { UrgentCall } from '@estribo/core/logbook';
import type { EntryStage } from '@estribo/core/record';
import { useState, type ReactNode } from 'react';
import { useClinic } from '../api/clinic';
import { useDraft } from '../api/draft';
import { en } from '../messages/en';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { useSaving } from '../parts/use-saving';
import { aboutCall } from './about-call';
import { useWork } from './case-context';

/** The calls of today that no stop of the fitting tells already: what, whom, what to do meanwhile. */
export function Calls() {
  const { state } = useWork();
  const order = state.order?.order;
  // what protects stays on, whatever else is written; so does what nobody has ordered anything about yet
  const stays = !order || order.protective || order.trouble !== 'take-off';
  return state.calls
    .filter(({ why }) => why !== 'finding')
    .map((call) => (
      <Notice key={`${call.of} ${call.about}`} tone={call.made ? 'caution' : 'stop'} live>
        <Stack $gap={8}>
          <h2>
            {t(`calls.title.${call.whom}`, {
              what: aboutCall({ why: call.why, name: call.about }),
            })}
          </h2>
          {call.why !== 'review' && <span>{meanwhile(call, stays ? 'keep-on' : 'take-off')}</span>}
          <CallMade call={call} />
        </Stack>
      </Notice>
    ));
}

/** What is done with the brace until somebody has looked: by what was found and by what the order says. */
function meanwhile({ about, why }: UrgentCall, trouble: 'keep-on' | 'take-off'): string {
  const own = `${about}-${trouble}`;
  return named('unsafeDo', own in en.unsafeDo ? own : `${why}-${trouble}`);
}

/** Whether the call was made: whom, and what they said. */
export function CallMade({ call }: { call: UrgentCall }) {
  const { emergency } = useClinic();
  if (call.made)
    return (
      <span>
        {t('calls.made', { whom: call.made.whom, said: call.made.said, day: formatDay(call.made.day) })}
      </span>
    );
  return (
    <RecordCall of={call.of} about={call.about} stage={call.stage} button={t('calls.make')}>
      <span>
        {t('calls.due', { day: formatDay(call.day) })}
        {call.whom === 'physician-now' && emergency && (
          <>
            {' '}
            <b>{t('calls.emergency', { number: emergency })}</b>
          </>
        )}
      </span>
    </RecordCall>
  );
}

/**
 * A call that is recorded: whom, and what they said.
 * @param of the entry it is about, and what of it
 * @param children what is said beside the button until it is opened
 */
export function RecordCall({
  of,
  about,
  stage,
  button,
  children,
}: {
  of: string;
  about: string;
  stage: EntryStage;
  button: string;
  children?: ReactNode;
}) {
  const { state, user, write } = useWork();
  const [said, say] = useDraft(`${state.case}-call-${about}`, { whom: '', said: '', open: false });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const make = () => {
    if (said.whom.trim() === '' || said.said.trim() === '') return setProblem(t('calls.needs'));
    void save(() =>
      write('call.made', stage, { of, about, whom: said.whom.trim(), said: said.said.trim() }).then(() =>
        say({ whom: '', said: '', open: false }),
      ),
    );
  };
  if (!said.open)
    return (
      <Row>
        {children}
        {may(user.role, 'checking.write') && (
          <Button onPress={() => say({ ...said, open: true })}>{button}</Button>
        )}
      </Row>
    );
  return (
    <Stack $gap={8}>
      <Row $align="flex-start">
        <Field
          label={t('calls.whomLabel')}
          value={said.whom}
          onChange={(whom) => say({ ...said, whom })}
          maxLength={120}
          autoFocus
        />
        <div style={{ flex: 1, minWidth: 200 }}>
          <Field
            label={t('calls.saidLabel')}
            value={said.said}
            onChange={(text) => say({ ...said, said: text })}
            problem={problem}
            maxLength={400}
          />
        </div>
      </Row>
      <Row>
        <Button look="main" onPress={make} isDisabled={saving}>
          {button}
        </Button>
        <Button look="quiet" onPress={() => say({ whom: '', said: '', open: false })}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
