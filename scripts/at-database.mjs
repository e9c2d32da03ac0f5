import { spawnSync } from 'node:child_process';
import { runningDatabase, startClinicDatabase } from './database.mjs';
import { built, checkNode, debianPackages, mariadb, npmPackages, onlyOne, root } from './machine.mjs';
import { places } from './run-clinic.mjs';
import { run } from './steps.mjs';

/** Which clinic a command is for: the demo one, unless `-- --clinic` is given for that of `npm start`. */
const wantedClinic = () => (process.argv.includes('--clinic') ? 'clinic' : 'database');

/**
 * The clinic's database, running: another one when ESTRIBO_DATABASE_URL names it.
 * @param options.alongside whether the work may be done while the clinic runs
 */
export async function withDatabase(work, { alongside = false } = {}) {
  checkNode();
  const { database: folder, seal } = places(wantedClinic());
  const elsewhere = process.env.ESTRIBO_DATABASE_URL ?? (alongside ? runningDatabase(folder) : undefined);
  if (!elsewhere) onlyOne();
  if (!elsewhere) await debianPackages([mariadb]);
  const database = elsewhere ? undefined : await startClinicDatabase(folder);
  try {
    await work({ url: elsewhere ?? database.url, seal, folder });
  } finally {
    await database?.stop();
  }
}

/** Runs a command of the server on the clinic's database; its exit code is the command's. */
export const atDatabase = (command, options) =>
  run(async () => {
    await npmPackages();
    await built();
    await withDatabase(({ url, seal }) => {
      const done = spawnSync(process.execPath, [`${root}/server/dist/main.mjs`, command], {
        env: { ...process.env, ESTRIBO_DATABASE_URL: url, ESTRIBO_SEAL_FOLDER: seal },
        stdio: 'inherit',
      });
      process.exitCode = done.status ?? 1;
    }, options);
  });
