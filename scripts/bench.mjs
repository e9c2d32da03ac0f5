import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root, workplace } from './machine.mjs';
import { run, Stop } from './steps.mjs';
import { throwAwayClinic } from './throw-away.mjs';

// Speed, measured against named baselines in one run on a durable database of its own, and the main ones against the commit
// before: `npm run bench`, or `npm run bench -- REV` for another commit to compare with. Never asserted.

const git = (...args) => spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.trim();

/** Bundled as the server is: what is measured is what runs. @param of the tree whose core is measured */
function bundled(entry, of = root) {
  const bundle = join(root, 'e2e/dist', `${entry}${of === root ? '' : '-of-before'}.mjs`);
  const done = spawnSync(
    `${root}/node_modules/.bin/esbuild`,
    [
      `${entry}.ts`,
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--external:@playwright/test',
      '--external:mysql2',
      `--outfile=${bundle}`,
      '--log-level=warning',
      ...(of === root
        ? []
        : ['logbook', 'programmes'].map(
            (floor) => `--alias:@estribo/core/${floor}=${of}/core/src/${floor}/index.ts`,
          )),
    ],
    { cwd: `${root}/e2e`, stdio: 'inherit' },
  );
  if (done.status !== 0) throw new Stop('The bench could not be bundled.');
  return bundle;
}

const measured = (bundle, { server, database }, stdio) =>
  spawnSync(process.execPath, [bundle], {
    cwd: `${root}/e2e`,
    env: { ...process.env, ESTRIBO_BENCH_ADDRESS: server.address, ESTRIBO_BENCH_DATABASE: database.url },
    stdio,
    encoding: 'utf8',
  });

/** The main measures of a tree, on a clinic of its own. */
async function mainOf(tree) {
  const { throwAwayClinic: clinicOf } =
    tree === root ? { throwAwayClinic } : await import(`${tree}/scripts/throw-away.mjs`);
  let said;
  await clinicOf({ port: 14506, durable: true }, (clinic) => {
    said = measured(bundled('bench-before', tree), clinic, ['ignore', 'pipe', 'inherit']).stdout;
  });
  return JSON.parse(said.trim().split('\n').at(-1));
}

/** Of two rounds the faster: what else the machine did meanwhile is not the commit's. */
const faster = (one, other) =>
  Object.fromEntries(Object.keys(one).map((what) => [what, Math.min(one[what], other[what])]));

/** A commit as a tree of its own: its scripts install and build it. */
function treeOf(rev) {
  const tree = join(workplace, 'before');
  rmSync(tree, { recursive: true, force: true });
  mkdirSync(workplace, { recursive: true });
  const clone = spawnSync('git', ['clone', '-q', root, tree]);
  if (clone.status !== 0 || spawnSync('git', ['checkout', '-q', rev], { cwd: tree }).status !== 0)
    throw new Stop(`There is no commit ${rev} to compare with.`);
  return tree;
}

await run(async () => {
  await throwAwayClinic({ port: 14406, durable: true }, (clinic) => {
    measured(bundled('bench'), clinic, 'inherit');
  });
  const rev = process.argv[2] ?? (git('status', '--porcelain') === '' ? 'HEAD~1' : 'HEAD');
  const named = git('log', '-1', '--format=%h %s', rev);
  if (named === '') {
    console.log('There is no commit before to compare with.');
    return;
  }
  console.log(`against the commit before (${named.slice(0, 80)}):`);
  const tree = treeOf(rev);
  // in turn, so that what is beside them on the machine is beside both
  const [was, is, wasAgain, isAgain] = [
    await mainOf(tree),
    await mainOf(root),
    await mainOf(tree),
    await mainOf(root),
  ];
  const [before, now] = [faster(was, wasAgain), faster(is, isAgain)];
  for (const [what, of] of [
    ['fold of a mixed case of 8 000 entries', 'fold'],
    ['the Bench of more than 1 000 cases', 'bench'],
    ['a keystroke in a reading, to the next paint', 'key'],
  ])
    console.log(
      `  ${what}: ${now[of].toFixed(2)} ms; ${(now[of] / before[of]).toFixed(2)} times before (${before[of].toFixed(2)} ms)`,
    );
  console.log(`  tasks over 50 ms while forty keys were pressed: ${now.long}; before ${before.long}`);
});
