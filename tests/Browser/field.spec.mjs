import { chromium as browsers } from '@playwright/test';
import { appendFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, TODAY } from '../../playwright.config.mjs';
import { expect, signIn, signInOnPage, test } from './people.mjs';

/** The visit in the hand: read and logged without signal, sent once when it is back. */
test.describe.configure({ mode: 'serial' });
test.beforeEach(({ viewport }) => test.skip(viewport.width > 700, 'a phone matter'));

/** A photo as large as a phone takes it. */
const picture = page => page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 3000, height: 2000 });
    canvas.getContext('2d').fillRect(0, 0, 1500, 2000);
    return canvas.toDataURL('image/png').split(',')[1];
}).then(text => Buffer.from(text, 'base64'));

/** The day in the pocket, and with it the sheet. */
async function opened(page, sheet, who = 'hand') {
    await signIn(page, who);
    await page.goto('/round');
    // By now many sheets are planned for the day, each with its plants to be drawn.
    await expect(page.getByText('Today and tomorrow are on this phone')).toBeVisible({ timeout: 20_000 });
    expect(JSON.parse(await page.locator('[data-day]').getAttribute('data-day'))).toContain(sheet);
}

const signal = page => page.locator('#signal');
const leaf = page => page.locator('.leaf.is-at');
const turn = page => page.getByRole('button', { name: 'Next' }).tap();

/** Logs the plant that is turned to; says how many taps that took. */
async function log(page) {
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).locator('[data-here] .here-note, [data-said] .outcome-said').first()).toBeVisible();
    return 3;
}

/** A visit of so many plants today, planned at the desk for the crew of the hand and the lead. */
async function planned(browser, baseURL, garden, plants = 3) {
    const desk = await browser.newPage({ baseURL, viewport: { width: 1280, height: 800 } });
    await signIn(desk, 'planner');
    await desk.goto(`/gardens/${garden}/visits/plan`);
    const boxes = desk.getByRole('checkbox', { disabled: false });
    for (let plant = 0; plant < plants; plant++) await boxes.nth(plant).check();
    await desk.getByLabel('Day of the visit').fill(TODAY);
    await desk.getByLabel('Crew').selectOption('Wren crew');
    const reason = desk.getByLabel(/^Reason/);
    if (await reason.isVisible()) await reason.fill('all in one go');
    // What the common days come to moves the button while it is on its way.
    await desk.waitForLoadState('networkidle');
    await desk.getByRole('button', { name: 'Plan the visit' }).click();
    await expect(desk.getByRole('status')).toContainText('The visit is planned');
    const sheet = new URL(desk.url()).pathname;
    await desk.close();
    return sheet;
}

test('a visit is logged without signal, the browser closed and opened, and all arrives once', async ({
    browser,
    baseURL,
}) => {
    test.setTimeout(120_000);
    const pocket = mkdtempSync(join(tmpdir(), 'phone-'));
    const phone = more => browsers.launchPersistentContext(pocket, {
        ...chromium, baseURL, viewport: { width: 390, height: 844 }, hasTouch: true, reducedMotion: 'reduce', ...more,
    });
    let context = await phone();
    let page = context.pages()[0];
    const plants = 8;
    const sheet = await planned(browser, baseURL, 1, plants);
    await opened(page, sheet);
    // The browser itself finds nothing that keeps it from being put on the phone's first screen.
    const devtools = await context.newCDPSession(page);
    expect((await devtools.send('Page.getInstallabilityErrors')).installabilityErrors).toEqual([]);
    await context.setOffline(true);
    await page.goto(sheet);
    await expect(page.locator('.leaf.job')).toHaveCount(plants);
    const turned = [];
    for (let plant = 0; plant < plants; plant++) {
        const took = await page.evaluate(async () => {
            const before = performance.now();
            document.querySelector('[data-next]').click();
            await new Promise(done => requestAnimationFrame(() => setTimeout(done)));
            return performance.now() - before;
        });
        // A plant with its drawing is there at once: it was on the phone before it was asked for.
        await expect(leaf(page).locator('svg').first()).toBeVisible();
        test.info().annotations.push({ type: 'page turned', description: `${Math.round(took)} ms` });
        turned.push(took);
        expect(1 + await log(page)).toBeLessThanOrEqual(4);
    }
    // Whatever else the machine is doing: some of them are turned undisturbed.
    expect(Math.min(...turned)).toBeLessThan(300);
    const id = await leaf(page).getAttribute('id');
    const chooser = leaf(page).locator('input[type=file][data-moment=before]');
    await chooser.setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(page) });
    await expect(signal(page)).toContainText('1 photo saved here');
    await chooser.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no') });
    await expect(leaf(page).getByText('That is no picture and was not kept.')).toBeVisible();
    await page.reload();
    await expect(signal(page)).toContainText(`${plants} entries saved here`);
    await context.close();

    context = await phone({ offline: true });
    page = context.pages()[0];
    await page.goto('/round');
    await page.locator(`a[href$="${sheet}"]`).first().tap();
    await expect(signal(page)).toContainText(`${plants} entries saved here`);
    await expect(signal(page)).toContainText('1 photo saved here');
    await context.setOffline(false);
    await expect(signal(page)).toContainText(`${plants} entries sent`);
    await expect(page.locator('[data-progress]')).toHaveText(`${plants} of ${plants} logged`);
    await page.reload();
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(plants);
    const photo = page.locator(`#${id} [data-said] .pictures img`);
    await expect(photo).toHaveCount(1);
    expect([await photo.getAttribute('width'), await photo.getAttribute('height')]).toEqual(['1600', '1067']);
    await context.close();
    rmSync(pocket, { recursive: true });
});

test('a page that is not on the phone says so, and what was half filled in is still there', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const sheet = await planned(browser, baseURL, 2);
    await opened(page, sheet);
    await context.setOffline(true);
    // On arriving: what was not ticked is said, and the first plant is turned to.
    await page.goto(sheet);
    for (const name of [/^(Hazards|Walked)/, /^Blades/, /wishes/]) {
        await leaf(page).getByRole('checkbox', { name }).check();
    }
    await leaf(page).getByRole('button', { name: 'We are here' }).tap();
    await expect(page.locator('[data-told]')).toContainText('Arrived. Not ticked: looked for nests');
    await expect(leaf(page)).toHaveAttribute('id', /^task-/);
    // It does not lie on what is tapped next.
    await page.locator('[data-to-log]').tap();
    await expect(page.locator('[data-told]')).toBeHidden();
    await page.goto('/plant-book');
    await expect(page.getByRole('heading', { name: 'No signal' })).toBeVisible();
    await page.goto(`${sheet}#arrive`);
    await turn(page);
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Partly' }).tap();
    await leaf(page).getByRole('button', { name: 'Minutes: more' }).tap();
    const minutes = await leaf(page).getByRole('spinbutton', { name: 'Minutes' }).inputValue();
    await leaf(page).locator('[data-step]').first().check();
    await page.reload();
    await expect(leaf(page).getByRole('radio', { name: 'Partly' })).toBeChecked();
    await expect(leaf(page).getByRole('spinbutton', { name: 'Minutes' })).toHaveValue(minutes);
    await expect(leaf(page).locator('[data-step]').first()).toBeChecked();
    // Half-done work needs a why; a stop needs somebody who knows of it.
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).getByText('Tap why it was not all done.')).toBeVisible();
    await leaf(page).getByRole('radio', { name: 'Nest found' }).tap();
    await expect(leaf(page).getByText('Stop the work here.')).toBeVisible();
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).getByText('Who have you told? Choose one.')).toBeVisible();
    await leaf(page).getByRole('radio', { name: 'The office' }).tap();
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).locator('[data-here]')).toContainText('Partly');
    // Taken back while nothing is sent: both words go, in order.
    await page.locator('[data-told]').getByRole('button', { name: 'Undo' }).tap();
    await expect(page.locator('[data-told]')).toContainText('taken back');
    await context.setOffline(false);
    await expect(signal(page)).toContainText('3 entries sent');
    await page.reload();
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(0);
});

test('what the office asks about stands beside its field until it is said again', async ({
    page,
    browser,
    baseURL,
}) => {
    const sheet = await planned(browser, baseURL, 3);
    await opened(page, sheet);
    await page.goto(sheet);
    await turn(page);
    await turn(page);
    await page.locator('[data-to-log]').tap();
    // A stop that was tapped by mistake is nothing once the work is done.
    await leaf(page).getByRole('radio', { name: 'Not done' }).tap();
    await leaf(page).getByRole('radio', { name: 'Nest found' }).tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByRole('spinbutton', { name: 'Minutes' }).fill('1400');
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).locator('[data-wrong=minutes]')).toContainText('1400 minutes? Prescribed were');
    await expect(signal(page)).toContainText('1 was not taken');
    await page.reload();
    await expect(signal(page)).toContainText('1 was not taken');
    await expect(leaf(page).getByRole('spinbutton', { name: 'Minutes' })).toHaveValue('1400');
    await signal(page).getByRole('button', { name: 'Look' }).tap();
    await expect(page.getByRole('dialog')).toContainText('Prescribed were');
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).tap();
    await leaf(page).getByRole('checkbox', { name: 'It is so' }).tap();
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(signal(page)).toContainText('1 entry sent');
    await expect(leaf(page).locator('[data-said]')).toContainText('1400 min');
    // What nobody can mend is thrown away by two taps, and only that.
    await page.getByRole('button', { name: 'Back', exact: true }).tap();
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByRole('spinbutton', { name: 'Minutes' }).fill('1400');
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(signal(page)).toContainText('1 was not taken');
    await signal(page).getByRole('button', { name: 'Look' }).tap();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Throw away' }).tap();
    await expect(dialog.getByRole('listitem')).toHaveCount(1);
    await dialog.getByRole('button', { name: 'Throw away for good?' }).tap();
    await expect(dialog).toContainText('Nothing waits here.');
    await dialog.getByRole('button', { name: 'Close' }).tap();
    await expect(signal(page)).not.toContainText('not taken');
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(1);
    await turn(page);
    await leaf(page).getByRole('button', { name: 'Take the log back' }).tap();
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(0);
    await turn(page);
    // A phone without room says so, and the form keeps what is in it.
    await page.evaluate(() => {
        IDBObjectStore.prototype.add = () => {
            throw new DOMException('full', 'QuotaExceededError');
        };
    });
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(leaf(page).locator('[data-wrong=outcome]')).toContainText('This phone has no room');
    await expect(leaf(page).getByRole('radio', { name: 'Done as planned' })).toBeChecked();
});

test('a picture that was damaged on the phone stays there with its reason, and the log is kept', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const sheet = await planned(browser, baseURL, 6, 1);
    await opened(page, sheet);
    await context.setOffline(true);
    await page.goto(sheet);
    await turn(page);
    await log(page);
    await leaf(page).locator('input[type=file][data-moment=after]')
        .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(page) });
    await expect(signal(page)).toContainText('1 photo saved here');
    // It was damaged where it lay.
    await page.evaluate(() => new Promise((done, failed) => {
        const opening = indexedDB.open('pruning-hook');
        opening.onerror = failed;
        opening.onsuccess = () => {
            const photos = opening.result.transaction('photos', 'readwrite').objectStore('photos');
            photos.getAll().onsuccess = event => {
                const [photo] = event.target.result;
                photos.put({ ...photo, blob: new Blob(['nothing to see']) }).onsuccess = () => {
                    opening.result.close();
                    done();
                };
            };
        };
    }));
    await context.setOffline(false);
    await expect(signal(page)).toContainText('1 was not taken');
    await page.reload();
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(1);
    await signal(page).getByRole('button', { name: 'Look' }).tap();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('this phone can no longer read it');
    await dialog.getByRole('button', { name: 'Throw away' }).tap();
    await dialog.getByRole('button', { name: 'Throw away for good?' }).tap();
    await expect(dialog).toContainText('Nothing waits here.');
});

test('storage that is cleared under an open sheet loses nothing this page knows of, and is told', async ({
    page, context, browser, baseURL,
}) => {
    const sheet = await planned(browser, baseURL, 2, 3);
    await opened(page, sheet);
    await page.goto(sheet);
    await turn(page);
    await context.setOffline(true);
    await log(page);
    await expect(signal(page)).toContainText('1 entry saved here');
    const devtools = await context.newCDPSession(page);
    const clear = () => devtools.send('Storage.clearDataForOrigin', { origin: baseURL, storageTypes: 'indexeddb' });
    await clear();
    await turn(page);
    await log(page);
    await expect(signal(page)).toContainText('2 entries saved here');
    await expect(signal(page)).toContainText('had cleared its storage. What this page knew to be waiting was put back');
    await clear();
    await context.setOffline(false);
    await page.evaluate(() => dispatchEvent(new Event('online')));
    await expect(signal(page)).not.toContainText('saved here');
    await page.goto(sheet);
    await expect(page.locator('[data-said] .outcome-said')).toHaveCount(2, { timeout: 20_000 });

    // What nobody knows of any more is told as gone.
    await context.setOffline(true);
    await page.goto(sheet);
    await page.getByRole('button', { name: 'Next' }).tap();
    await page.evaluate(() => localStorage.setItem('words-wait', '1'));
    await page.goto('about:blank');
    await clear();
    await page.goto(sheet);
    await expect(signal(page)).toContainText('what waited here is gone');
    await context.setOffline(false);
});

test('one entry that is refused never keeps the others', async ({ page, context, browser, baseURL }) => {
    const sheet = await planned(browser, baseURL, 3, 3);
    await opened(page, sheet);
    await page.goto(sheet);
    await context.setOffline(true);
    for (let plant = 0; plant < 3; plant++) {
        await turn(page);
        await log(page);
    }
    await expect(signal(page)).toContainText('3 entries saved here');
    // Something between phone and office takes no request that holds the second.
    let second = null;
    await page.route('**/entries', async route => {
        const { entries } = route.request().postDataJSON();
        second ??= entries[1]?.id;
        return entries.some(entry => entry.id === second)
            ? route.fulfill({ status: 413, json: { message: 'Too large to pass.' } })
            : route.continue();
    });
    await context.setOffline(false);
    await page.evaluate(() => dispatchEvent(new Event('online')));
    await expect(signal(page)).toContainText('1 was not taken');
    await signal(page).getByRole('button', { name: 'Look' }).tap();
    await expect(page.getByRole('dialog')).toContainText('not taken: Too large to pass');
    await page.unroute('**/entries');
    await page.getByRole('button', { name: 'Send again' }).tap();
    await page.getByRole('button', { name: 'Close' }).tap();
    await page.goto(sheet);
    await expect(page.locator('[data-said] .outcome-said')).toHaveCount(3, { timeout: 20_000 });
});

test('two phones on one visit lose nothing, and who said what is seen', async ({ page, context, browser, baseURL }) => {
    const sheet = await planned(browser, baseURL, 4);
    await opened(page, sheet);
    const other = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true });
    const second = await other.newPage();
    await opened(second, sheet, 'lead');
    for (const [one, phone] of [[page, context], [second, other]]) {
        await phone.setOffline(true);
        await one.goto(sheet);
        await turn(one);
        await turn(one);
        await log(one);
    }
    await context.setOffline(false);
    await expect(signal(page)).toContainText('1 entry sent');
    await other.setOffline(false);
    await expect(signal(second)).toContainText('1 entry sent');
    await expect(leaf(second).locator('[data-said] .plain li')).toHaveCount(2);
    await expect(leaf(second).locator('[data-said]')).toContainText('Isla Fenn');
    await other.close();
});

test('an expired session keeps what waits, and so does a phone that is handed on', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const sheet = await planned(browser, baseURL, 5);
    await opened(page, sheet);
    await page.goto(sheet);
    await context.clearCookies();
    await turn(page);
    await log(page);
    await expect(signal(page)).toContainText('1 entry saved here: sign in to send');
    // Somebody else signs in on this phone: what waits is not theirs and is not sent as theirs.
    await signInOnPage(page, 'lead');
    await expect(signal(page)).toContainText('1 entry of Isla Fenn wait');
    await page.goto(sheet);
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(0);
    await page.goto('/round');
    await page.getByRole('button', { name: 'Sign out' }).tap();
    await page.getByLabel('Password').waitFor();
    await signInOnPage(page, 'hand');
    await expect(signal(page)).toContainText('1 entry sent');
    await page.goto(sheet);
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(1);
});

/** All that lies on the phone, as somebody reads it who has it in the hand. */
const lies = page => page.evaluate(async () => {
    const read = value => {
        if (value instanceof ArrayBuffer || ArrayBuffer.isView(value)) return new TextDecoder('latin1').decode(value);
        if (value === null || typeof value !== 'object') return String(value);
        return Object.entries(value).map(([name, each]) => `${name} ${read(each)}`).join('\n');
    };
    const found = [read({ ...localStorage }), read({ ...sessionStorage })];
    for (const { name } of await indexedDB.databases()) {
        const db = await new Promise((done, no) => Object.assign(indexedDB.open(name), {
            onsuccess: event => done(event.target.result), onerror: no,
        }));
        for (const store of db.objectStoreNames) {
            const all = db.transaction(store).objectStore(store).getAll();
            found.push(read(await new Promise(done => (all.onsuccess = () => done(all.result)))));
        }
        db.close();
    }
    for (const name of await caches.keys()) {
        if (!name.startsWith('day-')) continue;
        const cache = await caches.open(name);
        for (const request of await cache.keys()) {
            found.push(name, request.url, await (await cache.match(request)).text());
        }
    }
    return found.join('\n');
});

test('of a phone that is handed on nobody reads what the one before said, and it comes back to them', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const [robins, hinge] = ['Robins nest behind the trellis', 'The hinge of the gate is loose'];
    const here = () => page.evaluate(() => [localStorage.getItem('whose'), document.body.dataset.user]);
    const settled = () => expect.poll(async () => new Set(await here()).size).toBe(1);
    const sheet = await planned(browser, baseURL, 6);
    await opened(page, sheet);
    await page.goto(sheet);
    await settled();
    await context.setOffline(true);
    await turn(page);
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByText('Heights, stems, next year, a note').tap();
    await leaf(page).locator('[name=note]').fill(robins);
    await leaf(page).getByRole('button', { name: 'Log it' }).tap();
    await expect(signal(page)).toContainText('1 entry saved here');
    await turn(page);
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByText('Heights, stems, next year, a note').tap();
    await leaf(page).locator('[name=note]').fill(hinge);
    const half = await leaf(page).getAttribute('id');
    const mine = await lies(page);
    expect(mine).toContain(hinge);
    expect(mine).toContain(sheet);
    expect(await page.evaluate(() => JSON.stringify(localStorage))).not.toContain('_token');
    // Put down without signing out; somebody else takes it up.
    await context.clearCookies();
    await context.setOffline(false);
    await signInOnPage(page, 'lead');
    await settled();
    await expect(signal(page)).toContainText('1 entry of Isla Fenn wait here for a sign-in');
    const theirs = await lies(page);
    for (const word of [robins, hinge, 'Done as planned', `"visit":`]) expect(theirs).not.toContain(word);
    await signal(page).getByRole('button', { name: 'Look' }).tap();
    await expect(page.locator('#words li')).toHaveText('An entry by Isla Fenn, waiting until they sign in here');
    await page.locator('#words').getByRole('button', { name: 'Close' }).tap();
    await page.getByRole('button', { name: 'Sign out' }).tap();
    await page.getByLabel('Password').waitFor();
    expect(await page.evaluate(() => localStorage.getItem('whose'))).toBeNull();
    await signInOnPage(page, 'hand');
    await expect(signal(page)).toContainText('1 entry sent');
    await page.goto(`${sheet}#${half}`);
    await expect(page.locator('.leaf.job.is-done')).toHaveCount(1);
    await expect(page.locator(`#${half} [name=note]`)).toHaveValue(hinge);
});

test('two people change places on one phone by PIN, and what one left unsent waits for them', async ({
    page,
    context,
    browser,
    baseURL,
}) => {
    const thorns = 'Thorns in the path by the pond';
    const pins = { lead: '7391', hand: '80264' };
    const sheet = await planned(browser, baseURL, 6);
    for (const [who, pin] of Object.entries(pins)) {
        await signInOnPage(page, who);
        await page.goto('/account');
        await page.getByLabel('PIN').fill(pin);
        await page.getByLabel('Current password').last().fill('secateurs');
        await page.getByRole('button', { name: 'Save PIN' }).tap();
        await expect(page.getByText('PIN saved.')).toBeVisible();
        if (who === 'hand') continue;
        await page.getByRole('button', { name: 'Sign out', exact: true }).tap();
        await page.waitForURL('**/sign-in');
    }
    await opened(page, sheet);
    await page.goto(sheet);
    await expect.poll(() => page.evaluate(() => localStorage.getItem('whose'))).not.toBeNull();
    await context.setOffline(true);
    await turn(page);
    await page.locator('[data-to-log]').tap();
    await leaf(page).getByRole('radio', { name: 'Done as planned' }).tap();
    await leaf(page).getByText('Heights, stems, next year, a note').tap();
    await leaf(page).locator('[name=note]').fill(thorns);
    const half = await leaf(page).getAttribute('id');
    expect(await lies(page)).toContain(thorns);
    await context.setOffline(false);
    const change = async (name, pin) => {
        await page.goto('/change-person');
        await page.getByRole('radio', { name }).check();
        await page.getByLabel('PIN').fill(pin);
        await page.getByRole('button', { name: 'Continue' }).tap();
    };
    await change('Tobin Ashe', '0007');
    await expect(page.getByText('Wrong PIN. 4 attempts left.')).toBeVisible();
    await change('Tobin Ashe', pins.lead);
    await expect(page.locator('.me')).toContainText('Tobin Ashe');
    await expect.poll(() => lies(page)).not.toContain(thorns);
    await change('Isla Fenn', pins.hand);
    await expect(page.locator('.me')).toContainText('Isla Fenn');
    await page.goto(`${sheet}#${half}`);
    await expect(page.locator(`#${half} [name=note]`)).toHaveValue(thorns);
});

test('a new version of the application sends what the one before kept', async ({ page, context, browser, baseURL }) => {
    const sheet = await planned(browser, baseURL, 6);
    await opened(page, sheet);
    const worker = readFileSync('public/sw.js', 'utf8');
    await context.setOffline(true);
    await page.goto(sheet);
    await turn(page);
    await log(page);
    // The browser may find the new one by itself, before it is asked to look.
    await page.evaluate(() => {
        window.changed = new Promise(done => navigator.serviceWorker.addEventListener('controllerchange', done));
    });
    try {
        appendFileSync('public/sw.js', '\n// a version later\n');
        await context.setOffline(false);
        // The old one may still have work under way: it is asked again until the new one has taken over.
        await expect(async () => {
            expect(await page.evaluate(async () => {
                const update = async () => (await navigator.serviceWorker.ready).update();
                const late = new Promise(done => setTimeout(() => done('late'), 3000));
                return Promise.race([update().then(() => window.changed).then(() => 'changed'), late]);
            })).toBe('changed');
        }).toPass({ timeout: 60_000 });
        await page.reload();
        await expect(page.locator('.leaf.job.is-done')).toHaveCount(1);
        await expect(signal(page)).toContainText('1 entry sent');
    } finally {
        writeFileSync('public/sw.js', worker);
    }
});
