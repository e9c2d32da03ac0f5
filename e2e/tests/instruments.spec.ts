import { expect, signIn, test } from '../clinic';
import { openNewCase } from '../measuring';

test('the tape reads, drops out and comes back; Space takes its value with the calibration', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic, 'ana');
  await openNewCase(page, { person: 'Moncho Vilar', region: 'Trunk', model: /Ribeira Tira/ });
  await page.getByRole('button', { name: 'Standing' }).click();
  await page.getByRole('button', { name: 'It is marked' }).click();
  const first = page.getByLabel('Waist girth, first reading');
  await expect(first).toBeVisible();
  await page.getByRole('button', { name: 'Connect instruments' }).click();
  await expect(page.getByText(/Tape 1 \(simulated\): \d+ mm/)).toBeVisible();
  await expect(page.getByText(/calibrated .*, offset 0\.6 mm/)).toBeVisible();
  await first.focus();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Waist girth, second reading')).toBeVisible();

  // after a while the stand-in drops out, and comes back by itself
  await expect(page.getByText(/connection lost, trying again/)).toBeVisible();
  await expect(page.getByText(/Tape 1 \(simulated\): \d+ mm/)).toBeVisible();
  await page.getByLabel('Waist girth, second reading').focus();
  await page.keyboard.press('Space');
  await expect(
    page.getByRole('button', { name: /Waist girth: \d+ ± \d+|Waist girth: \d+, third/ }),
  ).toBeVisible();

  const id = page.url().split('/').at(-2)!;
  await expect(async () => {
    const rows = await clinic.ask(
      "SELECT `content` FROM {db}.`entry` WHERE `case` = ? AND `content` LIKE '%measure.read%' ORDER BY `seq`",
      [id],
    );
    const bodies = rows.map(
      ({ content }) => (JSON.parse(String(content)) as { body: Record<string, unknown> }).body,
    );
    expect(bodies).toHaveLength(2);
    for (const body of bodies)
      expect(body).toMatchObject({
        step: 'girth-waist',
        instrument: 'tape',
        device: 'stand-in-tape',
        offset: 0.6,
      });
  }).toPass();
});

test('an overdue calibration is said', async ({ page, clinic }) => {
  await signIn(page, clinic);
  await openNewCase(page, { person: 'Elvira Rego', region: 'Trunk', model: /Espiga/ });
  await page.getByRole('button', { name: 'It is so' }).click();
  await page.getByRole('button', { name: /^Inclination at C7:/ }).click();
  await page.getByRole('button', { name: 'Connect instruments' }).click();
  await expect(page.getByText(/Calibration overdue since/)).toBeVisible();
});
