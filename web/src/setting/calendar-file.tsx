import type { Buckle, CaseState } from '@estribo/core/logbook';
import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import { named, t } from '../messages';
import { settingWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { formatWindow } from '../parts/format';
import { Notice } from '../parts/notice';

/** What a due day is about, without anybody's name: it leaves the clinic. */
const saidOf = (buckle: Buckle, name: (setting: string) => string): string => {
  if (buckle.kind === 'S')
    return buckle.window
      ? t('schedule.icsStops', { window: formatWindow(buckle.window, buckle.motion) })
      : name(buckle.setting!);
  return t(
    buckle.kind === 'R'
      ? 'schedule.icsReview'
      : buckle.kind === 'C'
        ? 'schedule.icsCall'
        : 'schedule.icsFitting',
  );
};

/** The due days of a case as a file that another calendar reads. */
export function CalendarFile({ state }: { state: CaseState }) {
  const [empty, setEmpty] = useState(false);
  const part = named('bodyPartInside', `${state.side}-${state.programme.region}`);
  const write = async () => {
    // what writes calendars is fetched when somebody wants one
    const { calendarDays, calendarFile } = await import('@estribo/core/exchange');
    const days = calendarDays(state);
    if (days.length === 0) return setEmpty(true);
    const text = calendarFile(
      days.map(({ id, day, due }) => ({
        id,
        day,
        summary: `${due ? saidOf(due, (one) => settingWords(state.programme, one).name) : t('schedule.icsCancelled')}, ${part}`,
        ...(due?.note ? { description: due.note } : {}),
        ...(due ? {} : { cancelled: true as const }),
      })),
      { name: t('schedule.icsName'), sequence: state.seq, written: new Date().toISOString() },
    );
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([text], { type: 'text/calendar;charset=utf-8' }));
    link.download = `estribo-${state.case.slice(0, 8)}.ics`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <>
      <Button look="quiet" onPress={() => void write()}>
        <CalendarPlus size={18} aria-hidden /> {t('schedule.ics')}
      </Button>
      {empty && <Notice tone="caution">{t('schedule.icsEmpty')}</Notice>}
    </>
  );
}
