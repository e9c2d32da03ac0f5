import { may } from '@estribo/core/access';
import { ageOn } from '@estribo/core/calendar';
import { notHeld } from '@estribo/core/order';
import { circulationRegions } from '@estribo/core/screening';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useFigureLayer, useWork } from '../case/case-context';
import { bareLimb } from '../figure/layer';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { Blocking } from './blocking';
import { Circulation } from './circulation';
import { LimbsFeltNote } from './limbs-felt';
import { Look } from './look';
import { OrderForm, type ShowsPlan } from './order-form';
import { OrderSummary } from './order-summary';

/** Under this age the head is large for the trunk: lying flat bends the neck. Common practice, no source. */
const trunkRaisedUnder = 8;

export default function ScreenStage({ plan }: { plan: ShowsPlan }) {
  const { state } = useWork();
  const [looking, setLooking] = useState(false);
  useFigureLayer(bareLimb);
  const looked = state.screening.unanswered.length === 0;
  return (
    <>
      {looked && !looking ? (
        <LookResult onAgain={() => setLooking(true)} />
      ) : (
        <>
          <Stack $gap={4}>
            <h1>{t('screening.question')}</h1>
            <Soft>{t('screening.how')}</Soft>
          </Stack>
          <TrunkRaised />
          <Look asked={state.screening.asked} stage="screen" withPain onTaken={() => setLooking(false)} />
        </>
      )}
      {looked && !looking && (
        <>
          <TrunkRaised />
          {state.programme.limbs && <LimbsFeltNote moment="before" />}
          {circulationRegions.includes(state.programme.region) && <Circulation stage="screen" />}
          <Rule />
          <OrderPart plan={plan} />
        </>
      )}
    </>
  );
}

/** A young child with a neck brace lies with the trunk raised. */
export function TrunkRaised() {
  const { state, born, today } = useWork();
  return state.programme.region === 'neck' && born !== undefined && ageOn(born, today) < trunkRaisedUnder ? (
    <Notice tone="caution">{t('screening.underEight')}</Notice>
  ) : null;
}

function LookResult({ onAgain }: { onAgain: () => void }) {
  const { state } = useWork();
  const { status, blocking, overridden, qualifying, unable, notAsked, baseline } = state.screening;
  return (
    <Stack $gap={12}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h1>{t(status === 'blocked' ? 'screening.stop' : 'screening.mayFit')}</h1>
        <Button onPress={onAgain}>{t('screening.lookAgain')}</Button>
      </Row>
      {blocking.map((answer) => (
        <Blocking key={answer.finding} finding={answer.finding} of={answer.entry} note={answer.note} />
      ))}
      {overridden.map(({ answer, override }) => (
        <Notice key={answer.finding} tone="caution">
          <b>{named('findings', answer.finding)}</b> ·{' '}
          {t('screening.overridden', { reason: override.reason })}
        </Notice>
      ))}
      {qualifying.length > 0 && (
        <Notice tone="caution">
          <Stack $gap={6}>
            {qualifying.map(({ finding, note, known }) => (
              <span key={finding}>
                <b>{named('findings', finding)}.</b>{' '}
                {known && t('screening.isKnown', { by: known.by, day: formatDay(known.since) })}{' '}
                {known?.until && t('screening.isBlock', { day: formatDay(known.until) })}{' '}
                {named('findingAdvice', finding)} {note && <i>{note}</i>}
              </span>
            ))}
          </Stack>
        </Notice>
      )}
      {unable.length > 0 && (
        <Notice tone="caution">
          <b>{t('screening.unableTitle')}</b>{' '}
          {unable
            .map(({ finding, note }) => `${named('findings', finding)}${note ? ` (${note})` : ''}`)
            .join(', ')}
        </Notice>
      )}
      {notAsked.length > 0 && (
        <Notice tone="caution">{t('screening.notAsked', { count: notAsked.length })}</Notice>
      )}
      {status === 'clear' && notAsked.length === 0 && <Notice tone="good">{t('screening.clear')}</Notice>}
      <Soft>{baseline ? t('screening.baseline', { pain: baseline.pain }) : t('screening.noBaseline')}</Soft>
    </Stack>
  );
}

function OrderPart({ plan }: { plan: ShowsPlan }) {
  const { state, user } = useWork();
  const [changing, setChanging] = useDraft(`${state.case}-order-changing`, false);
  const mayOrder = may(user.role, 'order.write');
  if (state.order && !changing)
    return (
      <OrderSummary order={state.order.order}>
        {mayOrder && <Button onPress={() => setChanging(true)}>{t('order.new')}</Button>}
      </OrderSummary>
    );
  if (!mayOrder) return <Notice tone="caution">{t('order.waitsForOrthotist')}</Notice>;
  return (
    <OrderForm before={state.order && notHeld(state.order)} plan={plan} onDone={() => setChanging(false)} />
  );
}
