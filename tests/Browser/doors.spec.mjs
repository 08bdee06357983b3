import AxeBuilder from '@axe-core/playwright';
import { URI } from 'otpauth';
import { expect, signInOnPage, test } from './people.mjs';

/** A form that stood open for long is sent all the same, and never lost. */
test('a form that stood open is sent with a token of today, and kept where nobody is signed in', async ({
    page,
    context,
}) => {
    test.skip(page.viewportSize().width < 700, 'the same on both');
    await page.clock.install();
    await signInOnPage(page, 'planner');
    await page.goto('/gardens/2/edit');
    const notes = page.getByLabel(/^Notes/);
    await notes.fill('Ring twice.');
    // Signed out and in again at another tab: the token in this form is of a session that has ended.
    const other = await context.newPage();
    await other.goto('/round');
    await other.getByRole('button', { name: 'Sign out' }).click();
    await other.getByLabel('Password').waitFor();
    await signInOnPage(other, 'planner');
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
    await signInOnPage(other, 'planner');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Saved. All windows of this garden')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
});

/** What is fetched into a page is never another whole page: neither the one to sign in nor the one without signal. */
test('who is signed out or without signal is told so where days, years or drawings were asked for', async ({
    page,
    context,
}) => {
    await signInOnPage(page, 'planner');
    await page.goto('/?crew=1');
    const plan = await page.getByRole('link', { name: /Plan a visit/ }).first().getAttribute('href');
    const one = async (address, ask, told, noSignal) => {
        await page.goto(address);
        await page.waitForLoadState('load');
        const held = await context.cookies();
        await context.clearCookies();
        await ask(0);
        await expect(page.locator(told)).toContainText('You are signed out here.');
        await context.addCookies(held);
        await context.setOffline(true);
        await ask(1);
        await expect(page.locator(told)).toContainText(noSignal);
        await context.setOffline(false);
        await expect(page.locator('main')).toHaveCount(1);
    };
    await one('/plants/8', again => page.getByLabel('Height, cm').fill(again ? '120' : '110'),
        '.measures .wrong-note', 'It could not be drawn just now: the drawing is as it was.');
    await one(plan, async again => {
        await page.getByLabel('Day of the visit').fill(again ? '2027-08-30' : '2027-08-31');
    }, '#day > .wrong-note', 'could not be worked out just now');
    await one('/gardens/1/edit', async again => {
        await page.getByLabel('Height above the sea, m').fill(again ? '120' : '130');
        await page.getByLabel('Latitude').focus();
    }, '[x-data^=siteYear] > .wrong-note', 'It could not be drawn just now: the year is as it was.');
    // Visits are moved at the desk.
    if (page.viewportSize().width < 700) return;
    const cards = page.locator('[data-visit]');
    await one('/plan?week=2027-03-08', async again => {
        if (again) return page.keyboard.press('Enter');
        // A name is anybody's words, and stays words.
        await cards.first().evaluate(card => (card.dataset.name = '<b>bold</b>'));
        await cards.first().getByRole('button', { name: /^Move/ }).press('Enter');
        await expect(page.locator('.moving')).toContainText('<b>bold</b> is taken up');
        await page.keyboard.press('ArrowRight');
    }, '.moving', 'what it costs could not be asked. Try again.');
});

test('single letters can be switched off', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'a desk matter');
    await signInOnPage(page, 'lead');
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
    await signInOnPage(lost, 'hand');
    await signInOnPage(page, 'hand');
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
    await signInOnPage(page, 'planner');
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

test('a planner turns two-step sign-in on, signs in with it, and turns it off', async ({ page }) => {
    const seen = async () => {
        const found = await new AxeBuilder({ page }).setLegacyMode(true).analyze();
        expect(found.violations.map(each => `${each.id}: ${each.nodes.map(node => node.target)}`)).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    };
    await signInOnPage(page, 'planner');
    await page.goto('/account');
    await page.getByRole('button', { name: 'Set it up' }).click();
    await expect(page.locator('.second-step svg.code')).toBeVisible();
    await seen();
    const codes = URI.parse(await page.locator('.second-step [data-code]').getAttribute('data-code'));
    // The server's clock is this machine's, whatever day the office is on.
    await page.getByLabel('Six-digit code from the app').fill('000000');
    await page.getByRole('button', { name: 'Turn it on' }).click();
    await expect(page.getByText('That code is wrong')).toBeVisible();
    await page.getByLabel('Six-digit code from the app').fill(codes.generate());
    await page.getByRole('button', { name: 'Turn it on' }).click();
    const spare = page.locator('.spares li');
    await expect(spare).toHaveCount(8);
    await seen();
    const paper = await spare.first().innerText();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();
    await page.getByLabel('E-mail address').fill('planner@hollowbrook.test');
    await page.getByLabel('Password').fill('secateurs');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Verification code');
    await seen();
    await page.getByLabel('Code').fill(paper);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
    await page.goto('/account');
    await expect(page.getByText('7 recovery codes left')).toBeVisible();
    await page.locator('[name=password_for_code]').fill('secateurs');
    await page.getByRole('button', { name: 'Turn it off' }).click();
    await expect(page.getByText('Two-step sign-in is off.')).toBeVisible();
});
