import { chromium, type Page } from '@playwright/test';
import { braceSheet } from './brace-sheet';
import { openStage, signIn, type Clinic } from './clinic';
import { figureSheet } from './figure-sheet';
import { measureAll } from './measuring';

const address = process.env.ESTRIBO_SHOTS_ADDRESS!;
const folder = process.env.ESTRIBO_SHOTS_FOLDER!;
const clinic = { address } as Clinic;

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});

async function visit(options: { width?: number; height?: number; dark?: boolean } = {}): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
    colorScheme: options.dark ? 'dark' : 'light',
    locale: 'en-GB',
    timezoneId: 'Europe/Madrid',
  });
  // what runs the pictures keeps names of functions by a call that the page does not have
  await context.addInitScript('globalThis.__name = (named) => named');
  return context.newPage();
}

const shoot = async (page: Page, name: string) => {
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(700);
  await page.screenshot({ path: `${folder}/${name}.png` });
};

/** Does so many steps of the list that is open. */
async function doSteps(count: number): Promise<void> {
  for (let i = 0; i < count; i += 1) {
    const name = await page.getByRole('main').locator('section').first().innerText();
    await page
      .getByRole('main')
      .getByRole('button', { name: /^(Done|.*: closed)/ })
      .first()
      .click();
    await page.waitForFunction(
      (before) => document.querySelector('main section')?.textContent !== before,
      name,
    );
  }
}

const page = await visit();
await signIn(page, clinic);
await page.getByText('Marta Quintela').first().waitFor();
await shoot(page, 'bench');
await page.goto(`${address}/cases`);
await shoot(page, 'cases');

for (const [name, stage, file] of [
  // a belt for the back
  ['Moncho Vilar', 'screen', 'screen'],
  ['Xoel Barreiro', 'size', 'size'],
  // a post-operative knee brace: its dial, and the lock apart from it
  ['Carme Loira', 'set', 'set'],
  // a walker, a foot that is held pointed
  ['Breixo Salgado', 'check', 'check'],
  ['Iria Castrelo', 'review', 'review'],
] as const) {
  await openStage(page, clinic, name, stage);
  await shoot(page, file);
}

// a shoulder support, measured and sized, its first strap loose
await openStage(page, clinic, 'Dores Amil', 'measure');
await measureAll(page, {
  'Abduction and adduction': ['80-0-30'],
  Rotation: ['30-0-70'],
  'Flexion and extension': ['20-0-90'],
  'Elbow angle': ['22'],
  'Upper arm girth': ['316', '318'],
});
await page.getByRole('button', { name: 'On to Size' }).click();
await page.getByRole('button', { name: /^Take size/ }).click();
await page.getByRole('link', { name: /^Strap/ }).click();
await page.getByRole('button', { name: 'With help (patient, orthotist)' }).click();
await doSteps(2);
await shoot(page, 'strap');

// a bivalve, as ordered: the policy first, then up to its first straps
await openStage(page, clinic, 'Amaro Cancela', 'strap');
await page.getByRole('button', { name: /^The policy is known/ }).click();
await doSteps(3);
await shoot(page, 'strap-trunk');

// what was worn against what was planned, from the simulated sensor
await openStage(page, clinic, 'Pilar Fontán', 'wear');
await page.getByRole('button', { name: 'Hours worn, from a temperature log' }).click();
await page.getByRole('button', { name: 'Read the sensor (simulated)' }).click();
await page.getByRole('button', { name: /^Keep \d+ days$/ }).click();
await page.getByRole('button', { name: 'Hours worn, from a temperature log' }).click();
await page
  .getByRole('heading', { name: 'Hours a day, planned and worn' })
  .evaluate((heading) => heading.scrollIntoView({ block: 'end' }));
await page.mouse.wheel(0, 260);
await shoot(page, 'wear');

// a bar planned to its contour, and the first of its passes made
await openStage(page, clinic, 'Noa Pazos', 'shape');
await page
  .getByRole('heading', { name: 'Lateral upright' })
  .evaluate((heading) => heading.scrollIntoView({ block: 'start' }));
await shoot(page, 'bend-plan');

// the hinge against the estimated centre of the knee
await openStage(page, clinic, 'Iria Castrelo', 'set');
await page.getByRole('button', { name: 'Is the hinge on the knee?' }).click();
await page
  .getByRole('group', { name: /Arrow keys/ })
  .evaluate((group) => group.scrollIntoView({ block: 'start' }));
await shoot(page, 'align');

for (const [name, stage, file] of [['Pilar Fontán', 'set', 'ledger']] as const) {
  await openStage(page, clinic, name, stage);
  await shoot(page, file);
}
for (const [path, file] of [['catalogue', 'catalogue']] as const) {
  await page.goto(`${clinic.address}/${path}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await shoot(page, file);
}

// a girth whose two readings disagree: the third is asked for
await openStage(page, clinic, 'Uxia Seoane', 'measure');
await page.getByLabel('Knee angle, right').fill('31');
await page.getByRole('button', { name: 'Take it' }).click();
await page.getByRole('button', { name: 'It is marked' }).click();
for (const [reading, value] of [
  ['first', '431'],
  ['second', '438'],
] as const) {
  await page.getByLabel(`Girth above right, ${reading} reading`).fill(value);
  await page.getByRole('button', { name: 'Take it' }).click();
}
await page.getByLabel('Girth above right, third reading').waitFor();
await shoot(page, 'measure');

// who signs in, and with what they read
const office = await visit();
await signIn(office, clinic, 'iago');
await office.getByRole('button', { name: 'Change Ana Bouza' }).waitFor();
await shoot(office, 'clinic');
await office.goto(`${address}/clinic/instruments`);
await office.getByRole('button', { name: 'Calibrate Tape 1' }).waitFor();
await shoot(office, 'instruments');

// reception: somebody with their visits, and nothing clinical
const desk = await visit();
await signIn(desk, clinic, 'marga');
await desk.goto(`${address}/people`);
await desk.getByRole('link', { name: 'Sabela Outeiro' }).click();
await desk
  .getByRole('button', { name: /^Change the visit/ })
  .first()
  .waitFor();
await shoot(desk, 'person');

// a model changed on screen: its sizes and their bands
await office.goto(`${address}/catalogue/caneiro-4p`);
await office.getByRole('button', { name: 'Change the chart' }).click();
await office
  .getByRole('heading', { name: 'Sizes, from the smallest' })
  .evaluate((heading) => heading.scrollIntoView({ block: 'start' }));
await shoot(office, 'edit-model');

// every region drawn for a grown body, a child and a heavy body
const sheet = await visit({ width: 1600, height: 1200 });
await sheet.setContent(`<body style="margin:0;background:#F6F2EA">${figureSheet()}</body>`);
await sheet.screenshot({ path: `${folder}/../sheets/figures.png`, fullPage: true });

// every brace that is drawn from its parts
await sheet.setContent(`<body style="margin:0;background:#F6F2EA">${braceSheet()}</body>`);
await sheet.screenshot({ path: `${folder}/../sheets/braces.png`, fullPage: true });

await browser.close();
