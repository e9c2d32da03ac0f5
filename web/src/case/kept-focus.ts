import { useEffect, type RefObject } from 'react';

/** What the next thing to do is reached by: what is to be pressed or is still empty, whichever comes first; else the heading. */
const nextThing = (part: HTMLElement): HTMLElement | null =>
  [
    ...part.querySelectorAll<HTMLElement>(
      '[data-look=main]:not([data-disabled]):not([aria-pressed]), input:not([type=checkbox]):not([type=radio]):not([disabled])',
    ),
  ].find((one) => !(one instanceof HTMLInputElement) || one.value === '') ?? part.querySelector('h1');

/**
 * Keeps the focus in a part of the page: when what had it goes away after an action, the next thing to do takes it.
 * @param place the part
 * @param stage what it shows
 */
export function useKeptFocus(place: RefObject<HTMLElement | null>, stage: string): void {
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
      next.focus();
    };
    // a stage that is opened begins at its heading, unless something in it has taken the focus
    const begin = () => {
      const heading = part.querySelector('h1');
      if (!heading || document.activeElement !== document.body) return;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    };
    const opened = setTimeout(begin, 300);
    const watch = new MutationObserver(() => requestAnimationFrame(keep));
    document.addEventListener('focusin', noted);
    watch.observe(part, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    return () => {
      document.removeEventListener('focusin', noted);
      watch.disconnect();
      clearTimeout(opened);
    };
  }, [place, stage]);
}
