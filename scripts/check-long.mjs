import { execFileSync, spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { join } from 'node:path';
import { root } from './machine.mjs';

// All tests with the sweeps that "npm test" tries a part of: every view and family in the browser, every released schema,
// hundreds of bodies. What came of it is written to docs/check-long.md.
const begun = Date.now();
const tests = spawn(process.execPath, [join(root, 'scripts/test.mjs'), ...process.argv.slice(2)], {
  cwd: root,
  env: { ...process.env, ESTRIBO_LONG: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const said = [];
for await (const line of createInterface({ input: tests.stdout })) {
  console.log(line);
  said.push(line);
}
const code = tests.exitCode ?? (await new Promise((resolve) => tests.once('exit', resolve)));
process.exitCode = code ?? 1;

const git = (...words) => execFileSync('git', words, { cwd: root, encoding: 'utf8' }).trim();
const changed = git('status', '--porcelain', '--untracked-files=no') !== '';
const minutes = Math.round((Date.now() - begun) / 60_000);
const from = said.findIndex((line) => line.startsWith('The slowest files'));
// one half alone is no result to keep
if (process.argv.length === 2)
  writeFileSync(
    join(root, 'docs/check-long.md'),
    `# The last \`npm run check:long\`

Every test, with the sweeps that \`npm test\` tries a part of: each view with axe in both themes and at every size of window, each family
whole, each released schema, 200 bodies a region. Written by the command itself.

- commit ${git('rev-parse', '--short', 'HEAD')}${changed ? ' and what was changed since' : ''}, ${new Date(begun).toISOString().slice(0, 10)}
- ${said.at(-1)}, in ${minutes} minutes

\`\`\`
${said.slice(from < 0 ? -1 : from).join('\n')}
\`\`\`
`,
  );
