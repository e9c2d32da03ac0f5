import { planBends, type PlanRequest } from '@estribo/core/shaping';
import type { PlanAnswer } from './bend-plan.worker';

/** In the place of a worker where there is none: the same plan, on the page's own thread, after the work at hand. */
class PlanOnThisThread extends EventTarget {
  #over = false;
  postMessage({ arms, limits, grid }: PlanRequest): void {
    setTimeout(() => {
      if (this.#over) return;
      const data: PlanAnswer = { choices: planBends(arms, limits, grid) };
      this.dispatchEvent(new MessageEvent('message', { data }));
    }, 60);
  }
  terminate(): void {
    this.#over = true;
  }
}

export const newPlanWorker = (): Worker => new PlanOnThisThread() as unknown as Worker;
