import { chromium, type Page } from '@playwright/test';
import { create, toFile } from 'qrcode';
import { writeFile } from 'node:fs/promises';
import { launchOptions } from '../launchOptions';
import { allSaved, expect, goTo, openDemo, test } from './home';

// Codes are learned in it.
test.use({ homeOf: 'scan' });

// Numbers of restricted circulation (GS1 prefixes 20 to 29), with their check figure; the catalogue knows the first.
const CHICKPEAS = '2000000001029';
const NOBODYS = '2900000000018';

const goToPath = (page: Page, path: string) => page.goto(new URL(page.url()).origin + path);
/** As a scanner that types: all its keys at once, however busy this machine is, Enter at the end. */
const typeLikeAScanner = (page: Page, text: string): Promise<void> =>
  page.evaluate((code) => {
    const target = document.activeElement ?? document.body;
    for (const key of [...code, 'Enter'])
      target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  }, text);

const [WIDTH, HEIGHT, DOTS] = [640, 480, 9];
/** A film of one picture: a scan code in the middle of a white page (YUV4MPEG2, as Chromium's fake camera plays it). */
async function film(path: string, text: string): Promise<void> {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const luma = Buffer.alloc(WIDTH * HEIGHT, 235);
  const [left, top] = [(WIDTH - modules.size * DOTS) >> 1, (HEIGHT - modules.size * DOTS) >> 1];
  for (let y = 0; y < modules.size * DOTS; y++)
    for (let x = 0; x < modules.size * DOTS; x++)
      if (modules.get(Math.floor(y / DOTS), Math.floor(x / DOTS))) luma[(top + y) * WIDTH + left + x] = 16;
  const colour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), luma, colour]);
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`);
  await writeFile(path, Buffer.concat([head, ...Array.from({ length: 10 }, () => frame)]));
}

test('by the camera: the label of a place opens it @wide', async ({ page, server }, info) => {
  await openDemo(page, server);
  await goToPath(page, '/nooks');
  await page.getByText('Stair press').first().click();
  const code = /\b[A-Z]{2}\d?-[1-9A-Z]+\b/.exec((await page.locator('main').last().innerText()).replace(/\s+/g, ' '));
  const place = code?.[0] ?? 'SP-B1B';
  const path = info.outputPath('label.y4m');
  await film(path, `${server.url}/n/${place}`.toUpperCase());
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...launchOptions.args,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${path}`,
    ],
  });
  const context = await browser.newContext({ viewport: page.viewportSize()!, permissions: ['camera'] });
  const other = await context.newPage();
  await openDemo(other, server);
  await other.getByRole('button', { name: 'Scan a code' }).click();
  await expect(other).toHaveURL(/\/(nook|space)\//, { timeout: 20_000 });
  await browser.close();
});

test('by a picture and a scanner that types: Record takes over date and batch, learns a new code, and notices one read twice', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  await goTo(page, 'Record');
  const picture = info.outputPath('code.png');
  await toFile(picture, `https://shop.example/01/0${CHICKPEAS}/10/L77?17=280229`, { scale: 6 });
  await page.getByRole('button', { name: 'Scan a code' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'From a picture …' }).click(),
  ]);
  await chooser.setFiles(picture);
  await expect(page.getByText(/^Read: https:/)).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).last().click();
  const just = page.locator('main');
  await expect(just).toContainText('Chickpeas');
  await expect(just).toContainText('29 Feb 2028');

  // A scanner types while nothing has the focus, and while something else is half typed.
  await page.locator('body').press('Escape');
  const field = page.getByTestId('record-line');
  await field.fill('');
  await typeLikeAScanner(page, NOBODYS);
  await expect(field).toHaveValue(NOBODYS);
  await page.getByLabel('What has this trade number?').fill('Hemp seed');
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await expect(field).toHaveValue('');
  await allSaved(page);
  // It is known by it from now on, wherever one is.
  await goTo(page, 'Rounds');
  // Within two seconds it would be the same scan read twice.
  await page.waitForTimeout(2200);
  await typeLikeAScanner(page, NOBODYS);
  await expect(page).toHaveURL(/\/item\//);
  await expect(page.getByText('Hemp seed').first()).toBeVisible();
  await typeLikeAScanner(page, NOBODYS);
  await expect(page.getByText(/^Scanned twice: taken once/)).toBeVisible();
});

test('by typing, and by the simulated scanner: a code nobody knows is learned in one line, one that is wrong says why', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await page.getByRole('button', { name: 'Scan a code' }).click();
  await page.getByLabel('Or type what stands below it').fill('2900000000019');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(/^The last figure of 2900000000019 does not agree/)).toBeVisible();
  await goToPath(page, '/devices');
  const panel = page.getByRole('group', { name: 'Scanner' });
  await panel.getByLabel('What is held before it').fill('2900000000025');
  await panel.getByRole('button', { name: 'Scan it' }).click();
  await page.getByLabel('What is it?').fill('Poppy seed');
  await page.getByRole('button', { name: 'A new thing' }).click();
  await expect(page.getByText('New: Poppy seed, known by 2900000000025.')).toBeVisible();
  await panel.getByRole('button', { name: 'Drop the connection' }).click();
  await panel.getByLabel('What is held before it').fill('2900000000032');
  await panel.getByRole('button', { name: 'Scan it' }).click();
  await expect(panel.getByText('It does not answer.')).toBeVisible();
  await allSaved(page);
});

test('devices: a scale that swings is not read, a freezer that warmed is, and a printer out of labels says how many came out', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await goToPath(page, '/devices');
  const freezer = page.getByRole('group', { name: /^Thermometer, Porch freezer/ });
  await freezer.getByRole('radio', { name: 'lost for hours' }).click();
  await expect(freezer).toContainText('nothing known from 23:00 to 08:00');
  const printer = page.getByRole('group', { name: 'Label printer' });
  await printer.getByRole('button', { name: 'Use it up to 2' }).click();
  await expect(printer).toContainText('2 labels left');
  await goToPath(page, '/nooks');
  await page.getByText('Stair press').first().click();
  await expect(page).toHaveURL(/\/space\//);
  await page.goto(`${page.url().split('?')[0]}/labels`);
  await page.getByRole('button', { name: 'To the label printer (simulated)' }).click();
  await expect(page.getByText(/^2 of \d+ were printed: it is out of labels/)).toBeVisible();
  await expect(page.getByTestId('printed-labels').getByLabel('Printed label 2')).toBeVisible();
});
