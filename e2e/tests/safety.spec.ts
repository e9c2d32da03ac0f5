import { expect, openStage, beSignedIn, test } from '../clinic';
import { openNewCase } from '../measuring';

// What must stop is stopped, what is odd is asked about, and nothing that was typed is lost.

const later = ['Measure', 'Size', 'Set', 'Shape', 'Strap', 'Check', 'Wear', 'Review'];

test('a finding that blocks is shown on every later stage with whom to call, and no stage decides', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Xoel Barreiro', 'screen');
  await page.getByRole('button', { name: 'Look again' }).click();
  await page.getByRole('button', { name: 'Limb cold, blue or white', exact: true }).click();
  await page.getByRole('button', { name: 'Record: 1 present; the rest absent' }).click();
  await expect(page.getByRole('heading', { name: 'Stop. Not today' })).toBeVisible();
  const decides = /^(Take |It is marked|Strap closed|Put in|Sign|The plan|Wear it|Choose|Plan it)/;
  for (const stage of later) {
    await page
      .getByRole('link', { name: new RegExp(`^${stage}, blocked: Limb cold, blue or white`) })
      .click();
    const main = page.getByRole('main', { name: stage });
    await expect(main.getByRole('heading', { name: 'Limb cold, blue or white' })).toBeVisible();
    await expect(main.getByText(/Emergency now: call/)).toBeVisible();
    await expect(main.getByRole('button', { name: 'Go on in spite of it' })).toBeVisible();
    await expect(main.getByRole('button', { name: decides })).toHaveCount(0);
  }
  // the call is a thing of today until somebody has made it
  await page.goto(`${clinic.address}/bench`);
  const buckle = page.getByRole('link', { name: /^Xoel Barreiro: Call: Limb cold, blue or white today/ });
  await expect(buckle).toBeVisible();
  await buckle.click();
  await page.getByRole('button', { name: 'The call is made' }).click();
  await page.getByLabel('Whom').fill('Vascular clinic');
  await page.getByLabel('What they said').fill('sends a car');
  await page.getByRole('button', { name: 'The call is made' }).click();
  await expect(page.getByText(/^Told Vascular clinic, .*: sends a car$/)).toBeVisible();
  await page.goto(`${clinic.address}/bench`);
  await expect(page.getByText('Xoel Barreiro')).toBeVisible();
  await expect(buckle).toHaveCount(0);
});

test('a failed check of limb safety is not signed as passed, holds the plan and is a call of today', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Bento Lousado', 'check');
  await page.getByRole('button', { name: 'Toes warm, moving, felt: No' }).click();
  await expect(page.getByRole('heading', { name: /^Call a physician now: failed, Toes/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /pass/ })).toHaveCount(0);
  // nobody signs for it, not even as failed
  await expect(page.getByRole('button', { name: /^Sign as/ })).toHaveCount(0);
  await expect(page.getByText(/^Nothing is signed while the limb is not safe/)).toBeVisible();
  await page.getByRole('link', { name: /^Wear/ }).click();
  await expect(page.getByText('The plan is held: nothing grows until the check is right.')).toBeVisible();
  await page.goto(`${clinic.address}/bench`);
  await expect(
    page.getByRole('link', { name: /^Bento Lousado: Call: failed, Toes warm, moving, felt.* today/ }),
  ).toBeVisible();
  // the steps of wearing are gone from the ribbon while it is held
  await expect(page.getByRole('link', { name: /^Bento Lousado: .*Wear to/ })).toHaveCount(0);
  await openStage(page, clinic, 'Bento Lousado', 'check');
  await page.getByRole('button', { name: 'Toes warm, moving, felt: Yes' }).click();
  await expect(page.getByRole('heading', { name: /^Call a physician now/ })).toHaveCount(0);
  await page.getByRole('link', { name: /^Wear/ }).click();
  await expect(page.getByText(/^The plan is held/)).toHaveCount(0);
});

test('a reading further off than the tolerance from both others is asked about; until then there is no size', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, {
    person: 'Elvira Rego',
    region: 'Knee',
    side: 'Right',
    model: /^Xunco Lixeiro/,
    family: 'elastic sleeve with patellar pad',
  });
  for (const [above, values] of [
    ['above', ['365', '440', '439']],
    ['below', ['345', '346']],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^Girth ${above}, right`) }).click();
    for (const [i, value] of values.entries()) {
      const field = page.getByLabel(`Girth ${above} right, ${['first', 'second', 'third'][i]} reading`);
      await field.fill(value);
      await field.press('Enter');
      await expect(field).toHaveCount(0);
    }
  }
  await page.getByRole('button', { name: /^Girth above, right/ }).click();
  await expect(page.getByText(/Mistyped, or the tape slipped\?/)).toBeVisible();
  await page.getByRole('link', { name: /^Size/ }).click();
  await expect(page.getByText(/Girth above/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take size/ })).toHaveCount(0);
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByRole('button', { name: /^Girth above, right/ }).click();
  await page.getByRole('button', { name: 'Take 365 mm out' }).click();
  await page.getByRole('link', { name: /^Size/ }).click();
  await expect(page.getByRole('button', { name: /^Take size/ })).toBeVisible();
});

test('a reading in a gap of the chart is told at Size with the gap’s limits, and the chart’s rule applied', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, {
    person: 'Lois Taboada',
    region: 'Knee',
    side: 'Left',
    model: /^Veiga Suave/,
    family: 'elastic sleeve with patellar pad',
  });
  for (const [girth, first, second] of [
    ['above', '456', '458'],
    ['below', '345', '346'],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^Girth ${girth}, left`) }).click();
    for (const [ordinal, value] of [
      ['first', first],
      ['second', second],
    ] as const) {
      const field = page.getByLabel(`Girth ${girth} left, ${ordinal} reading`);
      await field.fill(value);
      await field.press('Enter');
      await expect(field).toHaveCount(0);
    }
  }
  await page.getByRole('link', { name: /^Size/ }).click();
  // the chart prints 400 to 440 and 470 to 500 in whole centimetres: 445 to 465 is nobody's
  await expect(page.getByText(/2 ends at 445 mm, 3 begins at 465 mm/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take size 3' })).toBeVisible();
});

test('two tabs on one order: both stand side by side on that case, and only their name elsewhere', async ({
  page,
  context,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Marta Quintela', 'screen');
  await page.getByRole('button', { name: 'A new order' }).click();
  await page.getByLabel('Diagnosis').fill('Written in the first tab');
  const next = await context.newPage();
  await openStage(next, clinic, 'Marta Quintela', 'screen');
  // what is half written here is there as well: it is one person's
  await expect(next.getByLabel('Diagnosis')).toHaveValue('Written in the first tab');
  await next.getByLabel('Diagnosis').fill('Written in the second tab');
  await next.getByRole('button', { name: 'Take the order' }).click();
  await expect(next.getByRole('definition').filter({ hasText: 'Written in the second tab' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the order' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Both stand here' });
  await expect(notice.getByText('Written in the first tab')).toBeVisible();
  await expect(notice.getByText('Written in the second tab')).toBeVisible();
  // another case says nothing of it; the bench names the case
  await openStage(next, clinic, 'Iria Castrelo', 'screen');
  await expect(next.getByText('Both stand here')).toHaveCount(0);
  await next.goto(`${clinic.address}/bench`);
  await expect(next.getByText(/^Of Marta Quintela: something was not taken/)).toBeVisible();
  await next.getByRole('link', { name: 'Open the case' }).click();
  await expect(next.getByText('Written in the first tab')).toBeVisible();
  await next.getByRole('button', { name: 'Send mine on top of it' }).click();
  await expect(next.getByRole('definition').filter({ hasText: 'Written in the first tab' })).toBeVisible();
});

test('ticked findings and a half-filled order survive another stage, Back and a reload', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Antón Freire', 'screen');
  await page.getByRole('button', { name: 'Diabetes', exact: true }).click();
  await page.getByLabel('About: Diabetes').fill('type 2, feels the sole');
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.goBack();
  await expect(page.getByLabel('About: Diabetes')).toHaveValue('type 2, feels the sole');
  await page.reload();
  await expect(page.getByLabel('About: Diabetes')).toHaveValue('type 2, feels the sole');
  await page.getByRole('button', { name: 'Record: 1 present; the rest absent' }).click();
  await page.getByLabel('Diagnosis').fill('Front ligament');
  await page.getByRole('button', { name: 'Next phase' }).click();
  await page.getByLabel('Flexion').nth(1).fill('90');
  await page.reload();
  await expect(page.getByLabel('Diagnosis')).toHaveValue('Front ligament');
  await expect(page.getByLabel('Flexion').nth(1)).toHaveValue('90');
});
