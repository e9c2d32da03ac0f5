import { useEffect, useRef } from 'react';

const signsOfLife = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/**
 * Calls when nobody has touched the page for a while, and again each minute until somebody does.
 * @param minutes of quiet
 */
export function useIdle(minutes: number, onIdle: () => void): void {
  const call = useRef(onIdle);
  useEffect(() => {
    call.current = onIdle;
  });
  useEffect(() => {
    let last = Date.now();
    const alive = () => (last = Date.now());
    for (const sign of signsOfLife) addEventListener(sign, alive, { capture: true, passive: true });
    const timer = setInterval(() => {
      if (Date.now() - last >= minutes * 60_000) call.current();
    }, 60_000);
    return () => {
      clearInterval(timer);
      for (const sign of signsOfLife) removeEventListener(sign, alive, { capture: true });
    };
  }, [minutes]);
}
