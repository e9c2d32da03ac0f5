import { expect, type Locator, type Page } from '@playwright/test';
import { dayFromToday, pick, typeDay } from './clinic';

/* A fitting as a user does it, after the measuring: the order, putting on, the checks, the wearing. */

/** What a belt's size 2 is read from. */
export const readingsOfBelt = {
  'Waist girth': ['812', '818'],
  'Girth above the waist': ['804', '808'],
  'Girth below the waist': ['866', '870'],
  'L1 to L5': ['141', '144'],
  'T9 to sacrococcygeal': ['318', '322'],
};

/** Gives the order of a case. */
export async function giveOrder(
  page: Page,
  {
    limits = {},
    height,
    also = [],
  }: { limits?: Record<string, string>; height?: string; also?: readonly string[] } = {},
): Promise<void> {
  await page.getByRole('link', { name: /^Screen/ }).click();
  await page.getByLabel('Diagnosis').fill('As the prescriber wrote it');
  await page.getByLabel('Prescriber', { exact: true }).fill('Dr Elva Nogueira');
  await typeDay(page, /^Day zero/, dayFromToday(-4));
  for (const [name, angle] of Object.entries(limits)) await page.getByLabel(name).first().fill(angle);
  if (height) await pick(page, { name: height, exact: true });
  for (const name of also) await page.getByRole('button', { name, exact: true }).click();
  await pick(page, { name: 'Protective', exact: true });
  await page.getByLabel('How it is to be worn, as ordered').fill('Day and night');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByRole('button', { name: 'A new order' })).toBeVisible();
}

/** Does one step after the other, as it is asked for. @returns what was asked for, in its order */
export async function putOn(
  page: Page,
  inBetween: (main: Locator) => Promise<void> = () => Promise.resolve(),
): Promise<string[]> {
  const main = page.getByRole('main');
  const done: string[] = [];
  for (let guard = 0; guard < 60; guard += 1) {
    const next = main.getByRole('button', { name: /^(Done|.*closed|Start the .*)/ });
    const end = main.getByText(/On to the checks\./);
    await inBetween(main);
    await expect(next.or(end).first()).toBeVisible();
    if (await end.isVisible()) return done;
    // its mark or its clock, then its name
    const card = await main.locator('section').first().innerText();
    done.push(card.split('\n').filter((line) => line.trim() !== '')[1]!);
    const strokes = main.getByLabel('Strokes of air', { exact: true });
    if (await strokes.isVisible()) {
      await strokes.fill('5');
      await strokes.press('Enter');
      await expect(page.getByRole('region', { name: 'Record' }).getByText('Strokes of air')).toBeVisible();
    }
    const before = await main.textContent();
    const start = main.getByRole('button', { name: /^Start the / });
    if (await start.isVisible()) {
      const looked = main.getByRole('button', { name: /and looked$/ });
      // started again when the screen moved under the finger
      await expect(async () => {
        if (await start.isVisible()) await start.click({ timeout: 2_000 });
        await expect(looked).toBeVisible({ timeout: 2_000 });
      }).toPass();
      await looked.click();
    } else await next.first().click();
    await expect(async () => expect(await main.textContent()).not.toBe(before)).toPass();
  }
  throw new Error('The list has no end.');
}

/** Answers every check: what is named here as it is named, what is seen with yes, a refill in time. */
export async function checkAll(page: Page, answers: Record<string, string> = {}): Promise<void> {
  await page.getByRole('link', { name: /^Check/ }).click();
  const main = page.getByRole('main');
  await main.getByRole('heading', { name: 'Is it where it should be, and is the limb safe?' }).waitFor();
  const pink = 'Nail pink again: Found';
  const typed = (await page.getByLabel(pink, { exact: true }).isVisible())
    ? { [pink]: '1.5', ...answers }
    : answers;
  for (const [name, value] of Object.entries(typed)) {
    await page.getByLabel(name, { exact: true }).fill(value);
    await page.getByLabel(name, { exact: true }).press('Enter');
    await expect(page.getByLabel(name, { exact: true })).toHaveValue(value);
  }
  const yes = main.getByRole('button', { name: /: (Yes|Square|As it should be)$/ });
  const count = await yes.count();
  for (let i = 0; i < count; i += 1) await yes.nth(i).click();
  const [sign, signed] = [
    page.getByRole('button', { name: 'Sign as Ana Bouza: pass' }),
    page.getByText('Signed: all checks pass.'),
  ];
  // what is missing before it would hold it back: a whole fitting leaves nothing
  await expect(main.getByRole('button', { name: /^(Sign as|Override)/ })).toBeVisible();
  expect(await main.getByText(/^Missing: |^Withheld: /).allInnerTexts()).toEqual([]);
  // and again when the screen moved under the finger
  await expect(async () => {
    if (!(await signed.isVisible())) await sign.click({ timeout: 5_000 });
    await expect(signed).toBeVisible({ timeout: 5_000 });
  }).toPass({ timeout: 120_000 });
}

/** Worn as ordered, put on by the patient, and the next look planned. */
export async function wearAndReview(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Wear/ }).click();
  await page.getByRole('button', { name: 'Wear it as ordered' }).click();
  await page.getByRole('button', { name: /^Put on by the (patient|carer): alone$/ }).click();
  await page.getByRole('link', { name: /^Review/ }).click();
  await pick(page, { name: 'Skin clear' });
  await pick(page, { name: '1', exact: true });
  await page.getByRole('button', { name: 'Take the review' }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/Next review \d+ \w+\./)).toBeVisible();
}
