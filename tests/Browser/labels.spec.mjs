import jsqr from 'jsqr';
import { expect, signIn, test } from './people.mjs';

const SIDE = 400;

/** A label as a camera sees it. */
const seen = (page, at) => page.evaluate(async ([index, side]) => {
    const svg = document.querySelectorAll('.labels .code')[index].cloneNode(true);
    svg.setAttribute('width', side);
    svg.setAttribute('height', side);
    const image = new Image();
    image.src = `data:image/svg+xml,${encodeURIComponent(new XMLSerializer().serializeToString(svg))}`;
    await image.decode();
    const canvas = Object.assign(document.createElement('canvas'), { width: side, height: side });
    const context = canvas.getContext('2d');
    context.fillStyle = '#fff';
    context.fillRect(0, 0, side, side);
    context.drawImage(image, 0, 0);
    return Array.from(context.getImageData(0, 0, side, side).data);
}, [at, SIDE]);

test('the code on a label leads to its plant, read by others', async ({ page, baseURL }) => {
    // Dozens of codes are drawn and read point by point.
    test.slow();
    await signIn(page, 'hand');
    await page.goto('/gardens/1');
    await page.getByRole('link', { name: 'Labels' }).click();
    await expect(page.locator('.labels .code').first()).toBeVisible();
    const count = await page.locator('.labels .code').count();
    expect(count).toBeGreaterThan(5);
    for (const at of [0, count - 1]) {
        const number = await page.locator('.labels .number').nth(at).innerText();
        const read = jsqr(Uint8ClampedArray.from(await seen(page, at)), SIDE, SIDE);
        expect(read?.data).toBe(`${baseURL}/plants/${number}`);
        expect((await page.goto(new URL(read.data).pathname)).status()).toBe(200);
        await page.goBack();
        await expect(page.locator('.labels .code').first()).toBeVisible();
    }
    // Where there is no such reader, the number is typed.
    await page.goto('/search');
    await expect(page.getByRole('heading', { name: 'Find' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Scan a label' })).toBeHidden();
});

test('where the browser reads codes, a label is scanned', async ({ page, context }) => {
    await context.addInitScript(() => {
        let looked = 0;
        window.BarcodeDetector = class {
            async detect() {
                looked++;
                return [{ rawValue: looked < 3 ? 'https://elsewhere.example/x' : 'https://any.host/plants/3' }];
            }
        };
        Object.defineProperty(navigator, 'mediaDevices', {
            value: { getUserMedia: async () => document.createElement('canvas').captureStream() },
        });
        HTMLMediaElement.prototype.play = async () => {};
    });
    await signIn(page, 'hand');
    await page.goto('/search');
    await page.getByRole('button', { name: 'Scan a label' }).click();
    await page.waitForURL(/\/plants\/3$/);
});
