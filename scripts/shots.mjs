import { spawnSync } from 'node:child_process';
import { root } from './machine.mjs';
import { run, step, Stop } from './steps.mjs';
import { throwAwayClinic } from './throw-away.mjs';

// Takes the pictures of docs/screenshots anew, from a fresh demo clinic.
await run(() =>
  throwAwayClinic({ port: 14506, durable: false }, ({ server }) =>
    step('taking pictures', () => {
      const done = spawnSync(process.execPath, ['--import', 'tsx', `${root}/e2e/shots.ts`], {
        cwd: `${root}/e2e`,
        env: {
          ...process.env,
          ESTRIBO_SHOTS_ADDRESS: server.address,
          ESTRIBO_SHOTS_FOLDER: `${root}/docs/screenshots`,
        },
        stdio: 'inherit',
      });
      if (done.status !== 0) throw new Stop('The pictures could not all be taken.');
    }),
  ),
);
