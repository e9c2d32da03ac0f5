import type { Page } from '@playwright/test';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { caseNamed, dayFromToday, expect, openStage, pick, beSignedIn, test } from '../clinic';
import { checkAll, giveOrder, putOn, wearAndReview } from '../fitting';
import { measureAll, openNewCase } from '../measuring';
import { followUpTouches, mostOfFollowUp, mostTouches, sleeveTouches } from '../touches';

test.beforeEach(async ({ page, clinic }) => {
  await beSignedIn(page, clinic);
});

const sixStraps = { person: 'Sabela Outeiro', region: 'Knee', side: 'right', model: /Rápido Seis/ } as const;
const sixReadings = {
  'Knee angle': ['28'],
  'Girth above': ['448', '450'],
  'Girth below': ['356', '358'],
  'Knee width': ['105', '106'],
  'Knee motion': ['0-10-125'],
  'Calf below the tuberosity': ['351', '353'],
};

test('six straps: one before its turn on purpose, five minutes, every strap once more, then the ends cut', async ({
  page,
  clinic,
}) => {
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, sixStraps);
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'Front cruciate ligament', exact: true }).click();
  await giveOrder(page, { limits: { Extension: '10' } });
  await page.getByRole('link', { name: /^Measure/ }).click();
  await measureAll(page, sixReadings);
  await page.getByRole('button', { name: 'On to Size' }).click();
  await page
    .getByRole('button', { name: /^Take size/ })
    .first()
    .click();
  await page.getByRole('link', { name: /^Set/ }).click();
  await page.getByRole('button', { name: /^Choose 10/ }).click();
  await page.getByRole('button', { name: /^In both hinges/ }).click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  const main = page.getByRole('main');
  // nothing is cut before the list says so
  await expect(main.getByText(/Nothing is cut before it went on/)).toBeVisible();
  // open all, level, cuff, 1, 2; then strap 4 before the thigh cuff and strap 3
  for (const name of ['Done', 'Done', 'Done', 'Strap 1 is closed', 'Strap 2 is closed'])
    await main.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await expect(main.getByText('Thigh cuff flat').first()).toBeVisible();
  await main.getByRole('button', { name: /^8\. Strap 4/ }).click();
  await page.getByRole('button', { name: /^Do it now: Strap 4/ }).click();
  await main.getByRole('button', { name: /^Strap 4 is closed/ }).click();
  await expect(
    page.getByRole('region', { name: 'Record' }).getByText('before its turn', { exact: false }),
  ).toBeVisible();
  const done = await putOn(page);
  expect(done.map((name) => name.split(',')[0])).toEqual([
    'Thigh cuff flat',
    'Strap 3',
    'Strap 5',
    'Strap 6',
    'Five minutes’ warm-up',
    ...[1, 2, 3, 4, 5, 6].map((n) => `Strap ${n}`),
  ]);
  // the ends: folded and closed once, then cut, the number shown twice
  await main.getByLabel('Girth at the strap', { exact: true }).fill('360');
  await expect(main.getByText('Needed: 310 mm.')).toBeVisible();
  await main.getByRole('button', { name: 'Folded and closed once' }).click();
  await main.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Cut “Strap 1” to 310 mm?' })).toBeVisible();
  await page.getByRole('button', { name: 'Cut at 310 mm' }).click();
  await expect(main.getByText('cut to 310 mm')).toBeVisible();
  // a check that fails opens its cure, and is passed after it
  await page.getByRole('link', { name: /^Check/ }).click();
  await page.getByRole('button', { name: 'Strap ends and pads in mid-limb: No' }).click();
  await expect(page.getByText('Cut the strap pad, shorten the strap', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: 'Open Strap: Strap ends to the middle of the limb' }).click();
  await expect(page).toHaveURL(/\/strap#thing=shorten-straps$/);
  await page.getByRole('link', { name: /^Check/ }).click();
  await page.getByRole('button', { name: 'Strap ends and pads in mid-limb: Yes' }).click();
  await checkAll(page, {
    [`Hinge height against a line across the top of the kneecap: Found`]: '2',
    'Knee at the extension stop: Found': '11',
  });
  await wearAndReview(page);
});

test(
  'a collar, whole: the head held in line, rear first, straps equally far, the neck neutral',
  { tag: '@long' },
  async ({ page, clinic }) => {
    await page.goto(`${clinic.address}/cases`);
    await openNewCase(page, { person: 'Xián Pereiro', region: 'Neck', model: /Neno/ });
    await giveOrder(page);
    await page.getByRole('button', { name: 'Record full in both arms and both legs' }).click();
    await page.getByRole('link', { name: /^Measure/ }).click();
    await measureAll(page, {
      Weight: ['16,8', '16,9'],
      Length: ['1072', '1076'],
      'Neck girth': ['256', '258'],
    });
    await page.getByRole('button', { name: 'On to Size' }).click();
    await page.getByRole('button', { name: 'Take size P3' }).click();
    await page.getByRole('link', { name: /^Shape/ }).click();
    await page.getByLabel('How much').fill('12');
    const record = page.getByRole('region', { name: 'Record' });
    for (const work of ['Pads centred', 'Chin pad beyond its plastic', 'Edges pre-bent']) {
      await page
        .getByRole('button', { name: new RegExp(`^${work}: `) })
        .first()
        .click();
      await expect(record.getByText(work).first()).toBeVisible();
    }
    // the other half has a pad as well
    await pick(page, { name: 'Front half' });
    await page
      .getByRole('button', { name: /^Pads centred: / })
      .first()
      .click();
    await expect(page.getByRole('link', { name: 'Shape, done' })).toBeVisible();
    await page.getByRole('link', { name: /^Strap/ }).click();
    await expect(
      page.getByText(/The neck stays in line, by the facility’s own handling policy/),
    ).toBeVisible();
    await page.getByRole('button', { name: /^The policy is known/ }).click();
    const main = page.getByRole('main');
    await expect(main.getByRole('button', { name: /^Done/ })).toBeVisible();
    await putOn(page, async () => {
      // the neck's angle is asked in the middle of it
      const neck = main.getByLabel('Neck in the ordered position: Found', { exact: true });
      if (!(await neck.isVisible())) return;
      await neck.fill('1');
      await neck.press('Enter');
      await expect(neck).toBeHidden();
    });
    await page.getByRole('link', { name: /^Set/ }).click();
    const inCollar = page.getByLabel('Neck in the collar', { exact: true });
    await inCollar.fill('1');
    await inCollar.press('Enter');
    await expect(page.getByRole('link', { name: 'Set, done' })).toBeVisible();
    await page.getByRole('link', { name: /^Check/ }).click();
    await page.getByRole('button', { name: 'Record full in both arms and both legs' }).click();
    await page.getByLabel('Strap ends equally far: right').fill('18');
    await page.getByLabel('Strap ends equally far: left').fill('20');
    await page.getByRole('button', { name: 'Strap ends equally far: Take it' }).click();
    await checkAll(page, { 'Chin pad beyond its plastic: Found': '12' });
    await wearAndReview(page);
  },
);

test('a bivalve by log-roll, as ordered: the policy first, a breath at each strap, level on both sides', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Amaro Cancela', 'screen');
  await page.getByRole('button', { name: 'A new order' }).click();
  await pick(page, { name: 'Lying', exact: true });
  await page.getByRole('button', { name: 'Take the order' }).click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  // lying is ordered, and over which side is not: it waits, and shows what is known
  await expect(page.getByText('Over which side the patient is rolled.')).toBeVisible();
  await expect(page.getByText(/Known so far: Vertebral fracture, stable; Fusion/)).toBeVisible();
  await page.getByRole('link', { name: 'Write it into the order' }).click();
  await page.getByRole('button', { name: 'A new order' }).click();
  await pick(page, { name: 'Left', exact: true });
  await page.getByRole('button', { name: 'Take the order' }).click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  await page.getByRole('button', { name: /^The policy is known/ }).click();
  const main = page.getByRole('main');
  const breaths: string[] = [];
  const done = await putOn(page, async () => {
    const breath = main.getByText('hold it', { exact: true });
    if (await breath.isVisible()) breaths.push(await main.locator('section').first().innerText());
    const level = main.getByLabel('right', { exact: true });
    if (!(await level.isVisible())) return;
    await level.fill('12');
    await main.getByLabel('left', { exact: true }).fill('14');
    await main.getByRole('button', { name: 'Level over the iliac crests: Take it' }).click();
  });
  expect(done.filter((name) => / straps$/.test(name))).toEqual([
    ...['Middle', 'Middle', 'Bottom', 'Bottom', 'Top', 'Top'].map((name) => `${name} straps`),
  ]);
  expect(breaths.length).toBe(6);
  expect(done.indexOf('Log-roll')).toBeLessThan(done.indexOf('Rear shell in'));
  expect(done.at(-1)).toBe('Level over the crests');
});

test('a year of a temperature log is read in, beside what was planned', async ({ page, clinic }) => {
  await openStage(page, clinic, 'Pilar Fontán', 'wear');
  await page.getByRole('button', { name: 'Hours worn, from a temperature log' }).click();
  // a sample a minute for 365 days, worn from nine to one every day; on the tenth day nothing was logged
  const first = Date.parse(`${dayFromToday(-365)}T00:00:00Z`);
  const lines: string[] = ['time,temperature °C'];
  for (let i = 0; i < 365 * 1440; i += 1) {
    if (Math.floor(i / 1440) === 10) continue;
    const minute = i % 1440;
    lines.push(
      `${new Date(first + i * 60_000).toISOString()},${minute >= 540 && minute < 780 ? 33.4 : 21.2}`,
    );
  }
  await page.locator('input[type=file]').setInputFiles({
    name: 'year.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(lines.join('\n')),
  });
  await expect(page.getByText(/^36[56] days\./)).toBeVisible();
  await page.getByRole('button', { name: /^Keep 36[56] days$/ }).click();
  await expect(page.getByRole('heading', { name: 'Hours a day, planned and worn' })).toBeVisible();
  await page.getByRole('button', { name: 'Worn, day by day' }).click();
  await expect(page.getByText(/: 4 h.*of 5 h 30 planned|: 4 h, of .* planned/).first()).toBeVisible();
  // a file that is none says where, and nothing is lost
  await page.locator('input[type=file]').setInputFiles({
    name: 'no.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time,temp\n2026-11-24T08:00:00,21'),
  });
  await expect(page.getByText(/^Line 2: the time is no instant with its zone/)).toBeVisible();
});

test('a list out of the leaflet is entered by the clinic, and run for the injury that it is for', async ({
  page,
  clinic,
}) => {
  await page.goto(`${clinic.address}/catalogue/rapido-seis`);
  await page.getByRole('button', { name: 'Enter a list from the leaflet' }).click();
  await page.getByRole('button', { name: 'Save as a new version' }).click();
  await expect(page.getByText('Say what it is called.').first()).toBeVisible();
  await page.getByLabel('Name of the list').fill('Rear cruciate, by the leaflet');
  await page.getByRole('button', { name: /Only with/ }).click();
  await page.getByRole('option', { name: 'Rear cruciate ligament' }).click();
  await page.getByLabel('Step 1: what').fill('Strap 5 first, shin carried forward');
  await page.getByRole('button', { name: /Step 1: which strap/ }).click();
  await page.getByRole('option', { name: 'Strap 5' }).click();
  await page.getByRole('button', { name: 'One more step' }).click();
  await page.getByLabel('Step 2: what').fill('Then strap 1');
  await page.getByRole('button', { name: /Step 2: which strap/ }).click();
  await page.getByRole('option', { name: 'Strap 1' }).click();
  await page.getByRole('button', { name: 'Save as a new version' }).click();
  // a new version of the model; the list stands with it
  await expect(page.getByRole('button', { name: 'Take it out' })).toBeVisible();
  await expect(page.getByText('Rear cruciate, by the leaflet')).toBeVisible();
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, sixStraps);
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'Rear cruciate ligament', exact: true }).click();
  await giveOrder(page);
  await page.getByRole('link', { name: /^Measure/ }).click();
  await measureAll(page, sixReadings);
  await page.getByRole('button', { name: 'On to Size' }).click();
  await page
    .getByRole('button', { name: /^Take size/ })
    .first()
    .click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  // the front ligament's list is nowhere to be seen
  await expect(page.getByText('General, and for the front cruciate')).toHaveCount(0);
  expect(await putOn(page)).toEqual(['Strap 5 first, shin carried forward', 'Then strap 1']);
});

test('the patient’s sheet is one page of A4, and its text is read back, in both languages', async ({
  page,
  clinic,
}) => {
  const address = await caseNamed(page, clinic, 'Pilar Fontán');
  await page.goto(`${clinic.address}${address}patient-sheet`);
  await page.getByLabel('A word of your own for this patient').fill('Ring Ana if the dog eats the pads.');
  const english = await printed(page);
  expect(english.pages).toBe(1);
  for (const words of [
    'Your brace at home',
    'Close the buckles, 1 to 4',
    'Take it off and call.',
    'take it off. Call the emergency number now.',
    '555 0142',
    '112',
    'Ring Ana if the dog eats the pads.',
    'Worn for activity on the leg',
  ])
    expect(english.text).toContain(words);
  expect(english.text).not.toContain('Print, or save as PDF');
  await page.locator('label').filter({ hasText: 'Spanish' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Your brace at home');
  const spanish = await printed(page);
  expect(spanish.pages).toBe(1);
  // in type that fills the page: its last line stands in the lowest sixth
  for (const { lowest } of [english, spanish]) expect(lowest).toBeLessThan(842 / 6);
  for (const words of ['Cerrar las hebillas, de la 1 a la 4', 'quítesela. Llame ya a urgencias.', '555 0142'])
    expect(spanish.text).toContain(words);
});

interface PdfText {
  str: string;
  transform: number[];
}

interface PdfReader {
  getDocument: (of: { data: Uint8Array }) => {
    promise: Promise<{
      numPages: number;
      getPage: (n: number) => Promise<{ getTextContent: () => Promise<{ items: (PdfText | object)[] }> }>;
    }>;
  };
}

/** What the page is as PDF, read back by an independent reader (pdfjs-dist): how many pages, its text, and how high above the last page's lower edge its last line stands, in points. */
async function printed(page: Page): Promise<{ pages: number; text: string; lowest: number }> {
  const require = createRequire(join(import.meta.dirname, '../../core/package.json'));
  const reader = (await import(require.resolve('pdfjs-dist/legacy/build/pdf.mjs'))) as PdfReader;
  const data = new Uint8Array(await page.pdf({ format: 'A4', preferCSSPageSize: true }));
  const document = await reader.getDocument({ data }).promise;
  const texts: string[] = [];
  let lowest = 0;
  for (let n = 1; n <= document.numPages; n += 1) {
    const { items } = await (await document.getPage(n)).getTextContent();
    const lines = items.filter((item): item is PdfText => 'str' in item && item.str.trim() !== '');
    texts.push(lines.map(({ str }) => str).join(' '));
    lowest = Math.min(...lines.map(({ transform }) => transform[5]!));
  }
  return { pages: document.numPages, text: texts.join(' ').replace(/\s+/g, ' '), lowest };
}

test('a routine sleeve, from Screen to Wear, is few touches', { tag: '@long' }, async ({ page, clinic }) => {
  await page.goto(`${clinic.address}/bench`);
  const touches = await sleeveTouches(page);
  // told by the bench; here it is only held that nothing has made it longer
  expect(touches).toBeGreaterThan(20);
  expect(touches).toBeLessThanOrEqual(mostTouches);
});

test(
  'a routine follow-up of a frame, from the Bench to the next visit, is few touches',
  { tag: '@long' },
  async ({ page, clinic }) => {
    await page.goto(`${clinic.address}/bench`);
    const touches = await followUpTouches(page);
    expect(touches).toBeGreaterThan(12);
    expect(touches).toBeLessThan(mostOfFollowUp);
  },
);
