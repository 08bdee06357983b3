import { TODAY } from '../../playwright.config.mjs';
import { expect, test } from './people.mjs';

/** The whole job without a script: plan a visit, log its work, see it in the record, take it back. */
test.use({ javaScriptEnabled: false });

test('a visit is planned and logged where no script runs', async ({ page }) => {
    const phone = page.viewportSize().width < 700;
    const at = async address => {
        await page.goto(address);
        await expect(page.locator('main')).toBeVisible();
    };
    await at('/sign-in');
    await page.getByLabel('E-mail address').fill('lead@hollowbrook.test');
    await page.getByLabel('Password').fill('secateurs');
    await page.getByRole('button', { name: 'Sign in' }).click();
    // Each screen plans in a garden of its own.
    await at(`/gardens/${phone ? 3 : 5}/visits/plan`);
    await page.getByRole('checkbox', { disabled: false }).last().check();
    await page.getByLabel('Day of the visit').fill(TODAY);
    const reason = page.getByLabel(/^Reason/);
    await reason.fill('So it was wished');
    await page.getByRole('button', { name: 'Plan the visit' }).click();
    await expect(page.getByRole('status').first()).toContainText('The visit is planned');
    const form = page.locator('form[data-log]').first();
    await form.locator('input[name=outcome][value=partly]').check({ force: true });
    await form.getByRole('button', { name: 'Log it' }).click();
    // Back on the sheet the message is in sight.
    const wrong = page.getByText('Tap why it was not all done.');
    await expect(wrong).toBeInViewport();
    await page.locator('form[data-log]').first().locator('input[name=why][value=time]').check({ force: true });
    await page.locator('form[data-log]').first().getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByText(/: logged\./)).toBeVisible();
    await expect(page.locator('.outcome-said').first()).toContainText('Partly');
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByText(/the log is taken back/)).toBeVisible();
});
