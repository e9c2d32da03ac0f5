import { useEffect, useState } from 'react';
import { locale } from '../messages';

const kept = 'estribo-spoken-steps';

/** Whether this browser can speak at all. */
export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined';

/** Each step spoken aloud by the browser's own voice, while that is wished for: off until somebody turns it on. */
export function useSpokenSteps(said: string | undefined) {
  const [on, setOn] = useState(() => localStorage.getItem(kept) === 'on');
  useEffect(() => {
    if (!on || said === undefined || !canSpeak()) return;
    const utterance = new SpeechSynthesisUtterance(said);
    utterance.lang = locale;
    speechSynthesis.cancel();
    speechSynthesis.speak(utterance);
    return () => speechSynthesis.cancel();
  }, [on, said]);
  return {
    on,
    turn: () => {
      localStorage.setItem(kept, on ? 'off' : 'on');
      setOn(!on);
    },
  };
}
