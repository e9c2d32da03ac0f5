import { spawnSync } from 'node:child_process';
import { root } from './machine.mjs';
import { run, Stop } from './steps.mjs';
import { throwAwayClinic } from './throw-away.mjs';

// Speed, measured against named baselines in one run on a durable database of its own. Never asserted.
await run(() =>
  throwAwayClinic({ port: 14406, durable: true }, ({ server, database }) => {
    // bundled as the server is: what is measured is what runs
    const bundle = `${root}/e2e/dist/bench.mjs`;
    const bundled = spawnSync(
      `${root}/node_modules/.bin/esbuild`,
      [
        'bench.ts',
        '--bundle',
        '--platform=node',
        '--format=esm',
        '--external:@playwright/test',
        '--external:mysql2',
        `--outfile=${bundle}`,
        '--log-level=warning',
      ],
      { cwd: `${root}/e2e`, stdio: 'inherit' },
    );
    if (bundled.status !== 0) throw new Stop('The bench could not be bundled.');
    spawnSync(process.execPath, [bundle], {
      cwd: `${root}/e2e`,
      env: { ...process.env, ESTRIBO_BENCH_ADDRESS: server.address, ESTRIBO_BENCH_DATABASE: database.url },
      stdio: 'inherit',
    });
  }),
);
