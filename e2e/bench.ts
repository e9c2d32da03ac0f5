import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { foldCase, type AnyRecordedEntry } from '@estribo/core/logbook';
import { daysFrom } from '@estribo/core/calendar';
import { limitsOf, type Order } from '@estribo/core/order';
import { bestPlace, chooseSetting, meanTravel, scheduleOf, travelOver } from '@estribo/core/setting';
import { bestFit } from '@estribo/core/sizing';
import { createConnection } from 'mysql2/promise';
import {
  benchOfMany,
  caseOf,
  foldOfMixed,
  keystrokeInReading,
  median,
  pageOf,
  signedIn,
  timed,
} from './bench-main';
import { benchShaping } from './bench-shaping';
import { benchWearing } from './bench-wearing';
import { followUpTouches, mostOfFollowUp, sleeveTouches } from './touches';
import { v7 } from 'uuid';

const address = process.env.ESTRIBO_BENCH_ADDRESS!;
const db = await createConnection(process.env.ESTRIBO_BENCH_DATABASE!);

const say = (what: string, measured: number, unit: string, baseline: string, base: number) =>
  console.log(
    `${what}: ${measured.toFixed(2)} ${unit}; ${(measured / base).toFixed(1)} times ${baseline} (${base.toFixed(2)} ${unit})`,
  );

const clinic = await signedIn(address);
const { cookie, user, get } = clinic;

// append through the API against a bare insert of the same row
const caseId = (await caseOf(clinic, 'Uxia')).id;
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
const { known, context } = await caseOf(clinic, 'Uxia');
const { programme, model } = context;
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
const fold = await timed(20, () => foldCase(long, context));
const parse = await timed(20, () => JSON.parse(text) as unknown);
say('fold of a case of 2 000 entries', fold, 'ms', 'parsing the same entries as JSON', parse);

// the same, each entry seen for the first time: it is held against its schema
const cold = await timed(5, () => foldCase(JSON.parse(text) as AnyRecordedEntry[], context));
say('fold of the same case, every entry new to the process', cold, 'ms', 'parsing them as JSON', parse);

// a mixed case of 8 000 entries against one of 2 000: linear is four times
const mixed = await foldOfMixed(known, context);
say('fold of a mixed case of 8 000 entries', mixed.many, 'ms', 'one of 2 000 (linear is 4)', mixed.few);

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

// the best place of a hinge over an arc, with a centre that moves, against trying places on a grid of half a millimetre
const centrePath = [0, 30, 60, 90, 120].map((angle) => ({
  angle,
  forward: -angle / 12,
  proximal: angle / 20,
}));
const hingeNow = { type: 'single-axis' as const, at: { forward: 9, proximal: 11 } };
const arc = { from: 0, to: 90 };
const placed = await timed(50, () => bestPlace(hingeNow, centrePath, 45, arc));
const onGrid = await timed(1, () => {
  let best = Infinity;
  for (let forward = -10; forward <= 10; forward += 2)
    for (let proximal = -10; proximal <= 10; proximal += 2)
      best = Math.min(
        best,
        meanTravel(travelOver({ ...hingeNow, at: { forward, proximal } }, centrePath, 45, arc)),
      );
  return best;
});
say('best place of a hinge, exact', placed, 'ms', 'trying 121 places two millimetres apart', onGrid);

// a year's schedule for 10 000 cases, phase by phase, against asking every day of the year
const knee = { joint: 'knee', plane: 'sagittal' } as const;
const yearOf = (i: number): Order => ({
  diagnosis: 'x',
  prescriber: 'x',
  side: 'right',
  dayZero: '2026-01-01',
  phases: Array.from({ length: 6 }, (_, step) => ({
    fromDay: step * (20 + (i % 40)),
    limits: limitsOf(knee, { extension: 0, flexion: 30 + step * 15 }),
  })),
  protective: true,
  wearing: 'x',
  trouble: 'keep-on',
});
const stops = programme.settings.filter(({ kind }) => kind === 'stops');
const byOn = (order: Order) => (day: string) => ({
  day,
  order,
  chart: model.chart,
  readings: {},
  hardware: model.hinge,
});
const scheduled = await timed(3, () => {
  for (let i = 0; i < 10_000; i += 1) scheduleOf(yearOf(i), stops, knee, byOn(yearOf(i)));
});
const everyDay = await timed(1, () => {
  for (let i = 0; i < 100; i += 1) {
    const order = yearOf(i);
    for (const day of daysFrom(order.dayZero, 365)) chooseSetting(stops[0]!, byOn(order)(day));
  }
});
say(
  'a year’s schedule for 10 000 cases',
  scheduled,
  'ms',
  'asking every day of the year, from 100 cases',
  everyDay * 100,
);

// first load: JavaScript over the wire and time to the Bench, against a page without any
// bars planned, and bent by the plan
await benchShaping(timed, say);
await benchWearing(timed);

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
const signedInPage = () => pageOf(browser, clinic);
// a keystroke in a reading, from the key to the next paint, against one in a field on an empty page
const keys = await keystrokeInReading(browser, clinic);
say(
  'a keystroke in a reading, to the next paint',
  keys.median,
  'ms',
  'in a field on an empty page',
  keys.plain,
);
console.log(`tasks over 50 ms while forty keys were pressed: ${keys.long} (aim: none)`);

// the hinge dragged on the figure: from the first to the last who hears of the pointer, against a square on an empty page
const drags = async (open: (page: Page) => Promise<void>) => {
  const page = await signedInPage();
  await open(page);
  const box = (await page.locator('[data-handle]').boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    const seen = window as unknown as { took: number[]; long: number; began: number };
    seen.took = [];
    seen.long = 0;
    new PerformanceObserver((list) => {
      seen.long += list.getEntries().length;
    }).observe({ type: 'longtask' });
    addEventListener('pointermove', () => (seen.began = performance.now()), { capture: true });
    addEventListener('pointermove', () => seen.took.push(performance.now() - seen.began));
  });
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 120; i += 1) {
    await page.mouse.move(x + 20 * Math.sin(i / 9), y + 20 * Math.cos(i / 7));
    await page.waitForTimeout(16);
  }
  await page.mouse.up();
  const { took, long } = await page.evaluate(() => {
    const seen = window as unknown as { took: number[]; long: number };
    return { took: seen.took, long: seen.long };
  });
  await page.context().close();
  return { median: median(took), most: Math.max(...took), long };
};
const { cases: framed } = await get<{ cases: { case: string }[] }>('/cases?find=Noa');
const hinge = await drags(async (page) => {
  await page.goto(`${address}/cases/${framed[0]!.case}/set`);
  await page.getByRole('button', { name: 'Is the hinge on the knee?' }).click();
  await page.getByLabel('Hinge over the joint line').fill('48');
});
const square = await drags(async (page) => {
  await page.goto(`${address}/api/health`);
  await page.setContent(
    '<div data-handle style="position:absolute;top:300px;left:300px;width:30px;height:30px">',
  );
});
say(
  'one move of a dragged hinge, heard',
  hinge.median,
  'ms',
  'of a bare square',
  Math.max(square.median, 0.01),
);
console.log(
  `the longest of them: ${hinge.most.toFixed(1)} ms (aim: under 8); tasks over 50 ms meanwhile: ${hinge.long} (aim: none)`,
);
// what a routine fitting takes of the hand
const hand = await browser.newContext();
const fitting = await hand.newPage();
await fitting.goto(`${address}/sign-in`);
await fitting.getByLabel('Login').fill('ana');
await fitting.getByLabel('Password').fill('ribanova-demo');
await fitting.getByRole('button', { name: 'Sign in' }).click();
await fitting.waitForURL(/bench/);
console.log(
  `touches and keys of a routine sleeve, Screen to Wear: ${await sleeveTouches(fitting)} (aim: under 45); free text pasted`,
);
console.log(
  `touches and keys of a routine follow-up of a ligament frame: ${await followUpTouches(fitting)} (aim: under ${mostOfFollowUp})`,
);
await browser.close();

// the Bench of more than 1 000 cases, against that of the demo's
const bench = await benchOfMany(clinic, db);
say(`the Bench of ${bench.count} cases`, bench.many, 'ms', 'that of the demo’s alone', bench.few);

// people found in a hundred thousand, by words in a table with an index, against one found by its key
const peopleThere = 100_000;
await db.query('CREATE TEMPORARY TABLE digit (d int)');
await db.query('INSERT INTO digit VALUES (0),(1),(2),(3),(4),(5),(6),(7),(8),(9)');
await db.query(
  `CREATE TEMPORARY TABLE fresh AS SELECT UUID() AS id, CONCAT('Given', n MOD 997) AS given, CONCAT('Family', n MOD 9973) AS family,
    DATE_ADD('1930-01-01', INTERVAL n MOD 30000 DAY) AS born FROM (SELECT a.d + 10*b.d + 100*c.d + 1000*e.d + 10000*f.d AS n
    FROM digit a JOIN (SELECT d FROM digit) b JOIN (SELECT d FROM digit) c JOIN (SELECT d FROM digit) e JOIN (SELECT d FROM digit) f) numbers`,
);
await db.query(
  "INSERT INTO person (id, givenName, familyName, givenFirst, familyFirst, born) SELECT id, given, family, CONCAT(given, ' ', family), CONCAT(family, ' ', given), born FROM fresh",
);
for (const word of [
  'LOWER(given)',
  'LOWER(family)',
  "DATE_FORMAT(born, '%Y%m%d')",
  "DATE_FORMAT(born, '%Y')",
])
  await db.query(`INSERT INTO person_word (word, person) SELECT ${word}, id FROM fresh`);
await db.query('ANALYZE TABLE person, person_word');
const [[{ id: somebody }]] = (await db.query('SELECT id FROM fresh LIMIT 1')) as unknown as [
  [{ id: string }],
];
const byKey = await timed(20, () => get(`/people/${somebody}`));
for (const [what, find] of [
  ['a whole name', 'given12 family345'],
  ['a rare beginning', 'family9972'],
  ['a beginning that all have', 'fam'],
  ['two of those', 'giv fam'],
  ['a day of birth', '1950-06-07'],
] as const)
  say(
    `people found by ${what} in ${peopleThere}`,
    await timed(5, () => get(`/people?find=${encodeURIComponent(find)}`)),
    'ms',
    'one by its key',
    byKey,
  );
await db.end();
