import { expect, openStage, pick, beSignedIn, test } from '../clinic';
import { giveOrder, readingsOfBelt } from '../fitting';
import { measureAll, openNewCase } from '../measuring';

// What may never read as if all were well, from end to end as a user meets it.

test.beforeEach(async ({ page, clinic }) => {
  await beSignedIn(page, clinic);
});

test('a brace that is not set and was never donned is not signed as a pass, whatever is answered', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Xoel Barreiro', 'check');
  const main = page.getByRole('main');
  const yes = main.getByRole('button', { name: /: (Yes|Square|As it should be)$/ });
  await yes.first().waitFor();
  const count = await yes.count();
  for (let i = 0; i < count; i += 1) await yes.nth(i).click();
  for (const [name, value] of [
    ['Hinge height against the kneecap’s upper edge: Found', '0'],
    ['Hinge behind the side midline: Found', '6'],
    ['Strap 5 above the calf’s largest girth: strap', '110'],
    ['Strap 5 above the calf’s largest girth: calf', '132'],
    ['Knee at the extension stop: Found', '10'],
    ['Knee at the flexion stop: Found', '60'],
  ] as const) {
    const field = page.getByLabel(name, { exact: true });
    await field.fill(value);
    await field.press('Enter');
  }
  const findings = page.getByRole('list', { name: 'Findings of this case' });
  await expect(findings.getByText('Stops: not set')).toBeVisible();
  await expect(findings.getByText(/^(Brace not donned|Donning list not chosen)/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sign as Ana Bouza: pass' })).not.toBeEnabled();
  await expect(main.getByText('Signed: all checks pass.')).toHaveCount(0);
  // looking stays free, and Wear makes no plan
  await page.getByRole('link', { name: /^Wear/ }).click();
  await expect(main.getByText(/Plan withheld until the findings above are resolved/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Wear it as ordered' })).toHaveCount(0);
});

test('a limb lost in mid-roll: less than full is one act, the call stands, donning waits until it is cleared', async ({
  page,
  clinic,
}) => {
  await page.goto(`${clinic.address}/cases`);
  await openNewCase(page, { person: 'Iria Castrelo', region: 'Trunk', model: /Ribeira Faixa/ });
  await giveOrder(page, { height: 'Low' });
  await page.getByRole('button', { name: 'Record full in both arms and both legs' }).click();
  await page.getByRole('link', { name: /^Measure/ }).click();
  await measureAll(page, readingsOfBelt);
  await page.getByRole('button', { name: 'On to Size' }).click();
  await page.getByRole('button', { name: 'Take size 2' }).click();
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'A new order' }).click();
  await pick(page, { name: 'Lying', exact: true });
  await pick(page, { name: 'Left', exact: true });
  await page.getByRole('button', { name: 'Take the order' }).click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  const main = page.getByRole('main');
  await main.getByRole('button', { name: /^The policy is known/ }).click();
  // the staff: one at the head who does nothing else, two to roll, one to slide
  await expect(main.getByText(/3 helpers/).first()).toBeVisible();
  await main.getByRole('button', { name: /^Done/ }).first().click();
  await main.getByRole('button', { name: 'Movement or sensation lost' }).click();
  await expect(main.getByText('Complete the roll back to supine, in line.').first()).toBeVisible();
  await expect(main.getByRole('button', { name: /^Done/ })).toHaveCount(0);

  // nothing is preset, and what is less is never written as full
  const leg = main.getByRole('radiogroup', { name: 'Left leg, movement' });
  await leg.locator('label', { hasText: 'less' }).click();
  await expect(main.getByRole('button', { name: 'Record full in both arms and both legs' })).toHaveCount(0);
  await main.getByRole('button', { name: /^Record: Left leg: movement less/ }).click();
  await expect(
    main.getByRole('heading', { name: /^Emergency now: movement or sensation lost/ }),
  ).toBeVisible();
  await expect(main.getByRole('heading', { name: 'New weakness' })).toBeVisible();
  await expect(main.getByText('Left leg, movement: full before, less now.')).toBeVisible();
  await expect(main.getByRole('button', { name: /^Done/ })).toHaveCount(0);
  await page.getByRole('link', { name: /^Check/ }).click();
  await expect(main.getByText('Donning not complete', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sign as Ana Bouza: pass' })).toHaveCount(0);
  // the Bench has it before everything that may wait
  await page.goto(`${clinic.address}/bench`);
  await expect(page.getByText(/New weakness|Movement or sensation lost/i).first()).toBeVisible();
});

test('an Achilles boot by phases: the angle of the phase is the wanted one, its wedges follow, no passive motion', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Breixo Salgado', 'set');
  const main = page.getByRole('main');
  await expect(main.getByText(/Wanted: 20° plantarflexion/)).toBeVisible();
  await expect(main.getByText(/Wanted: 7 wedges/)).toBeVisible();
  // out by the phases of the order: fewer from the next one on
  const next = main.getByRole('row', { name: /locked at 10° plantarflexion/ });
  await expect(next).toContainText('Ankle in the boot: 10° plantarflexion');
  await expect(next).toContainText('Heel wedges: 4');
  await page.getByRole('link', { name: /^Review/ }).click();
  await expect(main.getByText(/not moved passively unless the order says so/)).toBeVisible();
  // ordered again without an angle it is asked for, and nothing is assumed
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByRole('button', { name: 'A new order' }).click();
  const locked = page.getByLabel(/^Hold the ankle at/);
  await locked.first().waitFor();
  for (const one of await locked.all()) await one.fill('');
  await page.getByRole('button', { name: 'Take the order' }).click();
  const findings = page.getByRole('list', { name: 'Findings of this case' });
  await expect(findings.getByText('Ankle in the boot: angle not ordered, ask the prescriber')).toBeVisible();
});

test('panels are part of an order: what is in and should be out is said on every head', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Moncho Vilar', 'screen');
  const main = page.getByRole('main');
  // panels of the order itself, behind its phases
  const order = async (...panels: string[]) => {
    await page.getByRole('link', { name: /^Screen/ }).click();
    await page.getByRole('button', { name: 'A new order' }).click();
    const ordered = main.getByRole('group', { name: 'Panels', exact: true });
    for (const panel of panels) await ordered.getByRole('button', { name: panel, exact: true }).click();
    await page.getByRole('button', { name: 'Take the order' }).click();
    await expect(page.getByRole('button', { name: 'A new order' })).toBeVisible();
  };
  await order('Tall');
  await page.getByRole('link', { name: /^Set/ }).click();
  await main.getByRole('button', { name: 'Tall panel: In' }).click();
  const findings = page.getByRole('list', { name: 'Findings of this case' });
  await expect(findings.getByText('Tall panel: not as ordered')).toHaveCount(0);
  // stepped down by the prescriber: the tall one out, the low one in
  await order('Tall', 'Low');
  await expect(findings.getByText('Tall panel: not as ordered')).toBeVisible();
  await page.getByRole('link', { name: /^Wear/ }).click();
  await expect(findings.getByText('Tall panel: not as ordered')).toBeVisible();
  await page.getByRole('link', { name: /^Set/ }).click();
  await main.getByRole('button', { name: 'Tall panel: Left out' }).click();
  await expect(findings.getByText('Tall panel: not as ordered')).toHaveCount(0);
});

test('the sheet for a neck says nothing of a limb and warns of breath and swallowing; one for a sleeve lets it come off', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Xián Pereiro', 'wear');
  await page.getByRole('link', { name: 'Sheet for the patient' }).click();
  const sheet = page.getByRole('main');
  await expect(sheet.getByText(/breath/i).first()).toBeVisible();
  await expect(sheet.getByText(/swallow/i).first()).toBeVisible();
  await expect(sheet).not.toContainText(/toes|\bleg\b|heart level/i);
  await openStage(page, clinic, 'Fiz Ameneiro', 'wear');
  await page.getByRole('link', { name: 'Sheet for the patient' }).click();
  await expect(sheet.getByText(/take it off|leave the brace off/i).first()).toBeVisible();
  await expect(sheet).not.toContainText(/shorten|bend the uprights|set the stops/i);
});

test('a pasted order: what is locked is never free, two readings are asked, and nothing is taken over before', async ({
  page,
  clinic,
}) => {
  await openStage(page, clinic, 'Sabela Outeiro', 'screen');
  await page.getByRole('button', { name: 'A new order' }).click();
  await page.getByRole('button', { name: 'Phases out of text or a template' }).click();
  const text = page.getByLabel('The schedule as it was written');
  const take = page.getByRole('button', { name: 'Take these phases over' });
  const main = page.getByRole('main');
  await text.fill('locked in full extension for 2 weeks, then 0-90');
  await expect(main.getByText(/Not understood/)).toHaveCount(0);
  await expect(main.getByText(/locked at 0°/).first()).toBeVisible();
  await text.fill('0-60 for 2 weeks, then 0-90 until week 6');
  await expect(take).toBeDisabled();
  await pick(page, { name: 'until that week begins (week 6: day 35)' });
  await expect(take).toBeEnabled();
  await expect(main.getByText(/Days 0 to 13/)).toBeVisible();
  await expect(main.getByText(/Days 14 to 34/)).toBeVisible();
  // a word that is not understood holds it back
  await text.fill('0-60 for 2 weeks, then 0-90 gently');
  await expect(main.getByText(/Not understood.*gently/)).toBeVisible();
  await expect(take).toBeDisabled();
});
