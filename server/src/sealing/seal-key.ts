import { createHmac, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { canonicalText } from '@estribo/core/programmes';
import type { AuditRow, CaseRow, EntryRow, SealHeadRow, SealRow } from '../database/entities';

/** A keyed hash (HMAC-SHA-256) over a value: nobody makes it without the clinic's secret. */
export type Mac = (value: unknown) => string;

export const macWith =
  (secret: string): Mac =>
  (value) =>
    createHmac('sha256', secret).update(canonicalText(value)).digest('hex');

/** The clinic's secret and the file of its seals, both outside the database. */
export interface SealFolder {
  /** where it lies */
  path: string;
  mac: Mac;
  /** where each seal leaves a line */
  seals: string;
  /** the secret is new and what stands in the database is not yet hashed with it: once it is, call `settle` */
  fresh: boolean;
  /** an earlier start has begun hashing with it */
  begun: boolean;
  settle: () => void;
}

/**
 * Opens the folder that keeps the secret (`key`) and the seals (`seals`). A secret just made is called
 * `key.new` until everything in the database is hashed with it: an interrupted start goes on from there.
 */
export function openSealFolder(folder: string): SealFolder {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const [key, making] = [join(folder, 'key'), join(folder, 'key.new')];
  const fresh = !existsSync(key);
  const begun = fresh && existsSync(making);
  if (fresh && !begun) writeFileSync(making, randomBytes(32).toString('hex'), { mode: 0o600 });
  return {
    path: folder,
    mac: macWith(readFileSync(fresh ? making : key, 'utf8').trim()),
    seals: join(folder, 'seals'),
    fresh,
    begun,
    settle: () => {
      if (existsSync(making)) renameSync(making, key);
    },
  };
}

/** Over what the chain's own hash does not cover of an entry: where it stands, when it came, what was found. */
export const entryMac = (mac: Mac, row: Omit<EntryRow, 'mac' | 'salt' | 'salted'>): string =>
  mac([
    'entry',
    row.case,
    row.seq,
    row.id,
    row.receivedAt.toISOString(),
    row.hash,
    row.otherwise,
    row.content === null,
  ]);

/** Over a case's row. */
export const caseMac = (mac: Mac, row: Omit<CaseRow, 'mac' | 'unsealed'>): string =>
  mac(['case', row.id, row.person, row.programmeHash, row.modelHash, row.seq, row.head]);

/** Over lines of the audit, in the order of their numbers. */
export const auditHash = (mac: Mac, lines: readonly Omit<AuditRow, 'seal'>[]): string =>
  mac([
    'audit',
    lines.map(({ n, at, user, action, subject, detail }) => [
      n,
      at.toISOString(),
      user,
      action,
      subject,
      detail,
    ]),
  ]);

/** Over a seal: the one before, the heads it names by case, and since there are such, the audit and a restore. */
export const sealMac = (
  mac: Mac,
  seal: Pick<SealRow, 'n' | 'at' | 'auditLines' | 'auditHash' | 'restoredTo'>,
  previous: string,
  heads: readonly Omit<SealHeadRow, 'seal'>[],
): string =>
  mac([
    'seal',
    seal.n,
    seal.at.toISOString(),
    previous,
    heads.map((one) => [one.case, one.seq, one.head]),
    ...(seal.auditHash === null ? [] : [seal.auditLines, seal.auditHash]),
    ...(seal.restoredTo === null ? [] : [['restored', seal.restoredTo]]),
  ]);

/** By this a database knows its secret again; it gives nothing of the secret away. */
export const keyMark = (mac: Mac): string => mac(['key']);
