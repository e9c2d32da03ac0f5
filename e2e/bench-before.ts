import { chromium } from '@playwright/test';
import { createConnection } from 'mysql2/promise';
import { benchOfMany, caseOf, foldOfMixed, keystrokeInReading, signedIn } from './bench-main';

// Measures a commit, this one or the one before, and says it as JSON: bundled with the core of that commit, told its server.
const clinic = await signedIn(process.env.ESTRIBO_BENCH_ADDRESS!);
const db = await createConnection(process.env.ESTRIBO_BENCH_DATABASE!);
const { known, context } = await caseOf(clinic, 'Uxia');
const fold = await foldOfMixed(known, context);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const key = await keystrokeInReading(browser, clinic);
await browser.close();
const bench = await benchOfMany(clinic, db);
await db.end();
console.log(JSON.stringify({ fold: fold.many, key: key.median, long: key.long, bench: bench.many }));
