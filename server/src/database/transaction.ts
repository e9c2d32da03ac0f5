import { setTimeout as wait } from 'node:timers/promises';
import type { DataSource, EntityManager } from 'typeorm';
import { troubleOf } from './trouble';

/** How often a transaction that met another one is begun again. */
const tries = 8;

/**
 * A transaction that is begun again when another one was in its way: of parallel ones that block each other
 * the database ends one, which then looks anew at what the other left. It holds the rows that it asked to hold and
 * never the gaps between rows (a look for a row that is not there yet would keep everybody else from adding theirs):
 * of two who add the same, the unique key decides. Everything that writes more than one row goes through here.
 * @param work may run more than once; its effects outside the database must allow for that
 * @throws what the work throws, or the database's error when it does not come through
 */
export async function inTransaction<T>(
  db: DataSource,
  work: (manager: EntityManager) => Promise<T>,
): Promise<T> {
  for (let attempt = 1; ; attempt += 1)
    try {
      return await db.transaction('READ COMMITTED', work);
    } catch (error) {
      const trouble = troubleOf(error);
      // what was taken by another meanwhile is found there on the second look
      const again = trouble === 'deadlock' || (trouble === 'taken' && attempt <= 2);
      if (!again || attempt >= tries) throw error;
      await wait(Math.random() * 10 * 2 ** attempt);
    }
}
