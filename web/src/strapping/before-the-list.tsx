import type { Sequence } from '@estribo/core/strapping';
import { Link } from 'react-router';
import { RoleReads } from '../case/role-reads';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { injuryName, listName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** What the order has to say first, and does not: it is asked, and waited for. What is known of it stands beside it. */
export function Waits() {
  const { state } = useWork();
  const { waits } = state.strapping;
  const injuries = (state.order?.order.injuries ?? []).map(({ code, side }) =>
    [injuryName(state.programme, code), side && named('side', side)].filter(Boolean).join(', '),
  );
  const found = state.screening.qualifying.map(({ finding }) => named('findings', finding));
  return (
    <Notice tone="stop" live>
      <Stack $gap={8}>
        <h2>{t('strapping.waits')}</h2>
        <ul>
          {waits.map((what) => (
            <li key={what}>{t(`strapping.waitsFor.${what}`)}</li>
          ))}
        </ul>
        <span>
          {t('strapping.knownOfIt', {
            known: [...injuries, ...found].join('; ') || t('strapping.nothingKnown'),
          })}
        </span>
        <span>
          <Link to={`/cases/${state.case}/screen`}>{t('strapping.toTheOrder')}</Link>
        </span>
      </Stack>
    </Notice>
  );
}

/** Somebody is moved who may not move alone: the facility's own policy is asked for before the first step. */
export function AskPolicy({
  list,
  saving,
  mayStrap,
  onKnown,
  onCancel,
}: {
  list: Sequence;
  saving: boolean;
  mayStrap: boolean;
  onKnown: () => void;
  /** where something else is under way, that goes on */
  onCancel?: () => void;
}) {
  const { state } = useWork();
  const { roll, posture } = state.order?.order ?? {};
  return (
    <Stack $gap={10}>
      <h2>{listName(state.programme, list.id)}</h2>
      <Notice tone="caution">
        <Stack $gap={6}>
          <b>{t(`strapping.policy.${list.handling!}`)}</b>
          <span>{t('strapping.policyFirst')}</span>
        </Stack>
      </Notice>
      <dl style={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', gap: '4px 16px' }}>
        <dt>{t('strapping.whoIsThere')}</dt>
        <dd>{list.people.map((who) => named('people', who)).join(', ')}</dd>
        {list.helpers !== undefined && (
          <>
            <dt>{t('strapping.helpersNeeded')}</dt>
            <dd>{list.helpers}</dd>
          </>
        )}
        {list.leads && (
          <>
            <dt>{t('strapping.leadsLabel')}</dt>
            <dd>{named('people', list.leads)}</dd>
          </>
        )}
        {posture && (
          <>
            <dt>{t('strapping.orderedPosture')}</dt>
            <dd>{named('orderedValue', posture)}</dd>
          </>
        )}
        {roll && (
          <>
            <dt>{t('strapping.orderedRoll')}</dt>
            <dd>{named('side', roll)}</dd>
          </>
        )}
      </dl>
      {mayStrap ? (
        <Row>
          <Button look="main" autoFocus isDisabled={saving} onPress={onKnown}>
            {t('strapping.policyKnown')}
          </Button>
          {onCancel && <Button onPress={onCancel}>{t('common.cancel')}</Button>}
        </Row>
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </Stack>
  );
}

/** Movement or feeling was lost on the way: nothing else stands here until it is noted anew. */
export function Lost() {
  const { state } = useWork();
  return (
    <Notice tone="stop" live>
      <Stack $gap={8}>
        <h2>{t('strapping.lostTitle')}</h2>
        <ol>
          <li>{t('strapping.lostFirst')}</li>
          <li>{t('strapping.lostThen')}</li>
          <li>{t('strapping.lostCall')}</li>
        </ol>
        <span>{t('strapping.lostUntil')}</span>
        <span>
          <Link to={`/cases/${state.case}/screen`}>{t('strapping.noteAnew')}</Link>
        </span>
      </Stack>
    </Notice>
  );
}
