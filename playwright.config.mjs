import { defineConfig } from '@playwright/test';

/** The real interface in Debian's Chromium, on a database of its own, on a day of its own. */
export const TODAY = '2027-03-08';
const PORT = 8189;

export const chromium = {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync'],
};

export default defineConfig({
    testDir: 'tests/Browser',
    testMatch: '*.spec.mjs',
    outputDir: 'storage/framework/browser',
    workers: 1,
    timeout: 60_000,
    reporter: [['list']],
    forbidOnly: true,
    use: { actionTimeout: 10_000, navigationTimeout: 15_000, baseURL: `http://127.0.0.1:${PORT}`, launchOptions: chromium, trace: 'off' },
    projects: [
        { name: 'desk', use: { viewport: { width: 1280, height: 800 } } },
        { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    ],
    webServer: {
        command: `./hook demo --fresh --port ${PORT} --today ${TODAY}`,
        env: { DB_DATABASE: `${process.cwd()}/database/browser.sqlite` },
        url: `http://127.0.0.1:${PORT}/up`,
        timeout: 180_000,
        reuseExistingServer: false,
    },
});
