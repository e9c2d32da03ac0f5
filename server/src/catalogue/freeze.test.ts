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

test('while a file is read, health is answered again and again', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'estribo-worker-'));
  const [file, flag] = [join(folder, 'slow.mjs'), join(folder, 'enough')];
  // computes without a pause until the flag is there: on the thread that answers, it would never come
  writeFileSync(
    file,
    `import { existsSync } from 'node:fs';
     import { parentPort } from 'node:worker_threads';
     parentPort.on('message', ({ ask }) => {
       while (!existsSync(${JSON.stringify(flag)}));
       parentPort.postMessage(ask === 'models' ? [] : { ok: true, changed: [], models: [], unchanged: 0 });
     });`,
  );
  const read = new ChartReader(file).plan('', [], async () => []);
  for (let i = 0; i < 20; i += 1) expect((await request(clinic.app).get('/api/health')).status).toBe(200);
  writeFileSync(flag, '');
  expect(await read).toMatchObject({ ok: true });
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
