import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, secretIn, startDatabase } from './database.mjs';
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
import { startServer } from './server.mjs';
import { run, step } from './steps.mjs';

await run(async () => {
  const fresh = process.argv.includes('--fresh');
  const elsewhere = process.env.ESTRIBO_DATABASE_URL;
  console.log('Estribo, a fitting bench for orthotists');
  checkNode();
  onlyOne();
  if (!elsewhere) await debianPackages([mariadb]);
  await npmPackages();
  await built();

  const folder = join(workplace, 'database');
  if (fresh && !elsewhere)
    await step('starting over', () => rmSync(folder, { recursive: true, force: true }));
  let database;
  if (!elsewhere)
    await step('starting the database', async () => {
      database = await startDatabase(folder, { port: 13306, durable: true });
      return `on 127.0.0.1:${database.port}`;
    });
  let server;
  try {
    await step('starting the server, with the demo clinic when there is none', async () => {
      const port = await freePort(Number(process.env.ESTRIBO_PORT ?? 8080));
      server = await startServer({
        root,
        port,
        env: {
          ESTRIBO_DATABASE_URL: elsewhere ?? database.url,
          ESTRIBO_DEMO: '1',
          ESTRIBO_SESSION_SECRET: secretIn(join(workplace, 'session-secret')),
          NODE_ENV: 'production',
        },
      });
    });
  } catch (error) {
    await database?.stop();
    throw error;
  }

  console.log(`\nOpen ${server.address}`);
  console.log(
    'Sign in as ana (orthotist), teo (technician), marga (reception), lia (reader) or iago (administrator);',
  );
  console.log('the password is ribanova-demo. Ctrl-C stops everything; the data stay.\n');

  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    console.log('Stopping: answering what is under way, then the database.');
    await server.stop();
    await database?.stop();
    process.exit(code);
  };
  process.on('SIGINT', () => void stop(0));
  process.on('SIGTERM', () => void stop(0));
  void server.gone.then(() => {
    if (!stopping) console.error('The server has stopped by itself.');
    return stop(1);
  });
});
