import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import {
  built,
  checkNode,
  debianPackages,
  mariadb,
  npmPackages,
  onlyOne,
  root,
  workplace,
} from './machine.mjs';
import { run } from './steps.mjs';

// Computes every case's summary again from its entries and says where it differed.
await run(async () => {
  checkNode();
  onlyOne();
  const elsewhere = process.env.ESTRIBO_DATABASE_URL;
  if (!elsewhere) await debianPackages([mariadb]);
  await npmPackages();
  await built();
  const database = elsewhere
    ? undefined
    : await startDatabase(join(workplace, 'database'), { port: 13306, durable: true });
  try {
    const done = spawnSync(process.execPath, [`${root}/server/dist/main.mjs`, 'rebuild'], {
      env: { ...process.env, ESTRIBO_DATABASE_URL: elsewhere ?? database.url },
      stdio: 'inherit',
    });
    process.exitCode = done.status ?? 1;
  } finally {
    await database?.stop();
  }
});
