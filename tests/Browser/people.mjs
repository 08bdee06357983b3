import { test as base } from '@playwright/test';
import { FIRST_PORT } from '../../playwright.config.mjs';
import { begin } from './seeded.mjs';

export { expect } from '@playwright/test';

let begun = null;

/**
 * Each worker's tests run on its own server, one file after the other, and each file begins with the demo as it was
 * seeded: none looks at what another has changed, in whichever order they run.
 */
export const test = base.extend({
    seeded: [async ({}, use, info) => {
        if (begun !== info.file) begin(info.parallelIndex);
        begun = info.file;
        await use();
    }, { auto: true }],
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
