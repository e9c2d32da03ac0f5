import { execFile, spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { createConnection } from 'mysql2/promise';
import { freePort, secretIn, startDatabase } from '../../scripts/database.mjs';
import { startOver } from '../../scripts/run-clinic.mjs';
import { startServer } from '../../scripts/server.mjs';

const root = fileURLToPath(new URL('../..', import.meta.url));

// one database at a time: the other worker has enough to do
test.describe.configure({ mode: 'default' });

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'estribo-start-'));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

const pidOf = () => Number(readFileSync(join(folder, 'db.pid'), 'utf8'));
const alive = (pid: number) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

test('a database of our own: on loopback, with a password of mode 600, and no root over the network', async () => {
  const database = await startDatabase(folder, { port: 15406, durable: true });
  try {
    expect(database.url).toMatch(/^mysql:\/\/estribo:[0-9a-f]{48}@127\.0\.0\.1:\d+\/estribo$/);
    expect(statSync(join(folder, 'password')).mode & 0o777).toBe(0o600);
    const ours = await createConnection(database.url);
    const [[settings]] = (await ours.query(
      'SELECT @@bind_address AS bind, @@innodb_flush_log_at_trx_commit AS durable, @@time_zone AS zone',
    )) as unknown as [[{ bind: string; durable: number; zone: string }]];
    expect(settings).toEqual({ bind: '127.0.0.1', durable: 1, zone: '+00:00' });
    await ours.end();
    const asRoot = createConnection({ host: '127.0.0.1', port: database.port, user: 'root' });
    await expect(asRoot).rejects.toThrow(/denied/);
  } finally {
    await database.stop();
  }
});

test('a commit is on disk: it is there after the database was killed, and the next start takes over', async () => {
  const first = await startDatabase(folder, { port: 15426, durable: true });
  const connection = await createConnection(first.url);
  await connection.query('CREATE TABLE kept (word varchar(20))');
  await connection.query("INSERT INTO kept VALUES ('stirrup')");
  connection.on('error', () => {});
  process.kill(pidOf(), 'SIGKILL');
  const second = await startDatabase(folder, { port: 15426, durable: true });
  try {
    const again = await createConnection(second.url);
    const [rows] = await again.query('SELECT word FROM kept');
    expect(rows).toEqual([{ word: 'stirrup' }]);
    await again.end();
  } finally {
    await second.stop();
  }
});

test('one that an interrupted start left behind is shut down; stopping leaves nothing running', async () => {
  await startDatabase(folder, { port: 15446, durable: false });
  const left = pidOf();
  const next = await startDatabase(folder, { port: 15446, durable: false });
  expect(alive(left)).toBe(false);
  const running = pidOf();
  await next.stop();
  expect(alive(running)).toBe(false);
});

test('a port that is taken is passed over for the next one', async () => {
  const taken = createServer().listen(15466, '127.0.0.1');
  await new Promise((resolve) => taken.once('listening', resolve));
  expect(await freePort(15466)).toBe(15467);
  await new Promise((resolve) => taken.close(resolve));
  expect(await freePort(15466)).toBe(15466);
});

test('a secret is made once', () => {
  const file = join(folder, 'secret');
  const secret = secretIn(file);
  expect(secret).toMatch(/^[0-9a-f]{48}$/);
  expect(secretIn(file)).toBe(secret);
});

test('a database that does not answer gets one line that says what to do, and no stack', async () => {
  const { code, said } = await new Promise<{ code: number | null; said: string }>((resolve) => {
    execFile(
      process.execPath,
      [`${root}server/dist/main.mjs`],
      {
        env: {
          ...process.env,
          ESTRIBO_DATABASE_URL: 'mysql://nobody:x@127.0.0.1:1/none',
          ESTRIBO_SEAL_FOLDER: join(folder, 'seal'),
        },
      },
      (error, _out, stderr) =>
        resolve({ code: (error?.code as number | undefined) ?? 0, said: stderr.trim() }),
    );
  });
  expect(code).toBe(1);
  expect(said.split('\n')).toHaveLength(1);
  expect(said).toMatch(/^The database does not answer .* ESTRIBO_DATABASE_URL names it\.$/);
});

test('a folder whose name has a space holds a database as any other', async () => {
  const spaced = join(folder, 'a space', 'and another');
  const database = await startDatabase(spaced, { port: 15486, durable: false });
  const connection = await createConnection(database.url);
  await connection.query('CREATE TABLE kept (word varchar(20))');
  await connection.end();
  await database.stop();
});

test('a start that is killed leaves no database behind', async () => {
  const script = join(folder, 'start.mjs');
  writeFileSync(
    script,
    `import { startDatabase } from ${JSON.stringify(join(root, 'scripts/database.mjs'))};
     await startDatabase(${JSON.stringify(join(folder, 'killed'))}, { port: 15506, durable: false });
     console.log('started');
     setInterval(() => {}, 1000);`,
  );
  const starting = spawn(process.execPath, [script], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((resolve) => starting.stdout.once('data', resolve));
  const pid = Number(readFileSync(join(folder, 'killed', 'db.pid'), 'utf8'));
  expect(alive(pid)).toBe(true);
  starting.kill('SIGKILL');
  await expect.poll(() => alive(pid)).toBe(false);
});

test('what a server says to its operator is passed on line by line, whatever comes with it in one piece', async () => {
  mkdirSync(join(folder, 'server/dist'), { recursive: true });
  writeFileSync(
    join(folder, 'server/dist/main.mjs'),
    `import { createServer } from 'node:http';
     process.stdout.write('{"level":30,"msg":"listening"}\\nOne-time code: ABCD-EFGH\\nhalf a ');
     createServer((_req, res) => res.end('{}')).listen(Number(process.env.ESTRIBO_PORT), '127.0.0.1');
     setTimeout(() => process.stdout.write('line\\n'), 50);`,
  );
  const said: string[] = [];
  const log = console.log;
  console.log = (line: string) => void said.push(...line.split('\n').filter(Boolean));
  try {
    const server = await startServer({ root: folder, port: await freePort(15526), env: {} });
    await expect.poll(() => said).toContain('half a line');
    await server.stop();
  } finally {
    console.log = log;
  }
  expect(said).toContain('One-time code: ABCD-EFGH');
});

test('starting over deletes what the demo made and no secret that was set', () => {
  const [below, elsewhere] = [join(folder, 'workplace'), join(folder, 'elsewhere')];
  for (const one of [join(below, 'database'), join(below, 'database-seal'), join(below, 'clinic'), elsewhere])
    mkdirSync(one, { recursive: true });
  writeFileSync(join(elsewhere, 'key'), 'the secret of a clinic');
  expect(() => startOver('database', { below, seal: elsewhere })).toThrow(/has the secret of a clinic/);
  expect([join(below, 'database'), join(elsewhere, 'key')].every(existsSync)).toBe(true);
  startOver('database', { below, seal: join(folder, 'empty') });
  expect(['database', 'database-seal', 'clinic'].map((one) => existsSync(join(below, one)))).toEqual([
    false,
    false,
    true,
  ]);
  expect(existsSync(join(elsewhere, 'key'))).toBe(true);
});
