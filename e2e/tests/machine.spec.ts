import type { Page } from '@playwright/test';
import { expect, openStage, signIn, test } from '../clinic';

// A machine that several people use one after the other.

const signOut = (page: Page) => page.getByRole('button', { name: 'Sign out' }).click();

test('signing out while the server is away works here and says so; the next one finds neither draft nor entries of the first', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Brais Couto', 'measure');
  // one that is taken, with nobody to send it to; then one typed and not taken
  await page.getByRole('button', { name: /^Girth above, left/ }).click();
  await page.getByLabel(/^Girth above left, .* reading/).fill('501.3');
  await clinic.goAway();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Server away: 1 entry waits here')).toBeVisible();
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  await page.getByLabel(/^Girth below left, .* reading/).fill('392.7');
  await page.getByRole('link', { name: 'Brais Couto' }).click();
  await signOut(page);
  await expect(page.getByText('You are signed out on this machine.')).toBeVisible();
  await expect(page.getByText('1 entry of Ana Bouza waits on this machine.')).toBeVisible();

  await clinic.comeBack();
  await expect(page.getByText('You are signed out on this machine.')).toHaveCount(0);
  await signIn(page, clinic, 'teo');
  await expect(page.getByText('1 entry of Ana Bouza waits on this machine.')).toBeVisible();
  await openStage(page, clinic, 'Brais Couto', 'measure');
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  await expect(page.getByLabel(/^Girth below left, .* reading/)).toHaveValue('');
  const id = page.url().split('/').at(-2)!;
  const readings = async () =>
    (await clinic.ask('SELECT `content` FROM {db}.`entry` WHERE `case` = ?', [id])).filter(({ content }) =>
      String(content).includes('"value":501.3'),
    );
  expect(await readings()).toHaveLength(0);
  await page.goto(`${clinic.address}/bench`);
  await signOut(page);

  // back under its writer it goes out, under that name, and what was typed is there
  await signIn(page, clinic);
  await expect.poll(readings).toHaveLength(1);
  await expect(page.getByText('of Ana Bouza waits')).toHaveCount(0);
  await openStage(page, clinic, 'Brais Couto', 'measure');
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  await expect(page.getByLabel(/^Girth below left, .* reading/)).toHaveValue('392.7');
});

test('a tab whose session another person has taken over in the next tab sends nothing as that person', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Sabela Outeiro', 'measure');
  await page.getByRole('main').waitFor();
  const next = await page.context().newPage();
  await signIn(next, clinic, 'teo');
  // the first tab has heard of it, and is the other person's now
  await expect(page.getByText('Teo Varela')).toHaveCount(0);
  await page.goto(`${clinic.address}/bench`);
  await expect(page.getByText('Teo Varela, technician')).toBeVisible();
});

test('one entry that the server fails on waits and says so; the other cases’ entries go on', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Antón Freire', 'screen');
  const failing = page.url().split('/').at(-2)!;
  let fails = true;
  await page.route(`**/api/cases/${failing}/entries`, (route) =>
    route.request().method() === 'POST' && fails
      ? route.fulfill({ status: 500, body: '{}' })
      : route.continue(),
  );
  await page.getByRole('button', { name: 'None of these found' }).click();
  await expect(page.getByText('1 entry waits: the server failed on it and is asked again')).toBeVisible();
  await openStage(page, clinic, 'Brais Couto', 'measure');
  const other = page.url().split('/').at(-2)!;
  const count = async () =>
    Number((await clinic.ask('SELECT COUNT(*) AS n FROM {db}.`entry` WHERE `case` = ?', [other]))[0]!.n);
  const before = await count();
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  await page.getByLabel(/^Girth below left, .* reading/).fill('391');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect.poll(count).toBe(before + 1);
  await expect(page.getByText('1 entry waits: the server failed on it')).toBeVisible();
  fails = false;
  await expect(page.getByText('the server failed on it')).toHaveCount(0);
});

test('what the server will not take is kept with its reason, shown, sent again or given up with one', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Noa Pazos', 'shape');
  const id = page.url().split('/').at(-2)!;
  let refuses = true;
  await page.route(`**/api/cases/${id}/entries`, (route) =>
    route.request().method() === 'POST' && refuses
      ? route.fulfill({
          status: 403,
          contentType: 'application/problem+json',
          body: JSON.stringify({ title: 'Not allowed', status: 403, detail: 'Your right is gone.' }),
        })
      : route.continue(),
  );
  await page.goto(`${clinic.address}/cases/${id}/strap`);
  await page.getByRole('main').waitFor();
  await page
    .getByRole('button', { name: /Put it on again|From the start|anew/i })
    .first()
    .click();
  await expect(page.getByText('Your right is gone.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Your right is gone.')).toBeVisible();
  await page.getByRole('button', { name: 'Copy it out' }).click();
  await expect(page.getByLabel('As it would be sent')).toHaveValue(/"kind": "strap\.begun"/);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByRole('button', { name: 'Discard' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByText('Give the reason in a few words.')).toBeVisible();
  await page.getByLabel('Reason').fill('pressed by mistake');
  await page.getByRole('dialog').getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByText('Your right is gone.')).toHaveCount(0);
  refuses = false;
  await expect
    .poll(async () =>
      (await clinic.ask("SELECT `detail` FROM {db}.`audit` WHERE `action` = 'entry.given-up'")).map(
        ({ detail }) => String(detail),
      ),
    )
    .toEqual([expect.stringContaining('pressed by mistake')]);
});
