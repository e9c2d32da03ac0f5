import { brokenLink } from '@estribo/core/logbook';
import type { DataSource } from 'typeorm';
import { everyCase } from '../cases/every-case';
import { caseEntity, entryEntity, type CaseRow, type EntryRow } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { resealAll } from './seal';
import { caseMac, entryMac, type SealFolder } from './seal-key';
import { contentHolds } from './verify-case';

/**
 * Hashes with the clinic's secret what an older version left without: once, when the secret is made. What does
 * not hold by its own chain then is not taken over, and `verify` goes on naming it. Seals of a lost secret are made again.
 * @returns how many cases were taken over, and those that were not
 */
export async function takeOver(
  db: DataSource,
  folder: SealFolder,
): Promise<{ cases: number; unsound: string[] }> {
  const taken = { cases: 0, unsound: [] as string[] };
  for await (const id of everyCase(db)) {
    const sound = await inTransaction(db, async (manager) => {
      const row = await manager
        .getRepository(caseEntity)
        .findOneOrFail({ where: { id }, lock: { mode: 'pessimistic_write' } });
      const entries = await manager
        .getRepository(entryEntity)
        .find({ where: { case: id }, order: { seq: 'ASC' } });
      const holds = holdsByItself(row, entries);
      if (!holds) return false;
      for (const entry of entries)
        await manager
          .getRepository(entryEntity)
          .update({ case: id, seq: entry.seq }, { mac: entryMac(folder.mac, entry) });
      await manager
        .getRepository(caseEntity)
        .update({ id }, { mac: caseMac(folder.mac, row), unsealed: true });
      return true;
    });
    if (sound) taken.cases += 1;
    else taken.unsound.push(id);
  }
  await resealAll(db, folder);
  folder.settle();
  return taken;
}

/** What could be proved before there was a secret: contents, chain and tail. */
function holdsByItself(row: CaseRow, entries: readonly EntryRow[]): boolean {
  if (entries.length !== row.seq || (entries.at(-1)?.hash ?? row.head) !== row.head) return false;
  if (brokenLink(entries) !== undefined) return false;
  return entries.every((entry) => contentHolds(row.id, entry));
}
