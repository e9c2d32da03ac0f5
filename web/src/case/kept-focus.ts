import { useEffect, type RefObject } from 'react';

/** What the next thing to do is reached by: what is pressed first, an empty field for a reading, else the heading. */
const nextThing = (part: HTMLElement): HTMLElement | null =>
  part.querySelector<HTMLElement>('[data-look=main]:not([data-disabled]):not([aria-pressed])') ??
  [...part.querySelectorAll<HTMLInputElement>('input[data-reading]')].find(({ value }) => value === '') ??
  part.querySelector('h1');

/**
 * Keeps the focus in a part of the page: when what had it goes away after an action, the next thing to do takes it.
 * @param place the part
 */
export function useKeptFocus(place: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const part = place.current;
    if (!part) return;
    let within = false;
    const noted = () => (within = part.contains(document.activeElement));
    const keep = () => {
      if (!within || document.activeElement !== document.body) return;
      const next = nextThing(part);
      if (!next) return;
      if (next.matches('h1')) next.tabIndex = -1;
      next.focus({ preventScroll: false });
    };
    const watch = new MutationObserver(() => requestAnimationFrame(keep));
    document.addEventListener('focusin', noted);
    watch.observe(part, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    return () => {
      document.removeEventListener('focusin', noted);
      watch.disconnect();
    };
  }, [place]);
}
