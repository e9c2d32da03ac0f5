import { spawn } from 'node:child_process';
import { get } from 'node:http';
import { get as secureGet } from 'node:https';
import { setTimeout as wait } from 'node:timers/promises';
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

/**
 * Starts the built server as a process of its own and waits until it is well.
 * @returns its address and a stop that lets it answer what it is at
 */
export async function startServer({ root, port, env, quiet = false }) {
  const secure = env.ESTRIBO_TLS === 'own' || env.ESTRIBO_TLS_CERT !== undefined;
  const server = spawn(process.execPath, ['--enable-source-maps', `${root}/server/dist/main.mjs`], {
    cwd: `${root}/server`,
    env: { ...process.env, ESTRIBO_PORT: String(port), ESTRIBO_WEB_ROOT: `${root}/web/dist`, ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'pipe', 'pipe'],
    detached: true,
  });
  const said = [];
  server.stderr.on('data', (data) => said.push(String(data)));
  server.stdout?.on('data', (data) => {
    const line = String(data);
    // the log is JSON, line by line; what is for the operator is not
    if (process.env.ESTRIBO_LOG || !line.startsWith('{')) process.stdout.write(data);
  });
  let exited = false;
  const gone = new Promise((resolve) => server.once('exit', () => resolve((exited = true))));
  const address = `${secure ? 'https' : 'http'}://127.0.0.1:${port}`;
  for (let i = 0; ; i += 1) {
    if (exited || i > 600) throw new Stop(said.join('').trim() || 'The server does not start.');
    if (await isWell(`${address}/api/health`)) break;
    await wait(100);
  }
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
