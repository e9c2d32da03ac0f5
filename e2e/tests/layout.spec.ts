import type { Page } from '@playwright/test';
import { findNothing } from '../access';
import { expect, beSignedIn, openStage, signIn, test, type Clinic } from '../clinic';
import { layoutFaults, sizes } from '../layout';

// Every route with the longest names, loaded once and then made smaller step by step: nothing lies over anything,
// nothing is cut, nothing scrolls sideways.

const long = { tag: '@long' };
const stages = ['screen', 'measure', 'size', 'set', 'shape', 'strap', 'check', 'wear', 'review'];

async function longNames(clinic: Clinic): Promise<void> {
  await clinic.ask(
    "UPDATE {db}.`person` SET `givenFirst` = CONCAT(`givenName`, ' Maximiliana da Conceição ', `familyName`, ' Casalderrey-Montenegro'), `givenName` = CONCAT(`givenName`, ' Maximiliana da Conceição'), `familyName` = CONCAT(`familyName`, ' Casalderrey-Montenegro')",
  );
}

async function eachSize(page: Page, view: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    // the figure takes the new size of its place
    await page.evaluate(
      () => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))),
    );
    const at = `${view} at ${width}x${height}`;
    expect.soft({ at, faults: await layoutFaults(page) }).toEqual({ at, faults: [] });
  }
  // the last size is the narrowest: looked through for who cannot see or point as well
  await findNothing(page, `${view}, narrow`);
  await page.setViewportSize({ width: sizes[0][0], height: sizes[0][1] });
}

test('the pages of the clinic fit every size of window', long, async ({ page, clinic }) => {
  await page.goto(`${clinic.address}/sign-in`);
  await page.getByLabel('Login').waitFor();
  await eachSize(page, 'sign-in');
  await longNames(clinic);
  await signIn(page, clinic);
  await page.getByText('Marta Maximiliana').first().waitFor();
  await eachSize(page, 'bench');
  for (const path of ['cases', 'cases/new', 'catalogue', 'catalogue/veiga-suave', 'password']) {
    await page.goto(`${clinic.address}/${path}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await eachSize(page, path);
  }
  await page.goto(`${clinic.address}/people`);
  await page.getByRole('heading', { name: 'People' }).waitFor();
  await eachSize(page, 'people');
  await page.getByRole('link', { name: /^Marta Maximiliana/ }).click();
  await page
    .getByRole('button', { name: /^Change the visit/ })
    .first()
    .waitFor();
  await eachSize(page, 'a person');
  await page
    .getByRole('button', { name: /^Change the visit/ })
    .first()
    .click();
  await page.getByRole('dialog').waitFor();
  await eachSize(page, 'a visit');
  await page.keyboard.press('Escape');
  await page.goto(`${clinic.address}/catalogue`);
  // a family's page, by the first link to one
  const family = await page.locator('a[href*="/catalogue/families/"]').first().getAttribute('href');
  await page.goto(`${clinic.address}${family}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await eachSize(page, 'a family');
});

test('a clinic is set up with the code of the console, at every size of window', async ({
  page,
  newClinic,
}) => {
  await page.goto(newClinic.address);
  await page.getByRole('heading', { level: 1 }).waitFor();
  expect(new URL(page.url()).pathname).toBe('/set-up');
  await eachSize(page, 'set-up');
  const longest = 'Maximiliana da Conceição Casalderrey-Montenegro';
  await page.getByLabel('One-time code').fill('not the code');
  await page.getByLabel('Name of the clinic').fill(`${longest}, orthotic workshop`);
  await page.getByLabel('Your name').fill(longest);
  await page.getByLabel('Login you will sign in with').fill('maximiliana');
  await page.getByLabel('Password').fill('a long walk by the river');
  await page.getByRole('button', { name: 'Set up the clinic' }).click();
  await page.getByText('This is not the code on the server’s console.').waitFor();
  await eachSize(page, 'set-up, refused');
  await page.getByLabel('One-time code').fill(newClinic.code());
  await page.getByRole('button', { name: 'Set up the clinic' }).click();
  await page.waitForURL('**/sign-in');
});

test('the administrator’s page fits every size of window', long, async ({ page, clinic }) => {
  await signIn(page, clinic, 'iago');
  await page.goto(`${clinic.address}/clinic`);
  await page.getByRole('button', { name: 'Change Ana Bouza' }).waitFor();
  await eachSize(page, 'clinic');
  for (const section of ['clinic', 'instruments', 'audit', 'backup']) {
    await page.goto(`${clinic.address}/clinic/${section}`);
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    await eachSize(page, `clinic, ${section}`);
  }
  await page.getByRole('button', { name: /^Lock/ }).click();
  await page.getByRole('heading', { name: 'Who is here?' }).waitFor();
  await eachSize(page, 'locked');
});

for (const [name, views] of [
  ['Noa', stages],
  ['Brais', ['check', 'review', 'screen']],
  ['Moncho', ['measure', 'size', 'sheet', 'set', 'strap', 'check']],
  ['Carme', ['set', 'strap', 'check']],
  ['Xián', ['measure']],
  ['Dores', ['measure', 'set', 'strap']],
  ['Lois', ['set', 'strap', 'check']],
  ['Bento', ['wear', 'review', 'patient-sheet']],
] as const)
  test(`the stages of ${name} fit every size of window`, long, async ({ page, clinic }) => {
    await longNames(clinic);
    await beSignedIn(page, clinic);
    for (const stage of views) {
      await openStage(page, clinic, `${name} Maximiliana`, stage);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      await eachSize(page, `${name}, ${stage}`);
    }
  });
