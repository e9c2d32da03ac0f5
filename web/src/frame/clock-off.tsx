import { useClockOff } from '../api/clinic';
import { t } from '../messages';
import { Notice } from '../parts/notice';

/** Minutes by which this machine's clock may differ from the server's before it is said. */
const mostMinutes = 5;

/** Entries carry the time of this machine: one whose clock is wrong writes them on the wrong day. */
export function ClockOff() {
  const minutes = useClockOff();
  if (minutes === undefined || Math.abs(minutes) <= mostMinutes) return null;
  const by =
    Math.abs(minutes) < 120
      ? t('clock.minutes', { count: Math.round(Math.abs(minutes)) })
      : t('clock.hours', { count: Math.round(Math.abs(minutes) / 60) });
  return (
    <Notice tone="caution" live>
      {t(minutes < 0 ? 'clock.behind' : 'clock.ahead', { by })}
    </Notice>
  );
}
