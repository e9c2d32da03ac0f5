import { useEffect } from 'react';

/** Keeps the screen lit while something is wanted; asked again when the page comes back. Where the browser cannot, nothing is lost. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | undefined;
    let over = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock
        .request('screen')
        .then((lock) => {
          if (over) void lock.release();
          else held = lock;
        })
        .catch(() => {});
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release().catch(() => {});
    };
  }, [wanted]);
}

/** A sound and a shake when a time is up, once for each thing that is due. */
export function useAlarm(due: boolean, what: string): void {
  useEffect(() => {
    if (!due) return;
    navigator.vibrate?.([200, 100, 200]);
    if (typeof AudioContext === 'undefined') return;
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = 880;
    loud.gain.setValueAtTime(0.25, audio.currentTime);
    loud.gain.setValueAtTime(0, audio.currentTime + 0.25);
    loud.gain.setValueAtTime(0.25, audio.currentTime + 0.4);
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.8);
    tone.connect(loud).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.85);
    tone.onended = () => void audio.close();
  }, [due, what]);
}
