import { isDeepStrictEqual } from 'node:util';
import { Not, type DataSource } from 'typeorm';
import { caseEntity, entryEntity, summaryEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { personNow } from '../people/merging';
import { writeVisits } from '../visits/visit-rows';
import type { SealFolder } from '../sealing/seal-key';
import { verifyCase, type ProofFault } from '../sealing/verify-case';
import { everyCase } from './every-case';
import { foldOf, recordedEntry } from './record';
import { summaryOf, summaryVersion, writePairs, writeSummary } from './summary';

export interface Rebuilt {
  cases: number;
  /** cases whose summary was not what their entries give, by field */
  differing: { case: string; fields: string[] }[];
  /** cases whose record does not hold: their summary is left as it was, never adjusted to a loss */
  broken: { case: string; faults: ProofFault[] }[];
  /** cases that could not be computed, and are left as they were */
  failed: { case: string; because: string }[];
}

/** Computes every summary again from the entries, writes it, and reports where it differed. */
export async function rebuildSummaries(db: DataSource, zone: string, folder: SealFolder): Promise<Rebuilt> {
  const result: Rebuilt = { cases: 0, differing: [], broken: [], failed: [] };
  for await (const id of everyCase(db)) await rebuildOne(db, zone, folder, id, result);
  return result;
}

/** The summaries that another version of Estribo has written, or that are missing, computed anew. */
export async function rebuildOlder(db: DataSource, zone: string, folder: SealFolder): Promise<Rebuilt> {
  const result: Rebuilt = { cases: 0, differing: [], broken: [], failed: [] };
  const older = await db
    .getRepository(summaryEntity)
    .find({ where: { engine: Not(summaryVersion) }, select: { case: true } });
  const missing = await db.query<{ id: string }[]>(
    'SELECT c.id FROM `case` c LEFT JOIN summary s ON s.`case` = c.id WHERE s.`case` IS NULL',
  );
  for (const id of [...older.map((row) => row.case), ...missing.map(({ id }) => id)])
    await rebuildOne(db, zone, folder, id, result);
  return result;
}

async function rebuildOne(
  db: DataSource,
  zone: string,
  folder: SealFolder,
  id: string,
  result: Rebuilt,
): Promise<void> {
  result.cases += 1;
  try {
    await inTransaction(db, async (manager) => {
      // the lock keeps an append from slipping in between reading and writing
      const row = await manager
        .getRepository(caseEntity)
        .findOneOrFail({ where: { id }, lock: { mode: 'pessimistic_write' } });
      const rows = await manager
        .getRepository(entryEntity)
        .find({ where: { case: id }, order: { seq: 'ASC' } });
      const faults = verifyCase(folder.mac, row, rows);
      if (faults.length > 0) return void result.broken.push({ case: id, faults });
      const state = await foldOf(
        manager,
        row,
        rows.flatMap((one) => recordedEntry(one) ?? []),
        zone,
      );
      if (!state) return void result.failed.push({ case: id, because: 'its opening is not there' });
      const person = await personNow(manager, row.person);
      const summary = summaryOf(state, person);
      await writePairs(manager, undefined, state);
      await writeVisits(manager, undefined, state);
      const stored = await manager.getRepository(summaryEntity).findOneBy({ case: id });
      const fields = Object.keys(summary).filter(
        (field) =>
          !isDeepStrictEqual(summary[field as keyof typeof summary], stored?.[field as keyof typeof summary]),
      );
      if (fields.length > 0) result.differing.push({ case: id, fields });
      await writeSummary(manager, undefined, state, person);
    });
  } catch (error) {
    // one case that cannot be computed keeps no other from it
    result.failed.push({ case: id, because: (error as Error).name });
  }
}
