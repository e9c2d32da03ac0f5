import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { withDatabase } from './at-database.mjs';
import { clientOf } from './backup.mjs';
import { run, step, Stop } from './steps.mjs';

/**
 * Puts a back-up in the place of what is in a database. The file is looked at before anything is thrown away.
 * What was written after the back-up is lost: the file of seals still knows of it, and `verify` says so.
 */
export function restore({ url, file }) {
  const packed = readFileSync(file);
  const sum = existsSync(`${file}.sha256`) ? readFileSync(`${file}.sha256`, 'utf8').trim() : undefined;
  if (sum !== undefined && createHash('sha256').update(packed).digest('hex') !== sum)
    throw new Stop(`${file} is not what was backed up: its checksum differs. Nothing was changed.`);
  const sql = gunzipSync(packed);
  if (!sql.subarray(-200).includes('-- Dump completed'))
    throw new Stop(`${file} is not a whole back-up. Nothing was changed.`);
  const { args, name, env } = clientOf(url);
  const tables = spawnSync(
    'mariadb',
    [...args, '-N', '-e', `SELECT table_name FROM information_schema.tables WHERE table_schema = '${name}'`],
    { env, encoding: 'utf8' },
  );
  if (tables.status !== 0) throw new Stop(`The database does not answer: ${tables.stderr.trim()}`);
  const drop = tables.stdout
    .split('\n')
    .filter(Boolean)
    .map((table) => `DROP TABLE \`${table}\`;`)
    .join('\n');
  const done = spawnSync('mariadb', [...args, name], {
    env,
    input: Buffer.concat([Buffer.from(`SET FOREIGN_KEY_CHECKS=0;\n${drop}\n`), sql]),
    maxBuffer: 2 ** 28,
  });
  if (done.status !== 0)
    throw new Stop(`The back-up could not be put back: ${String(done.stderr).trim()}. Run it again.`);
}

if (import.meta.url === `file://${process.argv[1]}`)
  await run(async () => {
    const file = process.argv.slice(2).find((word) => !word.startsWith('--'));
    if (!file || !existsSync(file))
      throw new Stop('Say which: npm run restore -- /path/estribo-….sql.gz [--clinic] [--yes]');
    if (!process.argv.includes('--yes'))
      throw new Stop('This replaces everything in the database. Say so: add --yes.');
    await withDatabase(({ url, folder }) =>
      step('restoring', () => {
        const mark = join(folder, 'restoring');
        if (!process.env.ESTRIBO_DATABASE_URL) writeFileSync(mark, '');
        restore({ url, file });
        rmSync(mark, { force: true });
        return 'done. Now "npm run verify" says whether everything holds';
      }),
    );
  });
