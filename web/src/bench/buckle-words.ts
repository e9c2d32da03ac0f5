import { daysBetween } from '@estribo/core/calendar';
import { staysDue, type Buckle } from '@estribo/core/logbook';
import { aboutCall } from '../case/about-call';
import { named, t } from '../messages';
import { checkName } from '../messages/fitting';
import { formatMinutes, formatTime, formatWindow } from '../parts/format';

/** A buckle that still counts: a visit not kept, a call not made, or a step of wearing from today on. */
export const counts = (buckle: Buckle, today: string) => staysDue(buckle) || buckle.day >= today;

/** What a buckle stands for, in words. */
export function what(
  { kind, window, motion, setting, minutes, note, about, again, planned }: Buckle,
  zone: string,
): string {
  const said = {
    C: t('bench.call', { what: about ? aboutCall(about) : '' }),
    F: t('bench.fitting'),
    L: again ? t('bench.again', { check: checkName(again.check), clock: formatTime(again.until, zone) }) : '',
    S: setting
      ? t('bench.scheduled')
      : t('bench.stops', { window: window ? formatWindow(window, motion) : '' }),
    W: t('bench.wear', { minutes: formatMinutes(minutes ?? 0) }),
    R: t('bench.review'),
    V: planned ? t('bench.visitFor', { purpose: named('purpose', planned.purpose) }) : t('bench.visit'),
  }[kind];
  const timed = planned?.time ? `${said}, ${planned.time}` : said;
  return note ? `${timed} (${note})` : timed;
}

export function when(day: string, today: string): string {
  const days = daysBetween(today, day);
  if (days === 0) return ` ${t('common.today')}`;
  if (days === 1) return ` ${t('bench.tomorrow')}`;
  return days < 0 ? ` ${t('bench.daysLate', { count: -days })}` : ` ${t('bench.inDays', { count: days })}`;
}
