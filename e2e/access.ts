import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Looks a view through in both themes. */
export async function findNothing(page: Page, view: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  for (const theme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    const { violations } = await new AxeBuilder({ page })
      // in the page itself, in half the time: there are no frames from elsewhere to look into
      .setLegacyMode(true)
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect({
      view: `${view}, ${theme}`,
      found: violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`),
    }).toEqual({ view: `${view}, ${theme}`, found: [] });
  }
}
