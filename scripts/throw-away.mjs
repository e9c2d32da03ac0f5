import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startDatabase } from './database.mjs';
import { built, checkNode, chromium, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { startServer } from './server.mjs';

/**
 * A running Estribo with the demo clinic, on a database of its own that is thrown away afterwards.
 * @param work is given the server and the database
 */
export async function throwAwayClinic({ port, durable }, work) {
  checkNode();
  await debianPackages([mariadb, chromium]);
  await npmPackages();
  await built();
  const folder = mkdtempSync(join(tmpdir(), 'estribo-'));
  let database;
  let server;
  try {
    database = await startDatabase(folder, { port, durable });
    server = await startServer({
      root,
      port: await freePort(port + 100),
      env: {
        ESTRIBO_DATABASE_URL: database.url,
        ESTRIBO_SEAL_FOLDER: join(folder, 'seal'),
        ESTRIBO_DEMO: '1',
        NODE_ENV: 'production',
        ESTRIBO_LOG: 'error',
      },
      quiet: true,
    });
    await work({ server, database });
  } finally {
    await server?.stop();
    await database?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
