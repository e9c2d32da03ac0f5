import { expect, type Page } from '@playwright/test';
import { pick } from './clinic';

/** Opens a case of a person for a model by clicking, up to its Measure stage. */
export async function openNewCase(
  page: Page,
  {
    person,
    region,
    side,
    model,
    family,
  }: { person: string; region: string; side?: string; model: RegExp; family?: string },
): Promise<void> {
  await page.getByRole('link', { name: 'Cases' }).click();
  // pressed again when the list came in under the finger
  await expect(async () => {
    const asked = page.getByRole('heading', { name: 'Who is it for?' });
    // on a busy machine the page comes after the press was given up
    if (!(await asked.isVisible()))
      await page.getByRole('button', { name: 'New case' }).click({ timeout: 2_000 });
    await expect(asked).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await page.getByRole('button', { name: new RegExp(`^${person}`) }).click();
  await pick(page, { name: region });
  if (side) await pick(page, { name: side });
  await pick(family ? page.getByRole('radiogroup', { name: family, exact: true }) : page, { name: model });
  // what another case of the same day knows would be taken over, by the time of day at which this runs: it is read anew
  await expect(page.getByText('Looking for what is known from today')).toBeHidden();
  const takeOver = page.getByRole('checkbox', { name: /^Take over/ });
  if (await takeOver.isVisible()) await takeOver.uncheck({ force: true });
  await page.getByRole('button', { name: 'Open the case' }).click();
  await page.getByRole('button', { name: /^None present/ }).click();
  await page.getByRole('heading', { name: 'What does the order say?' }).waitFor();
  // a limb has its pulses recorded, a trunk and a neck have not
  const pulses = page.getByRole('button', { name: 'Record: pulse felt on both sides' });
  if (await pulses.isVisible()) {
    await pulses.click();
    await pulses.waitFor({ state: 'hidden' });
  }
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByRole('heading', { level: 1 }).waitFor();
}

/** What the Measure stage asks for at one instant, read in one go: nothing is waited for. */
const askedFor = (page: Page) =>
  page.getByRole('main').evaluate((main) => {
    const text = (element: Element | null | undefined) => element?.textContent?.trim() ?? '';
    const field = main.querySelector<HTMLInputElement>('input[data-reading]');
    const buttons = [...main.querySelectorAll('button')].map(text);
    return {
      finished: [...main.querySelectorAll('h1, h2, h3')].some(
        (heading) => text(heading) === 'Everything is measured',
      ),
      title: text(main.querySelector('h1')),
      side: [...main.querySelectorAll('p')].map(text).find((words) => /^on the (left|right)$/.test(words)),
      label: field && text(document.getElementById(field.getAttribute('aria-labelledby')!.split(' ')[0]!)),
      typed: field?.value ?? '',
      confirm: buttons.some((words) =>
        /^(It is marked|It is so|Standing|By the day of birth: .*)$/.test(words),
      ),
      questioned: buttons.includes('Record anyway'),
    };
  });

const sameStep = (a: Awaited<ReturnType<typeof askedFor>>, b: typeof a) =>
  a.finished === b.finished && a.title === b.title && a.side === b.side && a.label === b.label;

/**
 * Takes every step as it is asked for, as a user would, until everything is measured.
 * @param values what is typed for a label that begins so; marks and postures need none
 * @returns the labels in the order they were asked for
 */
export async function measureAll(page: Page, values: Record<string, readonly string[]>): Promise<string[]> {
  const asked: string[] = [];
  const counts = new Map<string, number>();
  const main = page.getByRole('main');
  // a landmark, the named posture, the first of those that may be noted, an age that is known
  const confirm = main
    .getByRole('button', { name: /^(It is marked|It is so|Standing|By the day of birth: .*)$/ })
    .first();
  const takeIt = main.getByRole('button', { name: 'Take it', exact: true });
  const soon = { intervals: [100, 250, 500, 1000, 2000] };
  for (let guard = 0; guard < 120; guard += 1) {
    await expect(async () => {
      const { finished, confirm, label } = await askedFor(page);
      expect(finished || confirm || label !== null).toBe(true);
    }).toPass(soon);
    const before = await askedFor(page);
    if (before.finished) return asked;
    if (before.label !== null) {
      asked.push(before.label);
      const key = Object.keys(values).find((start) => before.label!.startsWith(start));
      if (!key) throw new Error(`nothing to type for "${before.label}"`);
      const count = counts.get(key) ?? 0;
      counts.set(key, count + 1);
      await main
        .locator('input[data-reading]')
        .first()
        .fill(values[key]![count % values[key]!.length]!);
    }
    const press = before.label === null ? confirm : takeIt;
    await press.click();
    await expect(async () => {
      const now = await askedFor(page);
      if (now.questioned) throw new Error(`what was typed for "${before.label}" is questioned`);
      if (!sameStep(now, before)) return;
      // pressed while the last one was still on its way: it is pressed again
      if (before.label === null || now.typed !== '') await press.click({ timeout: 500 });
      expect(sameStep(await askedFor(page), before)).toBe(false);
    }).toPass(soon);
  }
  throw new Error('the measuring does not end');
}
