import { chromium, type Page } from '@playwright/test';
import { openStage, signIn, type Clinic } from './clinic';
const clinic = { address: process.env.A! } as Clinic;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Europe/Madrid' });
await context.addInitScript('globalThis.__name = (f) => f');
context.setDefaultTimeout(8000);
const page = await context.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
const shoot = async (name: string) => { await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/look-${name}.png` }); };
const tall = async (name: string) => { await page.setViewportSize({ width: 1280, height: 1700 }); await shoot(name); await page.setViewportSize({ width: 1280, height: 800 }); };
await signIn(page, clinic);
const go = async (n: string, f: () => Promise<void>) => { try { await f(); } catch (e) { console.log('FAIL', n, String(e).slice(0, 300)); await shoot(`fail-${n}`); } };
await go('set', async () => {
  await openStage(page, clinic, 'Iria Castrelo', 'set');
  await tall('set');
  await page.getByRole('button', { name: 'Is the hinge on the knee?' }).click();
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'Is the hinge on the knee?' }).scrollIntoViewIfNeeded();
  await shoot('align');
});
await go('ledger', async () => {
  await openStage(page, clinic, 'Pilar Fontán', 'set');
  await tall('ledger');
  await openStage(page, clinic, 'Pilar Fontán', 'review');
  await tall('relief');
});
await go('boot', async () => {
  await openStage(page, clinic, 'Breixo Salgado', 'set');
  await tall('boot');
});
await go('belt', async () => {
  await openStage(page, clinic, 'Moncho Vilar', 'set');
  await tall('belt');
});
await browser.close();
