import { useEffect, useRef } from 'react';

/** An empty field for a reading: letters are keys of the screen there; once something is typed they are part of it (41 lb). */
const isEmptyReading = (element: Element) =>
  element.hasAttribute('data-reading') && (element as HTMLInputElement).value === '';
const isTyping = (element: Element) =>
  element.matches(
    'input:not([type=checkbox]):not([type=radio]), textarea, [contenteditable], [role=spinbutton]',
  );

/**
 * Single keys of a screen. They leave text fields alone; in an empty field for a reading they work but for
 * the slash, which is part of a fraction of an inch.
 */
export function useHotkeys(keys: Readonly<Record<string, () => void>>): void {
  const held = useRef(keys);
  useEffect(() => {
    held.current = keys;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const target = event.target as Element;
      if (isTyping(target) && (!isEmptyReading(target) || event.key === '/')) return;
      if (target.closest('[role=dialog]')) return;
      const act = held.current[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
}
