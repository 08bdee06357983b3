import { test as base } from '@playwright/test';
import { FIRST_PORT } from '../../playwright.config.mjs';

export { expect } from '@playwright/test';

/** Each worker's tests run on its own server, one file after the other, so that none changes what another looks at. */
export const test = base.extend({
    baseURL: async ({}, use, info) => use(`http://127.0.0.1:${FIRST_PORT + info.parallelIndex}`),
});

/** Signing in, as the demo's people do it. */
export async function signIn(page, who) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(`${who}@hollowbrook.test`);
    await page.getByLabel('Password').fill('secateurs');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
}
