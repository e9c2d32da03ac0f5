import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Both themes by `npm run check:long`. */
const themes = process.env.ESTRIBO_LONG === '1' ? (['light', 'dark'] as const) : (['light'] as const);

/** Looks a view through: everything in the light theme, and in the dark one what a theme changes, its contrasts. */
export async function findNothing(page: Page, view: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  for (const theme of themes) {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    // in the page itself, in half the time: there are no frames from elsewhere to look into
    const axe = new AxeBuilder({ page }).setLegacyMode(true);
    const { violations } = await (
      theme === 'light'
        ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
        : axe.withRules(['color-contrast', 'link-in-text-block'])
    ).analyze();
    expect({
      view: `${view}, ${theme}`,
      found: violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`),
    }).toEqual({ view: `${view}, ${theme}`, found: [] });
  }
}
