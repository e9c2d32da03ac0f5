import { spawnSync } from 'node:child_process';
import { checkNode, npmPackages, root } from './machine.mjs';
import { run, step, Stop } from './steps.mjs';

const bin = (name) => `${root}/node_modules/.bin/${name}`;
const checks = [
  ...['core', 'server', 'web', 'e2e'].map((part) => [`types of ${part}`, bin('tsc'), ['-p', part]]),
  ['lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['format', bin('prettier'), ['--check', '.', '--log-level', 'warn']],
  ['floors', bin('depcruise'), ['core/src', 'server/src', 'web/src', '--config', '.dependency-cruiser.cjs']],
  ['unused code', bin('knip'), []],
];

await run(async () => {
  checkNode();
  await npmPackages();
  const failed = [];
  for (const [name, program, args] of checks)
    await step(name, () => {
      const done = spawnSync(program, args, { cwd: root, encoding: 'utf8' });
      if (done.status === 0) return 'ok';
      failed.push(`${name}:\n${done.stdout}${done.stderr}`);
      return 'FAILED';
    });
  if (failed.length > 0) throw new Stop(failed.join('\n'));
});
