import { useRef, useState } from 'react';

/** Runs one write at a time: a second press while the first is laid in the outbox does nothing. */
export function useSaving(): [boolean, (work: () => Promise<unknown>) => Promise<void>] {
  const [saving, setSaving] = useState(false);
  const busy = useRef(false);
  return [
    saving,
    async (work) => {
      if (busy.current) return;
      busy.current = true;
      setSaving(true);
      try {
        await work();
      } finally {
        busy.current = false;
        setSaving(false);
      }
    },
  ];
}
