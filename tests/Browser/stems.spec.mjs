import { expect, signIn, test } from './people.mjs';

const isPhone = (page) => page.viewportSize().width < 700;

/** A tap on the bowl, a share of its width from the middle, going a way. */
async function tapWay(page, degrees) {
    // The board is sent anew after each tap: wait until the last one has settled.
    await page.waitForLoadState('networkidle');
    await page.locator('svg.bowl').evaluate((svg) => svg.scrollIntoView({ block: 'center', behavior: 'instant' }));
    const box = await page.locator('svg.bowl').boundingBox();
    const far = box.width * 0.44;
    const x = box.x + box.width / 2 + Math.sin((degrees * Math.PI) / 180) * far;
    const y = box.y + box.height / 2 - Math.cos((degrees * Math.PI) / 180) * far;
    isPhone(page) ? await page.touchscreen.tap(x, y) : await page.mouse.click(x, y);
}

test('twelve stems are surveyed with a few taps each, judged after each, and undone', async ({ page }) => {
    await signIn(page, 'hand');
    // Each screen has a plant of its own.
    await page.goto(isPhone(page) ? '/plants/7/stems' : '/plants/9/stems');
    await expect(page.getByText('No stem is surveyed yet')).toBeVisible();
    let taps = 0;
    for (let stem = 0; stem < 12; stem++) {
        await tapWay(page, stem * 30 + 7);
        taps++;
        await expect(page.getByRole('heading', { name: `Stem ${String.fromCharCode(65 + stem)}` })).toBeVisible();
        if (stem % 3 === 0) {
            await page.getByRole('button', { name: 'very old' }).click();
            await expect(page.getByRole('button', { name: 'very old' })).toHaveAttribute('aria-pressed', 'true');
            await page.getByRole('button', { name: "last year's" }).click();
            await expect(page.getByRole('button', { name: "last year's" })).toHaveAttribute('aria-pressed', 'true');
            taps += 2;
        }
    }
    // Two minutes of gloved taps are some sixty; most stems need one.
    expect(taps).toBeLessThan(60);
    await page.getByRole('button', { name: 'dead', exact: true }).click();
    await expect(page.locator('.cuts li').first()).toContainText('Stem L, dead: it is dead');
    await page.getByRole('button', { name: 'Undo the last tap' }).click();
    await expect(page.locator('.cuts')).not.toContainText('Stem L, dead');
    await page.reload();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(12);
});

test('a spoke is tapped, the lead has the last word, and the rest adapts', async ({ page }) => {
    await signIn(page, 'lead');
    await page.goto('/plants/2/stems');
    await expect(page.locator('.cuts li')).toHaveCount(5);
    await page.locator('.cuts a', { hasText: 'Stem D' }).click();
    await expect(page.getByRole('heading', { name: 'Stem D' })).toBeVisible();
    await page.getByRole('button', { name: 'it stays' }).click();
    await expect(page.locator('.stays')).toContainText('Stem D');
    await expect(page.getByText("D stays by the lead's word")).toBeVisible();
    await page.getByRole('button', { name: 'it stays' }).click();
    await expect(page.locator('.cuts')).toContainText('Stem D');
});

test('taps made without signal wait on the phone and arrive when it is back', async ({ page, context }) => {
    await signIn(page, 'hand');
    await page.goto(isPhone(page) ? '/plants/6/stems' : '/plants/10/stems');
    await context.setOffline(true);
    await tapWay(page, 20);
    await tapWay(page, 140);
    await expect(page.getByText(/No signal: [12] taps? waits? on this phone/)).toBeVisible();
    await tapWay(page, 250);
    await context.setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(3);
    await page.reload();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(3);
});

test('taps of two tabs are all kept, and a phone handed on sends the taps of nobody else', async ({
    page,
    context,
}) => {
    await signIn(page, 'hand');
    const stems = isPhone(page) ? '/plants/28/stems' : '/plants/30/stems';
    const other = await context.newPage();
    for (const tab of [page, other]) await tab.goto(stems);
    await context.setOffline(true);
    for (const [index, tab] of [page, other, page].entries()) {
        await tab.bringToFront();
        await tapWay(tab, 40 + 110 * index);
    }
    await expect(page.getByText('No signal: 3 taps wait on this phone')).toBeVisible();
    await context.setOffline(false);
    for (const tab of [page, other]) await tab.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect
        .poll(async () => {
            await page.reload();
            return page.locator('svg.bowl .b-stem').count();
        })
        .toBe(3);
    // What this one tapped without signal is not said by the next one.
    await context.setOffline(true);
    await tapWay(page, 355);
    await expect(page.getByText('No signal: 1 tap waits on this phone')).toBeVisible();
    await other.close();
    await context.clearCookies();
    await context.setOffline(false);
    await expect(page.getByText('Sign in again: 1 tap waits on this phone')).toBeVisible();
    await signIn(page, 'lead');
    await page.goto(stems);
    await page.waitForTimeout(1500);
    await page.reload();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(3);
    await context.clearCookies();
    await signIn(page, 'hand');
    await page.goto(stems);
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(4);
});

test('a survey cut short by leaving the page is sent on coming back', async ({ page, context }) => {
    await signIn(page, 'hand');
    const stems = isPhone(page) ? '/plants/3/stems' : '/plants/4/stems';
    await page.goto(stems);
    const before = await page.locator('svg.bowl .b-stem').count();
    await context.setOffline(true);
    await tapWay(page, 40);
    await expect(page.getByText('No signal: 1 tap waits on this phone')).toBeVisible();
    // The page is closed before the signal is back, so nothing on it can send the tap.
    await page.goto('about:blank');
    await context.setOffline(false);
    await page.goto(stems);
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(before + 1);
    await page.reload();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(before + 1);
});

test('a tap whose answer never comes is sent again and kept once', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto(isPhone(page) ? '/plants/11/stems' : '/plants/5/stems');
    const before = await page.locator('svg.bowl .b-stem').count();
    let lost = 0;
    await page.route('**/stems', async (route) => {
        if (route.request().method() !== 'POST' || lost++) return route.continue();
        await route.fetch();
        await route.abort('connectionreset');
    });
    await tapWay(page, 40);
    await expect(page.getByText('No signal: 1 tap waits on this phone')).toBeVisible();
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByText('No signal')).toBeHidden();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(before + 1);
    await page.reload();
    await expect(page.locator('svg.bowl .b-stem')).toHaveCount(before + 1);
    expect(lost).toBe(2);
});

test('the stem in hand is judged from the keyboard, one key a word', async ({ page }) => {
    test.skip(isPhone(page), 'a desk matter');
    await signIn(page, 'lead');
    await page.goto('/plants/2/stems?stem=D');
    await expect(page.locator('.cuts')).toContainText('Stem D');
    // A letter only turns to the word: Enter says it.
    await page.keyboard.press('k');
    await expect(page.getByRole('button', { name: 'it stays' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.locator('.stays')).toContainText('Stem D');
    await expect(page.getByRole('button', { name: 'it stays' })).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('u');
    await page.keyboard.press('Enter');
    await expect(page.locator('.cuts')).toContainText('Stem D');
    await page.keyboard.press('o');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'It stands again' })).toBeVisible();
    await page.keyboard.press('o');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'It is out' })).toBeVisible();
});

test('the drawing follows a height as it is typed', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/plants/8');
    // The cut follows the wish, centimetre by centimetre, from where this plant's own growth puts it.
    const cut = page.getByText(/cut at \d+ cm/).first();
    const height = async () => Number((await cut.textContent()).match(/cut at (\d+) cm/)[1]);
    const before = await height();
    await page.getByLabel('Flowers wanted at, cm').fill('130');
    await expect(page.getByText(`cut at ${before + 20} cm`).first()).toBeVisible();
    await page.getByLabel('Flowers wanted at, cm').fill('60');
    await expect(page.getByText('The wish cannot be met').first()).toBeVisible();
    // What cannot be is said beside the field; the drawing stays as it was.
    await page.getByLabel('Height, cm').fill('99999');
    await expect(page.locator('.measures .wrong-note')).toHaveText(/height/i);
    await expect(page.locator('main')).toHaveCount(1);
    await expect(page.getByText('The wish cannot be met').first()).toBeVisible();
    await page.reload();
    await expect(page.getByText(`cut at ${before} cm`).first()).toBeVisible();
});

test('a kind is corrected as the firm\'s own and taken back', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/plant-book/weigela/own');
    await page.getByLabel('Best from').first().fill('easter');
    await page.getByLabel('What the firm has seen').fill(`Late on our clay, ${page.viewportSize().width}.`);
    await page.getByRole('button', { name: "Save as the firm's own" }).click();
    await expect(page.getByText('is not an anchor of the year').first()).toBeVisible();
    await page.getByLabel('Best from').first().fill('bloom-end+5');
    await page.getByRole('button', { name: "Save as the firm's own" }).click();
    await expect(page.getByText('Corrected by the firm')).toBeVisible();
    await page.getByRole('button', { name: 'Back to what the book says' }).click();
    await expect(page.getByRole('status')).toContainText('taken back');
});

test('frost dates are carried over from the nearest garden', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/gardens/create');
    await page.getByLabel('Latitude').fill('52.9');
    await page.getByLabel('Longitude').fill('-2.4');
    await page.getByLabel('Height above the sea').fill('200');
    await page.getByRole('button', { name: 'Use frost dates from' }).click();
    await expect(page.getByText("By Hopkins' law spring comes")).toBeVisible();
    await expect(page.getByLabel('Average last spring frost')).toHaveValue(/^\d\d-\d\d$/);
});
