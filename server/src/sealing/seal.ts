import { existsSync, renameSync } from 'node:fs';
import { appendFile } from 'node:fs/promises';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { auditEntity, caseEntity, sealEntity, sealHeadEntity, type SealRow } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { auditHash, sealMac, type SealFolder } from './seal-key';
import { sealLines } from './verify';

/** A seal names so many cases and covers so many lines of the audit at most; what is left is for the next one. */
const mostCases = 5000;
const mostLines = 5000;

/**
 * Seals what was written since the last seal: the heads of those cases and the lines of the audit, chained to the
 * seal before and keyed. A line of it goes to the file outside the database, which the operator may keep elsewhere.
 * @returns the seal, or undefined when nothing was written
 */
export async function sealClinic(
  db: DataSource,
  folder: SealFolder,
  now: Date,
): Promise<SealRow | undefined> {
  const seal = await inTransaction(db, (manager) => addSeal(manager, folder, now));
  await writeLines(db, folder);
  return seal;
}

/**
 * Says, inside and outside of the database, that a back-up was restored: the numbers of the seals go on from those that
 * were lost, and `verify` knows why they are missing.
 */
export async function sealRestore(db: DataSource, folder: SealFolder, now: Date): Promise<SealRow> {
  const known = Math.max(0, ...sealLines(folder.seals).keys());
  return inTransaction(db, async (manager) => (await addSeal(manager, folder, now, known))!);
}

/**
 * @param restoredOver the newest seal that was ever made, when a back-up was restored: the seal says so, and is made
 *   whether or not anything was written
 */
async function addSeal(
  manager: EntityManager,
  folder: SealFolder,
  now: Date,
  restoredOver?: number,
): Promise<SealRow | undefined> {
  const [last] = await manager.getRepository(sealEntity).find({
    order: { n: 'DESC' },
    take: 1,
    lock: { mode: 'pessimistic_write' },
  });
  const rows = await manager.getRepository(caseEntity).find({
    where: { unsealed: true },
    order: { id: 'ASC' },
    take: mostCases,
    select: { id: true, seq: true, head: true },
  });
  const lines = await manager
    .getRepository(auditEntity)
    .find({ where: { seal: IsNull() }, order: { n: 'ASC' }, take: mostLines });
  if (rows.length + lines.length === 0 && restoredOver === undefined) return undefined;
  const heads = rows.map(({ id, seq, head }) => ({ case: id, seq, head }));
  const begun = {
    n: Math.max(last?.n ?? 0, restoredOver ?? 0) + 1,
    at: now,
    auditLines: lines.length,
    auditHash: auditHash(folder.mac, lines),
    restoredTo: restoredOver === undefined ? null : (last?.n ?? 0),
  };
  const row = { ...begun, cases: heads.length, mac: sealMac(folder.mac, begun, last?.mac ?? '', heads) };
  await manager.getRepository(sealEntity).insert(row);
  for (let at = 0; at < heads.length; at += 500)
    await manager
      .getRepository(sealHeadEntity)
      .insert(heads.slice(at, at + 500).map((head) => ({ seal: row.n, ...head })));
  // one that was written to meanwhile is left for the next seal
  for (const { id, seq } of rows)
    await manager.getRepository(caseEntity).update({ id, seq }, { unsealed: false });
  for (let at = 0; at < lines.length; at += 500)
    await manager
      .getRepository(auditEntity)
      .update({ n: In(lines.slice(at, at + 500).map(({ n }) => n)) }, { seal: row.n });
  return row;
}

/**
 * Makes every seal again with a new secret, the old one being lost: what they name is then proved from now on. The file of the
 * old ones stays under another name.
 */
export async function resealAll(db: DataSource, folder: SealFolder): Promise<void> {
  const seals = await db.getRepository(sealEntity).find({ order: { n: 'ASC' } });
  if (seals.length === 0) return;
  await inTransaction(db, async (manager) => {
    let previous = '';
    for (const seal of seals) {
      const heads = await manager
        .getRepository(sealHeadEntity)
        .find({ where: { seal: seal.n }, order: { case: 'ASC' } });
      const lines = await manager
        .getRepository(auditEntity)
        .find({ where: { seal: seal.n }, order: { n: 'ASC' } });
      const again = { ...seal, auditHash: seal.auditHash === null ? null : auditHash(folder.mac, lines) };
      previous = sealMac(folder.mac, again, previous, heads);
      await manager
        .getRepository(sealEntity)
        .update({ n: seal.n }, { auditHash: again.auditHash, mac: previous });
    }
  });
  if (existsSync(folder.seals)) renameSync(folder.seals, `${folder.seals}.of-the-lost-secret`);
  await writeLines(db, folder);
}

/** Writes the lines that the file lacks: of this seal, and of one whose line an interruption cost. */
async function writeLines(db: DataSource, { seals }: SealFolder): Promise<void> {
  const last = Math.max(0, ...sealLines(seals).keys());
  const missing = await db
    .getRepository(sealEntity)
    .createQueryBuilder('seal')
    .where('seal.n > :last', { last })
    .orderBy('seal.n')
    .getMany();
  if (missing.length > 0)
    await appendFile(seals, missing.map((row) => `${lineOf(row)}\n`).join(''), { mode: 0o600 });
}

/** A seal's line: number, instant, how many cases, keyed hash; of a restore, to which seal. */
const lineOf = ({ n, at, cases, mac, restoredTo }: SealRow): string =>
  `${n} ${at.toISOString()} ${cases} ${mac}${restoredTo === null ? '' : ` restored to ${restoredTo}`}`;
