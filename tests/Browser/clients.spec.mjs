import AxeBuilder from '@axe-core/playwright';
import { expect, signIn, test } from './people.mjs';

/** A client opens the link of a letter on a phone or at a desk, agrees to a day and asks; the planner sees it. */
test('a client gets the letter, agrees to a day, asks, and is heard', async ({ page, browser, baseURL, viewport }) => {
    await signIn(page, 'planner');
    const garden = viewport.width < 700 ? 3 : 2;
    await page.goto(`/gardens/${garden}/letter`);
    await expect(page.getByRole('heading', { name: 'Your garden in the months to come' })).toBeVisible();
    await page.getByRole('button', { name: /^Send it to/ }).click();
    await expect(page.getByText('The link to their page is in it')).toBeVisible();
    // It goes out by the worker.
    await expect(async () => {
        await page.goto('/post');
        await expect(page.locator('.letter').first()).toContainText('/client/', { timeout: 1000 });
    }).toPass();
    const letter = await page.locator('.letter').first().innerText();
    const [link] = letter.match(/\/client\/\w{40}/);
    const client = await browser.newPage({ baseURL, viewport });
    await client.goto(link);
    await expect(client.getByText('this page is yours')).toBeVisible();
    const found = await new AxeBuilder({ page: client }).setLegacyMode(true).analyze();
    expect(found.violations.map(each => `${each.id}: ${each.nodes.map(node => node.target).join(' ')}`)).toEqual([]);
    expect(await client.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width);
    await client.getByRole('button', { name: 'That day suits me' }).first().click();
    await expect(client.getByText('Thank you. We have it')).toBeVisible();
    await expect(client.getByRole('heading', { name: /, agreed$/ }).first()).toBeVisible();
    await client.getByLabel('Your question, or what we should know').fill('May the robins stay?');
    await client.getByRole('button', { name: 'Send', exact: true }).last().click();
    await expect(client.getByText('"May the robins stay?"')).toBeVisible();
    // Nothing is put on the phone of somebody who only reads their letter.
    expect(await client.evaluate(async () => (await navigator.serviceWorker?.getRegistrations())?.length ?? 0)).toBe(0);
    await page.goto('/');
    await page.getByRole('link', { name: /agrees: / }).first().click();
    await expect(page.getByText('May the robins stay?')).toBeVisible();
    while (await page.getByRole('button', { name: 'Seen to' }).count()) {
        await page.getByRole('button', { name: 'Seen to' }).first().click();
        await page.waitForLoadState();
    }
    await page.getByRole('button', { name: 'Shut their page' }).click();
    await expect(page.getByText('page is closed')).toBeVisible();
    expect((await client.goto(link)).status()).toBe(404);
    await client.close();
});
