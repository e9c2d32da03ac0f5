import type { Page } from '@playwright/test';
import { dayFromToday, expect, pick, signIn, test, typeDay } from '../clinic';

const take = (page: Page) => page.getByRole('button', { name: 'Take it' }).first();

test('a new person with a left knee, from the first look to the first review, by clicking and typing', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await page.getByRole('button', { name: 'New case' }).click();

  // a person who is not there yet
  await page.getByRole('button', { name: 'Somebody new' }).click();
  await page.getByLabel('Given name').fill('Lois');
  await page.getByLabel('Family name').fill('Vilariño');
  await typeDay(page, 'Born', '1992-05-17');
  await page.getByRole('button', { name: 'Add and choose' }).click();
  await expect(page.getByText('Lois Vilariño')).toBeVisible();
  await pick(page, { name: 'Knee' });
  await pick(page, { name: 'left' });
  await pick(page, { name: /Caneiro 4P/ });
  await page.getByRole('button', { name: 'Open the case' }).click();

  // Screen: one finding, the rest not; then the order
  await page.getByRole('button', { name: 'Fragile skin where the brace lies', exact: true }).click();
  await page.getByRole('button', { name: 'Record: 1 present; the rest absent' }).click();
  await expect(page.getByText(/Pad it \(chin/)).toBeVisible();
  await page.getByRole('button', { name: 'Record: pulse felt on both sides' }).click();
  await page.getByLabel('Diagnosis').fill('Ligament reconstruction');
  await page.getByLabel('Prescriber').fill('Dr Elva Nogueira');
  await typeDay(page, 'Day zero (operation or injury)', dayFromToday(-15));
  await page.getByLabel('Extension').first().fill('10');
  await page.getByLabel('Flexion').first().fill('60');
  await page.getByRole('button', { name: 'Next phase' }).click();
  await page.getByLabel('From day').nth(1).fill('14');
  await page.getByLabel('Extension').nth(1).fill('5');
  await page.getByLabel('Flexion').nth(1).fill('90');
  await pick(page, { name: 'Protective', exact: true });
  await expect(page.getByRole('radio', { name: 'keep it on, call' })).toBeChecked();
  await page.getByLabel('How it is to be worn, as ordered').fill('Day and night, also in bed');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByText('5° to 90°', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'On to Measure' }).click();

  // Measure: the first reading is out of sight until the second is in, a third when they disagree
  for (const [side, first, second, third] of [
    ['left', '452', '45,9 cm', '455'],
    ['right', '446', '45,3 cm', '449'],
  ] as const) {
    await page.getByLabel(`Knee angle, ${side}`).fill('31');
    await take(page).click();
    await page.getByRole('button', { name: 'It is marked' }).click();
    await page.getByLabel(`Girth above ${side}, first reading`).fill(first);
    await take(page).click();
    await expect(page.getByText('First reading taken, out of sight.')).toBeVisible();
    await expect(page.getByRole('main').getByText(first)).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Record' }).getByText(first)).toHaveCount(0);
    await page.getByLabel(`Girth above ${side}, second reading`).fill(second);
    await take(page).click();
    await expect(page.getByText('7 mm apart, more than the 5 mm allowed: take a third.')).toBeVisible();
    await page.getByLabel(`Girth above ${side}, third reading`).fill(third);
    await take(page).click();
    await page.getByLabel(`Girth below ${side}, first reading`).fill('357');
    await take(page).click();
    await page.getByLabel(`Girth below ${side}, second reading`).fill('14 1/8 in');
    await take(page).click();
  }
  // the calf as a sign may be left open, on both legs at once
  await page.getByRole('button', { name: 'Leave it open' }).click();
  await expect(page.getByRole('heading', { name: 'Everything is measured' })).toBeVisible();
  await page.getByRole('button', { name: 'On to Size' }).click();

  // Size
  await expect(page.getByText(/sure\./)).toBeVisible();
  await page.getByRole('button', { name: 'Take size M' }).click();
  await expect(page.getByRole('heading', { name: 'Size M is chosen' })).toBeVisible();
  await page.getByRole('button', { name: 'On to Set' }).click();

  // Set: outside the order is asked back; what is lost is acknowledged
  await page.getByLabel('Knee, neutral zero').fill('0-0-84');
  await take(page).click();
  await expect(page.getByText(/This lies outside the order/)).toBeVisible();
  await page.getByLabel('Knee, neutral zero').fill('0-8-84');
  await take(page).click();
  await expect(page.getByText('5° of extension are lost.')).toBeVisible();
  await page.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }).click();
  await expect(page.getByText('Tick it first.')).toBeVisible();
  await page.getByText('Seen; the prescriber will be told').click();
  await page.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }).click();
  await page.getByRole('button', { name: 'In both hinges: 10 / 90, moved by hand' }).click();
  await expect(page.getByText('Fitted: 10 / 90, medial and lateral alike.')).toBeVisible();
  await page.getByRole('button', { name: 'On to Shape' }).click();

  // Shape: the pads of strap 4 straddle the scar; one bend
  await page.getByRole('button', { name: 'Note a scar or a wound' }).click();
  await page.getByLabel('From (− is below the mark)').fill('-20');
  await page.getByLabel('To', { exact: true }).fill('-160');
  await page.getByRole('main').getByRole('button', { name: 'Take it', exact: true }).click();
  await expect(page.getByText('lies on the scar: split it and straddle the scar')).toBeVisible();
  await page.getByRole('button', { name: 'All pads as advised' }).click();
  // no contour is taken here: a bend is noted as it was made
  await page.getByRole('button', { name: 'Note a bend that was made otherwise' }).click();
  await page.getByLabel('From the hinge (− is below)').fill('-30');
  await page.getByLabel('Amount').fill('4');
  await expect(page.getByText(/Too near to the hinge/)).toBeVisible();
  await page.getByLabel('From the hinge (− is below)').fill('-110');
  await page.getByRole('button', { name: 'Note the bend' }).click();
  await expect(page.getByText('110 mm below hinge, 4° away from the limb meant to stay')).toBeVisible();
  await page.getByRole('button', { name: 'On to Strap' }).click();

  // Strap: one at a time, the walk, the second tightening
  for (const step of ['Open all straps', 'Draw the brace on', 'Level the hinges']) {
    await expect(page.getByRole('main').getByText(step, { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Done' }).click();
  }
  for (const strap of [1, 2]) {
    await expect(page.getByText('Knee 45°')).toBeVisible();
    await page.getByRole('button', { name: `Strap ${strap} is closed` }).click();
  }
  await expect(page.getByRole('main').getByText('Press both hinges back', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  for (const strap of [3, 4, 5, 6])
    await page.getByRole('button', { name: `Strap ${strap} is closed` }).click();
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByLabel('Dropped by (may stay empty)').fill('4');
  await page.getByRole('button', { name: 'Walked and looked' }).click();
  for (const strap of [1, 2, 3, 4, 5, 6])
    await page.getByRole('button', { name: `Strap ${strap} is closed` }).click();
  await expect(page.getByText('Second tightening done.')).toBeVisible();
  await page.getByRole('button', { name: 'On to Check' }).click();

  // Check: a hinge that sits low fails, is mended, and all is signed
  const check = async (name: string, value: string) => {
    await page.getByLabel(`${name}: Found`).fill(value);
    await page.getByRole('button', { name: `${name}: Take it` }).click();
  };
  await check('Hinge height against the kneecap’s upper edge', '-9');
  await expect(page.getByText(/Outside the tolerance by 4 mm/)).toBeVisible();
  await check('Hinge height against the kneecap’s upper edge', '-2');
  await check('Hinge behind the side midline', '6');
  await page.getByRole('button', { name: 'Alignment: Square' }).click();
  await page.getByLabel('Strap 5 above the calf’s largest girth: strap').fill('110');
  await page.getByLabel('Strap 5 above the calf’s largest girth: calf').fill('132');
  await page.getByRole('button', { name: 'Strap 5 above the calf’s largest girth: Take it' }).click();
  await check('Knee at the extension stop', '3');
  await expect(page.getByText(/The knee passes the order by 2°/)).toBeVisible();
  await check('Knee at the extension stop', '11');
  await check('Knee at the flexion stop', '88');
  await page.getByRole('button', { name: 'Clear of the neck of the fibula: Yes' }).click();
  await page.getByRole('button', { name: 'Toes warm, moving, felt: Yes' }).click();
  // 11 where 5 is ordered, for want of a piece between: seen, and told to the prescriber
  await expect(page.getByText(/Narrower than ordered by 6°/)).toBeVisible();
  await page.locator('label').filter({ hasText: 'Narrower than ordered: seen' }).click();
  await page.getByRole('button', { name: 'Sign as Ana Bouza: pass' }).click();
  await expect(page.getByText('Signed: all checks pass.')).toBeVisible();
  await page.getByRole('button', { name: 'On to Wear' }).click();

  // Wear: protective, so as ordered; teach-back
  await page.getByRole('button', { name: 'Wear it as ordered' }).click();
  await expect(page.getByText('Keep it on, keep still, call at once.')).toBeVisible();
  await page.getByRole('button', { name: 'Put on by the patient: alone' }).click();
  await page.getByRole('button', { name: 'On to Review' }).click();

  // Review: findings, nothing to adjust on this phase, the next date
  await page.getByLabel('Knee, neutral zero').fill('0-6-86');
  await take(page).click();
  await page.getByLabel('Girth above', { exact: true }).fill('448');
  await page.getByRole('button', { name: 'Girth above: Take it' }).click();
  await pick(page, { name: 'Skin clear' });
  await pick(page, { name: '2', exact: true });
  await page.getByLabel('Worn a day (may stay empty)').fill('22');
  await page.getByRole('button', { name: 'Take the review' }).click();
  await expect(page.getByText('84° → 86°')).toBeVisible();
  await expect(page.getByText('455 mm → 448 mm')).toBeVisible();
  await expect(page.getByText('What is set is that of phase 2. Nothing to adjust.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/Next review \d+ \w+\./)).toBeVisible();

  // every hole of the rail is done, and the record is in the database
  for (const stage of ['Screen', 'Measure', 'Size', 'Set', 'Shape', 'Strap', 'Check', 'Wear', 'Review'])
    await expect(
      page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }),
    ).toHaveAccessibleName(`${stage}, done`);
  const id = page.url().split('/').at(-2)!;
  await expect(async () => {
    const [row] = await clinic.ask('SELECT `stage`, `size`, `seq` FROM {db}.`summary` WHERE `case` = ?', [
      id,
    ]);
    expect(row).toMatchObject({ size: 'M', stage: 'review' });
    expect(Number(row!.seq)).toBeGreaterThan(50);
  }).toPass();
});

test('a review on the day of the next phase changes the stops, and the knee is checked at them again', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await page.getByRole('link', { name: /Sabela Outeiro: Review/ }).click();
  // the danger signs before anything is adjusted
  await page.getByRole('button', { name: /^None present/ }).click();
  await page.getByLabel('Knee, neutral zero').fill('0-9-80');
  await take(page).click();
  await pick(page, { name: 'red, fades within 30 min' });
  await pick(page, { name: '3', exact: true });
  await page.getByRole('button', { name: 'Take the review' }).click();
  await expect(page.getByRole('heading', { name: 'To phase 2 of the order: 5° to 90°' })).toBeVisible();
  await page.getByText('Seen; the prescriber will be told').click();
  await page.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }).click();
  await page.getByRole('button', { name: 'In both hinges: 10 / 90, moved by hand' }).click();
  await expect(page.getByText('What is set is that of phase 2. Nothing to adjust.')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Check' }).click();
  await expect(page.getByText('Signed before a change: a setting')).toBeVisible();
  const flexion = 'Knee at the flexion stop';
  await expect(page.getByLabel(`${flexion}: Found`)).toHaveValue('');
});

test('broken skin under a protective brace raises a call and shortens nothing', async ({ page, clinic }) => {
  await signIn(page, clinic);
  await page.getByRole('link', { name: /Marta Quintela: Review/ }).click();
  await pick(page, { name: 'broken' });
  await pick(page, { name: '8', exact: true });
  await page.getByRole('button', { name: 'Take the review' }).click();
  await expect(
    page.getByRole('heading', { name: 'Call the prescriber today: The skin is broken' }),
  ).toBeVisible();
  await expect(page.getByText('A call is due today: see above.', { exact: false })).toBeVisible();
  await expect(page.getByText('The brace protects: it stays on as ordered.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Choose/ })).toHaveCount(0);
});

test('a reading is corrected: the old one stays struck through and the size is marked', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic);
  await page.getByRole('link', { name: /Xoel Barreiro: Fitting/ }).click();
  const record = page.getByRole('region', { name: 'Record' });
  await record.getByRole('button', { name: 'Correct: Girth below' }).last().click();
  await page.getByLabel('What it should say (mm)').fill('420');
  await page.getByRole('button', { name: 'Save correction' }).click();
  await expect(page.getByText('Give the reason in a few words.')).toBeVisible();
  await page.getByLabel('Reason').fill('tape was slanted');
  await page.getByRole('button', { name: 'Save correction' }).click();
  // asked about as when it is taken: 420 below is far from the other side
  await page.getByRole('button', { name: 'Record anyway' }).click();
  await expect(record.locator('s').filter({ hasText: 'Girth below' })).toBeVisible();
  await expect(record.getByText('tape was slanted')).toBeVisible();
  await page.getByRole('link', { name: /^Size/ }).click();
  await expect(page.getByText('Something this was made from has been corrected since.')).toBeVisible();
});

test('a blocking finding stops the rail; going on needs a reason and the orthotist', async ({
  page,
  clinic,
}) => {
  await signIn(page, clinic, 'teo');
  await page.getByRole('link', { name: 'Roi Teixeira', exact: true }).click();
  await expect(page.getByText('Call a physician now.')).toBeVisible();
  await expect(page.getByText('Only an orthotist may go on in spite of it.')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Measure, blocked: Calf/ })).toBeVisible();
  await page.context().clearCookies();
  await signIn(page, clinic, 'ana');
  await page.getByRole('link', { name: 'Roi Teixeira', exact: true }).click();
  await page.getByRole('button', { name: 'Go on in spite of it' }).click();
  await page.getByRole('button', { name: 'Go on, in my name' }).click();
  await expect(page.getByText('Give the reason in a few words.')).toBeVisible();
  await page
    .getByLabel('Who has cleared it, when, and why the fitting goes on')
    .fill('Ward 3, ultrasound this morning, no clot');
  await page.getByRole('button', { name: 'Go on, in my name' }).click();
  await expect(page.getByText('went on in spite of it: Ward 3')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Measure, open' })).toBeVisible();
});
