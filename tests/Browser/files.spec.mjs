import ICAL from 'ical.js';
import Papa from 'papaparse';
import { expect, signIn, test } from './people.mjs';

/** What we write is read by others: RFC 4180 by one library, RFC 5545 by another. */
test.beforeEach(({ viewport }) => test.skip(viewport.width < 700, 'a matter for the desk'));

test('a table of plants is read by others, changed, looked at and taken in', async ({ page }) => {
    await signIn(page, 'planner');
    const table = await (await page.request.get('/export/plants')).text();
    const read = Papa.parse(table, { header: true, skipEmptyLines: true });
    expect(read.errors).toEqual([]);
    expect(read.data.length).toBeGreaterThan(40);
    expect(Object.keys(read.data[0])).toContain('flowering_height_cm');
    // As a spreadsheet gives it back: one line changed, one added, one wrong.
    const [first] = read.data;
    const changed = [
        { ...first, bed: 'Moved, to the "new" bed' },
        { ...first, id: '', label: 'From a spreadsheet', kind: 'lilac' },
        { ...first, id: '', label: 'Nobody knows', kind: 'lilck' },
    ];
    await page.goto('/files');
    await page.getByLabel('File').setInputFiles({
        name: 'plants.csv', mimeType: 'text/csv', buffer: Buffer.from(Papa.unparse(changed, { delimiter: ';' })),
    });
    await page.getByRole('button', { name: 'Preview' }).click();
    // It is read in the background; the page looks again by itself.
    const take = page.getByRole('button', { name: 'Take in 2 lines and leave 1 out' });
    await expect(take).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText('Moved, to the "new" bed, was')).toBeVisible();
    await expect(page.getByText('the plant book has no kind "lilck"')).toBeVisible();
    await take.click();
    await expect(page.getByText('Taken in: 1 new')).toBeVisible({ timeout: 20_000 });
    await page.goto('/search?q=From+a+spreadsheet');
    await expect(page.getByRole('link', { name: 'From a spreadsheet' })).toBeVisible();
});

test('a calendar is fetched, subscribed to by a link, and the link is shut', async ({ page, playwright, baseURL }) => {
    await signIn(page, 'planner');
    const calendar = new ICAL.Component(ICAL.parse(await (await page.request.get('/export/calendar')).text()));
    const events = calendar.getAllSubcomponents('vevent').map(each => new ICAL.Event(each));
    expect(events.length).toBeGreaterThan(3);
    for (const event of events) {
        expect(event.startDate.isDate).toBe(true);
        expect(event.duration.toSeconds()).toBe(86_400);
        expect(event.summary).toMatch(/^Pruning: /);
    }
    await page.goto('/files');
    await page.getByLabel('Crew').selectOption('Wren crew');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = await page.locator('.said', { hasText: '/calendar/' }).innerText();
    const phone = await playwright.request.newContext({ baseURL });
    const path = new URL(link.trim()).pathname;
    const fed = new ICAL.Component(ICAL.parse(await (await phone.get(path)).text()));
    expect(fed.getFirstPropertyValue('x-wr-calname')).toContain('Wren crew');
    await page.getByRole('button', { name: 'Shut it' }).first().click();
    await expect(page.getByText('The link is shut')).toBeVisible();
    expect((await phone.get(path)).status()).toBe(404);
    await phone.dispose();
});

test('a visit that another program moved in its calendar is moved, and moved back', async ({ page }) => {
    // Three pieces of work for the worker, one after the other.
    test.slow();
    await signIn(page, 'planner');
    const calendar = new ICAL.Component(ICAL.parse(await (await page.request.get('/export/calendar')).text()));
    // The last to come has the most room in its window.
    const [last] = calendar.getAllSubcomponents('vevent').map(each => new ICAL.Event(each))
        .sort((a, b) => b.startDate.compare(a.startDate));
    const was = last.startDate.toString();
    const day = last.startDate.clone();
    day.adjust(1, 0, 0, 0);
    last.component.updatePropertyWithValue('dtstart', day);
    await page.goto('/files');
    await page.getByLabel('Contents').selectOption('visits');
    await page.getByLabel('File').setInputFiles({
        name: 'visits.ics', mimeType: 'text/calendar', buffer: Buffer.from(calendar.toString()),
    });
    await page.getByRole('button', { name: 'Preview' }).click();
    const take = page.getByRole('button', { name: 'Take in 1 line' });
    await expect(take).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText(`day: ${day.toString()}, was ${was}`)).toBeVisible();
    await take.click();
    await expect(page.getByText('Taken in: 0 new, 1 changed')).toBeVisible({ timeout: 20_000 });
    const there = async () => (await (await page.request.get('/export/calendar')).text())
        .includes(`DTSTART;VALUE=DATE:${day.toString().replaceAll('-', '')}`);
    expect(await there()).toBe(true);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Taken back: all is as it was')).toBeVisible({ timeout: 20_000 });
});
