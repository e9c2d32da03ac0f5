import { kindSent, type AnyEntry } from '@estribo/core/logbook';
import { CloudOff, TriangleAlert, UploadCloud } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { outbox, useProvenCase, usePosted, usePostedOfOthers, useSending, useZone } from '../api/clinic';
import { sayProblem } from '../api/say-problem';
import type { Posted } from '../api/machine';
import type { Sending } from '../api/outbox';
import { locale, named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReasonDialog } from '../parts/reason-dialog';
import { color, size } from '../look/tokens';

const Said = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: ${size.small};
  color: ${color('ochre')};
  margin-right: 16px;
`;

const icons: Record<Sending, typeof CloudOff> = {
  idle: UploadCloud,
  sending: UploadCloud,
  away: CloudOff,
  'signed-out': CloudOff,
  busy: UploadCloud,
  failed: TriangleAlert,
  full: TriangleAlert,
};

/** What waits to be sent, and why; nothing when all is sent. */
export function OutboxState() {
  const waiting = usePosted().filter(({ state }) => state === 'waiting').length;
  const sending = useSending();
  if (waiting === 0) return <Said as="span" role="status" style={{ marginRight: 0 }} />;
  const Icon = icons[sending];
  return (
    <Said role="status">
      <Icon size={16} aria-hidden />
      {t(`outbox.${sending === 'idle' ? 'sending' : sending}`, { count: waiting })}
    </Said>
  );
}

/** What waits here of other people: whose, and when it will go. */
export function OutboxOfOthers() {
  const others = usePostedOfOthers();
  return others.map(({ name, count }, i) => (
    <Notice key={name || i} tone="plain">
      {t('outbox.ofOthers', { count, name: name || t('outbox.somebody') })}
    </Notice>
  ));
}

/**
 * What the server would not take of what belongs to no case: why, and what can be done. What belongs to a case is
 * told on that case; here only that there is something, and of whom.
 */
export function OutboxUnsent() {
  const unsent = usePosted().filter(({ state }) => state === 'unsent');
  const cases = [...new Set(unsent.flatMap(({ caseId }) => (caseId ? [caseId] : [])))];
  return (
    <>
      {unsent
        .filter(({ caseId }) => !caseId)
        .map((item) => (
          <Unsent key={item.n} item={item} />
        ))}
      {cases.map((caseId) => (
        <UnsentOfCase key={caseId} caseId={caseId} />
      ))}
    </>
  );
}

function UnsentOfCase({ caseId }: { caseId: string }) {
  const person = useProvenCase(caseId).data?.person;
  return (
    <Notice tone="stop" live>
      {person
        ? t('outbox.ofCase', { who: `${person.givenName} ${person.familyName}` })
        : t('outbox.ofSomeCase')}{' '}
      <Link to={`/cases/${caseId}`}>{t('outbox.openCase')}</Link>
    </Notice>
  );
}

/** One thing that was not taken: why, and what can be done. */
export function Unsent({ item, children }: { item: Posted; children?: ReactNode }) {
  const [shown, show] = useState<'text' | 'giveUp'>();
  const zone = useZone();
  const { kind, observedAt } = item.body as Partial<AnyEntry>;
  const at = observedAt
    ? t('outbox.writtenAt', {
        at: new Intl.DateTimeFormat(locale, {
          dateStyle: 'medium',
          timeStyle: 'short',
          timeZone: zone,
        }).format(new Date(observedAt)),
      })
    : '';
  return (
    <Notice tone="stop" live>
      <Stack $gap={8}>
        <b>{t('outbox.unsent', { what: named('kinds', kind ?? 'person'), at })}</b>
        {children ?? <span>{item.problem && sayProblem(item.problem)}</span>}
        <Row>
          {item.problem?.status === 409 ? (
            <Button look="stop" onPress={() => void sendOnTop(item)}>
              {t('outbox.sendOnTop')}
            </Button>
          ) : (
            <Button look="stop" onPress={() => void outbox.resend(item.n)}>
              {t('outbox.sendAgain')}
            </Button>
          )}
          <Button onPress={() => show('text')}>{t('outbox.copyOut')}</Button>
          <Button look="quiet" onPress={() => show('giveUp')}>
            {t('outbox.giveUp')}
          </Button>
        </Row>
      </Stack>
      {shown === 'text' && <UnsentText item={item} onClose={() => show(undefined)} />}
      {shown === 'giveUp' && <GiveUp item={item} onClose={() => show(undefined)} />}
    </Notice>
  );
}

/** What was written, as it would be sent: to be kept somewhere else. */
function UnsentText({ item, onClose }: { item: Posted; onClose: () => void }) {
  const text = JSON.stringify(item.body, null, 2);
  const [copied, setCopied] = useState(false);
  // without a secure connection a browser has no clipboard to write to
  const clipboard: Clipboard | undefined = navigator.clipboard;
  return (
    <Dialog title={t('outbox.textTitle')} onClose={onClose}>
      <Field label={t('outbox.text')} value={text} isReadOnly lines={10} />
      <Row>
        {clipboard && (
          <Button
            look="main"
            onPress={() =>
              void clipboard.writeText(text).then(
                () => setCopied(true),
                () => {},
              )
            }
          >
            {t('outbox.copy')}
          </Button>
        )}
        <Button onPress={onClose}>{t('common.close')}</Button>
        <span role="status">{copied && t('outbox.copied')}</span>
      </Row>
    </Dialog>
  );
}

function GiveUp({ item, onClose }: { item: Posted; onClose: () => void }) {
  return (
    <ReasonDialog
      reasonFor={`give-up-${item.n}`}
      title={t('outbox.giveUpTitle')}
      doing={t('outbox.giveUp')}
      onReason={(reason) => void outbox.giveUp(item, reason).then(onClose)}
      onClose={onClose}
    >
      <p>{t('outbox.giveUpWhat')}</p>
    </ReasonDialog>
  );
}

/** The same intent once more, following the one that is in force now. */
async function sendOnTop(item: Posted): Promise<void> {
  const entry = item.body as AnyEntry;
  const inForce = item.problem?.inForce as { id: string } | null | undefined;
  await outbox.resend(item.n, {
    ...entry,
    id: v7(),
    ...(kindSent(entry.kind)?.nature === 'intent' ? { expects: inForce?.id ?? null } : {}),
  });
}
