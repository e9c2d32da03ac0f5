import { addDays, daysBetween, daysFrom } from '@estribo/core/calendar';
import { urgencyOf } from '@estribo/core/findings';
import { programmes } from '@estribo/core/programmes';
import { staysDue, type Buckle } from '@estribo/core/logbook';
import { may } from '@estribo/core/access';
import { useRef, useState } from 'react';
import { useMove } from 'react-aria';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { CaseSummary } from '@estribo/core/answers';
import { useUser, useZone } from '../api/clinic';
import { color, narrow, size } from '../look/tokens';
import { findingShort, named, t } from '../messages';
import { formatDay, formatShortWeekday, formatStops } from '../parts/format';
import { formatFindingTitle } from '../findings/format-finding';
import { toldApart } from '../people/person-words';
import { plannedVisit } from '../visits/planned-visit';
import { VisitDialog } from '../visits/visit-dialog';
import { counts, what, when } from './buckle-words';

const dayCount = 28;
const nameWidth = 216;

const Ribbon = styled.div`
  display: grid;
  grid-template-columns: minmax(130px, ${nameWidth}px) minmax(560px, 1fr);
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

const Day = styled.li<{ $today: boolean; $chosen: boolean }>`
  background: ${({ $today }) => ($today ? color('ochreWash') : 'transparent')};
  color: ${({ $today }) => ($today ? color('ink') : color('soft'))};
  font-weight: ${({ $today }) => ($today ? 700 : 400)};
  & > button {
    all: unset;
    box-sizing: border-box;
    width: 100%;
    min-height: 40px;
    text-align: center;
    white-space: pre-line;
    cursor: pointer;
    border-bottom: 3px solid ${({ $chosen }) => ($chosen ? color('river') : 'transparent')};
  }
  & > button:hover {
    text-decoration: underline;
  }
  & > button:focus-visible {
    outline: 3px solid ${color('river')};
  }
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
  touch-action: none;
  &[data-moving] {
    z-index: 2;
    cursor: grabbing;
  }
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

/** A case on the Bench, with what is due next in it. */
export interface Row_ {
  summary: CaseSummary;
  next: Buckle | undefined;
  late: boolean;
}

export function sorted(cases: CaseSummary[], today: string): Row_[] {
  return cases
    .map((summary) => {
      const next = summary.ribbon.buckles.find((buckle) => counts(buckle, today));
      return { summary, next, late: next !== undefined && staysDue(next) && next.day < today };
    })
    .sort(
      (a, b) =>
        urgencyOf(b.summary.finding) - urgencyOf(a.summary.finding) ||
        (a.next?.day ?? '9').localeCompare(b.next?.day ?? '9'),
    );
}

/** A family that ships, by its id; a clinic's own has its words in its cases alone. */
const familyOf = (id: string) => programmes.find((one) => one.id === id);

/** days that the stops' words take on the ribbon where it is narrowest, and how far a buckle reaches to each side */
const words = 3;
const reach = 1;

/** The first day of a worn span, counted on the ribbon, from which its stops can be read between the buckles. */
function clearDay(start: number, end: number, buckles: readonly number[]): number | undefined {
  for (let day = Math.max(0, start); day + words <= Math.min(dayCount, end); day += 1)
    if (!buckles.some((at) => at + 0.5 > day - reach && at + 0.5 < day + words + reach)) return day;
  return undefined;
}

/** What is due in each case, from a week ago to three weeks on. */
export function CaseRibbon({
  rows,
  from,
  today,
  chosen,
  onDay,
}: {
  rows: readonly Row_[];
  from: string;
  today: string;
  /** the day whose visits are listed beside */
  chosen: string;
  onDay: (day: string) => void;
}) {
  const todayAt = daysBetween(from, today);
  return (
    <Ribbon tabIndex={0} role="region" aria-label={t('bench.ribbon')}>
      <span />
      <Days aria-label={t('bench.days')}>
        {daysFrom(from, dayCount).map((day) => (
          <Day
            key={day}
            $today={day === today}
            $chosen={day === chosen}
            aria-current={day === today ? 'date' : undefined}
          >
            <button
              type="button"
              tabIndex={day === chosen ? 0 : -1}
              aria-label={t('visits.list', { day: formatDay(day) })}
              aria-pressed={day === chosen}
              onClick={() => onDay(day)}
            >
              {`${formatShortWeekday(day)}\n${Number(day.slice(8))}`}
            </button>
          </Day>
        ))}
      </Days>
      {rows.map((row) => (
        <BenchRow key={row.summary.case} row={row} from={from} today={today} todayAt={todayAt} />
      ))}
    </Ribbon>
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
  const apart = toldApart({ born: summary.born, numbers: [summary.number] });
  const tone = late ? 'late' : next?.day === today ? 'today' : 'plain';
  const said = summary.blocked
    ? summary.blockedBy
      ? t('bench.blocked', { finding: findingShort(summary.blockedBy) })
      : t('bench.blockedUnnamed')
    : urgencyOf(summary.finding) > 0
      ? formatFindingTitle(familyOf(summary.programme), summary.finding!)
      : next
        ? `${what(next, zone)}${when(next.day, today)}`
        : summary.stage
          ? t('bench.nothingPlanned', { stage: named('stages', summary.stage) })
          : t('visits.noneYet');
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
          <Link
            to={`/cases/${summary.case}/${urgencyOf(summary.finding) > 0 ? summary.finding!.stage : summary.stage}`}
            title={apart}
          >
            {summary.personName}
          </Link>
        ) : (
          <Link to={`/people/${summary.person}`} title={apart}>
            {summary.personName}
          </Link>
        )}
        <p>
          {named('bodyPart', `${summary.side}-${summary.region}`)}, {summary.modelName}
        </p>
      </Who>
      <Lane $today={todayAt}>
        <Said $tone={summary.blocked || urgencyOf(summary.finding) > 0 ? 'late' : tone}>{said}</Said>
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
  const buckle =
    buckles.find(({ kind }) => kind === 'C') ?? buckles.find(({ visit }) => visit) ?? buckles[0]!;
  if (!counts(buckle, today)) return null;
  const tone = buckle.day === today ? 'today' : staysDue(buckle) && buckle.day < today ? 'late' : 'plain';
  const name = `${summary.personName}: ${buckles.map((one) => what(one, zone)).join(', ')}${when(buckle.day, today)}`;
  const letters = [...new Set(buckles.map(({ kind }) => kind))].join('');
  const to = mayOpen ? `/cases/${summary.case}/${buckle.stage}` : undefined;
  const look = { tone, left, name, letters } as const;
  const planned = buckles.find((one) => one.planned !== undefined);
  if (planned && may(user.role, 'visits.write'))
    return <MovedBuckle {...look} to={to} planned={planned} summary={summary} today={today} />;
  const face = (
    <span aria-hidden={to !== undefined} style={letters.length > 1 ? { width: 38 } : undefined}>
      {letters}
    </span>
  );
  return to === undefined ? (
    <BuckleLink as="span" to="" $tone={tone} style={{ left }} title={name}>
      {face}
    </BuckleLink>
  ) : (
    <BuckleLink to={to} $tone={tone} style={{ left }} aria-label={name} title={name}>
      {face}
    </BuckleLink>
  );
}

/** A visit that can be moved: dragged along its lane, or by the arrow keys and Enter. */
function MovedBuckle({
  tone,
  left,
  name,
  letters,
  to,
  planned,
  summary,
  today,
}: {
  tone: 'late' | 'today' | 'plain';
  left: string;
  name: string;
  letters: string;
  /** where a touch leads; undefined: to the visit itself */
  to: string | undefined;
  planned: Buckle;
  summary: CaseSummary;
  today: string;
}) {
  const place = useRef<HTMLAnchorElement>(null);
  const [by, setBy] = useState(0);
  const [asked, ask] = useState<string>();
  const dragged = useRef(false);
  const along = useRef(0);
  const day = addDays(planned.day, by);
  const moveTo = (days: number) => setBy(Math.max(daysBetween(planned.day, today), Math.round(days)));
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      dragged.current = pointerType !== 'keyboard';
      if (dragged.current) along.current = 0;
    },
    onMove: ({ deltaX, pointerType }) => {
      if (pointerType === 'keyboard') return moveTo(by + Math.sign(deltaX));
      along.current += deltaX;
      const lane = place.current?.parentElement?.clientWidth ?? 1;
      moveTo((along.current / lane) * dayCount);
    },
    onMoveEnd: ({ pointerType }) => {
      if (pointerType !== 'keyboard' && by !== 0) ask(day);
    },
  });
  const shown = by === 0 ? name : `${name}, ${t('visits.toDay', { day: formatDay(day) })}`;
  return (
    <>
      <BuckleLink
        {...moveProps}
        ref={place}
        to={to ?? '#'}
        role={to === undefined ? 'button' : undefined}
        draggable={false}
        data-moving={by === 0 ? undefined : true}
        $tone={tone}
        style={{ left: by === 0 ? left : `calc(${left} + ${(by / dayCount) * 100}%)` }}
        aria-label={shown}
        aria-description={t('visits.dragHow')}
        title={shown}
        onClick={(event: React.MouseEvent) => {
          if (to !== undefined && by === 0 && !dragged.current) return;
          event.preventDefault();
          if (!dragged.current || by !== 0) ask(day);
          dragged.current = false;
        }}
        onKeyDown={(event: React.KeyboardEvent<HTMLAnchorElement>) => {
          if (event.key === 'Escape' && by !== 0) setBy(0);
          else if (event.key !== 'Enter') dragged.current = false;
          moveProps.onKeyDown?.(event);
        }}
      >
        <span aria-hidden style={letters.length > 1 ? { width: 38 } : undefined}>
          {letters}
        </span>
      </BuckleLink>
      {asked && (
        <VisitDialog
          who={summary.personName}
          person={summary.person}
          visit={plannedVisit(summary, planned)!}
          {...(asked === planned.day ? {} : { to: asked })}
          onClose={() => {
            setBy(0);
            ask(undefined);
          }}
        />
      )}
    </>
  );
}
