import { dayFromToday, expect, openStage, signIn, test } from '../clinic';

test('the administrator adds somebody, who signs in and takes another password; it is all in the audit', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic, 'iago');
  await page.getByRole('link', { name: 'Clinic' }).click();
  await page.getByRole('button', { name: 'Add somebody' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Sara Penedo');
  await dialog.getByLabel('Login').fill('sara');
  await dialog.getByLabel('First password').fill('ribanova1234');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('is guessed too easily', { exact: false })).toBeVisible();
  await dialog.getByLabel('First password').fill('gorse lantern plover 48');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved. Sara Penedo has to sign in again.')).toBeVisible();
  await expect(page.getByRole('cell', { name: 'added a user' }).first()).toBeVisible();

  // the last administrator stays one
  await page.getByRole('button', { name: 'Change Iago Lema' }).click();
  await dialog.locator('label', { hasText: 'May sign in' }).click();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('this is the last administrator', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('Login').fill('SARA ');
  await page.getByLabel('Password').fill('gorse lantern plover 48');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/bench');
  await page.getByRole('link', { name: /Sara Penedo/ }).click();
  await page.getByLabel('Password you have now').fill('gorse lantern plover 48');
  await page.getByLabel('New password', { exact: true }).fill('another heron in the reeds');
  await page.getByLabel('New password once more').fill('another heron in the reed');
  await page.getByRole('button', { name: 'Change it', exact: true }).click();
  await expect(page.getByText('The two are not the same.')).toBeVisible();
  await page.getByLabel('New password once more').fill('another heron in the reeds');
  await page.getByRole('button', { name: 'Change it', exact: true }).click();
  await expect(page.getByText('Changed. Your other sessions have ended.')).toBeVisible();

  // her language is hers: chosen once, it is there when she signs in again, and nobody else's
  await page.getByRole('button', { name: /Language/ }).click();
  await page.getByRole('option', { name: 'Español' }).click();
  await expect(page.getByRole('heading', { name: 'Cambiar su contraseña' })).toBeVisible();
  await page.getByRole('link', { name: 'Banco' }).click();
  await expect(page.getByText('Una hebilla es un día de actuar', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Salir' }).click();
  await page.getByLabel('Usuario').fill('ana');
  await page.getByLabel('Contraseña').fill('ribanova-demo');
  await page.getByRole('button', { name: 'Entrar' }).click();
  await expect(page.getByRole('link', { name: 'Bench' })).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('Login').fill('sara');
  await page.getByLabel('Password').fill('another heron in the reeds');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('link', { name: 'Banco' })).toBeVisible();
});

test('reception sees that a case is blocked and not by what, and takes back a visit of its own', async ({
  page,
  clinic,
}) => {
  // a visit that reception has planned
  const [row] = await clinic.ask(
    "SELECT s.`case` AS `case` FROM {db}.`summary` s JOIN {db}.`person` p ON p.id = s.person WHERE p.familyName = 'Pazos'",
  );
  await signIn(page, clinic, 'marga');
  await expect(page.getByText('Blocked: see the orthotist')).toBeVisible();
  await expect(page.getByText(/calf/i)).toHaveCount(0);
  const day = dayFromToday(3);
  const me = (await page.evaluate(async () => (await fetch('/api/session')).json())) as {
    user: { id: string };
  };
  const planned = await page.evaluate(
    async ([id, by, on]) => {
      const entry = {
        id: `0192c3d4-0000-7000-8000-${String(Date.now()).slice(-12).padStart(12, '0')}`,
        case: id,
        stage: 'case',
        kind: 'visit.planned',
        v: 1,
        observedAt: new Date().toISOString(),
        zone: 'Europe/Madrid',
        by,
        body: { day: on, purpose: 'review', note: 'by telephone' },
      };
      return (
        await fetch(`/api/cases/${id}/entries`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(entry),
        })
      ).status;
    },
    [String(row!.case), me.user.id, day] as const,
  );
  expect(planned).toBe(201);
  await page.reload();
  await page.getByRole('button', { name: /Noa Pazos: Review \(by telephone\)/ }).click();
  await page.getByLabel('Reason').fill('rang off');
  await page.getByRole('button', { name: 'Take the visit back' }).click();
  await expect(page.getByRole('button', { name: /by telephone/ })).toHaveCount(0, { timeout: 15_000 });
});

test('a record that was changed behind Estribo’s back says so when its case is opened', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Marta Quintela', 'measure');
  await expect(page.getByText('changed behind Estribo’s back')).toHaveCount(0);
  const id = page.url().split('/').at(-2)!;
  await clinic.ask(
    'UPDATE {db}.`entry` SET `content` = REPLACE(`content`, \'"side":"left"\', \'"side":"right"\') WHERE `case` = ? AND `content` LIKE \'%"side":"left"%\' LIMIT 1',
    [id],
  );
  await page.reload();
  await expect(page.getByText('changed behind Estribo’s back')).toBeVisible();
});
