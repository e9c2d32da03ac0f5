import type { Page } from '@playwright/test';

/** The sizes a page is looked at in: phone, zoom of 400 and 200 %, tablet both ways, laptop, large. */
export const sizes = [
  [1920, 1200],
  [1280, 800],
  [1112, 834],
  [834, 1112],
  [640, 400],
  [390, 844],
  [320, 256],
] as const;

/** What is wrong with a page as it stands: scrolls sideways, leaves the window, is cut, lies over something. */
export const layoutFaults = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const faults: string[] = [];
    const told = (element: Element, text?: string) =>
      `<${element.tagName.toLowerCase()}> "${(text ?? element.textContent ?? '').trim().replaceAll(/\s+/g, ' ').slice(0, 50)}"`;
    const width = document.documentElement.clientWidth;
    if (document.documentElement.scrollWidth > width + 1)
      faults.push(`the page is ${document.documentElement.scrollWidth} wide`);

    /** what of a box is to be seen, after all that scrolls or cuts round it */
    const seen = (element: Element, box: DOMRect): DOMRect | undefined => {
      // a closed part of the page is not drawn
      if (!element.checkVisibility({ contentVisibilityAuto: true })) return undefined;
      let [left, top, right, bottom] = [box.left, box.top, box.right, box.bottom];
      for (let at: Element | null = element; at && at !== document.body; at = at.parentElement) {
        const style = getComputedStyle(at);
        // what is only read out is clipped away
        if (style.visibility === 'hidden' || Number(style.opacity) === 0 || style.clipPath !== 'none')
          return undefined;
        if (style.overflowX === 'visible' && style.overflowY === 'visible') continue;
        const clip = at.getBoundingClientRect();
        [left, top] = [Math.max(left, clip.left), Math.max(top, clip.top)];
        [right, bottom] = [Math.min(right, clip.right), Math.min(bottom, clip.bottom)];
        if (right - left < 1 || bottom - top < 1) return undefined;
      }
      return new DOMRect(left, top, right - left, bottom - top);
    };

    for (const element of document.body.querySelectorAll('*')) {
      if (element.closest('svg')) continue;
      const style = getComputedStyle(element);
      const { clientWidth, clientHeight, scrollWidth, scrollHeight } = element as HTMLElement;
      if (clientWidth <= 2 || style.visibility === 'hidden') continue;
      const inField = element.matches('input, textarea');
      if (['auto', 'scroll'].includes(style.overflowX) && scrollWidth > clientWidth + 1 && !inField)
        faults.push(`scrolls sideways: ${told(element)}`);
      if (['hidden', 'clip'].includes(style.overflowX) && scrollWidth > clientWidth + 1 && !inField)
        faults.push(`cut at the side: ${told(element)}`);
      if (['hidden', 'clip'].includes(style.overflowY) && scrollHeight > clientHeight + 2 && !inField)
        faults.push(`cut below: ${told(element)}`);
    }

    const texts: { element: Element; text: string; box: DOMRect; fixed: boolean }[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const element = node.parentElement;
      if (!element || !node.textContent?.trim() || element.closest('script, style, title, option')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const line of range.getClientRects()) {
        if (line.width < 2 || line.height < 2) continue;
        const box = seen(element, line);
        if (!box) continue;
        if (line.right > width + 1 || line.left < -1)
          faults.push(`leaves the window: ${told(element, node.textContent)}`);
        let fixed = false;
        for (let at: Element | null = element; at; at = at.parentElement)
          if (['sticky', 'fixed'].includes(getComputedStyle(at).position)) fixed = true;
        texts.push({ element, text: node.textContent, box, fixed });
      }
    }
    texts.sort((a, b) => a.box.top - b.box.top);
    texts.forEach((one, i) => {
      for (let j = i + 1; j < texts.length && texts[j]!.box.top < one.box.bottom; j += 1) {
        const other = texts[j]!;
        // what stays in sight lies over what scrolls under it
        if (one.fixed !== other.fixed) continue;
        const wide = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
        const high = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
        if (wide > 2 && high > 5)
          faults.push(`${told(one.element, one.text)} lies over ${told(other.element, other.text)}`);
      }
    });
    return [...new Set(faults)].slice(0, 12);
  });
