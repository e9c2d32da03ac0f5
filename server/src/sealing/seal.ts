import { appendFile } from 'node:fs/promises';
import type { DataSource } from 'typeorm';
import { caseEntity, sealEntity, sealHeadEntity, type SealRow } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { sealMac, type SealFolder } from './seal-key';
import { sealLines } from './verify';

/** A seal names so many cases at most; what is left is for the next one. */
const mostCases = 5000;

/**
 * Seals what was written since the last seal: the heads of those cases, chained to the seal before and keyed.
 * A line of it goes to the file outside the database, which the operator may keep elsewhere.
 * @returns the seal, or undefined when nothing was written
 */
export async function sealClinic(
  db: DataSource,
  folder: SealFolder,
  now: Date,
): Promise<SealRow | undefined> {
  const seal = await inTransaction(db, async (manager) => {
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
    if (rows.length === 0) return undefined;
    const heads = rows.map(({ id, seq, head }) => ({ case: id, seq, head }));
    const begun = { n: (last?.n ?? 0) + 1, at: now };
    const row = {
      ...begun,
      cases: heads.length,
      mac: sealMac(folder.mac, begun, last?.mac ?? '', heads),
    };
    await manager.getRepository(sealEntity).insert(row);
    for (let at = 0; at < heads.length; at += 500)
      await manager
        .getRepository(sealHeadEntity)
        .insert(heads.slice(at, at + 500).map((head) => ({ seal: row.n, ...head })));
    // one that was written to meanwhile is left for the next seal
    for (const { id, seq } of rows)
      await manager.getRepository(caseEntity).update({ id, seq }, { unsealed: false });
    return row;
  });
  await writeLines(db, folder);
  return seal;
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
    await appendFile(
      seals,
      missing.map(({ n, at, cases, mac }) => `${n} ${at.toISOString()} ${cases} ${mac}\n`).join(''),
      { mode: 0o600 },
    );
}
