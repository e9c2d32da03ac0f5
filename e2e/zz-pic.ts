import { chromium } from '@playwright/test';
import { openStage, signIn } from './clinic';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const clinic = { address: process.env.ADDRESS! } as never;
try {
  await signIn(page, clinic);
  await openStage(page, clinic, 'Antón Freire', 'screen');
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/p1.png' });
  await page.screenshot({ path: '/tmp/p1f.png', fullPage: true });
  await page.getByRole('button', { name: 'Calf tender, no swelling: Unable to assess' }).click();
  await page.getByRole('button', { name: /^Record: 1 not/ }).click();
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/p2.png' });
  await openStage(page, clinic, process.env.WHO ?? 'Xoel Barreiro', 'review');
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/p3.png' });
  await openStage(page, clinic, process.env.WHO ?? 'Xoel Barreiro', 'wear');
  await page.waitForTimeout(1200);
  await page.screenshot({ path: '/tmp/p4.png', fullPage: true });
  await page.goto(`${process.env.ADDRESS}/bench`);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: '/tmp/p5.png' });
} catch (e) {
  console.log(String(e).slice(0, 600));
  await page.screenshot({ path: '/tmp/perr.png' });
}
await browser.close();
