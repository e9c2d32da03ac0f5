import type { CaseState, RecordLine } from '@estribo/core/logbook';
import { isKind, kinds } from '@estribo/core/logbook';
import { may } from '@estribo/core/access';
import { Clock3, PencilLine } from 'lucide-react';
import { useContext, useState } from 'react';
import styled from 'styled-components';
import { useStaff } from '../api/clinic';
import { color } from '../look/tokens';
import { locale, t } from '../messages';
import { Button, IconButton } from '../parts/button';
import { Small } from '../parts/layout';
import { useWork, WaitingContext } from '../case/case-context';
import { Correction } from './correction';
import { describeEntry, describeOtherwise } from './describe-entry';

const Strip = styled.section`
  border-top: 1px solid ${color('line')};
  background: ${color('sheet')};
  padding: 6px 8px 6px 20px;
  min-height: 0;
  overflow: auto;
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) 44px;
  align-items: center;
  gap: 8px;
  min-height: 30px;
  & p {
    min-width: 0;
    overflow-wrap: anywhere;
  }
  & s {
    color: ${color('soft')};
  }
`;

const Fix = styled(IconButton)`
  height: 30px;
`;

const timeIn = (zone: string) =>
  new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone: zone });
const dateIn = (zone: string) =>
  new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', timeZone: zone });

/** What was written last; every line can be corrected, and the old one stays, struck through. */
export function RecordStrip({ state, today }: { state: CaseState; today: string }) {
  const { unit, zone, user } = useWork();
  const waiting = useContext(WaitingContext);
  const { data } = useStaff();
  const [correcting, setCorrecting] = useState<RecordLine>();
  const [shown, setShown] = useState(40);
  const lines = state.lines.toReversed();
  const nameOf = (id: string) => data?.staff.find((one) => one.id === id)?.name ?? '';
  const [time, date] = [timeIn(zone), dateIn(zone)];
  return (
    <Strip aria-label={t('record.label')} tabIndex={0}>
      <ul>
        {lines.slice(0, shown).map((line) => {
          const { entry, status } = line;
          const said = describeEntry(line, state, unit, nameOf);
          const writer = nameOf(entry.by);
          const struck = status === 'replaced' || status === 'withdrawn' || status === 'not-in-force';
          // when an entry was observed may be what cannot be read of it
          const at = new Date(status === 'unreadable' ? entry.receivedAt : entry.observedAt);
          const isToday = date.format(at) === date.format(new Date(`${today}T12:00:00Z`));
          const correctable =
            status !== 'replaced' &&
            status !== 'withdrawn' &&
            entry.kind !== 'case.opened' &&
            entry.kind !== 'case.moved' &&
            entry.kind !== 'record.withdrawn' &&
            may(user.role, isKind(entry.kind) ? kinds[entry.kind].permission : 'screening.override');
          const heir = line.heirs.at(-1);
          const words = (
            <>
              <b>{said.title}</b> {said.value && <span>{said.value} </span>}
              <Small>{said.rest}</Small>
            </>
          );
          return (
            <Line key={entry.id}>
              <Small>{isToday ? time.format(at) : date.format(at)}</Small>
              <p title={heir ? `${heir.reason ?? ''} (${nameOf(heir.by)})` : undefined}>
                {struck ? <s>{words}</s> : words}
                {writer && <Small> · {t('entry.by', { name: writer })}</Small>}
                {entry.from && <Small> · {t('entry.takenOver')}</Small>}
                {entry.replaces !== undefined && entry.kind !== 'record.withdrawn' && (
                  <Small> · {entry.reason}</Small>
                )}
                {status === 'conflict' && (
                  <Small style={{ color: color('madder') }}> · {t('record.conflict')}</Small>
                )}
                {status === 'not-in-force' && (
                  <Small style={{ color: color('madder') }}>
                    {' '}
                    · {t('record.notInForce', { computed: describeOtherwise(entry, state, unit) })}
                  </Small>
                )}
                {line.outside && <Small style={{ color: color('madder') }}> · {t('record.outside')}</Small>}
                {line.late && (
                  <Small>
                    {' '}
                    ·{' '}
                    {t('record.late', {
                      at: `${date.format(new Date(entry.receivedAt))} ${time.format(new Date(entry.receivedAt))}`,
                    })}
                  </Small>
                )}
                {waiting.has(entry.id) && (
                  <Small>
                    {' '}
                    <Clock3 size={12} aria-hidden style={{ verticalAlign: -1 }} /> {t('record.waits')}
                  </Small>
                )}
              </p>
              {correctable ? (
                <Fix
                  aria-label={t('record.correct', { what: said.title })}
                  onPress={() => setCorrecting(line)}
                >
                  <PencilLine size={16} aria-hidden />
                </Fix>
              ) : (
                <span />
              )}
            </Line>
          );
        })}
      </ul>
      {lines.length > shown && (
        <Button look="quiet" onPress={() => setShown(shown + 100)}>
          {t('common.more')}
        </Button>
      )}
      {correcting && <Correction line={correcting} state={state} onClose={() => setCorrecting(undefined)} />}
    </Strip>
  );
}
