import { useEffect, type RefObject } from 'react';

/** What can be the next thing to do: what is to be pressed, or is still empty; not what may be left out, as it says itself. */
const thingsToDo = (part: HTMLElement): HTMLElement[] =>
  [
    ...part.querySelectorAll<HTMLElement>(
      '[data-look=main]:not([aria-pressed]), input:not([type=checkbox]):not([type=radio])',
    ),
  ].filter(
    (one) => one.closest('[data-aside]') === null && (!(one instanceof HTMLInputElement) || one.value === ''),
  );

/** ms: what is still disabled then, stays so; a slow disk and a full outbox take a while */
const longestSaving = 6000;

/** Where something stood, kept for when it is gone: from the inside out, what held it and what stood before it. */
type Stood = { within: Element; after: Element | null }[];

function whereItStands(element: Element, part: HTMLElement): Stood {
  const stood: Stood = [];
  for (let at = element; at !== part && at.parentElement; at = at.parentElement)
    stood.push({ within: at.parentElement, after: at.previousElementSibling });
  return stood;
}

/** Whether something comes after the place where another stood. */
function comesAfter(one: Element, stood: Stood): boolean {
  const left = stood.find(({ within }) => within.isConnected);
  if (!left) return true;
  const { within, after } = left;
  const behind = after?.isConnected ? after : undefined;
  if (behind?.contains(one)) return false;
  return ((behind ?? within).compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;
}

/**
 * Keeps the focus in a part of the page: when what had it goes away after an action, the next thing to do takes it,
 * the one after that place first; the heading where there is none.
 * @param place the part
 * @param stage what it shows
 */
export function useKeptFocus(place: RefObject<HTMLElement | null>, stage: string): void {
  useEffect(() => {
    const part = place.current;
    if (!part) return;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    let had: HTMLElement | undefined;
    let stood: Stood | undefined;
    // the heading that has it for want of anything to do, until there is something: on a slow machine that comes later
    let standIn: HTMLElement | undefined;
    const noted = () => {
      const at = document.activeElement;
      if (standIn !== undefined && at === standIn) return;
      standIn = undefined;
      had = at && part.contains(at) ? (at as HTMLElement) : undefined;
      stood = had && whereItStands(had, part);
    };
    // on a slow machine something of the stage has the focus before this runs
    noted();
    // a stage that is opened begins at its heading, unless something has the focus by then; on a slow machine the
    // heading itself comes late
    let begun: 'not-yet' | 'waiting' | 'begun' = 'not-yet';
    const begin = () => {
      begun = 'waiting';
      const heading = part.querySelector('h1');
      if (!heading) return;
      begun = 'begun';
      if (document.activeElement !== document.body) return;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    };
    const keep = (waited = false) => {
      const at = document.activeElement;
      if (!had || !stood || (at !== document.body && at !== standIn)) return;
      // its action is under way: what comes of it is waited for
      if (had.isConnected && had.matches(':disabled')) return;
      if (had.isConnected) return had.focus();
      const things = thingsToDo(part).filter((one) => !waited || !one.matches(':disabled'));
      // where the heading had it, nothing was done yet: the heading that stands in its place takes it
      const heading = had.matches('h1') ? part.querySelector<HTMLElement>('h1') : null;
      const next =
        heading ??
        things.find((one) => comesAfter(one, stood!)) ??
        things[0] ??
        part.querySelector<HTMLElement>('h1');
      if (!next || next === at) return;
      // it is there and cannot be pressed until what was done is laid down
      if (next.matches(':disabled')) {
        clearTimeout(waiting);
        waiting = setTimeout(() => keep(true), longestSaving);
        return;
      }
      if (next.matches('h1')) {
        next.tabIndex = -1;
        if (next !== heading) standIn = next;
      }
      next.focus();
    };
    // whoever has gone on by themselves is not called back
    const acted = () => (standIn = undefined);
    const opened = setTimeout(begin, 300);
    const watch = new MutationObserver(() =>
      requestAnimationFrame(() => (begun === 'waiting' ? begin() : keep())),
    );
    document.addEventListener('focusin', noted);
    for (const act of ['keydown', 'pointerdown'] as const) document.addEventListener(act, acted);
    watch.observe(part, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
    return () => {
      document.removeEventListener('focusin', noted);
      for (const act of ['keydown', 'pointerdown'] as const) document.removeEventListener(act, acted);
      watch.disconnect();
      clearTimeout(opened);
      clearTimeout(waiting);
    };
  }, [place, stage]);
}
