import { spawnSync } from 'node:child_process';
import { root } from './machine.mjs';

// Twenty thousand requests made by chance; "npm test" makes two thousand.
const done = spawnSync(
  process.execPath,
  [`${root}/scripts/test.mjs`, 'unit', '--selectProjects', 'server', '--', 'generated'],
  {
    env: { ...process.env, ESTRIBO_GENERATED: process.argv[2] ?? '20000' },
    stdio: 'inherit',
  },
);
process.exitCode = done.status ?? 1;
