import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { withDatabase } from './at-database.mjs';
import { run, step, Stop } from './steps.mjs';

/** How MariaDB's own programs are told where the database is; the password goes by the environment. */
export const clientOf = (url) => {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    args: ['--no-defaults', '-h', hostname, '-P', port || '3306', '-u', decodeURIComponent(username)],
    name: pathname.slice(1),
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  };
};

/**
 * Dumps a database of one moment, without sessions, into a folder, with the file of seals beside it. The secret
 * is not copied: who has both could seal what they please.
 * @returns the dump's file
 */
export function backUp({ url, seal, into, now }) {
  const { args, name, env } = clientOf(url);
  const dumped = spawnSync(
    'mariadb-dump',
    [
      ...args,
      '--single-transaction',
      '--hex-blob',
      '--skip-dump-date',
      `--ignore-table-data=${name}.session`,
      name,
    ],
    { env, maxBuffer: 2 ** 31 },
  );
  if (dumped.status !== 0)
    throw new Stop(`The database could not be dumped: ${String(dumped.stderr ?? dumped.error).trim()}`);
  // a dump that broke off has no such last line
  if (!dumped.stdout.subarray(-200).includes('-- Dump completed'))
    throw new Stop('The dump is not whole. Nothing was kept; try again.');
  mkdirSync(into, { recursive: true, mode: 0o700 });
  const packed = gzipSync(dumped.stdout);
  const file = join(into, `estribo-${now.toISOString().slice(0, 19).replaceAll(':', '')}.sql.gz`);
  writeFileSync(`${file}.part`, packed, { mode: 0o600 });
  renameSync(`${file}.part`, file);
  const sum = createHash('sha256').update(packed).digest('hex');
  writeFileSync(`${file}.sha256`, `${sum}\n`);
  if (existsSync(join(seal, 'seals'))) copyFileSync(join(seal, 'seals'), `${file}.seals`);
  // the administrator's page tells when the last one was made
  const told = spawnSync(
    'mariadb',
    [
      ...args,
      name,
      '-e',
      `INSERT INTO \`backup\` (\`at\`, \`file\`, \`bytes\`) VALUES ('${now.toISOString().slice(0, 23).replace('T', ' ')}', '${basename(file)}', ${packed.length})`,
    ],
    { env },
  );
  if (told.status !== 0)
    console.log(`  The backup is whole; that it was made could not be noted: ${String(told.stderr).trim()}`);
  return file;
}

if (import.meta.url === `file://${process.argv[1]}`)
  await run(async () => {
    const into = process.argv.slice(2).find((word) => !word.startsWith('--'));
    if (!into) throw new Stop('Say where to: npm run backup -- /path/of/a/folder [--clinic]');
    await withDatabase(
      ({ url, seal }) =>
        step('backing up', () => {
          const file = backUp({ url, seal, into, now: new Date() });
          console.log(`\n  ${file}`);
          return `kept with its checksum and the seals. The secret ${join(seal, 'key')} is not in it: keep a copy elsewhere`;
        }),
      { alongside: true },
    );
  });
