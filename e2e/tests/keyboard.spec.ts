import type { Page } from '@playwright/test';
import { dayFromToday, expect, openStage, beSignedIn, test } from '../clinic';

/** Tabs until something with this name has the focus: a user who cannot point finds it so. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let i = 0; i < 60; i += 1) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null;
      if (element === document.body) return '';
      const labelled = element
        ?.getAttribute('aria-labelledby')
        ?.split(' ')
        .map((id) => document.getElementById(id)?.textContent ?? '')
        .join(' ');
      const label = (element as HTMLInputElement | null)?.labels?.[0]?.textContent;
      return (element?.getAttribute('aria-label') ?? labelled ?? label ?? element?.textContent ?? '').trim();
    });
    if (typeof name === 'string' ? focused === name || focused.startsWith(name) : name.test(focused)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${name}`);
}

/** What was answered last has handed the focus on: Enter is enough. */
const enterOn = async (page: Page, name: string) => {
  await expect(page.getByRole('button', { name })).toBeFocused();
  await page.keyboard.press('Enter');
};

const press = async (page: Page, name: string | RegExp) => {
  await page.getByRole('button', { name }).first().waitFor();
  await tabTo(page, name);
  await page.keyboard.press('Enter');
};

/** What had the focus is gone: something in the stage has it, and not nothing. */
const focusIsKept = (page: Page) =>
  expect
    .poll(() =>
      page.evaluate(() => {
        const at = document.activeElement;
        return at === null || at === document.body
          ? 'nothing'
          : at.closest('main')
            ? 'the stage'
            : at.outerHTML;
      }),
    )
    .toBe('the stage');

test('the look at the limb is a few tabs from its heading to its answer, and the focus is never lost', async ({
  page,
  clinic,
}) => {
  await beSignedIn(page, clinic);
  await openStage(page, clinic, 'Antón Freire', 'screen');
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  let tabs = 0;
  const wanted = page.getByRole('button', { name: /^None present/ });
  while (!(await wanted.evaluate((one) => one === document.activeElement)) && tabs < 20) {
    await page.keyboard.press('Tab');
    tabs += 1;
  }
  expect(tabs).toBeLessThan(8);
  // inside a group the arrows go from mark to mark
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Record: 1 .*the rest absent/ })).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  // what was pressed is gone: the next thing to do has the focus, and after it the order's first field
  const pulses = page.getByRole('button', { name: 'Record: pulse felt on both sides' });
  await expect(pulses).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Diagnosis')).toBeFocused();
  // ? says what the stage is for, and a school with its source
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('What would make a fitting unsafe today');
  await page.keyboard.press('Escape');
  // the same by its button
  await page.getByRole('button', { name: 'Keys and help' }).click();
  await expect(page.getByRole('dialog')).toContainText('the stage before, the stage after');
});

test('the whole slice by keyboard alone', { tag: '@long' }, async ({ page, clinic }) => {
  await page.goto(`${clinic.address}/sign-in`);
  const { keyboard } = page;
  const main = page.getByRole('main');
  // the login has the focus at once
  await expect(page.getByLabel('Login')).toBeFocused();
  await keyboard.type('ana');
  await keyboard.press('Tab');
  await keyboard.type('ribanova-demo');
  await keyboard.press('Enter');
  await page.waitForURL('**/bench');
  await press(page, 'New case');
  await page.waitForURL('**/new');
  await expect(page.getByLabel(/Find the person/)).toBeFocused();
  await keyboard.type('carm');
  await expect(page.getByRole('button', { name: /Fiz/ })).toHaveCount(0);
  await press(page, /^Carme Loira/);
  await tabTo(page, /Knee|Where/);
  await keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'Knee' })).toBeChecked();
  await expect(page.getByRole('radio', { name: /Caneiro/ })).toBeVisible();
  await tabTo(page, /left|Side/);
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowLeft');
  await keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'left' })).toBeChecked();
  await tabTo(page, /Caneiro/);
  await keyboard.press('Space');
  await expect(page.getByRole('radio', { name: /Caneiro/ })).toBeChecked();
  await press(page, 'Open the case');
  await page.waitForURL('**/screen');

  await press(page, /^None present/);
  await press(page, 'Record: pulse felt on both sides');
  await tabTo(page, 'Diagnosis');
  await keyboard.type('Ligament tear');
  await tabTo(page, 'Prescriber');
  await keyboard.type('Dr Elva Nogueira');
  await keyboard.press('Tab');
  const [year, month, day] = dayFromToday(-3).split('-');
  await keyboard.type(`${day}${month}${year}`);
  await tabTo(page, 'Extension');
  await keyboard.type('0');
  await tabTo(page, 'More was ordered');
  await keyboard.press('Tab');
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Not protective' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'take it off, call' })).toBeChecked();
  await tabTo(page, 'How it is to be worn');
  await keyboard.type('For walking and work');
  await press(page, 'Take the order');
  await expect(main.getByText('0°, flexion free')).toBeVisible();
  await keyboard.press(']');

  // Measure: digits go to the reading that is asked for, Enter takes it and moves on
  for (const side of ['left', 'right']) {
    await expect(page.getByLabel(`Knee angle, ${side}`)).toBeFocused();
    await keyboard.type('30');
    await keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'It is marked' })).toBeFocused();
    await keyboard.press('Enter');
    for (const [girth, reading, value] of [
      ['above', 'first', '440'],
      ['above', 'second', '442'],
      ['below', 'first', '350'],
      ['below', 'second', '352'],
    ] as const) {
      await expect(page.getByLabel(`Girth ${girth} ${side}, ${reading} reading`)).toBeFocused();
      await keyboard.type(value);
      await keyboard.press('Enter');
    }
  }
  await press(page, 'Leave it open');
  await expect(page.getByRole('heading', { name: 'Everything is measured' })).toBeVisible();
  await focusIsKept(page);
  await keyboard.press('u');
  await expect(main.getByText('44.1 ± 0.7').first()).toBeVisible();
  await keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Which size?' })).toBeVisible();
  await press(page, /^Take size M/);
  await expect(page.getByRole('heading', { name: 'Size M is chosen' })).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');

  await expect(page.getByLabel('Knee, neutral zero')).toBeFocused();
  await keyboard.type('0-0-125');
  await keyboard.press('Enter');
  await press(page, 'Choose 0 / none for both hinges');
  await enterOn(page, 'In both hinges: 0 / none, moved by hand');
  await expect(main.getByText('Fitted: 0 / none')).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');
  await press(page, 'All pads as advised');
  await expect(page.getByRole('link', { name: 'Shape, done' })).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');

  // Strap: the step's button has the focus, Enter closes strap after strap
  for (let step = 0; step < 10; step += 1) {
    await expect(page.getByRole('button', { name: /^(Done|Strap \d is closed)/ })).toBeFocused();
    const before = await main.textContent();
    await keyboard.press('Enter');
    await expect(async () => expect(await main.textContent()).not.toBe(before)).toPass();
  }
  await expect(page.getByRole('button', { name: 'Start the walk' })).toBeFocused();
  await keyboard.press('Enter');
  await expect(page.getByLabel('Dropped by (may stay empty)')).toBeFocused();
  await keyboard.type('3 mm');
  await keyboard.press('Enter');
  for (let strap = 1; strap <= 6; strap += 1) {
    await expect(page.getByRole('button', { name: `Strap ${strap} is closed` })).toBeFocused();
    await keyboard.press('Enter');
  }
  await expect(main.getByText('Second tightening done.')).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');

  // Check: value, Enter, on to the next; the field is in cm by now
  const found = (name: string) => page.getByLabel(`${name}: Found`);
  await expect(found('Hinge height against the kneecap’s upper edge')).toBeFocused();
  await keyboard.type('2 mm');
  await keyboard.press('Enter');
  await expect(found('Hinge behind the side midline')).toBeFocused();
  await keyboard.type('5 mm');
  await keyboard.press('Enter');
  await enterOn(page, 'Alignment: Square');
  await expect(page.getByLabel('Strap 5 above the calf’s largest girth: strap')).toBeFocused();
  await keyboard.type('105 mm');
  await keyboard.press('Tab');
  await keyboard.type('130 mm');
  await keyboard.press('Enter');
  await expect(found('Knee at the extension stop')).toBeFocused();
  await keyboard.type('1');
  await keyboard.press('Enter');
  await expect(main.getByText('not needed: no stop ordered')).toBeVisible();
  await enterOn(page, 'Clear of the neck of the fibula: Yes');
  await enterOn(page, 'Toes warm, moving, felt: Yes');
  await press(page, 'Sign as Ana Bouza: pass');
  await expect(main.getByText('Signed: all checks pass.')).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');

  // Wear: not protective, so it grows
  await press(page, 'Take the plan');
  await expect(page.getByRole('list', { name: 'Day by day' })).toBeVisible();
  await focusIsKept(page);
  await press(page, 'Put on by the patient: alone');
  await expect(main.getByText('Put on by the patient before leaving.')).toBeVisible();
  await focusIsKept(page);
  await keyboard.press(']');

  await expect(page.getByLabel('Knee, neutral zero')).toBeFocused();
  await keyboard.type('0-0-128');
  await keyboard.press('Enter');
  await tabTo(page, /Skin clear|Skin under/);
  await keyboard.press('Space');
  await keyboard.press('Tab');
  await keyboard.press('Space');
  await press(page, 'Take the review');
  await expect(main.getByText('What is set is that of phase 1. Nothing to adjust.')).toBeVisible();
  await focusIsKept(page);
  await press(page, 'Plan it');
  await expect(main.getByText(/Next review/).last()).toBeVisible();

  // the keys say what there is; find goes to the field
  await keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await keyboard.press('Escape');
  await keyboard.press('/');
  await expect(page.getByRole('searchbox', { name: 'Find a person or a brace' })).toBeFocused();
  await keyboard.type('loira');
  await expect(page.getByRole('link', { name: 'Carme Loira' }).first()).toBeVisible();
});
