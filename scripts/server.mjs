import { spawn } from 'node:child_process';
import { get } from 'node:http';
import { get as secureGet } from 'node:https';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { setTimeout as wait } from 'node:timers/promises';
import { endsWithParent } from './machine.mjs';
import { Stop } from './steps.mjs';

/** Whether the server answers; a certificate made for the clinic's network is known to nobody yet. */
const isWell = (address) =>
  new Promise((resolve) => {
    const ask = address.startsWith('https') ? secureGet : get;
    ask(address, { timeout: 2000, rejectUnauthorized: false }, (answer) => {
      answer.resume();
      resolve(answer.statusCode === 200);
    })
      .once('error', () => resolve(false))
      .once('timeout', function () {
        this.destroy();
      });
  });

/** It is said that a start goes on after every so many seconds. */
const saysEvery = 30;

/**
 * Starts the built server as a process of its own and waits until it is well, as long as it lives: the first load of a
 * large database takes its while. What it says to the operator is passed on line by line; its log is a file of its own.
 * @returns its address and a stop that lets it answer what it is at
 */
export async function startServer({ root, port, env, quiet = false }) {
  const secure = env.ESTRIBO_TLS === 'own' || env.ESTRIBO_TLS_CERT !== undefined;
  const [program, args] = endsWithParent(process.execPath, [
    '--enable-source-maps',
    join(root, 'server/dist/main.mjs'),
  ]);
  const server = spawn(program, args, {
    cwd: join(root, 'server'),
    env: { ...process.env, ESTRIBO_PORT: String(port), ESTRIBO_WEB_ROOT: join(root, 'web/dist'), ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'pipe', 'pipe'],
    detached: true,
  });
  const said = [];
  let isUp = false;
  createInterface({ input: server.stderr }).on('line', (line) => {
    said.push(line);
    if (isUp) console.error(line);
  });
  // the first line stands below the step that is under way
  let first = '\n';
  if (server.stdout)
    createInterface({ input: server.stdout }).on('line', (line) => {
      console.log(`${first}${line}`);
      first = '';
    });
  let exited = false;
  const gone = new Promise((resolve) => server.once('close', () => resolve((exited = true))));
  const address = `${secure ? 'https' : 'http'}://127.0.0.1:${port}`;
  const began = Date.now();
  let told = 0;
  while (!(await isWell(`${address}/api/health`))) {
    if (exited) throw new Stop(said.join('\n').trim() || 'The server does not start.');
    const seconds = Math.floor((Date.now() - began) / 1000);
    if (!quiet && seconds >= told + saysEvery) {
      told = seconds;
      console.log(`${first}  still starting, ${seconds} s: the database is at work`);
    }
    await wait(100);
  }
  isUp = true;
  for (const line of said) console.error(line);
  return {
    address,
    process: server,
    gone,
    stop: async () => {
      if (!exited) server.kill('SIGTERM');
      await gone;
    },
  };
}
