import { chromium } from '@playwright/test';
import { openStage, signIn } from './clinic';
const clinic = { address: 'http://127.0.0.1:8188' } as never;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] });
const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Europe/Madrid' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
await signIn(page, clinic);
const shot = async (n: string) => { await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/s-${n}.png` }); };
await page.getByText('Marta Quintela').first().waitFor(); await shot('bench');
// Antón: known weakness ticked
await openStage(page, clinic, 'Antón Freire', 'screen');
await page.getByRole('button', { name: 'New weakness or numbness' }).click();
await page.getByText(/It is not new/).click();
await shot('look');
// Roi blocked, in measure
await openStage(page, clinic, 'Roi Teixeira', 'wear'); await shot('blocked');
// Moncho's trunk
await openStage(page, clinic, 'Moncho Vilar', 'check'); await shot('limbs-after');
await openStage(page, clinic, 'Moncho Vilar', 'size'); await shot('size-trunk');
// Bento: failed check
await openStage(page, clinic, 'Bento Lousado', 'check');
await page.getByRole('button', { name: /^Toes.*No$/ }).click(); await shot('check-failed');
await openStage(page, clinic, 'Bento Lousado', 'wear'); await shot('wear-held');
await page.goto(clinic['address'] + '/bench'); await page.getByText('Marta Quintela').first().waitFor(); await shot('bench2');
await openStage(page, clinic, 'Lois Taboada', 'measure'); await shot('walker');
await browser.close();
