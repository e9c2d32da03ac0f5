import { useRef, useState } from 'react';

/**
 * Runs one write at a time: a second press while the first is laid in the outbox does nothing.
 * @returns whether one runs, and the way to run one: it answers false at once when another one runs
 */
export function useSaving(): [boolean, (work: () => Promise<unknown>) => Promise<boolean>] {
  const [saving, setSaving] = useState(false);
  const busy = useRef(false);
  return [
    saving,
    async (work) => {
      if (busy.current) return false;
      busy.current = true;
      setSaving(true);
      try {
        await work();
        return true;
      } finally {
        busy.current = false;
        setSaving(false);
      }
    },
  ];
}
