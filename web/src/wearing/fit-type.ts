import { useEffect, type RefObject } from 'react';

const millimetre = 96 / 25.4;
/** What a page of A4 holds inside the sheet's margins, in CSS pixels; a little is left for rounding. */
const room = { width: (210 - 2 * 13) * millimetre, height: (297 - 2 * 11) * millimetre * 0.985 };
/** The type of a sheet in print, in CSS pixels: never smaller than is read at arm's length. */
const type = { least: 15, most: 24, step: 0.25 };

/**
 * The largest type in which something still fits, within bounds; the smallest where nothing does.
 * @param fits whether it fits in a type of so many pixels; what fits in one fits in every smaller one
 */
export function largestFitting(fits: (pixels: number) => boolean): number {
  let [low, high] = [0, Math.round((type.most - type.least) / type.step)];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(type.least + middle * type.step)) low = middle;
    else high = middle - 1;
  }
  return type.least + low * type.step;
}

/** Sets the type of a sheet, as it is printed, so that it fills one page: a copy of it is measured out of sight. */
export function useTypeThatFills(sheet: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const fit = () => {
      const shown = sheet.current;
      if (!shown) return;
      const copy = shown.cloneNode(true) as HTMLElement;
      copy.querySelectorAll('[data-screen]').forEach((part) => part.remove());
      copy.setAttribute('data-printed', '');
      Object.assign(copy.style, { position: 'fixed', visibility: 'hidden', width: `${room.width}px` });
      document.body.append(copy);
      const pixels = largestFitting((size) => {
        copy.style.setProperty('--print-type', `${size}px`);
        return copy.getBoundingClientRect().height <= room.height;
      });
      copy.remove();
      shown.style.setProperty('--print-type', `${pixels}px`);
    };
    addEventListener('beforeprint', fit);
    return () => removeEventListener('beforeprint', fit);
  }, [sheet]);
}
