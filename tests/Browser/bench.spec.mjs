import { expect, signIn, test } from './people.mjs';

test('a plant is cut on the bench, looked at, undone, handed in and marked', async ({ page }) => {
    // Keys are heard once the script is there.
    const press = key => page.waitForLoadState('load').then(() => page.keyboard.press(key));
    await signIn(page, 'hand');
    await page.goto('/bench');
    await page.getByRole('link', { name: /^Lilac Left alone for two years/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lilac');
    // By tap: a stem is taken in hand on the picture itself.
    await page.locator('a[data-axis]').last().click({ force: true });
    await expect(page.getByText('In hand:')).toBeVisible();
    await expect(page.locator('.is-picked').first()).toBeVisible();
    // By key: the next one, and around the plant.
    await press(']');
    await expect(page).toHaveURL(/pick=\d+/);
    await press('2');
    await expect(page.getByRole('navigation', { name: 'Where you stand' }).locator('[aria-current]'))
        .toHaveText('From the east');
    await press('3');
    await expect(page).toHaveURL(/view=above/);
    await press('1');
    await page.getByText('Cuts to the whole plant').click();
    await page.getByRole('button', { name: 'All that is dead' }).click();
    await expect(page.locator('.bench-steps li')).toHaveText(/Take out all that is dead/);
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(page.locator('.bench-steps li')).toHaveCount(2);
    await press('u');
    await expect(page.locator('.bench-steps li')).toHaveCount(1);
    // What lacks its number is told, and the cut before it stands.
    await press(']');
    await page.getByRole('button', { name: 'Cut it above that bud' }).click();
    await expect(page.getByRole('alert')).toContainText('Say how many buds stay');
    await expect(page.locator('.bench-steps li')).toHaveCount(1);
    await press('4');
    await expect(page.getByRole('link', { name: 'Show the cuts' })).toBeVisible();
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByText('Choose the day it would be done on.')).toBeVisible();
    await expect(page.locator('.bench-steps li')).toHaveCount(1);
    await page.locator('.bench-days input').first().check();
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ of 100$/);
    await expect(page.getByText('Left standing').first()).toBeVisible();
    await expect(page.locator('svg.portrait')).toHaveCount(2);
    await page.getByRole('slider').focus();
    await press('End');
    await expect(page.getByRole('navigation', { name: 'Which moment' }).locator('[aria-current]'))
        .toHaveText('Three years on');
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});

test('what a thumb needs on the bench is large enough', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto('/bench/first-forsythia?cuts=x&pick=1');
    for (const name of ['Previous', 'Next', 'Undo the last', 'Begin again']) {
        expect((await page.getByRole('link', { name, exact: true }).boundingBox()).height).toBeGreaterThanOrEqual(48);
    }
    for (const day of await page.locator('.bench-days label').all()) {
        expect((await day.boundingBox()).height).toBeGreaterThanOrEqual(48);
    }
    for (const button of await page.locator('.hand button:visible').all()) {
        expect((await button.boundingBox()).height).toBeGreaterThanOrEqual(48);
    }
});
