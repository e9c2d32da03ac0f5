import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort, secretIn, startClinicDatabase } from './database.mjs';
import { checkNode, debianPackages, mariadb, npmPackages, onlyOne, root, workplace } from './machine.mjs';
import { places } from './run-clinic.mjs';
import { run, step } from './steps.mjs';

// Both sides with reload: the server by tsx, the interface by Vite, which passes /api on to the server.
await run(async () => {
  checkNode();
  onlyOne();
  await debianPackages([mariadb]);
  await npmPackages();
  let database;
  await step('starting the database', async () => {
    database = await startClinicDatabase(places('database').database);
  });
  const port = await freePort(8090);
  const env = {
    ...process.env,
    ESTRIBO_DATABASE_URL: process.env.ESTRIBO_DATABASE_URL ?? database.url,
    ESTRIBO_SEAL_FOLDER: places('database').seal,
    ESTRIBO_DEMO: '1',
    ESTRIBO_PORT: String(port),
    ESTRIBO_SESSION_SECRET: secretIn(join(workplace, 'session-secret')),
  };
  const children = ['server', 'web'].map((name) =>
    spawn('npm', ['run', 'dev', '-w', name], { cwd: root, env, stdio: 'inherit', detached: true }),
  );
  const stop = async () => {
    for (const child of children) process.kill(-child.pid, 'SIGTERM');
    await database.stop();
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
});
