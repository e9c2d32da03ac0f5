import { hasEnded, orderProblems, type Order } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { phaseSpans } from '@estribo/core/calendar';
import { Fragment } from 'react';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { injuryName } from '../messages/fitting';
import { formatDay } from '../parts/format';
import { formatNotCarriedOut } from './order-values';
import { formatPhase } from './print-order';

const Facts = styled.dl`
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 6px 18px;
  overflow-wrap: anywhere;
  & dt {
    color: ${color('soft')};
  }
`;

/** What is ordered beside the phases, what is not said left out. */
const orderedBeside = ({ height, relieve, panels = [], posture, roll }: Order): [string, string][] => [
  ...(height ? [[t('order.height'), named('heights', height)] as [string, string]] : []),
  ...(relieve ? [[t('order.relieve'), named('orderedValue', relieve)] as [string, string]] : []),
  ...(panels.length > 0
    ? [[t('order.panels'), panels.map((panel) => named('panelNames', panel)).join(', ')] as [string, string]]
    : []),
  ...(posture ? [[t('order.posture'), named('orderedValue', posture)] as [string, string]] : []),
  ...(roll ? [[t('order.roll'), named('orderedValue', roll)] as [string, string]] : []),
];

/** The order as it stands. */
export function OrderSummary({ order, children }: { order: Order; children?: React.ReactNode }) {
  const { state, today } = useWork();
  const spans = phaseSpans(order.dayZero, order.phases);
  const usual = limitedMotion(state.programme);
  const phases = order.phases.map((phase) => formatPhase(order, phase, usual));
  const more = orderedBeside(order);
  return (
    <Stack $gap={12}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{t('order.title')}</h2>
        {children}
      </Row>
      <Facts>
        <dt>{t('order.diagnosis')}</dt>
        <dd>{order.diagnosis}</dd>
        {order.injuries && <dt>{t('order.injuries')}</dt>}
        {order.injuries && (
          <dd>
            {order.injuries
              .map(({ code, side }) =>
                [injuryName(state.programme, code), side && side !== state.side ? named('side', side) : '']
                  .filter(Boolean)
                  .join(', '),
              )
              .join('; ')}
          </dd>
        )}
        <dt>{t('order.prescriber')}</dt>
        <dd>{order.prescriber}</dd>
        <dt>{t('order.dayZero')}</dt>
        <dd>{formatDay(order.dayZero)}</dd>
        {order.until && <dt>{t('order.until')}</dt>}
        {order.until && <dd>{formatDay(order.until)}</dd>}
        {phases.some((said) => said !== '') && <dt>{t(usual ? 'order.window' : 'order.phases')}</dt>}
        {phases.some((said) => said !== '') && (
          <dd>
            {order.phases.map(({ fromDay }, i) => (
              <div key={fromDay}>
                {t('order.phaseFrom', { day: formatDay(spans[i]!.from), count: fromDay })}: <b>{phases[i]}</b>
              </div>
            ))}
          </dd>
        )}
        {more.map(([what, said]) => (
          <Fragment key={what}>
            <dt>{what}</dt>
            <dd>{said}</dd>
          </Fragment>
        ))}
        <dt>{t('order.protective')}</dt>
        <dd>{order.protective ? t('order.protectiveYes') : t('order.protectiveNo')}</dd>
        <dt>{t('order.wearing')}</dt>
        <dd>{order.wearing}</dd>
        <dt>{t('order.trouble')}</dt>
        <dd>{named('trouble', order.trouble)}</dd>
      </Facts>
      {(order.source !== undefined || order.readBack) && (
        <Soft>
          {[
            order.source === undefined ? '' : t('order.source', { text: order.source }),
            order.readBack ? t('order.wasReadBack') : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
      )}
      {order.acknowledged && order.acknowledged.length > 0 && (
        <Notice tone="caution">
          <b>{t('order.acknowledged')}:</b> {order.acknowledged.map(formatNotCarriedOut).join('; ')}.{' '}
          {t('setting.tellPrescriber')}
        </Notice>
      )}
      {hasEnded(order, today) && (
        <Notice tone="stop">{t('order.ended', { day: formatDay(order.until!) })}</Notice>
      )}
      {orderProblems(order, state.side).map((found) => (
        <Notice key={found.problem} tone="caution">
          {named('orderProblem', found.problem)}
        </Notice>
      ))}
    </Stack>
  );
}
