import type { CaseState } from '@estribo/core/logbook';
import { isKind, kinds } from '@estribo/core/logbook';
import { may } from '@estribo/core/access';
import { Clock3, PencilLine } from 'lucide-react';
import { memo, useContext, useMemo, useState } from 'react';
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

/** One line of the record, as it is read; drawn again only when a word of it changed. */
const Written = memo(function Written({
  at,
  title,
  value,
  rest,
  writer,
  struck,
  why,
  notes,
  alarms,
  waits,
  id,
  onCorrect,
}: {
  at: string;
  title: string;
  value: string | undefined;
  rest: string | undefined;
  writer: string;
  struck: boolean;
  /** why what replaced it did so */
  why: string | undefined;
  /** what is said beside it, one after the other */
  notes: string;
  /** what is said beside it of trouble */
  alarms: string;
  waits: boolean;
  id: string;
  /** undefined where it cannot be corrected */
  onCorrect: ((id: string) => void) | undefined;
}) {
  const words = (
    <>
      <b>{title}</b> {value && <span>{value} </span>}
      <Small>{rest}</Small>
    </>
  );
  return (
    <Line>
      <Small>{at}</Small>
      <p title={why}>
        {struck ? <s>{words}</s> : words}
        {writer && <Small> · {t('entry.by', { name: writer })}</Small>}
        {notes && <Small> · {notes}</Small>}
        {alarms && <Small style={{ color: color('madder') }}> · {alarms}</Small>}
        {waits && (
          <Small>
            {' '}
            <Clock3 size={12} aria-hidden style={{ verticalAlign: -1 }} /> {t('record.waits')}
          </Small>
        )}
      </p>
      {onCorrect ? (
        <Fix aria-label={t('record.correct', { what: title })} onPress={() => onCorrect(id)}>
          <PencilLine size={16} aria-hidden />
        </Fix>
      ) : (
        <span />
      )}
    </Line>
  );
});

/** What was written last; every line can be corrected, and the old one stays, struck through. */
export function RecordStrip({ state, today }: { state: CaseState; today: string }) {
  const { unit, zone, user } = useWork();
  const waiting = useContext(WaitingContext);
  const { data } = useStaff();
  const [correcting, setCorrecting] = useState<string>();
  const [shown, setShown] = useState(40);
  const [time, date] = useMemo(() => [timeIn(zone), dateIn(zone)], [zone]);
  const lines = state.lines.toReversed();
  const corrected = lines.find(({ entry }) => entry.id === correcting);
  const nameOf = (id: string) => data?.staff.find((one) => one.id === id)?.name ?? '';
  return (
    <Strip aria-label={t('record.label')} tabIndex={0}>
      <ul>
        {lines.slice(0, shown).map((line) => {
          const { entry, status } = line;
          const { title, value, rest } = describeEntry(line, state, unit, nameOf);
          // when an entry was observed may be what cannot be read of it
          const at = new Date(status === 'unreadable' ? entry.receivedAt : entry.observedAt);
          const isToday = date.format(at) === date.format(new Date(`${today}T12:00:00Z`));
          const isCorrectable =
            status !== 'replaced' &&
            status !== 'withdrawn' &&
            entry.kind !== 'case.opened' &&
            entry.kind !== 'case.moved' &&
            entry.kind !== 'record.withdrawn' &&
            may(user.role, isKind(entry.kind) ? kinds[entry.kind].permission : 'screening.override');
          const heir = line.heirs.at(-1);
          const received = new Date(entry.receivedAt);
          const notes = [
            entry.from && t('entry.takenOver'),
            entry.replaces !== undefined && entry.kind !== 'record.withdrawn' && entry.reason,
            line.late && t('record.late', { at: `${date.format(received)} ${time.format(received)}` }),
          ];
          const alarms = [
            status === 'conflict' && t('record.conflict'),
            status === 'not-in-force' &&
              t('record.notInForce', { computed: describeOtherwise(entry, state, unit) }),
            line.outside && t('record.outside'),
          ];
          return (
            <Written
              key={entry.id}
              at={isToday ? time.format(at) : date.format(at)}
              title={title}
              value={value}
              rest={rest}
              writer={nameOf(entry.by)}
              struck={status === 'replaced' || status === 'withdrawn' || status === 'not-in-force'}
              why={heir ? `${heir.reason ?? ''} (${nameOf(heir.by)})` : undefined}
              notes={notes.filter(Boolean).join(' · ')}
              alarms={alarms.filter(Boolean).join(' · ')}
              waits={waiting.has(entry.id)}
              id={entry.id}
              onCorrect={isCorrectable ? setCorrecting : undefined}
            />
          );
        })}
      </ul>
      {lines.length > shown && (
        <Button look="quiet" onPress={() => setShown(shown + 100)}>
          {t('common.more')}
        </Button>
      )}
      {corrected && <Correction line={corrected} state={state} onClose={() => setCorrecting(undefined)} />}
    </Strip>
  );
}
