import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { built, checkNode, chromium, debianPackages, mariadb, npmPackages, root } from './machine.mjs';
import { run, step } from './steps.mjs';

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
    timeout: 15 * 60_000,
  });
  if (!existsSync(report)) return void (failed += 1);
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
  if (done.status !== 0 && failed === 0) failed += 1;
}

function playwright(env, report) {
  const done = spawnSync(`${root}/node_modules/.bin/playwright`, ['test', ...(half === 'e2e' ? more : [])], {
    cwd: `${root}/e2e`,
    env: { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
    stdio: ['ignore', 'inherit', 'inherit'],
    timeout: 25 * 60_000,
  });
  if (!existsSync(report)) return void (failed += 1);
  const { stats } = JSON.parse(readFileSync(report, 'utf8'));
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
    if (half !== 'e2e') jest(env, join(folder, 'jest.json'));
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
console.log(`${passed} passed, ${failed} failed`);
if (failed > 0 || passed === 0) process.exitCode = 1;
