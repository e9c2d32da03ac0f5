/** A worker of its own for each file: it is stopped by ending it. */
export const newWornWorker = (): Worker =>
  new Worker(new URL('./worn.worker.ts', import.meta.url), { type: 'module' });
