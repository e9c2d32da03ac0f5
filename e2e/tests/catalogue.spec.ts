import { readFileSync, writeFileSync } from 'node:fs';
import { expect, pick, beSignedIn, test } from '../clinic';
import { giveOrder } from '../fitting';
import { openNewCase } from '../measuring';

test.beforeEach(async ({ page, clinic }) => {
  await beSignedIn(page, clinic);
  await page.goto(`${clinic.address}/catalogue`);
  await page.getByRole('grid', { name: 'Models' }).waitFor();
});

test('charts go out as CSV; a fault is told by row and column and nothing is half imported', async ({
  page,
}, testInfo) => {
  await pick(page, { name: 'Shoulder' });
  await expect(page.getByRole('grid', { name: 'Models' }).getByRole('row')).toHaveCount(2);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export CSV' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  // a header, a band of each size, and four numbers of wearing
  expect(text.split('\r\n')).toHaveLength(12);

  const file = testInfo.outputPath('charts.csv');
  const bring = async (csv: string) => {
    writeFileSync(file, csv);
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Choose the file' }).click(),
    ]);
    await chooser.setFiles(file);
  };
  await page.getByRole('button', { name: 'Import CSV' }).click();
  await bring(text.replace(',270,300', ',270,thirty').replace(',larger,', ',biggest,'));
  const faults = page.getByRole('region', { name: 'Faults in the file' });
  await expect(faults.getByRole('row', { name: /4 to is no number: thirty/ })).toBeVisible();
  await expect(faults.getByRole('row', { name: /2 between must be one of/ })).toBeVisible();
  await expect(page.getByText(/Nothing was brought in/)).toBeVisible();

  await bring(text.replace(/,435(?=\r\n|$)/, ',440'));
  await expect(
    page.getByRole('row', { name: /^band, Upper arm girth, 7 395 – 435 .* 395 – 440/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('1 model brought in.')).toBeVisible();
  await bring(text.replace(/,435(?=\r\n|$)/, ',440'));
  await expect(page.getByText('Nothing: all of it is here already.')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('link', { name: 'Ombreira Vela' }).click();
  await expect(page.getByText('version 3, chart version 2')).toBeVisible();
});

test('a chart with a finding is told, duplicated, mended as a new version and retired', async ({ page }) => {
  await page.getByLabel('Find a model or a maker').fill('Veiga');
  await page.getByRole('link', { name: 'Veiga Suave' }).click();
  const gap = page.getByText('Girth above: 20 mm between 2 and 3 belong to no size.');
  await expect(gap).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByRole('heading', { name: 'Veiga Suave (copy)' })).toBeVisible();
  await page.getByRole('button', { name: 'Change the chart' }).click();
  await page.getByLabel('Girth above, 3, from').fill('45 cm');
  // what is typed survives a reload, and what would change is looked at before it does
  await page.reload();
  await expect(page.getByLabel('Girth above, 3, from')).toHaveValue('45 cm');
  await page.getByRole('button', { name: 'Look at what changes' }).click();
  await expect(
    page.getByRole('row', { name: 'band, Girth above, 3 470 – 500 / 10 450 – 500 / 10' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save as chart version 2' }).click();
  await expect(page.getByText(/no gaps, no overlaps/)).toBeVisible();
  await expect(page.getByText(/version 2, chart version 2/)).toBeVisible();
  // the old version stays to be looked at, and cannot be changed
  await page.getByRole('link', { name: 'Version 1' }).click();
  await expect(gap).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change the chart' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Version 2' }).click();
  await page.getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByText('Retired: no new case can take it.', { exact: false })).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Catalogue' }).click();
  await page.getByLabel('Find a model or a maker').fill('Veiga');
  await expect(page.getByRole('link', { name: 'Veiga Suave', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Veiga Suave (copy)' })).toHaveCount(0);
});

test('a clinic’s own programme is made from a family and used in a case', async ({ page }) => {
  await page.getByRole('link', { name: 'Copy as our own: elastic sleeve with patellar pad' }).click();
  await page.getByLabel('Title').fill('Ribanova sleeve');
  await page.getByLabel('Girth above, Distance from the landmark').fill('15 cm');
  await page.getByLabel('Girth above, Two readings may differ by').fill('3');
  await pick(page, { name: 'the larger' });
  await page.getByLabel('Injuries of this clinic’s own').fill('Plica, sore');
  await page.getByRole('button', { name: 'Save it as our own' }).click();
  await expect(page.getByText(/Ribanova sleeve/)).toBeVisible();

  await openNewCase(page, {
    person: 'Fiz Ameneiro',
    region: 'Knee',
    side: 'left',
    model: /Xunco Lixeiro/,
    family: 'Ribanova sleeve',
  });
  await expect(page.getByText('Left knee · Ribanova sleeve')).toBeVisible();
  // what the clinic added is asked for with the family's own, and stands in the order
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'Plica, sore', exact: true }).click();
  await giveOrder(page);
  await expect(page.getByRole('main').getByText('Plica, sore', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByRole('button', { name: /^Girth above, left/ }).click();
  await expect(page.getByRole('heading', { name: 'Girth 150 mm above the mark' })).toBeVisible();
  for (const [ordinal, value] of [
    ['first', '428'],
    ['second', '432'],
  ] as const) {
    await page.getByLabel(`Girth above left, ${ordinal} reading`).fill(value);
    await page.getByRole('button', { name: 'Take it' }).click();
  }
  // 4 mm apart would do for the family; this clinic allows 3
  await expect(page.getByText('4 mm apart, more than the 3 mm allowed: take a third.')).toBeVisible();
});
