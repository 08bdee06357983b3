import { TODAY } from '../../playwright.config.mjs';
import { expect, signIn, test } from './people.mjs';

/** The main job, from the season to the record, without touching the database by hand. */
test('the plant that closes soonest is planned at the desk, logged on the phone and stands in the record', async ({
    browser,
}) => {
    const desk = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await signIn(desk, 'planner');
    await desk.goto('/?crew=1');
    const closing = desk.getByRole('region', { name: 'Closing within two weeks' });
    const open = closing
        .getByRole('listitem')
        .filter({ has: desk.getByRole('link', { name: /Plan a visit/ }) })
        .first();
    const plant = (await open.getByRole('link').first().textContent()).trim();
    await open.getByRole('link', { name: /Plan a visit/ }).click();

    await expect(desk.getByRole('checkbox', { checked: true })).toHaveCount(1);
    await expect(desk.getByText('is a best day.').or(desk.getByText('is open.'))).toBeVisible();
    // A day far outside is refused, with the reason beside the field; nothing is lost.
    await desk.getByLabel('Day of the visit').fill('2027-08-30');
    await expect(desk.getByText('is outside the common days: give a reason below.')).toBeVisible();
    await desk.getByRole('button', { name: /^Take .* instead$/ }).click();
    await expect(desk.getByText('is a best day.').or(desk.getByText('is open.'))).toBeVisible();
    await desk.getByLabel('Day of the visit').fill('2027-08-30');
    await expect(desk.getByText('is outside the common days: give a reason below.')).toBeVisible();
    await desk.getByRole('button', { name: 'Plan the visit' }).click();
    await expect(desk.getByText(/is outside the days they share/)).toBeVisible();
    await expect(desk.getByRole('checkbox', { checked: true })).toHaveCount(1);
    await desk.getByLabel('Day of the visit').fill(TODAY);
    // What the common days come to moves the button while it is on its way.
    await desk.waitForLoadState('networkidle');
    await desk.getByRole('button', { name: 'Plan the visit' }).click();
    await expect(desk.getByRole('status')).toContainText('The visit is planned');
    const sheet = new URL(desk.url()).pathname;

    const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true });
    await signIn(phone, 'hand');
    await phone.goto('/round');
    await expect(phone.locator(`a[href$="${sheet}"]`)).toBeVisible();
    await phone.locator(`a[href$="${sheet}"]`).tap();
    const card = phone.getByRole('region', { name: plant });
    await phone.getByRole('button', { name: 'Next' }).tap();
    await card.getByRole('radio', { name: 'Partly' }).tap();
    await card.getByRole('button', { name: 'Log it' }).tap();
    // Half-done work needs a why; the card keeps what was tapped.
    await expect(phone.getByText('Tap why it was not all done.')).toBeVisible();
    await expect(card.getByRole('radio', { name: 'Partly' })).toBeChecked();
    await card.getByRole('radio', { name: 'Weather' }).tap();
    await card.getByRole('button', { name: 'Minutes: more' }).tap();
    const minutes = await card.getByRole('spinbutton', { name: 'Minutes' }).inputValue();
    await card.getByRole('checkbox', { name: 'Dead wood' }).tap();
    await card.getByText('Heights, stems, next year, a note').tap();
    await card.getByLabel('Left for next year').fill('Take the oldest at the back');
    await card.getByRole('button', { name: 'Log it' }).tap();
    const told = phone.locator('[data-told]');
    await expect(told).toContainText(`${plant}: logged.`);
    await expect(card.getByText(/Partly done: weather/)).toBeVisible();

    await desk.goto('/search?q=' + encodeURIComponent(plant));
    await desk.getByRole('link', { name: plant, exact: true }).click();
    await expect(desk.getByText('Left for this year')).toBeVisible();
    await desk.locator('main').getByRole('link', { name: 'Record', exact: true }).click();
    const line = desk.getByRole('row').filter({ hasText: '8 Mar' });
    await expect(line).toContainText('Partly done: weather');
    await expect(line).toContainText('Dead wood');
    await expect(line).toContainText('Take the oldest at the back');
    await expect(line).toContainText(minutes);

    // Undo takes the line back out of the record.
    await told.getByRole('button', { name: 'Undo' }).tap();
    await expect(told).toContainText('taken back');
    await expect(phone.locator('#signal')).toContainText('2 entries sent');
    await desk.reload();
    await expect(
        desk.getByRole('row').filter({ hasText: '8 Mar' }).filter({ hasText: 'Take the oldest at the back' }),
    ).toHaveCount(0);
});

test('the keyboard reaches every place', async ({ page, viewport }) => {
    test.skip(viewport.width < 700, 'a desk matter');
    await signIn(page, 'planner');
    // Keys are heard once the script is there.
    await page.goto('/');
    await page.keyboard.press('g');
    await expect(page).toHaveURL(/\/gardens$/);
    await page.keyboard.press('c');
    await expect(page).toHaveURL(/\/record$/);
    await page.keyboard.press('r');
    await expect(page).toHaveURL(/\/round$/);
    await page.keyboard.press('/');
    await page.keyboard.type('buddleja');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Plants' })).toBeVisible();
    await page.getByRole('link', { name: 'Butterfly border' }).click();
    await expect(page.getByRole('heading', { name: 'Butterfly border' })).toBeVisible();
    await page.waitForLoadState('load');
    await page.keyboard.press('e');
    await expect(page.getByRole('heading', { name: /^Edit/ })).toBeVisible();
    await page.locator('body').click({ position: { x: 5, y: 400 } });
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('Plan a visit');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
});

test('nothing on the sheet is smaller than a gloved thumb or needs sideways scrolling', async ({ page, viewport }) => {
    test.skip(viewport.width > 700, 'a phone matter');
    await signIn(page, 'hand');
    await page.goto('/round');
    await page.getByRole('list').locator('.what a').first().tap();
    await page.getByRole('heading', { level: 1 }).waitFor();
    await expect(page).toHaveURL(/\/visits\/\d+#arrive$/);
    await page.getByRole('button', { name: 'Next' }).tap();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.getByRole('radio', { name: 'Done as planned' }).first().tap();
    for (const target of await page
        .locator(
            '.job .links a, .job .outcomes label, .job .taps label, .job .stepper button, .job button, '
                + '.job .ticks label, .job .photos label, .job summary, .turn button, .checks label',
        )
        .all()) {
        const box = await target.boundingBox();
        // What lies in a closed card has no height.
        if (box?.height) {
            expect(box.height, await target.textContent()).toBeGreaterThanOrEqual(48);
        }
    }
});
