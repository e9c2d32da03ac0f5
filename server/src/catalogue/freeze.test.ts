import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chartsToCsv } from '@estribo/core/exchange';
import { programmes } from '@estribo/core/programmes';
import request from 'supertest';
import { demoModels } from '../demo/models';
import { testClinic, type TestClinic } from '../test-clinic';
import { ChartReader } from './chart-reader';

// A chart file, however large or bad, holds up nobody who asks for something else.

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const preview = async (csv: string) =>
  (await clinic.as('orthotist')).post('/api/catalogue/import').send({ csv, preview: true });

/** Asks for health again and again until something is done. */
async function healthWhile(work: Promise<unknown>): Promise<number[]> {
  let done = false;
  void work.finally(() => (done = true)).catch(() => {});
  const answers: number[] = [];
  while (!done) answers.push((await request(clinic.app).get('/api/health')).status);
  return answers;
}

test('while a file is read that takes three seconds of computing, health is answered all the time', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'estribo-worker-'));
  const file = join(folder, 'slow.mjs');
  writeFileSync(
    file,
    `import { parentPort } from 'node:worker_threads';
     parentPort.on('message', ({ ask }) => {
       const until = Date.now() + 1500;
       while (Date.now() < until);
       parentPort.postMessage(ask === 'models' ? [] : { ok: true, changed: [], models: [], unchanged: 0 });
     });`,
  );
  const reader = new ChartReader(file);
  const read = reader.plan('', [], async () => []);
  const answers = await healthWhile(read);
  expect(await read).toMatchObject({ ok: true });
  // on the thread that reads, it would be two: before and after
  expect(answers.length).toBeGreaterThan(20);
  expect(new Set(answers)).toEqual(new Set([200]));
  rmSync(folder, { recursive: true });
});

test('a file of which nothing comes, or a worker that dies, is told as too much', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'estribo-worker-'));
  const file = join(folder, 'dies.mjs');
  writeFileSync(
    file,
    `import { parentPort } from 'node:worker_threads'; parentPort.on('message', () => { throw new Error('dead'); });`,
  );
  await expect(new ChartReader(file).plan('', [], async () => [])).rejects.toMatchObject({ status: 413 });
  rmSync(folder, { recursive: true });
});

const [head, first] = chartsToCsv(demoModels, programmes).split(/\r?\n/) as [string, string];
const rows = (make: (i: number) => string) =>
  [head, ...Array.from({ length: 9000 }, (_, i) => make(i))].join('\n');
const withSize = (i: number, from: number, to: number) =>
  first.replace(/,XS,360,395/, `,S${i},${from},${to}`);

test('the row that is repeated below has a band', () => {
  expect(first).toContain(',XS,360,395');
});

test.each<[string, string]>([
  ['bands that end before they begin', rows((i) => withSize(i, 500, 400))],
  ['no numbers', rows((i) => withSize(i, NaN, NaN))],
  ['the same row', rows(() => first)],
  ['models that say too little', rows((i) => first.replace(/^[^,]*/, `m-${i}`))],
  ['rows that are none', rows((i) => `x${i},y,z`)],
])('9000 rows of %s come back with at most 500 faults', async (_, csv) => {
  const read = preview(csv);
  const answers = await healthWhile(read);
  const { status, body } = await read;
  expect(status).toBe(422);
  expect(body.rows.length).toBeGreaterThan(0);
  expect(body.rows.length).toBeLessThanOrEqual(500);
  expect(new Set(answers)).toEqual(new Set([200]));
});

test('forty sizes are a chart, one more is said at its row', async () => {
  const sizes = (count: number) =>
    [head, ...Array.from({ length: count }, (_, i) => withSize(i, 300 + i, 301 + i))].join('\n');
  const faults = async (count: number) =>
    (((await preview(sizes(count))).body.rows ?? []) as { fault: string }[]).filter(
      ({ fault }) => fault === 'too-many',
    );
  expect(await faults(40)).toEqual([]);
  expect(await faults(41)).toEqual([{ row: 42, column: 'size', fault: 'too-many', detail: '40' }]);
});
