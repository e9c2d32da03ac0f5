import { daysBetween, daysFrom } from '@estribo/core/calendar';
import { staysDue, type Buckle } from '@estribo/core/logbook';
import { may } from '@estribo/core/access';
import { useState } from 'react';
import { Link, Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { CaseSummary } from '@estribo/core/answers';
import { outbox, useBench, useUser, useZone } from '../api/clinic';
import { newEntry } from '../api/new-entry';
import { color, narrow, size } from '../look/tokens';
import { aboutCall } from '../case/calls';
import { named, t } from '../messages';
import { checkName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Page, Row, Soft } from '../parts/layout';
import { ReasonDialog } from '../parts/reason-dialog';
import {
  formatMinutes,
  formatShortWeekday,
  formatTime,
  formatStops,
  formatWeekday,
  formatWindow,
} from '../parts/format';

const dayCount = 28;
const nameWidth = 258;

const Ribbon = styled.div`
  display: grid;
  grid-template-columns: minmax(130px, ${nameWidth}px) minmax(620px, 1fr);
  overflow-x: auto;
  position: relative;
  ${narrow} {
    /* a list of what is due: the days do not fit */
    grid-template-columns: minmax(0, 1fr);
    overflow: visible;
    & > span:first-child {
      display: none;
    }
  }
`;

const Days = styled.ol`
  display: grid;
  grid-template-columns: repeat(${dayCount}, 1fr);
  text-align: center;
  font-size: ${size.small};
  color: ${color('soft')};
  ${narrow} {
    display: none;
  }
`;

const Day = styled.li<{ $today: boolean }>`
  padding: 4px 0 6px;
  background: ${({ $today }) => ($today ? color('ochreWash') : 'transparent')};
  color: ${({ $today }) => ($today ? color('ink') : color('soft'))};
  font-weight: ${({ $today }) => ($today ? 700 : 400)};
  white-space: pre-line;
`;

const Who = styled.div`
  border-bottom: 1px solid ${color('line')};
  padding: 12px 12px 10px 0;
  min-height: 68px;
  min-width: 0;
  & a {
    color: ${color('ink')};
    font-weight: 700;
    text-decoration: none;
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  & a:hover {
    text-decoration: underline;
  }
  & p {
    font-size: ${size.small};
    color: ${color('soft')};
  }
  ${narrow} {
    border-bottom: 0;
    min-height: 0;
    padding-bottom: 0;
  }
`;

const Lane = styled.div<{ $today: number }>`
  position: relative;
  border-bottom: 1px solid ${color('line')};
  min-height: 68px;
  background: linear-gradient(${color('ochreWash')}, ${color('ochreWash')})
    ${({ $today }) => `${($today / (dayCount - 1)) * 100}%`} 0 / ${100 / dayCount}% 100% no-repeat;
  ${narrow} {
    background: none;
    min-height: 0;
    padding: 2px 0 10px;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 8px;
  }
`;

const Said = styled.p<{ $tone: 'late' | 'today' | 'plain' }>`
  position: absolute;
  top: 2px;
  left: 0;
  font-size: ${size.small};
  line-height: 18px;
  max-width: 100%;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  color: ${({ $tone }) => color($tone === 'late' ? 'madder' : $tone === 'today' ? 'river' : 'soft')};
  font-weight: ${({ $tone }) => ($tone === 'plain' ? 400 : 700)};
  ${narrow} {
    position: static;
    flex: 1 1 100%;
    white-space: normal;
  }
`;

/** The strap: plain webbing before the brace is worn, leather while it is. */
const Webbing = styled.div`
  position: absolute;
  left: 0;
  right: 0;
  top: 32px;
  height: 12px;
  background:
    repeating-linear-gradient(90deg, ${color('sheet')} 0 5px, transparent 5px 9px) 0 2px / 100% 1px no-repeat,
    repeating-linear-gradient(90deg, ${color('sheet')} 0 5px, transparent 5px 9px) 0 9px / 100% 1px no-repeat,
    ${color('webbing')};
  ${narrow} {
    display: none;
  }
`;

const Leather = styled.div`
  position: absolute;
  top: 28px;
  height: 20px;
  background: ${color('saddle')};
  color: #fffaf2;
  font-size: ${size.small};
  line-height: 20px;
  padding-left: 8px;
  overflow: hidden;
  white-space: nowrap;
  border-right: 1px solid ${color('thread')};
  ${narrow} {
    display: none;
  }
`;

const BuckleLink = styled(Link)<{ $tone: 'late' | 'today' | 'plain' }>`
  position: absolute;
  top: 16px;
  width: 44px;
  height: 44px;
  margin-left: -22px;
  display: grid;
  place-items: center;
  text-decoration: none;
  z-index: 1;
  ${narrow} {
    position: static;
    margin-left: 0;
  }
  & > span {
    width: 30px;
    height: 32px;
    border-radius: 5px;
    display: grid;
    place-items: center;
    font-size: ${size.small};
    font-weight: 700;
    background: ${color('sheet')};
    color: ${({ $tone }) => color($tone === 'late' ? 'madder' : 'ink')};
    border: ${({ $tone }) => ($tone === 'plain' ? `2px solid ${color('edge')}` : `4px solid ${color($tone === 'late' ? 'madder' : 'river')}`)};
  }
`;

interface Row_ {
  summary: CaseSummary;
  next: Buckle | undefined;
  late: boolean;
}

/** A buckle that still counts: a visit not kept, a call not made, or a step of wearing from today on. */
const counts = (buckle: Buckle, today: string) => staysDue(buckle) || buckle.day >= today;

function sorted(cases: CaseSummary[], today: string): Row_[] {
  return cases
    .map((summary) => {
      const next = summary.ribbon.buckles.find((buckle) => counts(buckle, today));
      return { summary, next, late: next !== undefined && staysDue(next) && next.day < today };
    })
    .sort((a, b) => (a.next?.day ?? '9').localeCompare(b.next?.day ?? '9'));
}

/** days that the stops' words take on the ribbon where it is narrowest, and how far a buckle reaches to each side */
const words = 3;
const reach = 1;

/** The first day of a worn span, counted on the ribbon, from which its stops can be read between the buckles. */
function clearDay(start: number, end: number, buckles: readonly number[]): number | undefined {
  for (let day = Math.max(0, start); day + words <= Math.min(dayCount, end); day += 1)
    if (!buckles.some((at) => at + 0.5 > day - reach && at + 0.5 < day + words + reach)) return day;
  return undefined;
}

/** What is due, on a ribbon of days from a week ago to three weeks on. */
export function Bench() {
  const bench = useBench();
  const user = useUser();
  const navigate = useNavigate();
  const first = bench.data?.pages[0];
  // who has no bench looks after the clinic
  if (!may(user.role, 'bench.read')) return <Navigate to="/clinic" replace />;
  if (!bench.data || !first) return <Loading away={bench.isError} />;
  const { today, from } = first;
  const rows = sorted(
    bench.data.pages.flatMap(({ cases }) => cases),
    today,
  );
  const days = daysFrom(from, dayCount);
  const todayAt = daysBetween(from, today);
  const due = rows.filter(({ next }) => next?.day === today).length;
  const late = rows.filter((row) => row.late).length;
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }}>
        <Row $align="baseline" $gap={20}>
          <h1>
            {t('bench.title', {
              weekday: formatWeekday(today),
              due: t('bench.due', { count: due }),
              late: t('bench.late', { count: late }),
            })}
          </h1>
          <Soft>{t('bench.legend')}</Soft>
        </Row>
        {may(user.role, 'cases.write') && (
          <Button look="main" onPress={() => void navigate('/cases/new')}>
            {t('cases.new')}
          </Button>
        )}
      </Row>
      {rows.length === 0 ? (
        <Soft>{t('bench.empty')}</Soft>
      ) : (
        <Ribbon tabIndex={0} role="region" aria-label={t('bench.ribbon')}>
          <span />
          <Days aria-label={t('bench.days')}>
            {days.map((day) => (
              <Day key={day} $today={day === today} aria-current={day === today ? 'date' : undefined}>
                {`${formatShortWeekday(day)}\n${Number(day.slice(8))}`}
              </Day>
            ))}
          </Days>
          {rows.map((row) => (
            <BenchRow key={row.summary.case} row={row} from={from} today={today} todayAt={todayAt} />
          ))}
        </Ribbon>
      )}
      {bench.hasNextPage && (
        <Row>
          <Button onPress={() => void bench.fetchNextPage()} isDisabled={bench.isFetchingNextPage}>
            {t('common.more')}
          </Button>
        </Row>
      )}
    </Page>
  );
}

function BenchRow({
  row: { summary, next, late },
  from,
  today,
  todayAt,
}: {
  row: Row_;
  from: string;
  today: string;
  todayAt: number;
}) {
  const user = useUser();
  const zone = useZone();
  const percent = (days: number) => `${(Math.min(dayCount, Math.max(0, days)) / dayCount) * 100}%`;
  const mayOpen = may(user.role, 'record.read');
  const tone = late ? 'late' : next?.day === today ? 'today' : 'plain';
  const said = summary.blocked
    ? summary.blockedBy
      ? t('bench.blocked', { finding: named('findings', summary.blockedBy) })
      : t('bench.blockedUnnamed')
    : next
      ? `${what(next, zone)}${when(next.day, today)}`
      : t('bench.nothingPlanned', { stage: named('stages', summary.stage) });
  // of buckles on one day the visit stands in front: one place, one touch
  const shown = new Map<string, Buckle[]>();
  for (const buckle of summary.ribbon.buckles) {
    const at = daysBetween(from, buckle.day);
    if (at < 0 || at >= dayCount) continue;
    shown.set(buckle.day, [...(shown.get(buckle.day) ?? []), buckle]);
  }
  const buckleDays = [...shown.keys()].map((day) => daysBetween(from, day));
  const lateBefore = late && next && daysBetween(from, next.day) < 0 ? next : undefined;
  return (
    <>
      <Who>
        {mayOpen ? (
          <Link to={`/cases/${summary.case}/${summary.stage}`}>{summary.personName}</Link>
        ) : (
          <b>{summary.personName}</b>
        )}
        <p>
          {named('bodyPart', `${summary.side}-${summary.region}`)}, {summary.modelName}
        </p>
      </Who>
      <Lane $today={todayAt}>
        <Said $tone={summary.blocked ? 'late' : tone}>{said}</Said>
        <Webbing aria-hidden />
        {summary.ribbon.worn.map((span) => {
          const [start, end] = [
            daysBetween(from, span.from),
            span.until ? daysBetween(from, span.until) : dayCount,
          ];
          if (end <= 0 || start >= dayCount) return null;
          const clear = span.stops && clearDay(start, end, [...(lateBefore ? [0] : []), ...buckleDays]);
          return (
            <Leather
              key={span.from}
              style={{ left: percent(start), width: `calc(${percent(end)} - ${percent(start)})` }}
            >
              {span.stops && clear !== undefined && (
                <span
                  style={{
                    marginLeft: `${((clear - Math.max(0, start)) / (Math.min(dayCount, end) - Math.max(0, start))) * 100}%`,
                  }}
                >
                  {formatStops(span.stops)}
                </span>
              )}
            </Leather>
          );
        })}
        {lateBefore && (
          <OneBuckle buckles={[lateBefore]} left="1%" summary={summary} today={today} mayOpen={mayOpen} />
        )}
        {[...shown].map(([day, buckles]) => (
          <OneBuckle
            key={day}
            buckles={buckles}
            left={`${((daysBetween(from, day) + 0.5) / dayCount) * 100}%`}
            summary={summary}
            today={today}
            mayOpen={mayOpen}
          />
        ))}
      </Lane>
    </>
  );
}

function OneBuckle({
  buckles,
  left,
  summary,
  today,
  mayOpen,
}: {
  buckles: Buckle[];
  left: string;
  summary: CaseSummary;
  today: string;
  mayOpen: boolean;
}) {
  const user = useUser();
  const zone = useZone();
  const [asked, ask] = useState(false);
  const buckle =
    buckles.find(({ kind }) => kind === 'C') ?? buckles.find(({ visit }) => visit) ?? buckles[0]!;
  if (!counts(buckle, today)) return null;
  const tone = buckle.day === today ? 'today' : staysDue(buckle) && buckle.day < today ? 'late' : 'plain';
  const name = `${summary.personName}: ${buckles.map((one) => what(one, zone)).join(', ')}${when(buckle.day, today)}`;
  const letters = [...new Set(buckles.map(({ kind }) => kind))].join('');
  const style = { left };
  const planned = buckle.planned;
  if (!mayOpen && planned?.by === user.id)
    return (
      <>
        <BuckleLink
          as="button"
          to=""
          $tone={tone}
          style={style}
          aria-label={name}
          title={name}
          onClick={() => ask(true)}
        >
          <span aria-hidden>{letters}</span>
        </BuckleLink>
        {asked && (
          <TakeBack title={name} caseId={summary.case} visit={planned.entry} onClose={() => ask(false)} />
        )}
      </>
    );
  return mayOpen ? (
    <BuckleLink
      to={`/cases/${summary.case}/${buckle.stage}`}
      $tone={tone}
      style={style}
      aria-label={name}
      title={name}
    >
      <span aria-hidden style={letters.length > 1 ? { width: 38 } : undefined}>
        {letters}
      </span>
    </BuckleLink>
  ) : (
    <BuckleLink as="span" to="" $tone={tone} style={style} title={name}>
      <span>{letters}</span>
    </BuckleLink>
  );
}

/** A visit that one has planned oneself is taken back, with the reason. */
function TakeBack({
  title,
  caseId,
  visit,
  onClose,
}: {
  title: string;
  caseId: string;
  visit: string;
  onClose: () => void;
}) {
  const user = useUser();
  const zone = useZone();
  return (
    <ReasonDialog
      reasonFor={`take-back-${visit}`}
      title={title}
      doing={t('bench.takeBack')}
      onReason={(reason) => {
        const withdrawal = newEntry(
          'record.withdrawn',
          { case: caseId, stage: 'case', zone, by: user.id },
          {},
          { replaces: visit, reason },
        );
        void outbox.postEntry(withdrawal, user).then(onClose);
      }}
      onClose={onClose}
    />
  );
}

/** What a buckle stands for, in words. */
function what({ kind, window, motion, setting, minutes, note, about, again }: Buckle, zone: string): string {
  const said = {
    C: t('bench.call', { what: about ? aboutCall(about) : '' }),
    F: t('bench.fitting'),
    L: again ? t('bench.again', { check: checkName(again.check), clock: formatTime(again.until, zone) }) : '',
    S: setting
      ? t('bench.scheduled')
      : t('bench.stops', { window: window ? formatWindow(window, motion) : '' }),
    W: t('bench.wear', { minutes: formatMinutes(minutes ?? 0) }),
    R: t('bench.review'),
  }[kind];
  return note ? `${said} (${note})` : said;
}

function when(day: string, today: string): string {
  const days = daysBetween(today, day);
  if (days === 0) return ` ${t('common.today')}`;
  if (days === 1) return ` ${t('bench.tomorrow')}`;
  return days < 0 ? ` ${t('bench.daysLate', { count: -days })}` : ` ${t('bench.inDays', { count: days })}`;
}
