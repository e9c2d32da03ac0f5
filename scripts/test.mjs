import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
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
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  for (const { name, startTime, endTime } of testResults) {
    took.push({ file: relative(root, name), seconds: (endTime - startTime) / 1000 });
  }
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

/** Where a file lies in memory, if there is room for a database: it is thrown away, and a disk is slow. */
function inMemory() {
  const place = '/dev/shm';
  if (!existsSync(place)) return undefined;
  const { bavail, bsize } = statfsSync(place);
  return bavail * bsize > 4e9 ? place : undefined;
}

/** How long each file took, in seconds: the ten slowest are printed at the end. */
const took = [];

/** The file and the seconds of every browser test of a report. */
const times = ({ suites = [], specs = [], file }) => [
  ...specs.flatMap(({ tests }) =>
    tests.flatMap(({ results }) =>
      results.map(({ duration }) => ({ file: `e2e/tests/${file}`, seconds: duration / 1000 })),
    ),
  ),
  ...suites.flatMap(times),
];

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
  const perFile = new Map();
  for (const { file, seconds } of suites.flatMap(times)) {
    perFile.set(file, (perFile.get(file) ?? 0) + seconds);
  }
  for (const [file, seconds] of perFile) took.push({ file, seconds });
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
  if (done.status !== 0 && failed === 0) failed += 1;
}

await run(async () => {
  checkNode();
  await debianPackages([mariadb, chromium]);
  await npmPackages();
  const folder = mkdtempSync(join(inMemory() ?? tmpdir(), 'estribo-test-'));
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
const slowest = took.sort((one, other) => other.seconds - one.seconds).slice(0, 10);
if (slowest.length > 1) console.log('The slowest files, each on its own clock:');
if (slowest.length > 1)
  for (const { file, seconds } of slowest) console.log(`${Math.round(seconds)} s  ${file}`);
for (const name of onRetry) console.log(`passed on retry only: ${name}`);
console.log(`${passed} passed, ${failed} failed`);
if (failed > 0 || passed === 0) process.exitCode = 1;
