import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { built, checkNode, chromium, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { run, step, Stop } from './steps.mjs';

// All tests: units and routes by Jest, the interface by Playwright, against a MariaDB thrown away afterwards.
// `npm test -- unit [jest arguments]` or `npm test -- e2e [playwright arguments]` runs one half.
const [half, ...more] = process.argv.slice(2);
let passed = 0;
let failed = 0;

function jest(env, report) {
  const args = [
    '--forceExit',
    '--maxWorkers=2',
    '--json',
    `--outputFile=${report}`,
    ...(half === 'unit' ? more : []),
  ];
  const done = spawnSync(`${root}/node_modules/.bin/jest`, args, {
    cwd: root,
    env,
    stdio: ['ignore', 'inherit', 'inherit'],
    timeout: 60 * 60_000,
  });
  if (!existsSync(report)) return void (failed += 1);
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
  if (done.status !== 0 && failed === 0) failed += 1;
}

/** Names of the tests of a report that passed only when they were tried again. */
const flaky = ({ suites = [], specs = [], title }, above = []) => {
  const path = [...above, title].filter(Boolean);
  return [
    ...specs
      .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
      .map((spec) => [...path, spec.title].join(' › ')),
    ...suites.flatMap((suite) => flaky(suite, path)),
  ];
};
const onRetry = [];

function playwright(env, report) {
  const done = spawnSync(`${root}/node_modules/.bin/playwright`, ['test', ...(half === 'e2e' ? more : [])], {
    cwd: `${root}/e2e`,
    env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
    stdio: ['ignore', 'inherit', 'inherit'],
    timeout: 80 * 60_000,
  });
  if (!existsSync(report)) return void (failed += 1);
  const { stats, suites } = JSON.parse(readFileSync(report, 'utf8'));
  onRetry.push(...suites.flatMap((suite) => flaky(suite)));
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
  if (done.status !== 0 && failed === 0) failed += 1;
}

await run(async () => {
  checkNode();
  await debianPackages([mariadb, chromium]);
  await npmPackages();
  const folder = mkdtempSync(join(tmpdir(), 'estribo-test-'));
  let database;
  try {
    await step('starting a database for the tests', async () => {
      database = await startDatabase(folder, { port: 14306, durable: false });
    });
    const env = {
      ...process.env,
      ESTRIBO_TEST_DATABASE_URL: database.url,
      ESTRIBO_TEST_FOLDER: folder,
      TZ: 'UTC',
    };
    if (half !== 'e2e') {
      await step('building what the tests run in a worker', () => {
        const done = spawnSync(process.execPath, ['build.mjs'], {
          cwd: join(root, 'server'),
          encoding: 'utf8',
        });
        if (done.status !== 0) throw new Stop(`The build failed:\n${done.stdout}${done.stderr}`);
      });
      jest(env, join(folder, 'jest.json'));
    }
    if (half !== 'unit') {
      await built();
      playwright(env, join(folder, 'playwright.json'));
    }
  } finally {
    await database?.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
if (process.exitCode) failed += 1;
for (const name of onRetry) console.log(`passed on retry only: ${name}`);
console.log(`${passed} passed, ${failed} failed`);
if (failed > 0 || passed === 0) process.exitCode = 1;
