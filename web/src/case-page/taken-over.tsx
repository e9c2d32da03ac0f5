import type { CaseState } from '@estribo/core/logbook';
import { Link } from 'react-router';
import { useCasesOf } from '../api/people';
import { t } from '../messages';
import { Notice } from '../parts/notice';
import { braceOf } from '../visits/brace-of';

/** How long ago something was observed, in words. */
export function saidAge(observedAt: string, now: number): string {
  const minutes = Math.max(0, Math.round((now - Date.parse(observedAt)) / 60_000));
  if (minutes < 60) return t('keeping.ageMinutes', { count: Math.max(1, minutes) });
  const hours = Math.round(minutes / 60);
  return hours < 48
    ? t('keeping.ageHours', { count: hours })
    : t('keeping.ageDays', { count: Math.round(hours / 24) });
}

/** What of a case comes from another one of the same person, and how old it is. */
export function TakenOver({ state, now }: { state: CaseState; now: number }) {
  const cases = useCasesOf(state.person).data?.cases;
  const taken = state.lines.filter(({ entry, status }) => entry.from !== undefined && status === 'live');
  const sources = [...new Set(taken.map(({ entry }) => entry.from!.case))];
  return sources.map((source) => {
    const own = taken.filter(({ entry }) => entry.from!.case === source);
    const there = cases?.find((one) => one.case === source);
    const oldest = own.reduce(
      (first, { entry }) => (entry.observedAt < first ? entry.observedAt : first),
      '9',
    );
    const readings = own.filter(({ entry }) => entry.stage === 'measure').length;
    return (
      <Notice key={source} tone="plain">
        {t('keeping.takenOver', {
          brace: there ? braceOf(there) : '…',
          readings: t('keeping.readings', { count: readings }),
          looks: t('keeping.looks', { count: own.length - readings }),
          age: saidAge(oldest, now),
        })}{' '}
        <Link to={`/cases/${source}/measure`}>{t('case.goThere')}</Link>
      </Notice>
    );
  });
}
