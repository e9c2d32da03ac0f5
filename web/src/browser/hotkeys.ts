import { useEffect, useEffectEvent } from 'react';
import { tinykeys } from 'tinykeys';

/** An empty field for a reading: letters are keys of the screen there; once something is typed they are part of it (41 lb). */
const isEmptyReading = (element: Element) =>
  element.hasAttribute('data-reading') && (element as HTMLInputElement).value === '';
const isTyping = (element: Element) =>
  element.matches(
    'input:not([type=checkbox]):not([type=radio]), textarea, [contenteditable], [role=spinbutton]',
  );

/** Where a single key is somebody else's: a field that is typed in, an open dialog, what was answered already. */
const isTaken = (event: KeyboardEvent): boolean => {
  const target = event.target as Element;
  return (
    event.defaultPrevented ||
    (isTyping(target) && (!isEmptyReading(target) || event.key === '/')) ||
    target.closest('[role=dialog]') !== null
  );
};

/**
 * Single keys of a screen. They leave text fields alone; in an empty field for a reading they work but for
 * the slash, which is part of a fraction of an inch.
 * @param keys by the sign on the key; where a keyboard has it with Shift it works as well
 */
export function useHotkeys(keys: Readonly<Record<string, () => void>>): void {
  const answer = useEffectEvent((name: string) => keys[name]?.());
  const names = Object.keys(keys).join(' ');
  useEffect(() => {
    const press = (name: string) => (event: KeyboardEvent) => {
      if (isTaken(event)) return;
      event.preventDefault();
      answer(name);
    };
    return tinykeys(
      window,
      Object.fromEntries(
        names.split(' ').flatMap((name) => [
          [name, press(name)],
          [`Shift+${name}`, press(name)],
        ]),
      ),
    );
  }, [names]);
}
