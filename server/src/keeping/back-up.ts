import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { basename, join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { keyMark } from '../sealing/seal-key';
import {
  clientOf,
  dumpEnds,
  isDiskFull,
  KeepingProblem,
  keyIn,
  manifestMac,
  withTail,
  type Manifest,
} from './files';

export interface BackedUp {
  file: string;
  clinic: string;
  cases: number;
  bytes: number;
  /** whether the clinic's secret proves it */
  proved: boolean;
}

/** What stands beside a back-up's file. */
export const besides = ['json', 'seals', 'sha256'] as const;

/**
 * Dumps a database of one moment, without sessions, into a folder, with the file of seals and a keyed hash beside it; also while
 * the clinic runs. It streams: nothing is held in memory. The secret is not copied: who has both could seal what they please.
 * @param nightly whether the clinic does it by itself; such ones are thinned out
 * @throws KeepingProblem when there is no clinic in the database, when it is another's than the secret, or the dump is not whole
 */
export async function backUp({
  url,
  sealFolder,
  into,
  now,
  nightly = false,
}: {
  url: string;
  sealFolder: string;
  into: string;
  now: Date;
  nightly?: boolean;
}): Promise<BackedUp> {
  const connection = await createConnection({ uri: url, timezone: 'Z' }).catch((error: Error) => {
    throw new KeepingProblem(`The database does not answer (${error.message}).`);
  });
  try {
    const mac = keyIn(sealFolder);
    const { clinic, cases, mark } = await clinicIn(connection);
    if (mac && mark !== null && mark !== keyMark(mac))
      throw new KeepingProblem(
        `The secret in ${sealFolder} is not that of ${clinic}: this is another clinic’s database. Nothing was kept.`,
      );
    mkdirSync(into, { recursive: true, mode: 0o700 });
    const file = join(into, `estribo-${now.toISOString().slice(0, 19).replaceAll(':', '')}.sql.gz`);
    const { sha256, bytes } = await dumpInto(url, `${file}.part`);
    renameSync(`${file}.part`, file);
    const manifest: Manifest = { format: 1, at: now.toISOString(), clinic, cases, bytes, sha256 };
    if (existsSync(join(sealFolder, 'seals'))) copyFileSync(join(sealFolder, 'seals'), `${file}.seals`);
    writeFileSync(
      `${file}.json`,
      `${JSON.stringify({ ...manifest, ...(mac ? { mac: manifestMac(mac, manifest) } : {}) }, null, 2)}\n`,
      { mode: 0o600 },
    );
    await noteDone(connection, { now, file, into, bytes, nightly });
    return { file, clinic, cases, bytes, proved: mac !== undefined };
  } catch (error) {
    if (isDiskFull(error))
      throw new KeepingProblem(`The disk is full where ${into} lies. Free some space; nothing was kept.`);
    throw error;
  } finally {
    await connection.end();
  }
}

/** The clinic in a database, as it names itself. */
async function clinicIn(
  connection: Connection,
): Promise<{ clinic: string; cases: number; mark: string | null }> {
  const [tables] = await connection.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
  );
  const has = (name: string) => tables.some((table) => table.name === name);
  const [[row]] = has('clinic')
    ? await connection.query<RowDataPacket[]>('SELECT `name` FROM `clinic` WHERE `id` = 1')
    : [[]];
  if (!row)
    throw new KeepingProblem(
      'There is no clinic in this database: nothing was kept. Add --clinic for the clinic of "npm start", or set ESTRIBO_DATABASE_URL.',
    );
  const [[count]] = await connection.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM `case`');
  const [[keeping]] = has('keeping')
    ? await connection.query<RowDataPacket[]>('SELECT `keyMark` FROM `keeping` WHERE `id` = 1')
    : [[]];
  return {
    clinic: row.name as string,
    cases: Number(count!.n),
    mark: (keeping?.keyMark as string | null | undefined) ?? null,
  };
}

async function dumpInto(url: string, part: string): Promise<{ sha256: string; bytes: number }> {
  const { args, name, env } = clientOf(url);
  const dump = spawn(
    'mariadb-dump',
    [
      ...args,
      '--single-transaction',
      '--quick',
      '--hex-blob',
      '--skip-dump-date',
      ...['session', 'machine_user'].map((table) => `--ignore-table-data=${name}.${table}`),
      name,
    ],
    { env, stdio: ['ignore', 'pipe', 'pipe'] },
  );
  let said = '';
  dump.stderr.on('data', (text: Buffer) => (said = `${said}${text.toString()}`.slice(-2000)));
  const ended = new Promise<number>((resolve) => {
    dump.once('error', (error) => {
      said = error.message;
      resolve(-1);
    });
    dump.once('close', (code) => resolve(code ?? -1));
  });
  const { stream, tail } = withTail();
  const hash = createHash('sha256');
  let bytes = 0;
  const counted = new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  try {
    await pipeline(dump.stdout, stream, createGzip(), counted, createWriteStream(part, { mode: 0o600 }));
    const code = await ended;
    if (code !== 0) throw new KeepingProblem(`The database could not be dumped: ${said.trim()}`);
    if (!tail().includes(dumpEnds))
      throw new KeepingProblem('The dump is not whole. Nothing was kept; try again.');
    return { sha256: hash.digest('hex'), bytes };
  } catch (error) {
    dump.kill();
    rmSync(part, { force: true });
    throw error;
  }
}

/** The administrator's page tells when the last one was made. A database of an older Estribo has fewer columns for it. */
async function noteDone(
  connection: Connection,
  {
    now,
    file,
    into,
    bytes,
    nightly,
  }: { now: Date; file: string; into: string; bytes: number; nightly: boolean },
): Promise<void> {
  const row = { at: now, file: basename(file), bytes };
  await connection
    .query('INSERT INTO `backup` SET ?', [{ ...row, folder: into, nightly }])
    .catch(() => connection.query('INSERT INTO `backup` SET ?', [row]))
    .catch(() => {});
}
