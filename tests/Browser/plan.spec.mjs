import AxeBuilder from '@axe-core/playwright';
import { expect, signIn, test } from './people.mjs';

async function ask(page, weeks, stay) {
    await page.goto('/plan');
    await page.getByLabel('Plan', { exact: true }).selectOption(weeks);
    await page.getByLabel('Existing visits').selectOption(stay);
    await page.getByRole('button', { name: 'Make a plan' }).click();
    // It is made in the background; the page shows it by itself as soon as it is there.
    await page.getByRole('heading', { name: /^A plan,/ }).waitFor();
    await page.getByRole('button', { name: 'Leave the plan as it is' }).waitFor({ timeout: 45_000 });
}

async function open(page) {
    const found = await new AxeBuilder({ page }).setLegacyMode(true).analyze();
    expect(found.violations.map(each => `${each.id}: ${each.nodes.map(node => node.target).join(' ')}`)).toEqual([]);
}

const said = page => page.locator('.said[role="status"]').first();

test('a season is asked for, compared, accepted, moved, a day lost to frost, planned anew, taken back', async ({
    page,
}, info) => {
    test.skip(info.project.name === 'phone', 'the planner plans at the desk; the phone has a test of its own');
    test.setTimeout(120_000);
    await signIn(page, 'planner');

    await ask(page, '6', 'some');
    await open(page);
    const total = page.locator('.cost-table tbody tr').last().locator('td');
    const [before, after] = (await total.allInnerTexts()).map(text => Number(text.replace(/,/g, '')));
    expect(after).toBeLessThan(before);
    const changes = page.locator('.changes li');
    const all = await changes.count();
    expect(all).toBeGreaterThan(2);
    // What falls in March is left for other tests to find: a part is accepted.
    let kept = all;
    for (const change of await changes.all()) {
        if (/ Mar/.test(await change.locator('.when').innerText())) {
            await change.getByRole('checkbox').uncheck();
            kept--;
        }
    }
    expect(kept).toBeGreaterThan(0);
    expect(kept).toBeLessThan(all);
    await page.getByRole('button', { name: 'Accept what is ticked' }).click();
    await expect(said(page)).toContainText('This plan was accepted');
    await expect(page.getByRole('button', { name: 'Take it back' })).toBeVisible();

    // The first visit of next week, by keyboard alone.
    await page.goto('/plan?week=2027-03-08');
    const card = page.locator('[data-on="2027-03-09"] [data-visit], [data-on="2027-03-10"] [data-visit], '
        + '[data-on="2027-03-11"] [data-visit]').first();
    const name = await card.getAttribute('data-name');
    const visit = await card.getAttribute('data-visit');
    await card.getByRole('button', { name: `Move ${name}` }).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('.moving')).toContainText(`${name} is taken up`);
    await page.keyboard.press('ArrowRight');
    await expect(page.locator('.moving')).toContainText('The day then holds');
    await page.keyboard.press('Escape');
    await expect(page.locator('.moving')).toBeHidden();
    await expect(card.getByRole('button', { name: `Move ${name}` })).toBeFocused();
    await page.keyboard.press('Enter');
    await page.keyboard.press('ArrowRight');
    await expect(page.locator('.moving')).toContainText(/dearer|cheaper|costs the same/);
    page.once('dialog', dialog => dialog.accept());
    await page.keyboard.press('Enter');
    await expect(said(page)).toContainText(`${name} is moved to`);
    const moved = page.locator(`[data-visit="${visit}"]`);
    const cell = page.locator('.rota-day', { has: moved });
    const [on, crew] = [await cell.getAttribute('data-on'), await cell.getAttribute('data-crew')];

    // Its day is lost; what stood there is planned anew and little else moves.
    await cell.getByText('Day lost, one ill').click();
    await cell.getByRole('button', { name: 'Frost' }).click();
    await expect(said(page)).toContainText('frost');
    await expect(page.getByText(/on a day that is lost/)).toBeVisible();
    await ask(page, '6', 'little');
    await expect(page.locator('.changes')).toContainText(name);
    await expect(page.locator('.changes')).toContainText('the crew does not work on that day');
    const accepted = page.url();
    await page.getByRole('button', { name: 'Accept what is ticked' }).click();
    await expect(said(page)).toContainText('This plan was accepted');
    await page.goto('/');
    await expect(page.getByText(/on a day that is lost/)).toHaveCount(0);
    await page.goto(`/plan?week=${on}`);
    await expect(page.locator(`[data-on="${on}"][data-crew="${crew}"] [data-visit]`)).toHaveCount(0);

    // What was accepted last is taken back: the visits stand on the lost day again.
    await page.goto(accepted);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(said(page)).toContainText('the plan is as it was');
    await expect(page.getByText(/on a day that is lost/)).toBeVisible();
    await page.goto(`/plan?week=${on}`);
    await expect(page.locator(`[data-on="${on}"][data-crew="${crew}"] [data-visit="${visit}"]`)).toHaveCount(1);
});

test('a visit is dragged to another day, and what that costs is said on the way', async ({ page }, info) => {
    test.skip(info.project.name === 'phone', 'there is no dragging on the phone');
    await signIn(page, 'planner');
    await page.goto('/plan?week=2027-03-08');
    const card = page.locator('[data-visit]').last();
    const name = await card.getAttribute('data-name');
    const visit = await card.getAttribute('data-visit');
    const cell = page.locator('.rota-day', { has: page.locator(`[data-visit="${visit}"]`) });
    const from = await cell.getAttribute('data-on');
    const to = page.locator(`.rota-day[data-on="${from === '2027-03-12' ? '2027-03-11' : '2027-03-12'}"]`).last();
    page.on('dialog', dialog => dialog.accept());
    await card.dragTo(to);
    await expect(said(page)).toContainText(`${name} is moved to`);
    await said(page).getByRole('button', { name: 'Undo' }).click();
    await expect(said(page)).toContainText('is as it was before.');
    await expect(cell).toHaveAttribute('data-on', from);
});

test('a lock keeps a visit where it is, and the client knows the day', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/plan?week=2027-03-08');
    const card = page.locator('[data-visit]', { hasNot: page.getByText('locked', { exact: true }) }).first();
    const visit = await card.getAttribute('data-visit');
    const same = page.locator(`[data-visit="${visit}"]`);
    await card.getByText('More', { exact: true }).click();
    await card.getByRole('button', { name: 'Lock', exact: true }).click();
    await expect(same.getByText('locked', { exact: true })).toBeVisible();
    await same.getByText('More', { exact: true }).click();
    await same.getByRole('button', { name: 'Unlock' }).click();
    await expect(same.getByText('locked', { exact: true })).toHaveCount(0);
});

test('the crew sees its day in driving order, with times and what to load', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto('/round');
    await expect(page.locator('.drive li').first()).toContainText(/\d\d:\d\d to \d\d:\d\d/);
    await page.getByText(/^To load/).click();
    await expect(page.getByText(/disinfectant/)).toBeVisible();
});

test('from the plan to the button that plans a visit, by fewer than twenty-five keys', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'a matter for the desk');
    await signIn(page, 'planner');
    await page.goto('/plan');
    let keys = 0;
    const press = async key => { await page.keyboard.press(key); keys++; };
    const at = () => page.evaluate(() => [
        document.activeElement.textContent.trim(), document.activeElement.href ?? '',
    ]);
    // From the top of the page: past its places, and on to the link that leads further.
    const jump = async name => {
        await press('Tab');
        expect((await at())[0]).toBe('To the page');
        await press('Enter');
        for (let tabs = 0; tabs < 4 && (await at())[0] !== name; tabs++) await press('Tab');
        expect((await at())[0]).toBe(name);
        await press('Enter');
        await press('Tab');
    };
    await jump('To what closes soon');
    for (let tabs = 0; tabs < 4 && !(await at())[1].includes('/visits/plan?'); tabs++) await press('Tab');
    expect((await at())[1]).toContain('/visits/plan?');
    await press('Enter');
    await page.waitForURL('**/visits/plan?**');
    await jump('To the day');
    for (let tabs = 0; tabs < 10 && (await at())[0] !== 'Plan the visit'; tabs++) await press('Tab');
    expect((await at())[0]).toBe('Plan the visit');
    expect(keys).toBeLessThan(25);
    // Or by one, which turns to it and writes nothing.
    await page.reload();
    await page.keyboard.press('p');
    expect((await at())[0]).toBe('Plan the visit');
    await expect(page).toHaveURL(/visits\/plan\?/);
});
