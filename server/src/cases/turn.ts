import { Mutex, withTimeout, type MutexInterface } from 'async-mutex';
import { busy } from '../problem';

/** A case is waited for no longer than this. */
const longestTurn = 5000;

const turns = new Map<string, { mutex: MutexInterface; wanted: number }>();

/**
 * Work on one case, one after the other: whoever waits for a case waits here, without holding a connection to
 * the database, so that a case that is stuck holds up nobody else's.
 * @throws Problem 503 when the case is not free in time
 */
export async function inTurn<T>(caseId: string, work: () => Promise<T>): Promise<T> {
  const turn = turns.get(caseId) ?? { mutex: withTimeout(new Mutex(), longestTurn, busy()), wanted: 0 };
  turns.set(caseId, turn);
  turn.wanted += 1;
  try {
    return await turn.mutex.runExclusive(work);
  } finally {
    turn.wanted -= 1;
    if (turn.wanted === 0) turns.delete(caseId);
  }
}
