import { spawnSync } from 'node:child_process';
import { root } from './machine.mjs';
import { run } from './steps.mjs';
import { throwAwayClinic } from './throw-away.mjs';

// Speed, measured against named baselines in one run on a durable database of its own. Never asserted.
await run(() =>
  throwAwayClinic({ port: 14406, durable: true }, ({ server, database }) => {
    spawnSync(process.execPath, ['--import', 'tsx', `${root}/e2e/bench.ts`], {
      cwd: `${root}/e2e`,
      env: { ...process.env, ESTRIBO_BENCH_ADDRESS: server.address, ESTRIBO_BENCH_DATABASE: database.url },
      stdio: 'inherit',
    });
  }),
);
