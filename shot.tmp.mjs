import { chromium as b } from '@playwright/test';
import { chromium } from './playwright.config.mjs';
const [,, at, who, ...list] = process.argv;
const browser = await b.launch(chromium);
for (const each of list) {
  const [name, size, address, full] = each.split('|');
  const [width, height] = size === 'p' ? [390, 844] : [1280, 800];
  const page = await browser.newPage({ viewport: { width, height } });
  await page.goto(`${at}/sign-in`);
  await page.getByLabel('E-mail address').fill(`${who}@hollowbrook.test`);
  await page.getByLabel('Password').fill('secateurs');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('button', { name: 'Sign out' }).waitFor();
  await page.goto(at + address); await page.waitForLoadState('networkidle');
  await page.screenshot({ path: `/tmp/${name}.png`, fullPage: full === 'f' });
  await page.close();
}
await browser.close();
