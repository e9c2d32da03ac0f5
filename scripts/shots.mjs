import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './database.mjs';
import { built, checkNode, chromium, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { startServer } from './server.mjs';
import { run, step } from './steps.mjs';

// Takes the pictures of docs/screenshots anew, from a fresh demo clinic.
await run(async () => {
  checkNode();
  await debianPackages([mariadb, chromium]);
  await npmPackages();
  await built();
  const folder = mkdtempSync(join(tmpdir(), 'estribo-shots-'));
  const database = await startDatabase(folder, { port: 14506, durable: false });
  const server = await startServer({
    root,
    port: await freePort(8290),
    env: {
      ESTRIBO_DATABASE_URL: database.url,
      ESTRIBO_DEMO: '1',
      NODE_ENV: 'production',
      ESTRIBO_LOG: 'error',
    },
    quiet: true,
  });
  await step('taking pictures', () => {
    const done = spawnSync(process.execPath, ['--import', 'tsx', `${root}/e2e/shots.ts`], {
      cwd: `${root}/e2e`,
      env: {
        ...process.env,
        ESTRIBO_SHOTS_ADDRESS: server.address,
        ESTRIBO_SHOTS_FOLDER: `${root}/docs/screenshots`,
      },
      stdio: 'inherit',
    });
    return done.status === 0 ? 'done' : 'FAILED';
  });
  await server.stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});
