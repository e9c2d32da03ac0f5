import { may } from '@estribo/core/access';
import type { CaseSummary, ListedVisit } from '@estribo/core/answers';
import { addDays } from '@estribo/core/calendar';
import { ChevronLeft, ChevronRight, Clock3, PencilLine } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useStaff, useUser } from '../api/clinic';
import { useVisits } from '../api/people';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { checkName } from '../messages/fitting';
import { Button, IconButton } from '../parts/button';
import { formatDay, formatWeekday } from '../parts/format';
import { Loading } from '../parts/loading';
import { Row, Sheet, Small, Soft } from '../parts/layout';
import { toldApart } from '../people/person-words';
import { PlanForSomebody } from '../people/plan-for-somebody';
import { VisitDialog } from '../visits/visit-dialog';
import { saidOfVisit, standing } from '../visits/visit-line';

const Line = styled.li<{ $tone: 'plain' | 'missed' | 'kept' }>`
  display: grid;
  grid-template-columns: 46px minmax(0, 1fr) 44px;
  gap: 8px;
  padding: 8px 0;
  border-bottom: 1px solid ${color('line')};
  overflow-wrap: anywhere;
  & a {
    font-weight: 700;
    color: ${color('ink')};
    text-decoration: none;
    display: inline-block;
    min-height: 24px;
  }
  & a:hover {
    text-decoration: underline;
  }
  & time {
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  & p {
    font-size: ${size.small};
    color: ${color('soft')};
  }
  & em {
    font-style: normal;
    font-size: ${size.small};
    font-weight: 700;
    color: ${({ $tone }) => color($tone === 'missed' ? 'madder' : $tone === 'kept' ? 'moss' : 'soft')};
  }
`;

/** A look that was promised by the clock: how long there is still. */
function PracticeClock({ summary, check, until }: { summary: CaseSummary; check: string; until: string }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 15_000);
    return () => clearInterval(timer);
  }, []);
  const left = Math.ceil((Date.parse(until) - now) / 60_000);
  return (
    <Line $tone={left < 0 ? 'missed' : 'plain'} role="listitem">
      <Clock3 size={22} aria-hidden />
      <div>
        <Link to={`/cases/${summary.case}/check`}>{summary.personName}</Link>
        <p style={{ color: color(left < 0 ? 'madder' : 'ink') }}>
          {t(left < 0 ? 'visits.clockOver' : 'visits.clock', {
            check: checkName(check),
            minutes: Math.abs(left),
          })}
        </p>
      </div>
      <span />
    </Line>
  );
}

/** Who is expected on a day, by the clock; what was promised within minutes stands in front. */
export function DayList({
  day,
  today,
  cases,
  onDay,
}: {
  day: string;
  today: string;
  cases: readonly CaseSummary[];
  onDay: (day: string) => void;
}) {
  const user = useUser();
  const { data: staff } = useStaff();
  const found = useVisits(day, day);
  const [changing, change] = useState<ListedVisit>();
  const [planning, setPlanning] = useState(false);
  const visits = found.data?.pages.flatMap((page) => page.visits);
  const reads = may(user.role, 'record.read');
  const nameOf = (id: string | null) => staff?.staff.find((one) => one.id === id)?.name;
  const clocks =
    day === today && reads
      ? cases.flatMap((summary) =>
          summary.ribbon.buckles.flatMap(({ day: on, again }) =>
            again && on === today ? [{ summary, ...again }] : [],
          ),
        )
      : [];
  const leadsTo = (visit: ListedVisit): string =>
    !reads || visit.case === null
      ? `/people/${visit.person}`
      : `/cases/${visit.case}/${visit.purpose === 'review' ? 'review' : (visit.stage ?? 'screen')}`;
  return (
    <Sheet aria-label={t('visits.list', { day: formatDay(day) })} as="aside" style={{ alignSelf: 'start' }}>
      <Row style={{ justifyContent: 'space-between' }} $gap={4}>
        <IconButton aria-label={t('visits.before')} onPress={() => onDay(addDays(day, -1))}>
          <ChevronLeft size={20} aria-hidden />
        </IconButton>
        <h2>{day === today ? t('visits.today') : `${formatWeekday(day)} ${formatDay(day)}`}</h2>
        <IconButton aria-label={t('visits.after')} onPress={() => onDay(addDays(day, 1))}>
          <ChevronRight size={20} aria-hidden />
        </IconButton>
      </Row>
      {!visits ? (
        <Loading away={found.isError} />
      ) : visits.length === 0 && clocks.length === 0 ? (
        <Soft role="status">{t('visits.none')}</Soft>
      ) : (
        <ul>
          {clocks.map(({ summary, check, until }) => (
            <PracticeClock key={`${summary.case} ${check}`} summary={summary} check={check} until={until} />
          ))}
          {visits.map((visit) => {
            const stands = standing(visit, today);
            const keeper = nameOf(visit.keeper);
            return (
              <Line
                key={visit.id}
                $tone={stands === 'missed' ? 'missed' : stands === 'kept' ? 'kept' : 'plain'}
              >
                <time>{visit.time ?? '–'}</time>
                <div>
                  <Link to={leadsTo(visit)}>{visit.personName}</Link>{' '}
                  {stands !== 'expected' && <em>{t(`visits.${stands}`)}</em>}
                  <p>{toldApart({ born: visit.born, numbers: [visit.number] })}</p>
                  <p>{saidOfVisit(visit)}</p>
                  {keeper && <p>{t('visits.with', { name: keeper })}</p>}
                  {visit.note && <Small>{visit.note}</Small>}
                  {visit.deskNote && <Small>{visit.deskNote}</Small>}
                </div>
                {visit.state === 'planned' && may(user.role, 'visits.write') ? (
                  <IconButton
                    aria-label={t('visits.change', { what: `${visit.personName} ${visit.time ?? ''}` })}
                    onPress={() => change(visit)}
                  >
                    <PencilLine size={18} aria-hidden />
                  </IconButton>
                ) : (
                  <span />
                )}
              </Line>
            );
          })}
        </ul>
      )}
      {may(user.role, 'visits.write') && day >= today && (
        <Row style={{ marginTop: 10 }}>
          <Button onPress={() => setPlanning(true)}>{t('visits.plan')}</Button>
        </Row>
      )}
      {planning && <PlanForSomebody day={day} onClose={() => setPlanning(false)} />}
      {found.hasNextPage && (
        <Button look="quiet" onPress={() => void found.fetchNextPage()}>
          {t('common.more')}
        </Button>
      )}
      {changing && (
        <VisitDialog
          who={changing.personName}
          person={changing.person}
          visit={changing}
          onClose={() => change(undefined)}
        />
      )}
    </Sheet>
  );
}
