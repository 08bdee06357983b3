import { expect, signIn, test } from './people.mjs';

test('the moments of a plant are turned by key, thumb and slider, and all courses keep one scale', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto('/plants/5');
    await page.getByRole('link', { name: 'Courses' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Courses, three years on');
    const pictures = page.getByRole('img', { name: /as it stands: \d+ stems?/ });
    expect(await pictures.count()).toBeGreaterThanOrEqual(2);
    await expect(page.locator('.p-goes').first()).toBeVisible();
    // Keys are heard once the script is there.
    const press = key => page.waitForLoadState('load').then(() => page.keyboard.press(key));
    const moments = page.getByRole('navigation', { name: 'Which moment' });
    for (const link of await moments.getByRole('link').all()) {
        expect((await link.boundingBox()).height).toBeGreaterThanOrEqual(48);
    }
    await moments.getByRole('link', { name: 'At its next bloom' }).focus();
    await press('Enter');
    await expect(moments.locator('[aria-current]')).toHaveText('At its next bloom');
    await expect(page.locator('.p-flower').first()).toBeAttached();
    await press('6');
    await expect(moments.locator('[aria-current]')).toHaveText('Three years on');
    // The slider turns without a new page, and the link follows it.
    const slider = page.getByRole('slider');
    expect((await slider.boundingBox()).height).toBeGreaterThanOrEqual(48);
    await slider.focus();
    await press('Home');
    await expect(moments.locator('[aria-current]')).toHaveText('As it stands');
    await expect(page).toHaveURL(/at=now/);
    await expect(page.locator('.p-goes').first()).toBeVisible();
    await press('ArrowRight');
    await expect(moments.locator('[aria-current]')).toHaveText('After the cut');
    await page.reload();
    await expect(moments.locator('[aria-current]')).toHaveText('After the cut');
    const boxes = await page.locator('svg.portrait').evaluateAll(all => all.map(one => one.getAttribute('viewBox')));
    expect(new Set(boxes).size).toBe(1);
    // Nothing is wider than the screen it is on.
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});

test('without signal the slider says so, and the pictures stay', async ({ page, context }) => {
    await signIn(page, 'hand');
    await page.goto('/plants/5/courses');
    await context.setOffline(true);
    await page.getByRole('slider').focus();
    await page.keyboard.press('End');
    await expect(page.getByText('No connection: the pictures are as they were.')).toBeVisible();
    await expect(page.locator('svg.portrait').first()).toBeVisible();
    await context.setOffline(false);
});

test('a plant is told on two screens of a desk before anything is unfolded', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'a matter for the desk');
    await page.setViewportSize({ width: 1280, height: 800 });
    await signIn(page, 'planner');
    for (const plant of [1, 2, 3, 5, 8, 12, 20, 30, 40]) {
        await page.goto(`/plants/${plant}`);
        const tall = await page.evaluate(() => document.documentElement.scrollHeight);
        expect(tall, `plant ${plant}`).toBeLessThanOrEqual(1600);
    }
});
