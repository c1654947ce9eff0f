/** One current picture of each main view, from the demo home: `npm run screenshots`. */
import { chromium, type Page } from '@playwright/test';
import { resolve } from 'node:path';
import { HomeServer } from './HomeServer';
import { launchOptions } from './launchOptions';

const folder = resolve(import.meta.dirname, '../docs/screenshots');
const server = await HomeServer.create();
const browser = await chromium.launch(launchOptions);

async function open(size: 'phone' | 'wide', colorScheme: 'light' | 'dark'): Promise<Page> {
  const phone = { viewport: { width: 390, height: 844 }, deviceScaleFactor: 1.5, hasTouch: true };
  const wide = { viewport: { width: 1280, height: 800 }, deviceScaleFactor: 1 };
  const context = await browser.newContext({
    ...(size === 'phone' ? phone : wide),
    colorScheme,
    locale: 'en-GB',
    timezoneId: 'UTC',
  });
  const page = await context.newPage();
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).waitFor();
  return page;
}
const shot = async (page: Page, name: string): Promise<void> => {
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${folder}/${name}.png` });
};
const enter = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('All saved ✓').first().waitFor();
};
const visit = async (page: Page, path: string): Promise<void> => {
  await page.goto(server.url + path);
  await page.getByText('All saved ✓').first().waitFor();
};
const openSpace = async (page: Page, name: string): Promise<void> => {
  await visit(page, '/nooks');
  await page.getByRole('link', { name }).click();
};

/** A picture of the page as it is, not kept. */
const taken = async (page: Page): Promise<Buffer> => {
  await page.waitForTimeout(500);
  return page.screenshot();
};
/** Several pictures beside each other in one. */
async function beside(pictures: readonly Buffer[], name: string, [width, height] = [590, 1266]): Promise<void> {
  const page = await browser.newPage({ viewport: { width: width! * pictures.length, height: height! } });
  const images = pictures.map(
    (one) => `<img style="height:${height}px" src="data:image/png;base64,${one.toString('base64')}">`,
  );
  await page.setContent(`<body style="margin:0;display:flex;gap:5px;background:#999">${images.join('')}</body>`);
  await page.screenshot({ path: `${folder}/${name}.png` });
  await page.close();
}
/** A made-up press, drawn: full of things that lie as they fell, or with all in bins. */
async function drawnPress(tidy: boolean): Promise<Buffer> {
  const page = await browser.newPage({ viewport: { width: 900, height: 1100 } });
  const shelf = (y: number): string => `<rect x="40" y="${y}" width="820" height="16" fill="#6b5a45"/>`;
  const things = [240, 500, 760, 1020].flatMap((floor, row) =>
    Array.from({ length: tidy ? 3 : 9 }, (_, at) => {
      const colour = `hsl(${tidy ? 40 : (at * 47 + row * 70) % 360} ${tidy ? 30 : 45}% ${tidy ? 78 : 62}%)`;
      const [width, height] = tidy ? [240, 150] : [70 + ((at * 37) % 60), 60 + ((row * 31 + at * 53) % 90)];
      const x = tidy ? 60 + at * 265 : 50 + at * 88;
      const turned = tidy ? 0 : ((at * 29 + row * 17) % 40) - 20;
      return `<rect x="${x}" y="${floor - height}" width="${width}" height="${height}" rx="8" fill="${colour}" stroke="#333" stroke-width="2" transform="rotate(${turned} ${x + width / 2} ${floor})"/>`;
    }),
  );
  await page.setContent(
    `<body style="margin:0"><svg width="900" height="1100"><rect width="900" height="1100" fill="#d8cfbf"/><rect x="20" y="20" width="860" height="1060" fill="#efe8da" stroke="#6b5a45" stroke-width="20"/>${things.join('')}${[240, 500, 760, 1020].map(shelf).join('')}</svg></body>`,
  );
  const picture = await page.screenshot();
  await page.close();
  return picture;
}

const phone = await open('phone', 'light');
await enter(phone);
await openSpace(phone, 'Rack 1');
await phone.getByRole('button', { name: /^Bin B3/ }).click();
await shot(phone, 'space-phone');
await openSpace(phone, 'Rack 1');
await phone.getByRole('button', { name: 'Labels' }).click();
await phone.getByTestId('label-read').waitFor();
await shot(phone, 'labels-phone');
await visit(phone, '/nooks');
const nooks = [await taken(phone)];
await visit(phone, '/');
await phone.getByTestId('find').fill('papr lantrn');
await phone.getByTestId('answer').waitFor();
await shot(phone, 'find-answer-phone');
await phone.getByTestId('find').fill('PA-B1');
await phone.getByRole('button', { name: 'Look inside' }).click();
await phone.getByRole('button', { name: 'Record here' }).click();
await phone.getByTestId('record-line').fill('2 jars plum jam 370 g exp 6/28');
await phone.getByTestId('record-line').press('Enter');
await phone.getByTestId('record-line').fill('6 tins tomatoes chopped 400 g exp 3/28');
await shot(phone, 'record-phone');
await visit(phone, '/rounds');
const rounds = [await taken(phone)];
await phone.getByRole('button', { name: /^Expiry round/ }).click();
await phone.getByTestId('round-steps').waitFor();
rounds.push(await taken(phone));
await visit(phone, '/drift');
rounds.push(await taken(phone));
await beside(rounds, 'rounds-phone');
await visit(phone, '/kits');
await phone.getByRole('button', { name: /^Van first-aid kit/ }).click();
await phone.getByTestId('kit-figures').waitFor();
await shot(phone, 'kit-phone');
await visit(phone, '/care');
await phone.getByRole('button', { name: /^Pim/ }).click();
await phone.getByTestId('by-the-package').waitFor();
await phone.getByRole('button', { name: 'Record what was given' }).click();
await phone.getByLabel(/^Temperature before/).fill('38.6');
await phone.getByRole('button', { name: 'Record it' }).click();
await phone.getByText(/^By the package: not before/).waitFor();
await phone.waitForTimeout(9500);
await shot(phone, 'care-phone');
await openSpace(phone, 'Stair press');
await phone.getByTestId('photo-strip').getByRole('button', { name: 'Before and after …' }).click();
for (const [moment, tidy] of [
  ['Before', false],
  ['After', true],
] as const) {
  await phone.getByRole('radio', { name: moment }).click();
  const choosing = phone.waitForEvent('filechooser');
  await phone.getByRole('button', { name: 'From a file' }).click();
  await (await choosing).setFiles({ name: 'press.png', mimeType: 'image/png', buffer: await drawnPress(tidy) });
  await phone.getByText(/^Picture kept/).waitFor();
  await phone.waitForTimeout(9500);
}
await phone.getByTestId('before-after').waitFor();
await shot(phone, 'before-after-phone');
await visit(phone, '/use-first');
await phone.getByText(/lost at the present pace/).waitFor();
await shot(phone, 'use-first-phone');
await visit(phone, '/');
await phone.getByTestId('find').fill('rye bread');
await phone.getByRole('button', { name: 'About it' }).click();
await phone.getByRole('button', { name: 'Change: buy' }).waitFor();
await shot(phone, 'item-phone');
await visit(phone, '/restock');
await phone.getByText('Not bought this time').waitFor();
const shopping = [await taken(phone)];
await phone.getByRole('button', { name: 'Start shopping' }).click();
for (const at of [0, 1, 3]) await phone.getByRole('checkbox').nth(at).click();
await phone.getByPlaceholder('Do we have …?').fill('spagh');
// The last word about a tick has gone.
await phone.waitForTimeout(9500);
shopping.push(await taken(phone));
await beside(shopping, 'restock-phone');

const formats: Buffer[] = [];
await visit(phone, '/data/table');
await phone
  .getByLabel('Or paste rows from a spreadsheet')
  .fill(
    [
      'Bezeichnung\tMenge\tEinheit\tOrt\tMHD',
      'Olive oil\t2\tbottles\tpasta and rice\t27.11.2027',
      'Lentils, red\t4\tpacks\tpasta and rice\t3/2028',
      'Spaghetti\tdrei\tpacks\tpasta and rice\t1.6.2027',
      'Rice\t2,5\tkg\tpasta and rice\t31.2.2027',
      'Oats\t1\tkg\tpasta and rice\t30.4.2027',
    ].join('\n'),
  );
await phone.getByRole('button', { name: 'Read what is pasted' }).click();
await phone.getByTestId('import-rows').scrollIntoViewIfNeeded();
formats.push(await taken(phone));
await visit(phone, '/devices');
await phone.getByRole('group', { name: 'Kitchen scale' }).scrollIntoViewIfNeeded();
formats.push(await taken(phone));
await beside(formats, 'import-devices-phone');

const planIn = async (page: Page, space: string): Promise<void> => {
  await openSpace(page, space);
  await page.getByRole('button', { name: 'Plan' }).click();
};
const step = (page: Page, name: string): Promise<void> =>
  page.getByRole('navigation', { name: 'Setting up' }).getByRole('link', { name }).click();
await planIn(phone, 'Stair press');
await step(phone, 'Measure');
await phone.getByRole('button', { name: 'Clear width', exact: true }).first().click();
await phone.getByTestId('question').getByRole('textbox').fill('87.2');
await phone.getByTestId('measure-drawing').scrollIntoViewIfNeeded();
await shot(phone, 'measure-phone');
await planIn(phone, 'Rack 2');
await phone.getByRole('button', { name: 'Find the best mix' }).click();
await phone.getByRole('button', { name: 'Find again' }).waitFor();
await shot(phone, 'plan-phone');
const where = async (page: Page, name: string): Promise<void> => {
  await visit(page, '/where');
  await page.getByText(/^(Best found|With these)/).waitFor();
  await shot(page, name);
};
await where(phone, 'where-phone');

/** The table of what ends soon: three rows chosen, one of them being counted. */
async function stockTable(page: Page): Promise<void> {
  await visit(page, '/stock');
  await page.getByLabel('with these words, also of its place').fill('kitchen');
  await page.getByRole('button', { name: 'Sort by Until' }).click();
  await page.getByRole('columnheader', { name: 'Sort by Until' }).waitFor();
  await page.getByRole('grid').focus();
  for (const key of ['ArrowDown', 'ArrowDown', ' ', 'ArrowDown', ' ', 'ArrowDown']) await page.keyboard.press(key);
  await page.keyboard.press('Enter');
  await page.keyboard.type('2');
}

const wide = await open('wide', 'light');
await enter(wide);
await stockTable(wide);
const stock = [await taken(wide)];
await visit(wide, '/nooks');
await wide
  .getByRole('group', { name: 'Rack 1', exact: true })
  .getByRole('button', { name: /^Bin B3/ })
  .click();
nooks.push(await taken(wide));
await beside(nooks, 'nooks', [828, 800]);

await planIn(wide, 'Stair press');
await wide.getByRole('button', { name: 'Find the best mix' }).click();
await wide.getByRole('button', { name: 'Find again' }).waitFor();
// What stands on others is drawn last, and lies over them.
await wide.getByTestId('floor-board').getByRole('button').last().click();
await shot(wide, 'plan-wide');

const dark = await open('wide', 'dark');
await enter(dark);
await stockTable(dark);
stock.push(await taken(dark));
await beside(stock, 'stock-wide', [1282, 800]);
await openSpace(dark, 'Rack 1');
await dark.getByRole('button', { name: /^Bin B3/ }).click();
await shot(dark, 'space-wide-dark');

await browser.close();
await server.stop();
