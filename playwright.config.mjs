import { defineConfig } from '@playwright/test';

/** The real interface in Debian's Chromium, on a day of its own; each worker has a server and a database of its own. */
export const TODAY = '2027-03-08';
export const FIRST_PORT = 8189;
export const WORKERS = 2;
export const database = worker => `${process.cwd()}/database/browser-${worker}.sqlite`;

export const chromium = {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync'],
};

export default defineConfig({
    testDir: 'tests/Browser',
    testMatch: '*.spec.mjs',
    globalSetup: './tests/Browser/seeded.mjs',
    outputDir: 'storage/framework/browser',
    workers: WORKERS,
    timeout: 120_000,
    // A busy machine answers late; what is wrong stays wrong however long one looks.
    expect: { timeout: 10_000 },
    reporter: [['list']],
    forbidOnly: true,
    use: { actionTimeout: 10_000, navigationTimeout: 15_000, launchOptions: chromium, trace: 'off',
        // Colours that fade from light to dark are looked at as they end.
        contextOptions: { reducedMotion: 'reduce' } },
    projects: [
        { name: 'desk', use: { viewport: { width: 1280, height: 800 } } },
        { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    ],
    webServer: Array.from({ length: WORKERS }, (_, worker) => ({
        command: `./hook demo --fresh --port ${FIRST_PORT + worker} --today ${TODAY}`,
        env: {
            DB_DATABASE: database(worker), PHP_CLI_SERVER_WORKERS: '2', MAIL_MAILER: 'post',
        },
        url: `http://127.0.0.1:${FIRST_PORT + worker}/up`,
        timeout: 180_000,
        reuseExistingServer: false,
    })),
});
