import { existsSync, readFileSync, rmSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { freePort, secretIn, startClinicDatabase } from './database.mjs';
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
import { step, Stop } from './steps.mjs';

/** Where a clinic's things lie: its database, and beside it, never inside, the secret with the seals. */
export const places = (name) => ({
  database: join(workplace, name),
  seal: process.env.ESTRIBO_SEAL_FOLDER ?? join(workplace, `${name}-seal`),
});

/**
 * Throws away what a clinic made below the workplace, and nothing else, whatever the settings name.
 * @param options.seal a folder of a secret that was set: one with a secret in it is another clinic's
 */
export function startOver(name, { below = workplace, seal = process.env.ESTRIBO_SEAL_FOLDER } = {}) {
  if (seal && existsSync(join(seal, 'key')))
    throw new Stop(
      `ESTRIBO_SEAL_FOLDER (${seal}) has the secret of a clinic. A fresh demo makes a secret of its own: unset ESTRIBO_SEAL_FOLDER, then start again. Nothing was deleted.`,
    );
  for (const one of [name, `${name}-seal`]) rmSync(join(below, one), { recursive: true, force: true });
}

/**
 * Runs a clinic until Ctrl-C: installs what is missing, starts its database and its server.
 * @param clinic.name the folder of its database
 * @param clinic.demo whether the demo clinic is loaded into an empty one
 * @param clinic.fresh whether everything is thrown away first
 * @param clinic.ready is told the address
 */
export async function runClinic({ name, demo, fresh, ready }) {
  const elsewhere = process.env.ESTRIBO_DATABASE_URL;
  checkNode();
  onlyOne();
  if (!elsewhere) await debianPackages([mariadb]);
  await npmPackages();
  await built();

  const { database: folder, seal } = places(name);
  if (fresh && !elsewhere) await step('starting over', () => startOver(name));
  if (!elsewhere && existsSync(join(folder, 'restoring')))
    throw new Stop(`A restore into ${folder} was not finished. Run "npm run restore" again first.`);
  let database;
  if (!elsewhere)
    await step('starting the database', async () => {
      database = await startClinicDatabase(folder);
      return `on 127.0.0.1:${database.port}`;
    });
  let server;
  try {
    await step(`starting the server${demo ? ', with the demo clinic when there is none' : ''}`, async () => {
      const port = await freePort(Number(process.env.ESTRIBO_PORT ?? 8080));
      server = await startServer({
        root,
        port,
        env: {
          ...(process.env.ESTRIBO_TLS ? { ESTRIBO_TLS: process.env.ESTRIBO_TLS } : {}),
          ...(process.env.ESTRIBO_TLS_CERT ? { ESTRIBO_TLS_CERT: process.env.ESTRIBO_TLS_CERT } : {}),
          ESTRIBO_DATABASE_URL: elsewhere ?? database.url,
          ESTRIBO_SEAL_FOLDER: seal,
          ESTRIBO_DEMO: demo ? '1' : '0',
          ESTRIBO_LOG_FOLDER: process.env.ESTRIBO_LOG_FOLDER ?? join(workplace, `${name}-log`),
          ESTRIBO_BACKUP_COMMAND: backupCommand({ name, seal }),
          ESTRIBO_SESSION_SECRET: secretIn(join(workplace, 'session-secret')),
          NODE_ENV: 'production',
        },
      });
    });
  } catch (error) {
    await database?.stop();
    throw error;
  }
  ready(server.address);

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
  // started by npm, which may be killed without a word: what it started ends as well
  const startedBy = ancestors();
  if (process.env.npm_lifecycle_event)
    setInterval(() => ancestors() !== startedBy && void stop(0), 1000).unref();
  void server.gone.then(() => {
    if (!stopping) console.error('The server has stopped by itself.');
    return stop(1);
  });
}

/** The shell that runs this script and the program that started the shell. */
const ancestors = () => {
  const shell = `/proc/${process.ppid}/status`;
  const above = existsSync(shell) ? /^PPid:\s+(\d+)/m.exec(readFileSync(shell, 'utf8'))?.[1] : '';
  return `${process.ppid} ${above}`;
};

/** What an operator types to back up this clinic, and no other. */
const backupCommand = ({ name, seal }) => {
  const elsewhere = process.env.ESTRIBO_DATABASE_URL !== undefined;
  return [
    ...(elsewhere ? ['ESTRIBO_DATABASE_URL=…'] : []),
    ...(elsewhere || process.env.ESTRIBO_SEAL_FOLDER ? [`ESTRIBO_SEAL_FOLDER="${seal}"`] : []),
    'npm run backup -- /path/of/a/folder',
    ...(name === 'clinic' ? ['--clinic'] : []),
  ].join(' ');
};

/** This machine's addresses in the clinic's network. */
export const networkAddresses = () =>
  Object.values(networkInterfaces())
    .flat()
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
