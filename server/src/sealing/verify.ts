import { readFileSync, existsSync } from 'node:fs';
import type { DataSource, EntityManager } from 'typeorm';
import { contentHash } from '@estribo/core/programmes';
import { everyCase } from '../cases/every-case';
import {
  auditEntity,
  caseEntity,
  entryEntity,
  registeredEntity,
  sealEntity,
  sealHeadEntity,
  type CaseRow,
  type SealRow,
} from '../database/entities';
import { auditHash, sealMac, type SealFolder } from './seal-key';
import { verifyCase, type ProofFault } from './verify-case';

export interface Verified {
  cases: number;
  entries: number;
  seals: number;
  faults: ProofFault[];
}

/** A case's rows and what does not hold among them. */
export async function proofOf(
  manager: EntityManager,
  { mac }: Pick<SealFolder, 'mac'>,
  row: CaseRow,
): Promise<{ entries: number; faults: ProofFault[] }> {
  const entries = await manager
    .getRepository(entryEntity)
    .find({ where: { case: row.id }, order: { seq: 'ASC' } });
  return { entries: entries.length, faults: verifyCase(mac, row, entries) };
}

/** The whole clinic: every case by itself, then the seals over all of them and the file they left lines in. */
export async function verifyClinic(db: DataSource, folder: SealFolder): Promise<Verified> {
  const found: Verified = { cases: 0, entries: 0, seals: 0, faults: [] };
  /** cases that count as sealed, by their newest seq */
  const settled = new Map<string, number>();
  for await (const id of everyCase(db))
    // of one moment: an append between the row and its entries would look like a loss
    await db.transaction('REPEATABLE READ', async (manager) => {
      const row = await manager.getRepository(caseEntity).findOneByOrFail({ id });
      const { entries, faults } = await proofOf(manager, folder, row);
      found.cases += 1;
      if (!row.unsealed) settled.set(id, row.seq);
      found.entries += entries;
      found.faults.push(...faults);
    });
  // entries whose case is gone hang on nothing: the foreign key forbids them, somebody may have taken it off
  const orphans = await db.query<{ case: string }[]>(
    'SELECT DISTINCT e.`case` AS `case` FROM entry e LEFT JOIN `case` c ON c.id = e.`case` WHERE c.id IS NULL LIMIT 1000',
  );
  for (const orphan of orphans) found.faults.push({ case: orphan.case, what: 'case-missing' });
  const sealed = await verifySeals(db, folder, found);
  // what was written to and is in no seal waits for the next one: that flag alone may be taken off by hand
  for (const [id, seq] of settled)
    if ((sealed.get(id)?.seq ?? 0) < seq) found.faults.push({ case: id, seq, what: 'not-sealed' });
  await verifyRegistered(db, found);
  return found;
}

/** Programmes and models are what their hashes say: cases hold on to them. */
async function verifyRegistered(db: DataSource, found: Verified): Promise<void> {
  const rows = db.getRepository(registeredEntity);
  for (const { hash } of await rows.find({ select: { hash: true } })) {
    const { body } = await rows.findOneByOrFail({ hash });
    if (contentHash(body) !== hash) found.faults.push({ content: hash, what: 'registered-changed' });
  }
}

/** @returns the newest head that a seal names of each case */
async function verifySeals(
  db: DataSource,
  folder: SealFolder,
  found: Verified,
): Promise<ReadonlyMap<string, { seq: number; head: string }>> {
  const lines = sealLines(folder.seals);
  const seals = await db.getRepository(sealEntity).find({ order: { n: 'ASC' } });
  found.seals = seals.length;
  const newest = new Map<string, { seq: number; head: string }>();
  let previous = '';
  let expected = 1;
  for (const seal of seals) {
    const heads = await db
      .getRepository(sealHeadEntity)
      .find({ where: { seal: seal.n }, order: { case: 'ASC' } });
    const line = lines.get(seal.n);
    // numbers are left out where a back-up was restored, and the seal that says so names the newest one it had
    const follows =
      seal.restoredTo === null ? seal.n === expected : seal.restoredTo === expected - 1 && seal.n >= expected;
    if (
      !follows ||
      seal.cases !== heads.length ||
      sealMac(folder.mac, seal, previous, heads) !== seal.mac ||
      (line !== undefined && line !== seal.mac)
    )
      found.faults.push({ what: 'seal-changed', seq: seal.n });
    if (seal.auditHash !== null && !(await auditHolds(db, folder, seal)))
      found.faults.push({ what: 'audit-changed', seq: seal.n });
    for (const { case: id, seq, head } of heads) newest.set(id, { seq, head });
    previous = seal.mac;
    expected = seal.n + 1;
  }
  const made = new Set(seals.map(({ n }) => n));
  const named = await db.query<{ seal: number }[]>(
    'SELECT DISTINCT `seal` FROM `audit` WHERE `seal` IS NOT NULL',
  );
  for (const { seal } of named) if (!made.has(seal)) found.faults.push({ what: 'audit-changed', seq: seal });
  // the file knows of seals that the database has lost: it was put back to an earlier state, and nobody said so
  if ([...lines.keys()].some((n) => n >= expected))
    found.faults.push({ what: 'seals-missing', seq: expected });
  const sealed = [...newest];
  for (let at = 0; at < sealed.length; at += 500) {
    const part = sealed.slice(at, at + 500);
    const rows = await db.query<{ case: string; hash: string }[]>(
      'SELECT `case`, `hash` FROM entry WHERE (`case`, `seq`) IN (?)',
      [part.map(([id, { seq }]) => [id, seq])],
    );
    const hashOf = new Map(rows.map((row) => [row.case, row.hash]));
    for (const [id, { seq, head }] of part)
      if (hashOf.get(id) !== head) found.faults.push({ case: id, seq, what: 'rolled-back' });
  }
  return newest;
}

/** Whether the lines of the audit that a seal covers are all there, as they were. */
async function auditHolds(db: DataSource, { mac }: SealFolder, seal: SealRow): Promise<boolean> {
  const lines = await db.getRepository(auditEntity).find({ where: { seal: seal.n }, order: { n: 'ASC' } });
  return lines.length === seal.auditLines && auditHash(mac, lines) === seal.auditHash;
}

/** The lines of the file of seals: each seal's number and keyed hash. A line that is none is passed over. */
export function sealLines(file: string): Map<number, string> {
  const lines = existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
  return new Map(
    lines.flatMap((line): [number, string][] => {
      const [n, , , mac] = line.split(' ');
      return n !== undefined && /^\d+$/.test(n) && mac !== undefined ? [[Number(n), mac]] : [];
    }),
  );
}
