import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { signIn } from './people.mjs';

/** Every page, scanned for WCAG 2.2 AA on both screens, in light and in dark. */
const PAGES = ['/', '/?show=coming', '/?q=nothing-like-it', '/round', '/gardens', '/gardens/1', '/gardens/create', '/gardens/1/edit',
    '/gardens/1/plants/create', '/plants/1', '/plants/11?cut=2027-02-24#cut', '/plants/1/edit', '/plants/1/record', '/gardens/1/visits/plan',
    '/gardens/1/visits/plan?tasks[]=1:winter-pass:2027&tasks[]=1:summer-pass:2027', '/search', '/search?q=box', '/search?q=buddlea', '/visits/1',
    '/plants/99999', '/gardens/1/signs', '/plant-book?q=rose', '/plant-book/lilac', '/house-practice', '/plants/2/stems?stem=A', '/plants/3/stems', '/plants/8', '/plants/32', '/plants/8/courses',
    '/plant-book/anchors', '/plant-book/new', '/plant-book/wisteria/own', '/?by=urgency&zoom=week'];

async function scan(page, address) {
    await page.goto(address);
    await page.locator('main').waitFor();
    const found = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']).analyze();
    const said = found.violations.map((each) => `${each.id}: ${each.help}: ${each.nodes.map((node) => node.target).join(' ')}`);
    expect(said, address).toEqual([]);
}

for (const scheme of ['light', 'dark']) {
    test(`every page is open to everyone, ${scheme}`, async ({ page }) => {
        test.setTimeout(480_000);
        await page.emulateMedia({ colorScheme: scheme });
        await scan(page, '/sign-in');
        await scan(page, '/forgotten');
        await scan(page, '/new-password/abc?email=planner@hollowbrook.test');
        await signIn(page, 'planner');
        for (const address of PAGES) {
            await scan(page, address);
        }
        // A sheet with work to log, opened; and a form with faults on it.
        await page.goto('/round');
        await page.locator('.what a').first().click();
        await page.getByRole('radio', { name: 'Partly' }).first().check();
        await scan(page, new URL(page.url()).pathname);
        await page.goto('/gardens/create');
        await page.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByRole('alert')).toBeVisible();
        const found = await new AxeBuilder({ page }).analyze();
        expect(found.violations.map((each) => each.id)).toEqual([]);
    });
}

test('no page fails, loads from elsewhere or writes to the console', async ({ page }) => {
    const wrong = [];
    page.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
    page.on('pageerror', (error) => wrong.push(error.message));
    page.on('request', (request) => new URL(request.url()).hostname !== '127.0.0.1' && !request.url().startsWith('data:') && wrong.push(request.url()));
    await signIn(page, 'planner');
    for (const address of PAGES.filter((each) => each !== '/plants/99999')) {
        const answer = await page.goto(address);
        expect(answer.status(), address).toBe(200);
        expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth), `${address} scrolls sideways`).toBe(true);
    }
    expect(wrong).toEqual([]);
});
