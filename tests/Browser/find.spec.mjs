import AxeBuilder from '@axe-core/playwright';
import { expect, signIn, test } from './people.mjs';

const wrong = found =>
    found.violations.map(each => `${each.id}: ${each.help}: ${each.nodes.map(node => node.target).join(' ')}`);

test('a kind is found while it is typed, by keyboard and by thumb', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/gardens/1/plants/create');
    const kind = page.getByRole('combobox', { name: 'Kind' });
    const offers = page.locator('#kinds-offered');
    await kind.pressSequentially('clematis');
    await expect(page.getByText('Which group of clematis')).toBeVisible();
    await expect(offers.getByRole('option')).toHaveCount(5);
    expect(wrong(await new AxeBuilder({ page }).setLegacyMode(true).analyze())).toEqual([]);
    await kind.press('ArrowDown');
    await kind.press('ArrowDown');
    await expect(offers.getByRole('option', { selected: true })).toContainText('late');
    await kind.press('Enter');
    await expect(kind).toHaveValue(/late/);
    await expect(offers.getByRole('option')).toHaveCount(0);
    await kind.fill('');
    await kind.pressSequentially('Rosmarinus');
    const rosemary = offers.getByRole('option', { name: /Rosemary/ });
    await expect(rosemary).toBeVisible();
    // The list may be drawn anew between two looks.
    await expect(async () => expect((await rosemary.boundingBox()).height).toBeGreaterThanOrEqual(48)).toPass();
    await rosemary.click();
    await expect(kind).toHaveValue('Rosemary');
    await kind.fill('');
    await kind.pressSequentially('xyzzy');
    await expect(page.getByText('The plant book knows nothing like it.')).toBeVisible();
});

test('a list of plants is shown as it was understood, and planted when it is clear', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/gardens/3/plants/list');
    await page.getByLabel('A line for each plant')
        .fill("2 x Syringa vulgaris 'Charles Joly', Lilacs at the end\nrose\nxyzzy");
    await page.getByRole('button', { name: 'Show what is understood' }).click();
    await expect(page.getByText('1 of 3 are clear, 1 unknown')).toBeVisible();
    expect(wrong(await new AxeBuilder({ page }).setLegacyMode(true).analyze())).toEqual([]);
    await page.getByRole('button', { name: 'Plant what is ticked' }).click();
    await expect(page.getByText('Say which it is, or leave it out.')).toBeVisible();
    await page.getByLabel('Which rose').selectOption({ label: 'Climbing rose' });
    await page.getByRole('button', { name: 'Plant what is ticked' }).click();
    await expect(page.getByRole('status').first()).toContainText('2 plants are in the book.');
    await expect(page.getByText('Lilacs at the end').first()).toBeVisible();
});

test('the year of a site is drawn as it is written down', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/gardens/1/edit');
    await expect(page.getByText('carried from Oxford')).toBeVisible();
    await page.getByLabel('Mean of each month').fill('4 5 7 10 13 16 18 18 15 11 7');
    await page.getByLabel('Mean of each month').blur();
    await expect(page.getByText('Twelve months are needed')).toBeVisible();
    await page.getByLabel('Mean of each month').fill('6 7 9 12 15 18 20 20 17 13 9 7');
    await page.getByLabel('Mean of each month').blur();
    await expect(page.getByText('as given for this site')).toBeVisible();
});
