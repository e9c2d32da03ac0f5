import { useSyncExternalStore } from 'react';
import { narrow } from '../look/tokens';

const query = () => matchMedia(narrow.replace('@media ', ''));

const subscribe = (changed: () => void) => {
  const asked = query();
  asked.addEventListener('change', changed);
  return () => asked.removeEventListener('change', changed);
};

/** Whether the window is as narrow as a phone: for what a style sheet cannot decide. */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => query().matches);
