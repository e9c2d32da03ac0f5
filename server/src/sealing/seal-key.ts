import { createHmac, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { canonicalText } from '@estribo/core/programmes';
import type { CaseRow, EntryRow, SealHeadRow } from '../database/entities';

/** A keyed hash (HMAC-SHA-256) over a value: nobody makes it without the clinic's secret. */
export type Mac = (value: unknown) => string;

export const macWith =
  (secret: string): Mac =>
  (value) =>
    createHmac('sha256', secret).update(canonicalText(value)).digest('hex');

/** The clinic's secret and the file of its seals, both outside the database. */
export interface SealFolder {
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

/** Over a seal: the one before and the heads it names, by case. */
export const sealMac = (
  mac: Mac,
  seal: { n: number; at: Date },
  previous: string,
  heads: readonly Omit<SealHeadRow, 'seal'>[],
): string =>
  mac(['seal', seal.n, seal.at.toISOString(), previous, heads.map((one) => [one.case, one.seq, one.head])]);
