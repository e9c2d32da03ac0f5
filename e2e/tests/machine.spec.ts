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
  await page.getByRole('button', { name: /^None present/ }).click();
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

test('a machine is locked here first: at once while the server is away, after a reload too; what was typed is there again', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Brais Couto', 'measure');
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  const field = page.getByLabel(/^Girth below left, .* reading/);
  await field.fill('392.7');
  await page.getByRole('link', { name: 'Brais Couto' }).click();
  await clinic.goAway();
  await page.getByRole('button', { name: 'Lock, or let somebody else take over' }).click();
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toBeVisible();
  await expect(page.getByText('Server away: unlocking is possible when it is back.')).toBeVisible();
  await expect(page.getByText('Brais Couto')).toBeHidden();
  // the cookie is still good, and the server does not know yet
  await clinic.comeBack();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toBeVisible();
  expect((await page.request.get(`${clinic.address}/api/people`)).status()).toBe(401);
  await page.getByLabel('Password').fill('ribanova-demo');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toHaveCount(0);
  await openStage(page, clinic, 'Brais Couto', 'measure');
  await page.getByRole('button', { name: /^Girth below, left/ }).click();
  await expect(field).toHaveValue('392.7');
});

test('a machine whose clock is a day behind says so', async ({ page, clinic }) => {
  await page.clock.install({ time: Date.now() - 86_400_000 });
  await signIn(page, clinic);
  await expect(page.getByText(/This machine’s clock is 24 hours behind the server’s/)).toBeVisible();
});

test('fifteen quiet minutes lock a machine whose server is away; work in one tab keeps the other open', async ({
  page,
  clinic,
}) => {
  await page.clock.install();
  await signIn(page, clinic);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  const next = await page.context().newPage();
  await next.goto(`${clinic.address}/cases`);
  for (let minute = 0; minute < 15; minute += 1) {
    await page.clock.runFor(60_000);
    await next.mouse.move(100 + minute, 100);
    // what the other tab wrote down is of its own clock: of now, as this one is told
    await next.evaluate(
      (at) => localStorage.setItem('estribo-touched', String(at)),
      await page.evaluate(() => Date.now()),
    );
  }
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toHaveCount(0);
  await next.close();
  await clinic.goAway();
  await page.clock.runFor(15 * 60_000);
  await expect(page.getByRole('heading', { name: 'Who is here?' })).toBeVisible();
});
