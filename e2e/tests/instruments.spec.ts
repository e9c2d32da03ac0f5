import { expect, openStage, beSignedIn, signIn, test } from '../clinic';
import { openNewCase } from '../measuring';

test('the tape reads, drops out and comes back; Space takes its value with the calibration', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await page.goto(`${clinic.address}/cases`);
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
  await beSignedIn(page, clinic);
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, { person: 'Elvira Rego', region: 'Trunk', model: /Espiga/ });
  await page.getByRole('button', { name: 'It is so' }).click();
  await page.getByRole('button', { name: /^Inclination at C7:/ }).click();
  await page.getByRole('button', { name: 'Connect instruments' }).click();
  await expect(page.getByText(/Calibration overdue since/)).toBeVisible();
});

test('a real device is one bench’s: the other sees who has it, takes it over, and the first is told', async ({
  page,
  browser,
  clinic,
}) => {
  await signIn(page, clinic, 'ana');
  const added = await page.request.post(`${clinic.address}/api/instruments`, {
    data: {
      id: 'tape-9',
      kind: 'tape',
      name: 'Tape 9',
      validDays: 365,
      calibratedOn: new Date(Date.now() - 3 * 86_400_000).toISOString().slice(0, 10),
      offset: 0,
    },
  });
  expect(added.status()).toBe(201);
  const read = async (value: number) => {
    const line = { at: new Date().toISOString(), value, unit: 'mm' };
    const answer = await page.request.post(`${clinic.address}/api/instruments/tape-9/lines`, {
      data: { lines: [line] },
    });
    expect(answer.status()).toBe(202);
  };
  const toGirth = async (bench: typeof page) => {
    await openStage(bench, clinic, 'Noa Pazos', 'measure');
    await bench.getByRole('button', { name: /^Girth above, right/ }).click();
    await bench.getByRole('button', { name: 'Connect instruments' }).click();
  };
  await toGirth(page);
  await expect(page.getByText('tape: waiting for a value')).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await signIn(other, clinic, 'teo');
  await toGirth(other);
  await expect(other.getByText('Tape 9: in use by Ana Bouza at another bench')).toBeVisible();
  await read(447);
  await expect(page.getByText('Tape 9: 447 mm')).toBeVisible();
  await expect(other.getByText('447 mm', { exact: false }).and(other.getByText(/^Tape 9/))).toHaveCount(0);

  await other.getByRole('button', { name: 'Take over Tape 9' }).click();
  await expect(page.getByText('Tape 9: in use by Teo Varela at another bench')).toBeVisible();
  await expect(async () => {
    await read(448);
    await expect(other.getByText('Tape 9: 448 mm')).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await expect(page.getByText('Tape 9: 448 mm')).toHaveCount(0);
  await other.context().close();
});
