import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import jest from '../jest.config.mjs';
import { root, workplace } from './machine.mjs';
import { run, Stop } from './steps.mjs';

// Puts faults into a part of the core on purpose and counts how many its own tests find:
// `npm run mutate -- screening` or `npm run mutate -- sizing/match`. Not in `npm test`: it takes minutes.
// With `--lived` behind it only those faults are tried again that lived the last time: for tests that came since.
const part = process.argv[2];
const onlyLived = process.argv.includes('--lived');
const found = ['Killed', 'Timeout'];
const lives = ['Survived', 'NoCoverage'];
const nameOf = ({ location: { start, end }, mutatorName, replacement }) =>
  [start.line, start.column, end.line, end.column, mutatorName, replacement].join(' ');

/** What a report says of its faults, with the newer one's word for those that were tried again. */
function joined(before, after) {
  for (const [file, { mutants }] of Object.entries(after.files)) {
    const now = new Map(mutants.map((mutant) => [nameOf(mutant), mutant]));
    const of = before.files[file];
    of.mutants = of.mutants.map((mutant) =>
      lives.includes(mutant.status) ? (now.get(nameOf(mutant)) ?? mutant) : mutant,
    );
  }
  return before;
}
const fewCases = `import fc from ${JSON.stringify(createRequire(join(root, 'core/package.json')).resolve('fast-check'))};
const assert = (property: never, more?: { numRuns?: number }) =>
  fc.assert(property, { ...more, numRuns: Math.min(more?.numRuns ?? 100, 30) });
export default { ...fc, assert };
`;

await run(() => {
  if (!part) throw new Stop('Say which part of core/src: a folder, or a file without its ending.');
  const [folder] = part.split('/');
  const folderAt = (name) => join(root, 'core/src', name);
  const tests = readdirSync(folderAt(folder))
    // every value spoilt in turn: too long to run for each fault, and it asks for no rule
    .filter((file) => file.endsWith('.test.ts') && file !== 'spoilt.test.ts' && file !== 'every.test.ts')
    .map((file) => file.replace(/\.ts$/, ''));
  // in one file, so that the core is loaded once for each fault and not once for each test file
  const every = join(folderAt(folder), 'every.test.ts');
  // a property that is tried with hundreds of cases is tried with a few for each fault: what is found so is found by all of them
  const few = join(folderAt(folder), 'few-cases.ts');
  const [core] = jest.projects;
  const place = join(workplace, 'mutate');
  mkdirSync(place, { recursive: true });
  const report = join(place, `${part.replace('/', '-')}.json`);
  const before = onlyLived ? JSON.parse(readFileSync(report, 'utf8')) : undefined;
  for (const [file, { source }] of Object.entries(before?.files ?? {}))
    if (readFileSync(join(root, file), 'utf8') !== source)
      throw new Stop(`${file} was changed since: try the whole part again, without --lived.`);
  const lived = Object.entries(before?.files ?? {}).flatMap(([file, { mutants }]) =>
    mutants
      .filter(({ status }) => lives.includes(status))
      .map(({ location: { start, end } }) => `${file}:${start.line}-${end.line}`),
  );
  // a file of its own: two parts may be run at once
  const config = join(place, `${part.replace('/', '-')}.config.json`);
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'jest',
      plugins: ['@stryker-mutator/jest-runner'],
      // tests of the folder only: what a test far away finds by chance is no test of it
      jest: {
        enableFindRelatedTests: false,
        // one project in the place of the three that jest.config.mjs has
        config: {
          projects: [
            {
              displayName: 'core',
              rootDir: '<rootDir>',
              testEnvironment: 'node',
              testMatch: [`<rootDir>/core/src/${folder}/every.test.ts`],
              moduleNameMapper: { '^fast-check$': `<rootDir>/core/src/${folder}/few-cases.ts` },
              transform: core.transform,
              transformIgnorePatterns: core.transformIgnorePatterns,
            },
          ],
        },
      },
      mutate: [
        ...(onlyLived
          ? new Set(lived)
          : [part.includes('/') ? `core/src/${part}.ts` : `core/src/${part}/**/*.ts`]),
        '!core/src/**/*.test.ts',
        '!core/src/**/index.ts',
        '!core/src/**/test-*.ts',
        '!core/src/**/few-cases.ts',
        // entry kinds stand in their stages and are tested with the record that joins them
        part === 'logbook' ? 'core/src/*/entries.ts' : '!core/src/**/entries.ts',
      ],
      ignorePatterns: ['web', 'server', 'e2e', 'docs', '.estribo'],
      coverageAnalysis: 'perTest',
      ignoreStatic: true,
      concurrency: Number(process.env.MUTATE_AT_ONCE ?? 2),
      timeoutMS: 20000,
      reporters: ['clear-text', 'json', 'progress-append-only'],
      clearTextReporter: { allowColor: false, logTests: false },
      jsonReporter: { fileName: report },
      tempDirName: join(place, `sandbox-${part.replace('/', '-')}`),
      checkers: [],
    }),
  );
  writeFileSync(few, fewCases);
  writeFileSync(every, tests.map((test) => `import './${test}';\n`).join(''));
  const done = spawnSync(`${root}/node_modules/.bin/stryker`, ['run', config], {
    cwd: root,
    stdio: 'inherit',
  });
  for (const file of [every, few]) rmSync(file);
  if (done.status !== 0) throw new Stop('The faults could not be put in.');
  const after = JSON.parse(readFileSync(report, 'utf8'));
  const whole = before ? joined(before, after) : after;
  writeFileSync(report, JSON.stringify(whole));
  const mutants = Object.values(whole.files).flatMap(({ mutants: all }) => all);
  const count = (states) => mutants.filter(({ status }) => states.includes(status)).length;
  const all = count(found) + count(lives);
  console.log(
    `${part}: ${count(found)} of ${all} faults found, ${((100 * count(found)) / all).toFixed(1)} %`,
  );
});
