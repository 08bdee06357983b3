import { expect, signIn, test } from './people.mjs';

/** A form that stood open for long is sent all the same, and never lost. */
test('a form that stood open is sent with a token of today, and kept where nobody is signed in', async ({
    page,
    context,
}) => {
    test.skip(page.viewportSize().width < 700, 'the same on both');
    await page.clock.install();
    await signIn(page, 'planner');
    await page.goto('/gardens/2/edit');
    const notes = page.getByLabel(/^Notes/);
    await notes.fill('Ring twice.');
    // Signed out and in again at another tab: the token in this form is of a session that has ended.
    const other = await context.newPage();
    await other.goto('/round');
    await other.getByRole('button', { name: 'Sign out' }).click();
    await signIn(other, 'planner');
    await page.clock.fastForward('15:00');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Saved. All windows of this garden')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('is as it was before.')).toBeVisible();
    // Nobody is signed in any more: nothing is sent, and nothing that was typed is lost.
    await page.goto('/gardens/2/edit');
    await notes.fill('Ring three times.');
    await context.clearCookies();
    await page.clock.fastForward('15:00');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('You are signed out. Nothing was sent');
    await expect(notes).toHaveValue('Ring three times.');
    await signIn(other, 'planner');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Saved. All windows of this garden')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
});

test('single letters can be switched off', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'a desk matter');
    await signIn(page, 'lead');
    await page.goto('/account');
    await page.getByRole('button', { name: 'Switch single keys off' }).click();
    await expect(page.getByText('Single keys do nothing any more.')).toBeVisible();
    await page.keyboard.press('g');
    await page.waitForTimeout(500);
    await expect(page).toHaveURL(/\/account$/);
    await page.getByRole('button', { name: 'Switch single keys on' }).click();
    await expect(page.getByText('Single keys jump again.')).toBeVisible();
    await page.keyboard.press('g');
    await expect(page).toHaveURL(/\/gardens$/);
});

test('a lost phone is signed out from elsewhere, and nothing else is', async ({ page, browser, baseURL }) => {
    const context = await browser.newContext({ baseURL, userAgent: 'Mozilla/5.0 (Linux; Android 14) Mobile' });
    const lost = await context.newPage();
    await signIn(lost, 'hand');
    await signIn(page, 'hand');
    await page.goto('/account');
    const row = page.getByRole('listitem').filter({ hasText: 'last seen' }).first();
    await expect(page.getByText(', this one')).toBeVisible();
    await row.getByRole('button', { name: 'Sign it out' }).click();
    await expect(page.getByText('It is signed out.')).toBeVisible();
    await lost.goto('/round');
    await expect(lost).toHaveURL(/\/sign-in$/);
    await expect(lost.getByText('You were signed out from elsewhere')).toBeVisible();
    await page.goto('/round');
    await expect(page).toHaveURL(/\/round$/);
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
    await context.close();
});

test('whoever thinks in feet reads them, in sentences and beside what is typed', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'the same on both');
    await signIn(page, 'planner');
    await page.goto('/account');
    await page.getByLabel('Lengths').selectOption('imperial');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.goto('/plants/2/edit');
    await page.getByLabel(/^Height, cm/).fill('185');
    await expect(page.getByText('Height, cm (6 ft 1 in)')).toBeVisible();
    await page.getByLabel(/^Height, cm/).fill('');
    await expect(page.getByText('(6 ft 1 in)')).toHaveCount(0);
    await page.goto('/account');
    await page.getByLabel('Lengths').selectOption('metric');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.goto('/plants/2/edit');
    await expect(page.locator('[data-feet]')).toHaveCount(0);
});
