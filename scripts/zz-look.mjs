import { spawnSync } from 'node:child_process';
import { root } from './machine.mjs';
import { run, step } from './steps.mjs';
import { throwAwayClinic } from './throw-away.mjs';
await run(() =>
  throwAwayClinic({ port: 14507, durable: false }, ({ server }) =>
    step('looking', () => {
      spawnSync(process.execPath, ['--import', 'tsx', `${root}/e2e/zz-look.ts`], { cwd: `${root}/e2e`, env: { ...process.env, A: server.address }, stdio: 'inherit' });
    }),
  ),
);
