import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './database.mjs';
import { built, checkNode, chromium, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { startServer } from './server.mjs';
import { run, step } from './steps.mjs';

// Speed, measured against named baselines in one run on a durable database of its own. Never asserted.
await run(async () => {
  checkNode();
  await debianPackages([mariadb, chromium]);
  await npmPackages();
  await built();
  const folder = mkdtempSync(join(tmpdir(), 'estribo-bench-'));
  let database;
  let server;
  try {
    await step('starting a database and a server', async () => {
      database = await startDatabase(folder, { port: 14406, durable: true });
      server = await startServer({
        root,
        port: await freePort(8190),
        env: {
          ESTRIBO_DATABASE_URL: database.url,
          ESTRIBO_DEMO: '1',
          NODE_ENV: 'production',
          ESTRIBO_LOG: 'error',
        },
        quiet: true,
      });
    });
    spawnSync(process.execPath, ['--import', 'tsx', `${root}/e2e/bench.ts`], {
      cwd: `${root}/e2e`,
      env: { ...process.env, ESTRIBO_BENCH_ADDRESS: server.address, ESTRIBO_BENCH_DATABASE: database.url },
      stdio: 'inherit',
    });
  } finally {
    await server?.stop();
    await database?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
