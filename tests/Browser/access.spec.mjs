import AxeBuilder from '@axe-core/playwright';
import { expect, signIn, test } from './people.mjs';

const MISSING = '/plants/99999';

/** Every page, scanned for WCAG 2.2 AA on both screens, in light and in dark. */
const PAGES = [
    '/', '/?show=coming', '/?q=nothing-like-it', '/round', '/gardens', '/gardens/1', '/gardens/create',
    '/gardens/1/edit', '/gardens/1/plants/create', '/gardens/1/plants/list', '/plants/1',
    '/plants/11?cut=2027-02-24#cut', '/plants/1/edit',
    '/plants/1/record', '/gardens/1/visits/plan',
    '/gardens/1/visits/plan?tasks[]=1:winter-pass:2027&tasks[]=1:summer-pass:2027', '/search', '/search?q=box',
    '/search?q=buddlea', '/visits/1', '/gardens/1/signs', '/plant-book?q=rose', '/plant-book/lilac',
    '/house-practice', '/plants/2/stems?stem=A', '/plants/2/stems?side=1',
    '/plants/3/stems', '/plants/8', '/plants/32', '/plants/8/courses',
    '/plants/8/courses?at=bloom', '/bench', '/bench/crowded-lilac', '/bench/crowded-lilac?cuts=x.d1500&pick=3',
    '/bench/plant-8?view=above',
    '/plant-book/anchors', '/plant-book/new', '/plant-book/wisteria/own', '/?by=urgency&zoom=week', '/?q=a&groups=2',
    '/plan', '/plan?week=2027-03-15', '/crews', '/crews/create', '/crews/1/edit',
    '/round?crew=1', '/gardens?q=lane', '/gardens/1?visits=2', '/offline', '/record',
    '/record?q=rose&left=1', '/record/compare?kind=wisteria', '/record/compare',
    '/account',
    '/people', '/people/create', '/people/2/edit', '/post', '/unplaced', '/files', '/reports', '/gardens/1/letter',
    '/gardens/1/labels', '/visits/1/report', '/changes', '/changes?did=taken-out', '/security', '/integrations',
    '/retention', '/change-person',
];

const FULL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

const said = found =>
    found.violations.map(each => `${each.id}: ${each.help}: ${each.nodes.map(node => node.target).join(' ')}`);

/** All rules in the light; in the dark only colours can be otherwise. */
async function scan(page, scheme, address) {
    // No page holds frames of others, so that everything is looked at within the page itself.
    const axe = new AxeBuilder({ page }).setLegacyMode(true);
    const found = await (scheme === 'light' ? axe.withTags(FULL) : axe.withRules(['color-contrast'])).analyze();
    expect(said(found), `${address}, ${scheme}`).toEqual([]);
}

/** Names that two things of a page bear: a label, a link or a word beside a field then means the wrong one. */
const twice = page => page.evaluate(() => {
    const ids = [...document.querySelectorAll('[id]')].map(each => each.id);
    return ids.filter((id, at) => ids.indexOf(id) !== at);
});

/** One visit shows whether a page answers, keeps to the screen and to its own host, and is open to everyone. */
async function look(page, address, status) {
    const answer = await page.goto(address);
    await page.locator('main').waitFor();
    expect(answer.status(), address).toBe(status);
    expect(
        await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth),
        `${address} scrolls sideways`,
    ).toBe(true);
    expect(await twice(page), `${address} has two of one name`).toEqual([]);
    for (const scheme of ['light', 'dark']) {
        await page.emulateMedia({ colorScheme: scheme });
        await scan(page, scheme, address);
    }
}

/** What no page may do: write to the console, fail in its script, load from elsewhere. */
function watch(page) {
    const wrong = [];
    page.on('console', message => message.type() === 'error' && wrong.push(`${page.url()}: ${message.text()}`));
    page.on('pageerror', error => wrong.push(`${page.url()}: ${error.message}`));
    page.on(
        'request',
        request =>
            new URL(request.url()).hostname !== '127.0.0.1' &&
            !request.url().startsWith('data:') &&
            wrong.push(request.url()),
    );
    return wrong;
}

// Nothing is changed here, so that the workers may share it out.
test.describe.configure({ mode: 'parallel' });

const PARTS = 2;
for (let part = 0; part < PARTS; part++) {
    test(`every page is open to everyone, answers and keeps to itself, part ${part + 1} of ${PARTS}`, async ({
        page,
    }) => {
        test.setTimeout(300_000);
        const wrong = watch(page);
        await signIn(page, 'planner');
        for (const address of PAGES.filter((each, index) => index % PARTS === part)) {
            await look(page, address, 200);
        }
        expect(wrong).toEqual([]);
    });
}

test('pages for guests, a page that is not there, a sheet being logged, a form with faults: open to everyone', async ({
    page,
}) => {
    test.setTimeout(120_000);
    for (const address of ['/sign-in', '/forgotten', '/new-password/abc?email=planner@hollowbrook.test']) {
        await look(page, address, 200);
    }
    await signIn(page, 'planner');
    await look(page, MISSING, 404);
    for (const scheme of ['light', 'dark']) {
        await page.emulateMedia({ colorScheme: scheme });
        await page.goto('/round');
        await page.locator('.what a').first().click();
        const next = page.getByRole('button', { name: 'Next' });
        if (page.viewportSize().width < 700) await next.click();
        const leaf = page.locator('.leaf.job').first();
        await leaf.getByRole('radio', { name: 'Not done' }).check();
        await leaf.getByRole('radio', { name: 'Nest found' }).check();
        await scan(page, scheme, 'a sheet being stopped');
        await leaf.getByRole('radio', { name: 'Done as planned' }).check();
        await leaf.getByText('Heights, stems, next year, a note').click();
        await scan(page, scheme, 'a sheet being logged');
        await page.goto('/gardens/create');
        await page.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByRole('alert')).toBeVisible();
        await scan(page, scheme, 'a form with faults');
    }
});

test('where the keys are is seen, at three to one and more', async ({ page }) => {
    test.skip(page.viewportSize().width < 700, 'a desk matter');
    await signIn(page, 'planner');
    for (const scheme of ['light', 'dark']) {
        await page.emulateMedia({ colorScheme: scheme });
        for (const address of ['/', '/plants/8', '/gardens/1/edit', '/plan']) {
            await page.goto(address);
            for (let stop = 0; stop < 20; stop++) {
                await page.keyboard.press('Tab');
                const seen = await page.evaluate(() => {
                    const at = document.activeElement;
                    // Within a field for a day the browser itself marks which part of it is turned to.
                    if (!at || at === document.body || !at.matches(':focus')) return null;
                    const light = colour => {
                        const [r, g, b] = colour.match(/[\d.]+/g).map(Number).slice(0, 3).map(each => each / 255)
                            .map(each => (each <= 0.04045 ? each / 12.92 : ((each + 0.055) / 1.055) ** 2.4));
                        return 0.2126 * r + 0.7152 * g + 0.0722 * b;
                    };
                    const style = getComputedStyle(at);
                    const ground = getComputedStyle(document.body).backgroundColor;
                    const [one, other] = [light(style.outlineColor), light(ground)];
                    return {
                        what: at.outerHTML.slice(0, 80), style: style.outlineStyle,
                        width: parseFloat(style.outlineWidth),
                        contrast: (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05),
                    };
                });
                if (!seen || seen.what.includes('data-stem')) continue;
                expect(seen.style, `${address}: ${seen.what}`).toBe('solid');
                expect(seen.width, `${address}: ${seen.what}`).toBeGreaterThanOrEqual(2);
                expect(seen.contrast, `${address}: ${seen.what}`).toBeGreaterThanOrEqual(3);
            }
        }
    }
});
