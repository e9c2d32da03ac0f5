import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { Semaphore, withTimeout } from 'async-mutex';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { busy, Problem } from '../problem';
import type { ChartPlan } from './chart-plan';
import type { ChartQuestion } from './chart-worker';

/** A file that is not read in this time is given up, in milliseconds. */
const longestReading = 60_000;
/** Whoever waits longer for the reader is asked to come again. */
const longestWait = 30_000;

/**
 * Reads chart files off the thread that answers requests: one at a time, bounded in time and memory, so that no file holds up
 * anybody else.
 */
export class ChartReader {
  readonly #turn = withTimeout(new Semaphore(1), longestWait, busy());

  /** @param program of the worker */
  constructor(private readonly program: string | URL) {}

  /**
   * @param knownOf the newest version of the models of some ids
   * @throws Problem 413 when the file is more than can be read, 503 when others are being read
   */
  async plan(
    csv: string,
    families: Programme[],
    knownOf: (ids: string[]) => Promise<BraceModel[]>,
  ): Promise<ChartPlan> {
    return this.#turn.runExclusive(async () => {
      const worker = new Worker(this.program, { resourceLimits: { maxOldGenerationSizeMb: 512 } });
      const tooMuch = new Problem('file-too-large');
      const limit = AbortSignal.timeout(longestReading);
      const ask = async (question: ChartQuestion): Promise<unknown> => {
        worker.postMessage(question);
        // an error of the worker, out of memory say, ends the waiting as well
        const [answer] = (await once(worker, 'message', { signal: limit }).catch(() => {
          throw tooMuch;
        })) as [unknown];
        return answer;
      };
      try {
        const ids = (await ask({ ask: 'models', csv })) as string[];
        return (await ask({ ask: 'plan', csv, families, known: await knownOf(ids) })) as ChartPlan;
      } finally {
        void worker.terminate();
      }
    });
  }
}
