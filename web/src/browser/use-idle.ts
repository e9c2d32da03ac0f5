import { useEffect, useEffectEvent } from 'react';

const signsOfLife = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/** When a page of this browser was touched last: work in one tab keeps the others from locking. */
const touchedKey = 'estribo-touched';
/** A touch is written down no more often than this, in milliseconds. */
const writesEvery = 5000;

const touchedAnywhere = () => Number(localStorage.getItem(touchedKey) ?? 0);

/**
 * Calls when nobody has touched any page of this browser for a while, and again each minute until somebody does.
 * @param minutes of quiet
 */
export function useIdle(minutes: number, onIdle: () => void): void {
  const call = useEffectEvent(onIdle);
  useEffect(() => {
    let last = Date.now();
    let written = 0;
    const alive = () => {
      last = Date.now();
      if (last - written < writesEvery) return;
      written = last;
      localStorage.setItem(touchedKey, String(last));
    };
    for (const sign of signsOfLife) addEventListener(sign, alive, { capture: true, passive: true });
    const timer = setInterval(() => {
      const now = Date.now();
      // a clock that was set back has written a touch of later
      const elsewhere = Math.min(touchedAnywhere(), now);
      if (now - Math.max(last, elsewhere) >= minutes * 60_000) call();
    }, 60_000);
    return () => {
      clearInterval(timer);
      for (const sign of signsOfLife) removeEventListener(sign, alive, { capture: true });
    };
  }, [minutes]);
}
