import { expect, openStage, pick, beSignedIn, test } from '../clinic';

// The judgement of the whole case: what one stage knows, every other one says.

test.beforeEach(async ({ page, clinic }) => {
  await beSignedIn(page, clinic);
});

test('an order that what is fitted exceeds comes first everywhere, and is told until it is changed and signed again', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Sabela Outeiro', 'check');
  const main = page.getByRole('main');
  await expect(main.getByText('Signed: all checks pass.')).toBeVisible();

  // the prescriber allows less from today on
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'A new order' }).click();
  for (const phase of await page.getByRole('group', { name: /^Phase/ }).all()) {
    await phase.getByLabel('Extension').fill('20');
    await phase.getByLabel('Flexion').fill('40');
  }
  await page.getByRole('button', { name: 'Take the order' }).click();
  const findings = page.getByRole('list', { name: 'Findings of this case' });
  await expect(findings.getByText('Stops: exceeds the order')).toBeVisible();
  await expect(findings.getByText(/Order of today: 20° to 40°/)).toBeVisible();

  // Check: the signature is one of an earlier order, the angles are asked again
  await page.getByRole('link', { name: /^Check/ }).click();
  await expect(findings.getByText('Signed for an earlier order')).toBeVisible();
  await expect(main.getByText('Signed: all checks pass.')).toHaveCount(0);
  await expect(main.getByText(/was read before the change: repeat the check/).first()).toBeVisible();
  // Wear: no other plan is made, nobody is taught
  await page.getByRole('link', { name: /^Wear/ }).click();
  await expect(findings.getByText('Stops: exceeds the order')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change the plan' })).toHaveCount(0);

  // who was contacted, and when
  await findings.getByRole('button', { name: 'Record patient contact' }).click();
  await page.getByLabel('Whom').fill('Sabela');
  await page.getByLabel('What they said').fill('comes at noon, stays seated until then');
  await findings.getByRole('button', { name: 'Record patient contact' }).click();
  await expect(findings.getByText(/Patient contacted .* \(Sabela\): comes at noon/)).toBeVisible();

  // the letter and the patient's sheet
  await page
    .getByRole('link', { name: /letter/i })
    .first()
    .click();
  await expect(
    page.getByText(/Fitted for an earlier order; not yet changed. Stops: exceeds the order/),
  ).toBeVisible();
  await expect(page.getByText(/for an earlier order. Not checked for the order of today/)).toBeVisible();
  await expect(page.getByText('Nothing of the order is lost.')).toHaveCount(0);
  await page.goBack();
  await page.getByRole('link', { name: 'Sheet for the patient' }).click();
  await expect(
    page.getByText(/Call us before you go on. Your brace is not yet set as your doctor ordered./),
  ).toBeVisible();

  // the Bench: before everything else that may wait
  await page.goto(`${clinic.address}/bench`);
  const row = page.getByText('Stops: exceeds the order');
  await expect(row).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Sabela Outeiro', exact: true }).first().click();
  await expect(page).toHaveURL(/\/set$/);
});

test('what is typed in a review and not recorded is asked about before it is saved', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Sabela Outeiro', 'review');
  const main = page.getByRole('main');
  // a reading that is questioned stays open
  await page.getByLabel('Girth above', { exact: true }).fill('521');
  await page.getByLabel('Girth above', { exact: true }).press('Enter');
  await pick(page, { name: 'Skin clear' });
  await pick(page, { name: '2', exact: true });
  await page.getByRole('button', { name: 'Take the review' }).click();
  await expect(
    main.getByText('Typed and not recorded: Girth above. Record or clear it first.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Back to it' }).click();
  await page.getByLabel('Girth above', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Take the review' }).click();
  await expect(page.getByRole('button', { name: 'Plan it' })).toBeVisible();
});

test('after too much the next step is one back, and another step on needs a reason', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Pilar Fontán', 'review');
  const main = page.getByRole('main');
  // the turn before is walked on first
  await main.getByRole('button', { name: 'Gentle pressure', exact: true }).click();
  await main
    .getByRole('button', { name: /^upper .*clockwise/i })
    .first()
    .click();
  await main.getByRole('button', { name: /too much/i }).click();
  const back = main.getByRole('button', { name: /back by/i }).first();
  await expect(back).toHaveAttribute('data-look', 'main');
  await main
    .getByRole('button', { name: /^upper .*clockwise/i })
    .first()
    .click();
  await expect(page.getByRole('dialog').getByText(/Last change was too much/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await back.click();
});
