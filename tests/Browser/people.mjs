import { expect, test as base } from '@playwright/test';
import { FIRST_PORT } from '../../playwright.config.mjs';
import { begin } from './seeded.mjs';

export { expect };

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

/** Signed in before any page is looked at: that takes a test a second, and the two pages of it three. */
export async function signIn(page, who) {
    const form = await (await page.request.get('/sign-in')).text();
    const answer = await page.request.post('/sign-in', {
        form: { _token: /name="_token" value="([^"]+)"/.exec(form)[1], ...person(who) },
        maxRedirects: 0,
    });
    expect(answer.headers().location, `${who} signs in`).not.toMatch(/sign-in/);
}

/** Signing in on the page itself, as the demo's people do it. */
export async function signInOnPage(page, who) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(person(who).email);
    await page.getByLabel('Password').fill(person(who).password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
}

const person = who => ({ email: `${who}@hollowbrook.test`, password: 'secateurs' });
