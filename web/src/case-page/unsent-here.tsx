import type { AnyRecordedEntry } from '@estribo/core/logbook';
import type { Order } from '@estribo/core/order';
import styled from 'styled-components';
import { usePosted, useStaff } from '../api/clinic';
import type { Posted } from '../api/machine';
import { Unsent } from '../frame/outbox-state';
import { color } from '../look/tokens';
import { t } from '../messages';
import { Soft, Stack } from '../parts/layout';
import { OrderSummary } from '../screening/order-summary';
import { useWork } from '../case/case-context';
import { describeEntry } from './describe-entry';

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 20px;
  & > div {
    background: ${color('sheet')};
    color: ${color('ink')};
    padding: 10px 14px;
    border-radius: 4px;
  }
`;

/** What of this case the server would not take; where somebody else wrote one meanwhile, both. */
export function UnsentHere() {
  const { state } = useWork();
  return usePosted(state.case)
    .filter((item) => item.state === 'unsent')
    .map((item) => (
      <Unsent key={item.n} item={item}>
        {item.problem?.status === 409 && item.problem.inForce ? <Both item={item} /> : undefined}
      </Unsent>
    ));
}

function Both({ item }: { item: Posted }) {
  const staff = useStaff();
  const inForce = item.problem!.inForce as AnyRecordedEntry;
  const who = staff.data?.staff.find(({ id }) => id === inForce.by)?.name ?? '';
  return (
    <Stack $gap={8}>
      <span>{t('outbox.both')}</span>
      <Pair>
        <div>
          <Soft>{t('outbox.mine')}</Soft>
          <Version entry={item.body as AnyRecordedEntry} />
        </div>
        <div>
          <Soft>{t('outbox.inForce', { who })}</Soft>
          <Version entry={inForce} />
        </div>
      </Pair>
    </Stack>
  );
}

/** An order in full, anything else in a line. */
function Version({ entry }: { entry: AnyRecordedEntry }) {
  const { state, unit } = useWork();
  if (entry.kind === 'order.given') return <OrderSummary order={entry.body as Order} />;
  const { title, value, rest } = describeEntry({ entry, status: 'live' }, state, unit);
  return (
    <p>
      {title} <b>{value}</b> {rest}
    </p>
  );
}
