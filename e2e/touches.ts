import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { openNewCase } from './measuring';

declare global {
  interface Window {
    estriboTouches?: number;
  }
}

/** What a routine sleeve may take at most: the aim. */
export const mostTouches = 45;

/** Counts what fingers do from now on: every press of a pointer, every key. */
export async function countTouches(page: Page): Promise<() => Promise<number>> {
  const count = () => {
    // counted once, however often it is begun on a page
    const listens = window.estriboTouches !== undefined;
    window.estriboTouches = 0;
    if (listens) return;
    const one = () => (window.estriboTouches! += 1);
    addEventListener('pointerdown', one, true);
    addEventListener('keydown', one, true);
  };
  await page.evaluate(count);
  return () => page.evaluate(() => window.estriboTouches ?? NaN);
}

/**
 * A routine fitting of an elastic sleeve, from Screen to Wear, by somebody who knows the way: instruments send the readings, the
 * order's free text is pasted.
 * @returns touches and keys
 */
export async function sleeveTouches(page: Page): Promise<number> {
  await openNewCase(page, {
    person: 'Antón Freire',
    region: 'Knee',
    side: 'left',
    model: /Xunco Malla/,
    family: 'elastic sleeve with patellar pad',
  });
  const main = page.getByRole('main');
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByLabel('Diagnosis').waitFor();
  const touches = await countTouches(page);
  // the look was one press, when the case was opened: it is counted at the end
  await page.getByLabel('Diagnosis').fill('Pain behind the kneecap');
  await page.getByLabel('Prescriber', { exact: true }).fill('Dr Elva Nogueira');
  await page.getByLabel('How it is to be worn, as ordered').fill('When active');
  await page
    .locator('label')
    .filter({ has: page.getByRole('radio', { name: 'Not protective' }) })
    .click();
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByRole('button', { name: 'A new order' })).toBeVisible();
  await page.getByRole('link', { name: /^Measure/ }).click();
  // what is read comes from the instrument with the space bar, what is marked or noted is confirmed
  for (let guard = 0; guard < 40; guard += 1) {
    const done = main.getByRole('heading', { name: 'Everything is measured' });
    const confirm = main.getByRole('button', { name: /^(It is marked|It is so|Standing)$/ }).first();
    const leave = main.getByRole('button', { name: 'Leave it open' });
    const reading = main.locator('input[data-reading]').first();
    await expect(done.or(confirm).or(reading).first()).toBeVisible();
    if (await done.isVisible()) break;
    const before = await main.innerText();
    if (await confirm.isVisible()) await confirm.click();
    else if (await leave.isVisible()) await leave.click();
    else {
      const connect = main.getByRole('button', { name: 'Connect instruments' });
      if (await connect.isVisible()) await connect.click();
      // the instrument settles before it is read
      await main.locator('[data-instrument=reading]').first().waitFor();
      await reading.press('Space');
    }
    await expect(async () => expect(await main.innerText()).not.toBe(before)).toPass();
  }
  await page.getByRole('button', { name: 'On to Size' }).click();
  await page
    .getByRole('button', { name: /^Take size/ })
    .first()
    .click();
  await page.getByRole('link', { name: /^Strap/ }).click();
  for (let i = 0; i < 4; i += 1) {
    const before = await main.innerText();
    await main.getByRole('button', { name: /^Done/ }).click();
    await expect(async () => expect(await main.innerText()).not.toBe(before)).toPass();
  }
  await page.getByRole('link', { name: /^Check/ }).click();
  const rim = page.getByLabel('Pad’s inner rim at the kneecap’s lower pole: Found');
  await rim.press('0');
  await rim.press('Enter');
  // taken: what comes after it stands still again
  await expect(page.getByRole('listitem').filter({ has: rim })).toContainText('✓');
  for (const name of ['Rim all round', 'No creases, standing', 'Stays at the sides', 'Toes warm']) {
    const yes = main.getByRole('button', { name: new RegExp(`^${name}.*: Yes$`) });
    await yes.click();
    await expect(yes).toHaveAttribute('aria-pressed', 'true');
  }
  await page.getByRole('button', { name: /^Sign as .*: pass$/ }).click();
  await page.getByRole('link', { name: /^Wear/ }).click();
  for (const [label, value] of [
    ['On the first day', '60'],
    ['More at each step', '60'],
    ['A step every', '1'],
    ['At most', '480'],
  ] as const)
    if ((await page.getByLabel(label).inputValue()) === '')
      await page.getByLabel(label).pressSequentially(value);
  await page.getByRole('button', { name: 'Take the plan' }).click();
  await page.getByRole('button', { name: 'Put on by the patient: alone' }).click();
  await expect(page.getByText(/^Put on by the patient before leaving/)).toBeVisible();
  return (await touches()) + 1;
}

/** What a routine follow-up may take at most: the aim. */
export const mostOfFollowUp = 25;

/**
 * A routine follow-up of a ligament frame by somebody who knows the way, from the Bench to the next visit: motion, both girths,
 * skin, pain, the next stops chosen and put in.
 * @returns touches and keys
 */
export async function followUpTouches(page: Page): Promise<number> {
  const main = page.getByRole('main');
  await page.getByRole('link', { name: 'Bench' }).click();
  const due = page.getByRole('link', { name: /^Sabela Outeiro: Review/ });
  await due.waitFor();
  const touches = await countTouches(page);
  await due.click();
  for (const [label, typed] of [
    ['Knee, neutral zero', '0-9-62'],
    ['Girth above', '423'],
    ['Girth below', '339'],
  ] as const) {
    // the focus goes by itself to what is read next
    await expect(page.getByRole('textbox', { name: label })).toBeFocused();
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: /^None present/ }).click();
  // taken: nothing moves any more under the finger
  await expect(page.getByRole('textbox', { name: 'Girth below' })).toHaveCount(0);
  for (const name of ['Skin clear', '1'])
    await main
      .locator('label')
      .filter({ has: page.getByRole('radio', { name, exact: true }) })
      .click();
  await page.getByRole('button', { name: 'Take the review' }).click();
  await main.locator('label').filter({ hasText: 'Seen; the prescriber will be told' }).click();
  await page.getByRole('button', { name: /^Choose .* for both hinges$/ }).click();
  await page.getByRole('button', { name: /^In both hinges: .*, moved by hand$/ }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/^Next review|planned/i).first()).toBeVisible();
  return touches();
}
