import { kinds, type AnyEntry } from '@estribo/core/logbook';
import { CloudOff, UploadCloud } from 'lucide-react';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { outbox, usePosted, useSending } from '../api/clinic';
import type { Posted } from '../api/outbox';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { color, size } from './tokens';

const Said = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: ${size.small};
  color: ${color('ochre')};
  margin-right: 16px;
`;

/** What waits to be sent, and why; nothing when all is sent. */
export function OutboxState() {
  const waiting = usePosted().filter(({ state }) => state === 'waiting').length;
  const sending = useSending();
  if (waiting === 0) return <Said as="span" role="status" style={{ marginRight: 0 }} />;
  const away = sending === 'away' || sending === 'signed-out';
  return (
    <Said role="status">
      {away ? <CloudOff size={16} aria-hidden /> : <UploadCloud size={16} aria-hidden />}
      {away ? t('outbox.away', { count: waiting }) : t('outbox.sending', { count: waiting })}
    </Said>
  );
}

/** What the server would not take: why, and what can be done. */
export function OutboxRefused({ caseId }: { caseId?: string }) {
  const refused = usePosted(caseId).filter(({ state }) => state === 'refused');
  return refused.map((item) => (
    <Notice key={item.n} tone="stop" live>
      <Stack $gap={8}>
        <b>{t('outbox.refused')}</b>
        <span>{item.problem?.detail}</span>
        <Row>
          {item.problem?.status === 409 && (
            <Button look="stop" onPress={() => void sendAgain(item)}>
              {t('outbox.sendAnyway')}
            </Button>
          )}
          <Button onPress={() => void outbox.discard(item.n)}>{t('outbox.giveUp')}</Button>
        </Row>
      </Stack>
    </Notice>
  ));
}

/** The same intent once more, following the one that is in force now. */
async function sendAgain(item: Posted): Promise<void> {
  const entry = item.body as AnyEntry;
  const inForce = item.problem?.inForce as { id: string } | null | undefined;
  await outbox.resend(item.n, {
    ...entry,
    id: v7(),
    ...(kinds[entry.kind].nature === 'intent' ? { expects: inForce?.id ?? null } : {}),
  });
}
