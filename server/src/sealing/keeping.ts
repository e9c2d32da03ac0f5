import { Not, type DataSource, type EntityManager } from 'typeorm';
import { DatabaseProblem } from '../database/data-source';
import { caseEntity, keepingEntity, type KeepingRow } from '../database/entities';
import { caseMac, keyMark, type SealFolder } from './seal-key';
import { sealLines } from './verify';

/** So many nightly back-ups are kept until somebody says otherwise. */
const keptAtFirst = 14;

/** How this database is kept; the row is made when it is not there yet. */
export async function keepingOf(manager: EntityManager): Promise<KeepingRow> {
  const rows = manager.getRepository(keepingEntity);
  const found = await rows.findOneBy({ id: 1 });
  if (found) return found;
  await rows.insert({ id: 1, keyMark: null, folder: null, keep: keptAtFirst, recordForm: 0 });
  return rows.findOneByOrFail({ id: 1 });
}

/** Writes down by which secret the database is sealed from now on. */
export async function markKey(manager: EntityManager, { mac }: SealFolder): Promise<void> {
  await keepingOf(manager);
  await manager.getRepository(keepingEntity).update({ id: 1 }, { keyMark: keyMark(mac) });
}

/**
 * Whether the folder's secret is this database's. One of before is known by its cases; an empty one takes a secret that has
 * sealed nothing yet.
 * @throws DatabaseProblem when the secret is another clinic's
 */
export async function checkKey(db: DataSource, folder: SealFolder): Promise<void> {
  const { keyMark: known } = await keepingOf(db.manager);
  if (known !== null ? known === keyMark(folder.mac) : await mayBeSealedWith(db, folder))
    return void (known === null && (await markKey(db.manager, folder)));
  throw new DatabaseProblem(
    `The secret in ${folder.path} is another clinic’s. Nothing was changed. Set ESTRIBO_SEAL_FOLDER to this clinic’s folder, or to an empty one for a new clinic. If the database was lost, restore a backup first.`,
  );
}

async function mayBeSealedWith(db: DataSource, folder: SealFolder): Promise<boolean> {
  const rows = await db.getRepository(caseEntity).find({ where: { mac: Not('') }, take: 20 });
  if (rows.length === 0)
    return sealLines(folder.seals).size === 0 || (await db.getRepository(caseEntity).existsBy({}));
  return rows.some((row) => caseMac(folder.mac, row) === row.mac);
}
