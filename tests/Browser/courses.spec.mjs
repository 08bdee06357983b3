import { expect, signIn, test } from './people.mjs';

test('the moments of a plant are turned by key and thumb, and both courses keep one scale', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto('/plants/5');
    await page.getByRole('link', { name: 'Three years on' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Grown on for three years');
    const pictures = page.getByRole('img', { name: /as it stands: \d+ stems/ });
    await expect(pictures).toHaveCount(2);
    await expect(page.locator('.p-goes').first()).toBeVisible();
    const moments = page.getByRole('navigation', { name: 'Which moment' });
    for (const link of await moments.getByRole('link').all()) {
        expect((await link.boundingBox()).height).toBeGreaterThanOrEqual(48);
    }
    await moments.getByRole('link', { name: 'At its next bloom' }).focus();
    await page.keyboard.press('Enter');
    await expect(moments.locator('[aria-current]')).toHaveText('At its next bloom');
    await expect(page.locator('.p-flower').first()).toBeAttached();
    await page.keyboard.press('6');
    await expect(moments.locator('[aria-current]')).toHaveText('Three years on');
    const boxes = await page.locator('svg.portrait').evaluateAll(all => all.map(one => one.getAttribute('viewBox')));
    expect(new Set(boxes).size).toBe(1);
    // Nothing is wider than the screen it is on.
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});
