/** A worker of its own for each plan: it is stopped by ending it. */
export const newPlanWorker = (): Worker =>
  new Worker(new URL('./bend-plan.worker.ts', import.meta.url), { type: 'module' });
