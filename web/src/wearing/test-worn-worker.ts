import { readTemperatures } from '@estribo/core/exchange';
import { wornDays } from '@estribo/core/wearing';
import type { WornAnswer, WornRequest } from './read-worn';

/** In the place of a worker where there is none: the same reading on the page's own thread, after the work at hand. */
class ReadOnThisThread extends EventTarget {
  #over = false;
  postMessage({ text, zone, rule }: WornRequest): void {
    setTimeout(() => {
      if (this.#over) return;
      const read = readTemperatures(text);
      const data: WornAnswer = read.ok
        ? { days: wornDays(read.series, zone, rule, Date.now()) }
        : { problem: read.problem };
      this.dispatchEvent(new MessageEvent('message', { data }));
    });
  }
  terminate(): void {
    this.#over = true;
  }
}

export const newWornWorker = (): Worker => new ReadOnThisThread() as unknown as Worker;
