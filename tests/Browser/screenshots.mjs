/** Takes the pictures in docs/screenshots/ anew, from fresh demo data on one day: ./hook screenshots. */
import { chromium as browserOf } from '@playwright/test';
import { spawn } from 'node:child_process';
import { chromium } from '../../playwright.config.mjs';

const DAY = '2027-02-24';
const PORT = 8188;
const AT = `http://127.0.0.1:${PORT}`;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const PICTURES = [
    ['season', DESK, 'planner', '/'],
    ['plant', DESK, 'planner', '/plants/8'],
    ['garden', DESK, 'planner', '/gardens/4'],
    ['plan', DESK, 'planner', async (page) => {
        await page.goto(`${AT}/gardens/4/visits/plan`);
        for (const each of [4, 5]) {
            await page.getByRole('checkbox').nth(each).check();
        }
        await page.getByText('2 tasks, about').waitFor();
    }],
    ['record', DESK, 'planner', '/record'],
    ['plant-book', DESK, 'planner', '/plant-book'],
    ['reports', DESK, 'planner', async (page) => {
        await page.goto(`${AT}/reports?season=2026`);
        await page.getByText('Hours, forecast and fact').waitFor({ timeout: 30_000 });
    }],
    ['stems', DESK, 'planner', '/plants/2/stems'],
    ['courses', DESK, 'planner', '/plants/15/courses?at=bloom'],
    ['bench', DESK, 'hand', '/bench/crowded-weigela?cuts=x.t21.t33&pick=36'],
    ['stems-phone', PHONE, 'hand', '/plants/2/stems?stem=C'],
    ['round-phone', PHONE, 'hand', async (page) => {
        await page.goto(`${AT}/round`);
        await page.getByText('are on this phone').waitFor();
    }],
    ['visit-phone', PHONE, 'hand', async (page) => openSheet(page)],
    ['log-phone', PHONE, 'hand', async (page) => {
        await openSheet(page);
        await page.locator('[data-to-log]').click();
        await page.locator('.is-at').getByRole('radio', { name: 'Done as planned' }).check();
        await page.locator('.is-at').getByRole('button', { name: 'Log it' }).waitFor();
        await page.waitForTimeout(1000);
    }],
    ['bench-phone', PHONE, 'hand', '/bench/rose-of-the-bed?cuts=x&pick=3'],
    ['client-phone', PHONE, 'planner', async (page) => {
        await page.goto(`${AT}/gardens/2/letter`);
        await page.getByRole('button', { name: /^Send it/ }).click();
        await page.getByText('The link to their page').waitFor();
        await page.waitForTimeout(4000);
        await page.goto(`${AT}/post`);
        const letter = await page.locator('.letter').first().innerText();
        await page.context().clearCookies();
        await page.goto(AT + letter.match(/\/client\/\w{40}/)[0]);
    }],
    ['season-phone', PHONE, 'hand', '/'],
    // These plan the season, so that they come last.
    ['difference', DESK, 'planner', async (page) => {
        await page.goto(`${AT}/plan`);
        await page.getByRole('button', { name: 'Make a plan' }).click();
        await page.getByRole('button', { name: 'Leave the plan as it is' }).waitFor({ timeout: 60_000 });
    }],
    ['week', DESK, 'planner', async (page) => {
        await page.goto(`${AT}/plan`);
        await page.getByText(/is ready/).waitFor();
        await page.getByRole('link', { name: 'Look at the difference' }).click();
        await page.getByRole('button', { name: 'Accept what is ticked' }).click();
        await page.getByText('This plan was accepted').waitFor();
        await page.goto(`${AT}/plan`);
        await page.locator('#week').evaluate((week) => week.scrollIntoView({ block: 'start', behavior: 'instant' }));
    }],
];

async function openSheet(page) {
    await page.goto(`${AT}/round`);
    await page.locator('.what a').first().click();
    await page.waitForURL(/visits/);
    await page.getByRole('button', { name: 'Next' }).click();
}

const server = spawn('./hook', ['demo', '--fresh', '--port', String(PORT), '--today', DAY], {
    env: { ...process.env, DB_DATABASE: `${process.cwd()}/database/screenshots.sqlite`, MAIL_MAILER: 'post' },
    detached: true,
    stdio: 'ignore',
});
try {
    for (let tries = 0; ; tries++) {
        const up = await fetch(`${AT}/up`).then((answer) => answer.ok, () => false);
        if (up) break;
        if (tries > 120) throw new Error('the demo did not come up within two minutes');
        await new Promise((later) => setTimeout(later, 1000));
    }
    const browser = await browserOf.launch(chromium);
    for (const [name, viewport, who, what] of PICTURES) {
        const page = await browser.newPage({ viewport });
        if (who) {
            await page.goto(`${AT}/sign-in`);
            await page.getByLabel('E-mail address').fill(`${who}@hollowbrook.test`);
            await page.getByLabel('Password').fill('secateurs');
            await page.getByRole('button', { name: 'Sign in' }).click();
            await page.getByRole('button', { name: 'Sign out' }).waitFor();
        }
        typeof what === 'string' ? await page.goto(AT + what) : await what(page);
        await page.screenshot({ path: `docs/screenshots/${name}.png` });
        await page.close();
        console.log(`  docs/screenshots/${name}.png`);
    }
    await browser.close();
} finally {
    process.kill(-server.pid);
}
