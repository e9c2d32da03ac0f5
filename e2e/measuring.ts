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
  await page.getByRole('button', { name: 'New case' }).click();
  await page.getByRole('button', { name: new RegExp(`^${person}`) }).click();
  await pick(page, { name: region });
  if (side) await pick(page, { name: side });
  await pick(family ? page.getByRole('radiogroup', { name: family, exact: true }) : page, { name: model });
  await page.getByRole('button', { name: 'Open the case' }).click();
  await page.getByRole('button', { name: 'None of these found' }).click();
  await page.getByRole('heading', { name: 'What does the order say?' }).waitFor();
  await page.getByRole('link', { name: /^Measure/ }).click();
  await page.getByRole('heading', { level: 1 }).waitFor();
}

/**
 * Takes every step as it is asked for, as a user would, until everything is measured.
 * @param values what is typed for a label that begins so; marks and postures need none
 * @returns the labels in the order they were asked for
 */
export async function measureAll(page: Page, values: Record<string, readonly string[]>): Promise<string[]> {
  const asked: string[] = [];
  const counts = new Map<string, number>();
  const main = page.getByRole('main');
  const finished = page.getByRole('heading', { name: 'Everything is measured' });
  const confirm = main.getByRole('button', { name: /^(It is marked|It is so)$/ });
  const field = main.locator('input[data-reading]').first();
  const now = async () => {
    if (await finished.isVisible()) return 'finished';
    const title = (await main.getByRole('heading', { level: 1 }).textContent()) ?? '';
    const side =
      (await main.getByText(/^on the (left|right)$/).count()) > 0
        ? await main
            .getByText(/^on the (left|right)$/)
            .first()
            .textContent()
        : '';
    const label = (await field.count()) > 0 ? await labelOf(page) : 'confirm';
    return `${title} | ${side} | ${label}`;
  };
  const questioned = main.getByRole('button', { name: 'It is right: take it' });
  for (let guard = 0; guard < 120; guard += 1) {
    await expect(finished.or(confirm).or(field).first()).toBeVisible();
    const before = await now();
    if (before === 'finished') return asked;
    const marks = await confirm.isVisible();
    if (!marks) {
      const label = await labelOf(page);
      asked.push(label);
      const key = Object.keys(values).find((start) => label.startsWith(start));
      if (!key) throw new Error(`nothing to type for "${label}"`);
      const count = counts.get(key) ?? 0;
      counts.set(key, count + 1);
      await field.fill(values[key]![count % values[key]!.length]!);
    }
    const press = marks ? confirm : main.getByRole('button', { name: 'Take it', exact: true });
    await press.click();
    await expect(async () => {
      if (await questioned.isVisible()) throw new Error(`what was typed at "${before}" is questioned`);
      // pressed while the last one was still on its way: what was typed stays, and it is pressed again
      if ((await now()) === before && (marks || (await field.inputValue()) !== '')) await press.click();
      expect(await now()).not.toBe(before);
    }).toPass({ intervals: [100, 250, 500, 1000, 2000], timeout: 40_000 });
  }
  throw new Error('the measuring does not end');
}

const labelOf = async (page: Page): Promise<string> => {
  const field = page.getByRole('main').locator('input[data-reading]').first();
  const id = await field.getAttribute('aria-labelledby');
  return (await page.locator(`[id="${id!.split(' ')[0]}"]`).textContent()) ?? '';
};
