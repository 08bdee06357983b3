import { expect, signIn, test } from './people.mjs';

test('a sign of spring is noted in two taps, moves a window and is taken back', async ({ page }) => {
    await signIn(page, 'hand');
    await page.goto('/gardens/1/signs');
    const press = (locator) => (page.viewportSize().width < 700 ? locator.tap() : locator.click());
    await press(page.getByRole('radio', { name: 'Flowering currant in flower' }));
    await press(page.getByRole('button', { name: 'Note it' }));
    await expect(page.getByRole('status')).toContainText('Flowering currant in flower: noted.');
    await expect(page.getByText(/Spring 2027\s+is\s+\d+\s+days?\s+(early|late)/)).toBeVisible();
    await page.goto('/plant-book/lilac?garden=1');
    await expect(page.getByText('Moved by this season').first()).toBeVisible();
    await page.goto('/gardens/1/signs');
    await press(page.getByRole('button', { name: 'Take back: Flowering currant in flower' }));
    await expect(page.getByRole('status')).toContainText('Taken back.');
});

test('a garden and its first plant are added, with faults mended on the way', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/gardens/create');
    await page.getByLabel('Name of the garden').fill(`Heron Court ${page.viewportSize().width}`);
    await page.getByLabel('Client').fill('The Fennel sisters');
    await page.getByLabel('Latitude').fill('52.4');
    await page.getByLabel('Longitude').fill('-2.1');
    await page.getByLabel('Height above the sea').fill('95');
    await page.getByLabel('Average last spring frost').fill('22 April');
    await page.getByLabel('Average first autumn frost').fill('10-28');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Write month and day with two figures each')).toBeVisible();
    await expect(page.getByLabel('Client')).toHaveValue('The Fennel sisters');
    await page.getByLabel('Average last spring frost').fill('04-22');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('No plants yet.')).toBeVisible();

    await page.getByRole('link', { name: 'Add a plant' }).click();
    await page.getByRole('combobox', { name: 'Kind' }).fill('wistria');
    await page.getByLabel('What the crew calls it').fill('Wisteria by the gate');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Did you mean "wisteria"?')).toBeVisible();
    await page.getByRole('combobox', { name: 'Kind' }).fill('Wisteria sinensis');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'Wisteria by the gate' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Winter pass' })).toBeVisible();
    await expect(page.locator('.amounts li').first()).toContainText(/^2 to 3buds per lateral; \d is best/);

    await page.getByText(/^If it is cut today/).click();
    await page.getByLabel('Another day').fill('2027-09-20');
    await page.getByRole('button', { name: 'What then?' }).click();
    await expect(page.getByText(/If it is cut on 20 Sep: closed/)).toBeVisible();
    await expect(page.getByLabel('Another day')).toBeVisible();

    await page.getByRole('link', { name: 'Edit' }).click();
    await page.getByRole('button', { name: /Take Wisteria by the gate out/ }).click();
    await expect(page.getByRole('status')).toContainText('is taken out of the book');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Wisteria by the gate' })).toBeVisible();
});

test('the house practice is changed by the planner and seen on the plant', async ({ page }) => {
    await signIn(page, 'planner');
    await page.goto('/house-practice');
    await page.getByLabel('Laterals to exactly the second bud').check();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('status')).toContainText('Saved.');
    await page.goto('/plant-book/climbing-rose');
    await expect(page.getByText(/laterals to exactly the second bud, the firm's house practice/).first()).toBeVisible();
    await page.goto('/house-practice');
    await page.getByLabel(/Laterals to 2 or 3 buds/).check();
    await page.getByRole('button', { name: 'Save' }).click();
});
