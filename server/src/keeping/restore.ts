import { spawn } from 'node:child_process';
import { createReadStream, existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { programmes } from '@estribo/core/programmes';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import type { DataSource } from 'typeorm';
import { audit } from '../audit/audit';
import { carryForward } from '../carry-forward';
import { register } from '../catalogue/registry';
import { DatabaseProblem, openDatabase } from '../database/data-source';
import { caseEntity, clinicEntity } from '../database/entities';
import { sealClinic, sealRestore } from '../sealing/seal';
import { openSealFolder, type SealFolder } from '../sealing/seal-key';
import { takeOver } from '../sealing/take-over';
import { verifyClinic } from '../sealing/verify';
import type { ProofFault } from '../sealing/verify-case';
import {
  besideOf,
  clientOf,
  dumpEnds,
  KeepingProblem,
  keyIn,
  provedManifest,
  sha256Of,
  withTail,
} from './files';

export interface RestoreOptions {
  url: string;
  sealFolder: string;
  file: string;
  now: Date;
  /** for a file that the clinic's secret does not prove: an old one, or after the secret was lost */
  unproved?: boolean;
  /** the clinic's name, typed, with `unproved` */
  named?: string;
  /** on trial: into a second database, verified there, and thrown away */
  drill?: boolean;
  /** begin with a new secret when the old one is lost */
  anew?: boolean;
  /** a file that stands while tables are exchanged; a start in between refuses */
  mark?: string;
}

export interface Restored {
  clinic: string;
  cases: number;
  entries: number;
  proved: boolean;
  /** the newest seal of the back-up, and of the clinic until now: what lies between is lost */
  restoredTo: number;
  lostUpTo: number;
}

/**
 * Puts a back-up in the place of what is in a database. It is loaded into a second database and verified there, before
 * anything is touched; then all tables are exchanged in one statement. It streams. What was written after the back-up is lost:
 * the file of seals knows of it, and a line there and in the database says that it was restored.
 * @throws KeepingProblem when nothing was changed, with the reason
 */
export async function restore(options: RestoreOptions): Promise<Restored> {
  const { url, file, drill = false, now } = options;
  const proved = await proofOfFile(options);
  const { name } = clientOf(url);
  const [second, replaced] = [`${name}_${drill ? 'drill' : 'restoring'}`, `${name}_replaced`];
  const connection = await createConnection(url).catch((error: Error) => {
    throw new KeepingProblem(`The database does not answer (${error.message}). Nothing was changed.`);
  });
  try {
    await makeDatabase(connection, second);
    await load(besideOf(url, second), file);
    await checkClinic(connection, second, options, proved);
    const db = await openSecond(besideOf(url, second));
    let done: Restored;
    try {
      const sealing = openSealFolder(options.sealFolder);
      const found = await verifySecond(db, sealing, options, proved);
      done = { ...found, proved, restoredTo: 0, lostUpTo: 0 };
      if (!drill) {
        await audit(db, {
          at: now,
          user: null,
          action: 'record.restored',
          subject: 'clinic',
          detail: { now: { file: basename(file), proved } },
        });
        const { n, restoredTo } = await sealRestore(db, sealing, now);
        Object.assign(done, { restoredTo, lostUpTo: n - 1 });
      }
    } finally {
      await db.destroy();
    }
    if (drill) return done;
    await exchange(connection, { name, second, replaced }, options.mark);
    await writeLine(url, options);
    return done;
  } finally {
    await connection.query(`DROP DATABASE IF EXISTS \`${second}\``).catch(() => {});
    await connection.end();
  }
}

/** @returns whether the clinic's secret proves the file; without, it is taken only when that was asked for */
async function proofOfFile({ file, sealFolder, unproved, named }: RestoreOptions): Promise<boolean> {
  if (!existsSync(file)) throw new KeepingProblem(`There is no file ${file}.`);
  const manifest = provedManifest(file, keyIn(sealFolder));
  const older = existsSync(`${file}.sha256`) ? readFileSync(`${file}.sha256`, 'utf8').trim() : undefined;
  const expected = manifest?.sha256 ?? older;
  if (expected !== undefined && (await sha256Of(file)) !== expected)
    throw new KeepingProblem(`${file} is not what was backed up: its checksum differs. Nothing was changed.`);
  if (manifest) return true;
  if (!unproved || !named)
    throw new KeepingProblem(
      `${file} is not proved by this clinic’s secret: it is older, another clinic’s, or was changed. Nothing was changed. ` +
        'If you know where it comes from, add --unproved --name "the clinic’s name".',
    );
  return false;
}

async function makeDatabase(connection: Connection, name: string): Promise<void> {
  try {
    await connection.query(`DROP DATABASE IF EXISTS \`${name}\``);
    await connection.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  } catch (error) {
    const { code, message } = error as { code?: string; message: string };
    throw new KeepingProblem(
      code === 'ER_DBACCESS_DENIED_ERROR'
        ? `A restore needs a second database, ${name}, and this user may not make one. Grant it: GRANT ALL ON \`${name}\`.* TO the user, and the same for its neighbour that ends in "_replaced". Nothing was changed.`
        : `The second database could not be made (${message}). Nothing was changed.`,
    );
  }
}

/** Loads a dump with the client in its sandbox: nothing in it reaches a shell or a file. */
async function load(url: string, file: string): Promise<void> {
  const { args, name, env } = clientOf(url);
  const client = spawn('mariadb', [...args, '--sandbox', '--one-database', '--binary-mode', name], {
    env,
    stdio: ['pipe', 'ignore', 'pipe'],
  });
  let said = '';
  client.stderr.on('data', (text: Buffer) => (said = `${said}${text.toString()}`.slice(0, 2000)));
  const ended = new Promise<number>((resolve) => {
    client.once('error', (error) => {
      said = error.message;
      resolve(-1);
    });
    client.once('close', (code) => resolve(code ?? -1));
  });
  const { stream, tail } = withTail();
  const broken = await pipeline(createReadStream(file), createGunzip(), stream, client.stdin).then(
    () => undefined,
    (error: NodeJS.ErrnoException) => error,
  );
  if (broken?.code?.startsWith('Z_')) client.kill();
  const code = await ended;
  if (broken?.code?.startsWith('Z_') || (!broken && !tail().includes(dumpEnds)))
    throw new KeepingProblem(
      `${file} is cut off or damaged: it is not a whole back-up. Nothing was changed.`,
    );
  if (code !== 0)
    throw new KeepingProblem(
      `${file} could not be loaded: ${said.trim().split('\n')[0] ?? ''} Nothing was changed.`,
    );
}

/** @throws KeepingProblem when the back-up holds no clinic, or is not of the clinic that was named or that is here */
async function checkClinic(
  connection: Connection,
  second: string,
  { url, unproved, named }: RestoreOptions,
  proved: boolean,
): Promise<void> {
  const nameIn = async (database: string): Promise<string | undefined> => {
    const [rows] = await connection
      .query<RowDataPacket[]>(`SELECT \`name\` FROM \`${database}\`.\`clinic\` WHERE \`id\` = 1`)
      .catch(() => [[] as RowDataPacket[]]);
    return rows[0]?.name as string | undefined;
  };
  const there = await nameIn(second);
  if (there === undefined)
    throw new KeepingProblem('There is no clinic in this back-up. Nothing was changed.');
  if (proved || !unproved) return;
  const here = await nameIn(clientOf(url).name);
  if (here !== undefined && here !== there)
    throw new KeepingProblem(
      `This back-up is of another clinic, ${there}; here is ${here}. Nothing was changed.`,
    );
  if (named !== there)
    throw new KeepingProblem(
      `The name does not fit: this back-up is of a clinic of another name than "${named}". Nothing was changed.`,
    );
}

async function openSecond(url: string): Promise<DataSource> {
  try {
    return await openDatabase(url, () => {}, { patient: true });
  } catch (error) {
    throw error instanceof DatabaseProblem
      ? new KeepingProblem(`${error.message} Nothing was changed.`)
      : error;
  }
}

/** Brings the second database forward and verifies it, as a start would; that seals came after the back-up is no fault here. */
async function verifySecond(
  db: DataSource,
  sealing: SealFolder,
  { now, anew = false, unproved = false }: RestoreOptions,
  proved: boolean,
): Promise<Pick<Restored, 'clinic' | 'cases' | 'entries'>> {
  for (const programme of programmes) await register(db, 'programme', programme);
  const { name, zone } = await db.getRepository(clinicEntity).findOneByOrFail({ id: 1 });
  try {
    // a back-up of before there was a secret is taken over by the one that is here
    if (!proved && unproved && !sealing.fresh && (await db.getRepository(caseEntity).existsBy({ mac: '' })))
      await takeOver(db, sealing);
    await carryForward(db, { zone, sealing, now, anew: anew && unproved }, () => {});
  } catch (error) {
    if (error instanceof DatabaseProblem) throw new KeepingProblem(`${error.message} Nothing was changed.`);
    throw error;
  }
  const { cases, entries, faults } = await verifyClinic(db, sealing);
  const found = faults.filter(({ what }) => what !== 'seals-missing');
  if (found.length > 0)
    throw new KeepingProblem(
      `The back-up does not hold (${found.slice(0, 3).map(saidOf).join('; ')}${found.length > 3 ? `; ${found.length - 3} more` : ''}). Nothing was changed.`,
    );
  return { clinic: name, cases, entries };
}

const saidOf = ({ case: id, content, seq, what }: ProofFault): string =>
  [id ?? content ?? 'clinic', seq, what].filter((part) => part !== undefined).join(' ');

/** All tables change places in one statement; what was there is thrown away afterwards. */
async function exchange(
  connection: Connection,
  { name, second, replaced }: { name: string; second: string; replaced: string },
  mark: string | undefined,
): Promise<void> {
  await makeDatabase(connection, replaced);
  const tablesOf = async (database: string): Promise<string[]> => {
    const [rows] = await connection.query<RowDataPacket[]>(
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ?',
      [database],
    );
    return rows.map((row) => row.name as string);
  };
  const moves = [
    ...(await tablesOf(name)).map((table) => `\`${name}\`.\`${table}\` TO \`${replaced}\`.\`${table}\``),
    ...(await tablesOf(second)).map((table) => `\`${second}\`.\`${table}\` TO \`${name}\`.\`${table}\``),
  ];
  if (mark !== undefined) writeFileSync(mark, '');
  try {
    await connection.query(`RENAME TABLE ${moves.join(', ')}`);
  } catch (error) {
    throw new KeepingProblem(
      `The tables could not be exchanged (${(error as Error).message}). Nothing was changed.`,
    );
  } finally {
    // one statement: it was carried out whole or not at all
    if (mark !== undefined) rmSync(mark, { force: true });
    await connection.query(`DROP DATABASE IF EXISTS \`${replaced}\``).catch(() => {});
  }
}

/** The line outside of the database that says what was restored. */
async function writeLine(url: string, { sealFolder, now }: RestoreOptions): Promise<void> {
  const db = await openDatabase(url, () => {}, { patient: true });
  try {
    await sealClinic(db, openSealFolder(sealFolder), now);
  } finally {
    await db.destroy();
  }
}

/** The file that stands while a restore exchanges tables. */
export const markIn = (folder: string): string => join(folder, 'restoring');
