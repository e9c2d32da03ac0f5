import { spawn } from 'node:child_process';
import { setTimeout as wait } from 'node:timers/promises';
import { Stop } from './steps.mjs';

/**
 * Starts the built server as a process of its own and waits until it is well.
 * @returns its address and a stop that lets it answer what it is at
 */
export async function startServer({ root, port, env, quiet = false }) {
  const server = spawn(process.execPath, ['--enable-source-maps', `${root}/server/dist/main.mjs`], {
    cwd: `${root}/server`,
    env: { ...process.env, ESTRIBO_PORT: String(port), ESTRIBO_WEB_ROOT: `${root}/web/dist`, ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'pipe', 'pipe'],
    detached: true,
  });
  const said = [];
  server.stderr.on('data', (data) => said.push(String(data)));
  server.stdout?.on('data', (data) => process.env.ESTRIBO_LOG && process.stdout.write(data));
  let exited = false;
  const gone = new Promise((resolve) => server.once('exit', () => resolve((exited = true))));
  const address = `http://127.0.0.1:${port}`;
  for (let i = 0; ; i += 1) {
    if (exited || i > 600) throw new Stop(said.join('').trim() || 'The server does not start.');
    const well = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
      (res) => res.ok,
      () => false,
    );
    if (well) break;
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
