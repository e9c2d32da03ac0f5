import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { foldCase, type AnyRecordedEntry } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { daysFrom } from '@estribo/core/calendar';
import { limitsOf, type Order } from '@estribo/core/order';
import { bestPlace, chooseSetting, meanTravel, scheduleOf, travelOver } from '@estribo/core/setting';
import { bestFit } from '@estribo/core/sizing';
import { createConnection } from 'mysql2/promise';
import { benchShaping } from './bench-shaping';
import { benchWearing } from './bench-wearing';
import { followUpTouches, mostOfFollowUp, sleeveTouches } from './touches';
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

// a mixed case of 8 000 entries against one of 2 000: linear is four times
const mixed = (count: number): AnyRecordedEntry[] => {
  const written: readonly [kind: string, stage: string, body: (i: number) => object][] = [
    [
      'measure.read',
      'measure',
      (i) => ({ step: 'girth-above', side: 'right', value: 430 + (i % 7), instrument: 'tape' }),
    ],
    [
      'measure.read',
      'review',
      (i) => ({ step: 'girth-below', side: 'right', value: 340 + (i % 7), instrument: 'tape' }),
    ],
    ['review.found', 'review', (i) => ({ skin: 'clear', pain: i % 10 })],
    ['check.recorded', 'check', (i) => ({ check: 'toes-warm-moving-felt', seen: i % 9 > 0 })],
    ['strap.begun', 'strap', () => ({})],
    ['strap.done', 'strap', () => ({ step: 'open-all', pass: 1 })],
    [
      'visit.planned',
      'case',
      (i) => ({ day: `2026-12-${String((i % 28) + 1).padStart(2, '0')}`, purpose: 'review' }),
    ],
    [
      'motion.tested',
      'review',
      (i) => ({
        side: 'right',
        mode: 'passive',
        extension: 0,
        flexion: 60 + (i % 30),
        limitReached: { extension: false, flexion: false },
      }),
    ],
  ];
  return [
    ...known,
    ...Array.from({ length: count - known.length }, (_, i) => {
      const [kind, stage, of] = written[i % written.length]!;
      // a visit a day
      const observedAt = new Date(
        Date.parse('2024-01-01T09:00:00Z') + Math.floor(i / 40) * 86_400_000,
      ).toISOString();
      return {
        ...known[0]!,
        id: v7(),
        kind,
        stage,
        v: 1,
        body: of(i),
        observedAt,
        receivedAt: observedAt,
        seq: known.length + i + 1,
      } as AnyRecordedEntry;
    }),
  ];
};
const [few, many] = [mixed(2000), mixed(8000)];
const foldFew = await timed(10, () => foldCase(few, context));
const foldMany = await timed(10, () => foldCase(many, context));
say('fold of a mixed case of 8 000 entries', foldMany, 'ms', 'one of 2 000 (linear is 4)', foldFew);

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
const signedInPage = async () => {
  const context = await browser.newContext();
  await context.addCookies([
    {
      name: cookie.split('=')[0]!,
      value: decodeURIComponent(cookie.split('=').slice(1).join('=')),
      url: address,
    },
  ]);
  return context.newPage();
};

// a keystroke in a reading, from the key to the next paint, against one in a field on an empty page
const keystrokes = async (open: (page: Page) => Promise<void>) => {
  const page = await signedInPage();
  await open(page);
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    const seen = window as unknown as { took: number[]; long: number };
    seen.took = [];
    seen.long = 0;
    new PerformanceObserver((list) => {
      seen.long += list.getEntries().length;
    }).observe({ type: 'longtask' });
    addEventListener(
      'keydown',
      () => {
        const began = performance.now();
        requestAnimationFrame(() => setTimeout(() => seen.took.push(performance.now() - began)));
      },
      { capture: true },
    );
  });
  for (let i = 0; i < 40; i += 1) {
    await page.keyboard.press(i % 4 === 3 ? 'Backspace' : String(i % 10));
    await page.waitForTimeout(40);
  }
  const { took, long } = await page.evaluate(() => {
    const seen = window as unknown as { took: number[]; long: number };
    return { took: seen.took, long: seen.long };
  });
  await page.context().close();
  return { median: median(took), long };
};
const { cases: measured } = await get<{ cases: { case: string }[] }>('/cases?find=Xoel');
const inReading = await keystrokes(async (page) => {
  await page.goto(`${address}/cases/${measured[0]!.case}/measure`);
  await page.locator('input[data-reading]').first().waitFor();
  await page.locator('input[data-reading]').first().focus();
});
const inPlain = await keystrokes(async (page) => {
  await page.goto(`${address}/api/health`);
  await page.setContent('<input autofocus>');
  await page.locator('input').focus();
});
say(
  'a keystroke in a reading, to the next paint',
  inReading.median,
  'ms',
  'in a field on an empty page',
  inPlain.median,
);
console.log(`tasks over 50 ms while forty keys were pressed: ${inReading.long} (aim: none)`);

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
const bench = () => get('/bench?skip=0');
const benchOfFew = await timed(20, bench);
const columnsOf = async (table: string, key: string) => {
  const [rows] = await db.query(`SHOW COLUMNS FROM \`${table}\``);
  return (rows as { Field: string }[]).map(({ Field }) => Field).filter((name) => name !== key);
};
const [ofCase, ofSummary] = [await columnsOf('case', 'id'), await columnsOf('summary', 'case')];
const quoted = (names: string[], from: string) => names.map((name) => `${from}\`${name}\``).join(', ');
await db.query('CREATE TEMPORARY TABLE first SELECT id FROM `case`');
for (let i = 0; i < 60; i += 1) {
  await db.query('CREATE TEMPORARY TABLE copy SELECT id, UUID() AS other FROM first');
  await db.query(
    `INSERT INTO \`case\` (id, ${quoted(ofCase, '')}) SELECT copy.other, ${quoted(ofCase, 'c.')} FROM copy JOIN \`case\` c ON c.id = copy.id`,
  );
  await db.query(
    `INSERT INTO summary (\`case\`, ${quoted(ofSummary, '')}) SELECT copy.other, ${quoted(ofSummary, 's.')} FROM copy JOIN summary s ON s.\`case\` = copy.id`,
  );
  await db.query('DROP TEMPORARY TABLE copy');
}
const [[{ count }]] = (await db.query('SELECT COUNT(*) AS count FROM `case`')) as unknown as [
  [{ count: number }],
];
say(`the Bench of ${count} cases`, await timed(20, bench), 'ms', 'that of the demo’s alone', benchOfFew);

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
