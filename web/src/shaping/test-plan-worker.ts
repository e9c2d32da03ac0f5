import { planBends, type PlanRequest } from '@estribo/core/shaping';
import type { PlanAnswer } from './bend-plan.worker';

let held: Promise<void> = Promise.resolve();

/** Plans that are begun from now on wait; they go on when what is returned is called. */
export function holdPlans(): () => void {
  let release = () => {};
  held = new Promise((resolve) => (release = resolve));
  return release;
}

/** In the place of a worker where there is none: the same plan on the page's own thread, after the work at hand. */
class PlanOnThisThread extends EventTarget {
  #over = false;
  postMessage({ arms, limits, grid }: PlanRequest): void {
    void held.then(() =>
      setTimeout(() => {
        if (this.#over) return;
        const data: PlanAnswer = { choices: planBends(arms, limits, grid) };
        this.dispatchEvent(new MessageEvent('message', { data }));
      }),
    );
  }
  terminate(): void {
    this.#over = true;
  }
}

export const newPlanWorker = (): Worker => new PlanOnThisThread() as unknown as Worker;
