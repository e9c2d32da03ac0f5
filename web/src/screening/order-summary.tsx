import { orderProblems, type Order } from '@estribo/core/order';
import { phaseSpans } from '@estribo/core/calendar';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color } from '../app/tokens';
import { named, t } from '../messages';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printDay, printWindow } from '../parts/print';

const Facts = styled.dl`
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 6px 18px;
  overflow-wrap: anywhere;
  & dt {
    color: ${color('soft')};
  }
`;

/** The order as it stands. */
export function OrderSummary({ order, children }: { order: Order; children?: React.ReactNode }) {
  const { state } = useWork();
  const spans = phaseSpans(order.dayZero, order.phases);
  return (
    <Stack $gap={12}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{t('order.title')}</h2>
        {children}
      </Row>
      <Facts>
        <dt>{t('order.diagnosis')}</dt>
        <dd>{order.diagnosis}</dd>
        <dt>{t('order.prescriber')}</dt>
        <dd>{order.prescriber}</dd>
        <dt>{t('order.dayZero')}</dt>
        <dd>{printDay(order.dayZero)}</dd>
        {state.programme.joint && <dt>{t('order.window')}</dt>}
        {state.programme.joint && (
          <dd>
            {order.phases.map(({ fromDay, window }, i) => (
              <div key={fromDay}>
                {t('order.phaseFrom', { day: printDay(spans[i]!.from), count: fromDay })}:{' '}
                <b>{printWindow(window)}</b>
              </div>
            ))}
          </dd>
        )}
        {order.height && <dt>{t('order.height')}</dt>}
        {order.height && <dd>{named('heights', order.height)}</dd>}
        <dt>{t('order.protective')}</dt>
        <dd>{order.protective ? t('order.protectiveYes') : t('order.protectiveNo')}</dd>
        <dt>{t('order.wearing')}</dt>
        <dd>{order.wearing}</dd>
        <dt>{t('order.trouble')}</dt>
        <dd>{named('trouble', order.trouble)}</dd>
      </Facts>
      {orderProblems(order, state.side).map((found) => (
        <Notice key={found.problem} tone="caution">
          {named('orderProblem', found.problem)}
        </Notice>
      ))}
    </Stack>
  );
}
