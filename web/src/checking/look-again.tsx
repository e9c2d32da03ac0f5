import { useEffect, useState } from 'react';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { checkName } from '../messages/fitting';
import { formatTime } from '../parts/format';
import { Notice } from '../parts/notice';

/** What is looked at once more when the brace has been worn a while, by the clock. */
export function LookAgain() {
  const { state, zone } = useWork();
  const { later } = state.checking;
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (later.length === 0) return;
    const timer = setInterval(() => setNow(Date.now()), 15_000);
    return () => clearInterval(timer);
  }, [later.length]);
  return later.map(({ check, until }) => {
    const left = Math.ceil((Date.parse(until) - now) / 60_000);
    return (
      <Notice key={check} tone={left > 0 ? 'plain' : 'caution'}>
        {left > 0
          ? t('checking.againBy', { check: checkName(check), clock: formatTime(until, zone), count: left })
          : t('checking.againMissed', { check: checkName(check), clock: formatTime(until, zone) })}
      </Notice>
    );
  });
}
