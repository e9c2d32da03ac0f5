import { expect, openStage, signIn, test } from '../clinic';

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
  await dialog.getByRole('button', { name: 'Save' }).click();
  // shown once, to be handed to her
  const code = (await dialog.getByText(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/).textContent())!;
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('link', { name: 'Audit' }).click();
  await expect(page.getByRole('cell', { name: 'added a user' }).first()).toBeVisible();

  // the last administrator stays one
  await page.getByRole('link', { name: 'People who sign in' }).click();
  await page.getByRole('button', { name: 'Change Iago Lema' }).click();
  await dialog.locator('label', { hasText: 'May sign in' }).click();
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText('this is the last administrator', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('Login').fill('SARA ');
  await page.getByLabel('Password', { exact: true }).fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('New password', { exact: true }).fill('ribanova1234');
  await page.getByLabel('New password once more').fill('ribanova1234');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('is guessed too easily', { exact: false })).toBeVisible();
  await page.getByLabel('New password', { exact: true }).fill('gorse lantern plover 48');
  await page.getByLabel('New password once more').fill('gorse lantern plover 48');
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
