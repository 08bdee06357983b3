/** Signing in, as the demo's people do it. */
export async function signIn(page, who) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(`${who}@hollowbrook.test`);
    await page.getByLabel('Password').fill('secateurs');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
}
