import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { foldCase, type AnyRecordedEntry } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { bestFit } from '@estribo/core/sizing';
import { createConnection } from 'mysql2/promise';
import { v7 } from 'uuid';

const address = process.env.ESTRIBO_BENCH_ADDRESS!;
const db = await createConnection(process.env.ESTRIBO_BENCH_DATABASE!);

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Median time of one run in ms. */
async function timed(runs: number, work: (i: number) => unknown): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const began = performance.now();
    await work(i);
    times.push(performance.now() - began);
  }
  return median(times);
}

const say = (what: string, measured: number, unit: string, baseline: string, base: number) =>
  console.log(
    `${what}: ${measured.toFixed(2)} ${unit}; ${(measured / base).toFixed(1)} times ${baseline} (${base.toFixed(2)} ${unit})`,
  );

// signing in
const signedIn = await fetch(`${address}/api/session`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify({ login: 'ana', password: 'ribanova-demo' }),
});
const cookie = signedIn.headers.getSetCookie()[0]!.split(';')[0]!;
const { user } = (await signedIn.json()) as { user: { id: string } };
const get = async <T>(path: string): Promise<T> =>
  (await (await fetch(`${address}/api${path}`, { headers: { cookie } })).json()) as T;

// append through the API against a bare insert of the same row
const { cases } = await get<{ cases: { case: string; personName: string }[] }>('/cases?find=Uxia');
const caseId = cases[0]!.case;
const entry = (i: number) => ({
  id: v7(),
  case: caseId,
  stage: 'measure',
  kind: 'measure.read',
  v: 1,
  observedAt: new Date().toISOString(),
  zone: 'Europe/Madrid',
  by: user.id,
  body: { step: 'girth-above', side: 'right', value: 430 + (i % 5), instrument: 'tape' },
});
const append = await timed(200, (i) =>
  fetch(`${address}/api/cases/${caseId}/entries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', cookie },
    body: JSON.stringify(entry(i)),
  }).then((answer) => answer.text()),
);
await db.query('CREATE TABLE bare LIKE entry');
const insert = await timed(200, (i) => {
  const row = entry(i);
  return db.query(
    'INSERT INTO bare (`case`, seq, id, content, salt, salted, hash, receivedAt, mac) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [caseId, i, row.id, JSON.stringify(row), 'a'.repeat(64), 'b'.repeat(64), 'c'.repeat(64), new Date(), ''],
  );
});
say(
  'append of an entry through the API',
  append,
  'ms',
  'a bare insert of the same row by the same driver',
  insert,
);

// fold of a case of 2 000 entries against parsing the same entries
const known = (await get<{ entries: AnyRecordedEntry[] }>(`/cases/${caseId}/entries?limit=1000`)).entries;
const head = await get<{ programmeHash: string; modelHash: string }>(`/cases/${caseId}`);
const [programme, model] = await Promise.all([
  get<Programme>(`/catalogue/programme/${head.programmeHash}`),
  get<BraceModel>(`/catalogue/model/${head.modelHash}`),
]);
const long = Array.from({ length: 2000 }, (_, i): AnyRecordedEntry => {
  const from = known[i % known.length]!;
  return i < known.length
    ? from
    : ({
        ...from,
        id: v7(),
        kind: 'review.found',
        stage: 'review',
        body: { skin: 'clear', pain: i % 10 },
        seq: i + 1,
      } as AnyRecordedEntry);
});
const text = JSON.stringify(long);
const context = { programme, model, zone: 'Europe/Madrid' };
const fold = await timed(20, () => foldCase(long, context));
const parse = await timed(20, () => JSON.parse(text) as unknown);
say('fold of a case of 2 000 entries', fold, 'ms', 'parsing the same entries as JSON', parse);

// the same, each entry seen for the first time: it is held against its schema
const cold = await timed(5, () => foldCase(JSON.parse(text) as AnyRecordedEntry[], context));
say('fold of the same case, every entry new to the process', cold, 'ms', 'parsing them as JSON', parse);

// opening a case computes every hash of it again, against sending its entries
const proof = await timed(20, () => get(`/cases/${caseId}`));
const sent = await timed(20, () => get(`/cases/${caseId}/entries?limit=1000`));
say(`proof of a case of ${known.length} entries`, proof, 'ms', 'sending its entries', sent);

// twenty writers at once on one case, against one after the other
const post = (i: number) =>
  fetch(`${address}/api/cases/${caseId}/entries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', cookie },
    body: JSON.stringify(entry(i)),
  }).then((answer) => answer.text());
const atOnce = await timed(5, () => Promise.all(Array.from({ length: 20 }, (_, i) => post(i))));
const inTurn = await timed(5, async () => {
  for (let i = 0; i < 20; i += 1) await post(i);
});
say('twenty writers at once on one case', atOnce, 'ms', 'the same twenty one after the other', inTurn);

// best fit over 5 000 models of 12 sizes and 3 axes, against reading the same models as JSON
const sizes = Array.from({ length: 12 }, (_, i) => `s${i}`);
const catalogue = Array.from({ length: 5000 }, (_, n) => ({
  version: 1,
  sizes,
  axes: ['girth-above', 'girth-below', 'knee-width'].map((reading, a) => ({
    reading,
    resolution: 0,
    bands: sizes.map((size, i) => {
      const start = [300, 220, 80][a]! + (n % 37);
      const stride = [28, 22, 6][a]! + (n % 5) / 2;
      return { size, from: start + i * stride, to: start + (i + 1) * stride };
    }),
  })),
  between: 'larger' as const,
  disagree: (['larger', 'primary', 'made-to-measure'] as const)[n % 3]!,
}));
const reading = (mean: number) => ({ mean, repeatPart: 1.8, sharedPart: 3, repeats: 2 });
const body = {
  'girth-above': reading(462),
  'girth-below': reading(348),
  'knee-width': { ...reading(112), sharedPart: 0, alone: 1.5 },
};
const stored = JSON.stringify(catalogue);
const ranked = await timed(10, () =>
  bestFit(catalogue.map((chart, i) => ({ model: i, chart, readings: body }))),
);
const parsed = await timed(10, () => JSON.parse(stored) as unknown);
say(
  'best fit over 5 000 models of 12 sizes and 3 axes (aim: under 100)',
  ranked,
  'ms',
  'parsing their charts as JSON',
  parsed,
);

// first load: JavaScript over the wire and time to the Bench, against a page without any
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const toBench = async () => {
  const page = await (await browser.newContext({ extraHTTPHeaders: {} })).newPage();
  await page.context().addCookies([
    {
      name: cookie.split('=')[0]!,
      value: decodeURIComponent(cookie.split('=').slice(1).join('=')),
      url: address,
    },
  ]);
  const scripts: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) scripts.push(response.body().then((body) => gzipSync(body).length));
  });
  const began = performance.now();
  await page.goto(`${address}/bench`);
  await page.getByText('Marta Quintela').first().waitFor();
  const time = performance.now() - began;
  const bytes = (await Promise.all(scripts)).reduce((sum, size) => sum + size, 0);
  await page.context().close();
  return { time, bytes };
};
const loads = [await toBench(), await toBench(), await toBench(), await toBench(), await toBench()];
const bare = await timed(5, async () => {
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${address}/api/health`);
  await page.context().close();
});
console.log(`JavaScript of the first load: ${(loads[0]!.bytes / 1000).toFixed(0)} kB gzip (aim: under 300)`);
say(
  'first load to the Bench',
  median(loads.map(({ time }) => time)),
  'ms',
  'a page of plain text from the same server',
  bare,
);
await browser.close();
await db.end();
