import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { runningDatabase, startClinicDatabase } from './database.mjs';
import { built, checkNode, debianPackages, mariadb, npmPackages, onlyOne, root } from './machine.mjs';
import { places } from './run-clinic.mjs';
import { run, Stop } from './steps.mjs';

/** Which clinic a command is for: the demo one, unless `-- --clinic` is given for that of `npm start`. */
const wantedClinic = () => (process.argv.includes('--clinic') ? 'clinic' : 'database');

/**
 * The clinic's database, running: another one when ESTRIBO_DATABASE_URL names it.
 * @param options.alongside whether the work may be done while the clinic runs
 * @param options.existing whether there must be a database already: none is made to find nothing in it
 */
async function withDatabase(work, { alongside = false, existing = false }) {
  checkNode();
  const wanted = wantedClinic();
  const { database: folder, seal } = places(wanted);
  if (existing && !process.env.ESTRIBO_DATABASE_URL && !existsSync(join(folder, 'db', 'mysql')))
    throw new Stop(
      wanted === 'clinic'
        ? `There is no clinic in ${folder}. "npm start" makes one; ESTRIBO_DATABASE_URL names another.`
        : `There is no demo clinic in ${folder}. Add --clinic for the clinic of "npm start"; ESTRIBO_DATABASE_URL names another.`,
    );
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

/** Runs a command of the server on the clinic's database with the words it was given; its exit code is the command's. */
export const atDatabase = (command, options) =>
  run(async () => {
    await npmPackages();
    await built();
    await withDatabase(({ url, seal, folder }) => {
      const words = process.argv.slice(2).filter((word) => word !== '--clinic');
      const done = spawnSync(process.execPath, [join(root, 'server/dist/main.mjs'), command, ...words], {
        env: {
          ...process.env,
          ESTRIBO_DATABASE_URL: url,
          ESTRIBO_SEAL_FOLDER: seal,
          ...(process.env.ESTRIBO_DATABASE_URL ? {} : { ESTRIBO_DATABASE_FOLDER: folder }),
        },
        stdio: 'inherit',
      });
      process.exitCode = done.status ?? 1;
    }, options);
  });
