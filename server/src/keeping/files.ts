import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { number, object, string, type InferType } from 'yup';
import { macWith, type Mac } from '../sealing/seal-key';

/** Why a back-up or a restore was not made: one sentence, and what to do. */
export class KeepingProblem extends Error {}

const manifestSchema = object({
  format: number().strict().integer().oneOf([1]).required(),
  at: string().strict().required(),
  clinic: string().strict().required(),
  cases: number().strict().integer().min(0).required(),
  bytes: number().strict().integer().min(1).required(),
  sha256: string().strict().required(),
}).noUnknown();

/** What is said of a back-up beside its file; a keyed hash over it proves whose it is and that nothing was changed. */
export type Manifest = InferType<typeof manifestSchema>;

export const manifestMac = (mac: Mac, manifest: Manifest): string => mac(['backup', manifest]);

/** The clinic's secret, where there is one; nothing is made here. */
export function keyIn(sealFolder: string): Mac | undefined {
  const key = join(sealFolder, 'key');
  return existsSync(key) ? macWith(readFileSync(key, 'utf8').trim()) : undefined;
}

/** @returns what is said of a back-up, when the clinic's secret proves it; undefined when it does not */
export function provedManifest(file: string, mac: Mac | undefined): Manifest | undefined {
  if (!mac || !existsSync(`${file}.json`)) return undefined;
  try {
    const { mac: given, ...manifest } = JSON.parse(readFileSync(`${file}.json`, 'utf8')) as Manifest & {
      mac: string;
    };
    const said = manifestSchema.validateSync(manifest, { strict: true });
    return manifestMac(mac, said) === given ? said : undefined;
  } catch {
    return undefined;
  }
}

/** SHA-256 of a file, read as it streams. */
export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Lets everything through and keeps the end of it. */
export function withTail(length = 200): { stream: Transform; tail: () => string } {
  let tail = Buffer.alloc(0);
  const stream = new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      tail = Buffer.concat([tail, chunk.subarray(-length)]).subarray(-length);
      done(null, chunk);
    },
  });
  return { stream, tail: () => tail.toString('utf8') };
}

/** The last line of a dump that did not break off. */
export const dumpEnds = '-- Dump completed';

/** How MariaDB's own programs are told where the database is; the password goes by the environment. */
export function clientOf(url: string): { args: string[]; name: string; env: NodeJS.ProcessEnv } {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    args: ['--no-defaults', '-h', hostname, '-P', port || '3306', '-u', decodeURIComponent(username)],
    name: pathname.slice(1),
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  };
}

/** The address of another database on the same server. */
export const besideOf = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

/** Whether the disk is full. */
export const isDiskFull = (error: unknown): boolean => (error as { code?: string } | null)?.code === 'ENOSPC';
