import type { Browser, Page } from '@playwright/test';
import { foldCase, type AnyRecordedEntry } from '@estribo/core/logbook';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import type { Connection } from 'mysql2/promise';
import { v7 } from 'uuid';

/*
 * What is measured of every commit, in the same way: the fold of a long case, a keystroke, the Bench of many cases.
 */

export const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Median time of one run in ms. */
export async function timed(runs: number, work: (i: number) => unknown): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const began = performance.now();
    await work(i);
    times.push(performance.now() - began);
  }
  return median(times);
}

/** A demo clinic with somebody signed in to it. */
export interface SignedInClinic {
  address: string;
  cookie: string;
  user: { id: string };
  get: <T>(path: string) => Promise<T>;
}

export async function signedIn(address: string): Promise<SignedInClinic> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ login: 'ana', password: 'ribanova-demo' }),
  });
  const cookie = answer.headers.getSetCookie()[0]!.split(';')[0]!;
  const { user } = (await answer.json()) as { user: { id: string } };
  const get = async <T>(path: string): Promise<T> =>
    (await (await fetch(`${address}/api${path}`, { headers: { cookie } })).json()) as T;
  return { address, cookie, user, get };
}

/** A page of the browser in which the same person is signed in. */
export async function pageOf(browser: Browser, { address, cookie }: SignedInClinic): Promise<Page> {
  const context = await browser.newContext();
  await context.addCookies([
    {
      name: cookie.split('=')[0]!,
      value: decodeURIComponent(cookie.split('=').slice(1).join('=')),
      url: address,
    },
  ]);
  return context.newPage();
}

/** With what a case is folded. */
export interface FoldedWith {
  programme: Programme;
  model: BraceModel;
  zone: string;
}

/** A case of the demo with all its entries and what it is folded with. */
export async function caseOf(
  { get }: SignedInClinic,
  name: string,
): Promise<{ id: string; known: AnyRecordedEntry[]; context: FoldedWith }> {
  const { cases } = await get<{ cases: { case: string }[] }>(`/cases?find=${name}`);
  const id = cases[0]!.case;
  const { entries: known } = await get<{ entries: AnyRecordedEntry[] }>(`/cases/${id}/entries?limit=1000`);
  const { programmeHash, modelHash } = await get<{ programmeHash: string; modelHash: string }>(
    `/cases/${id}`,
  );
  const [programme, model] = await Promise.all([
    get<Programme>(`/catalogue/programme/${programmeHash}`),
    get<BraceModel>(`/catalogue/model/${modelHash}`),
  ]);
  return { id, known, context: { programme, model, zone: 'Europe/Madrid' } };
}

/** A case's entries, and after them others of every stage in turn, a visit a day. */
function mixed(known: readonly AnyRecordedEntry[], count: number): AnyRecordedEntry[] {
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
}

/** ms to fold 8 000 mixed entries, and 2 000 of them. */
export async function foldOfMixed(
  known: readonly AnyRecordedEntry[],
  context: FoldedWith,
): Promise<{ few: number; many: number }> {
  const [few, many] = [mixed(known, 2000), mixed(known, 8000)];
  return {
    few: await timed(10, () => foldCase(few, context)),
    many: await timed(10, () => foldCase(many, context)),
  };
}

async function keystrokes(page: Page, open: (page: Page) => Promise<void>) {
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
}

/** ms from a key to the next paint: in a reading, and in a field on an empty page; with the tasks over 50 ms meanwhile. */
export async function keystrokeInReading(
  browser: Browser,
  clinic: SignedInClinic,
): Promise<{ median: number; long: number; plain: number }> {
  const { cases } = await clinic.get<{ cases: { case: string }[] }>('/cases?find=Xoel');
  const inReading = await keystrokes(await pageOf(browser, clinic), async (page) => {
    await page.goto(`${clinic.address}/cases/${cases[0]!.case}/measure`);
    await page.locator('input[data-reading]').first().waitFor();
    await page.locator('input[data-reading]').first().focus();
  });
  const inPlain = await keystrokes(await pageOf(browser, clinic), async (page) => {
    await page.goto(`${clinic.address}/api/health`);
    await page.setContent('<input autofocus>');
    await page.locator('input').focus();
  });
  return { ...inReading, plain: inPlain.median };
}

/** ms for the Bench: of the demo's cases, and of more than a thousand, which are put into the database for it. */
export async function benchOfMany(
  { get }: SignedInClinic,
  db: Connection,
): Promise<{ few: number; many: number; count: number }> {
  const bench = () => get('/bench?skip=0');
  const few = await timed(20, bench);
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
  return { few, many: await timed(20, bench), count };
}
