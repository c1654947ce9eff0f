import type { Locator, Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { allSaved, expect, goTo, openDemo, startHome, test } from './home';

// Bins and things are moved about.
test.use({ homeOf: 'workbench' });

const address = async (page: Page): Promise<string> => {
  await page.getByRole('button', { name: 'Show to a helper …' }).click();
  await page.getByRole('radio', { name: 'a day' }).click();
  await page.getByRole('button', { name: 'Make an address' }).click();
  return page.getByLabel('Address', { exact: true }).inputValue();
};

test('a helper without an account looks at one space and at the list by addresses that end @wide', async ({
  page,
  server,
  browser,
}, info) => {
  await openDemo(page, server);
  await goTo(page, 'Nooks');
  await page.getByRole('link', { name: /^Stair press, / }).click();
  const ofSpace = await address(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await goTo(page, 'Restock');
  const ofList = await address(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();

  const stranger = await browser.newContext();
  const theirs = await stranger.newPage();
  await theirs.goto(ofSpace);
  await expect(theirs.getByRole('heading', { level: 1 })).toHaveText('Stair press');
  await expect(theirs.getByText('Ferry house')).toBeVisible();
  await expect(theirs.getByTestId('open-door')).toBeVisible();
  await expect(theirs.getByText(/^As it was .* This address ends /)).toBeVisible();
  // Nothing leads on into the home, and nothing can be changed.
  await expect(theirs.getByRole('navigation')).toHaveCount(0);
  await expect(theirs.getByRole('textbox')).toHaveCount(0);
  const paper = info.outputPath('press.pdf');
  await theirs.pdf({ path: paper });
  const words = execFileSync('pdftotext', ['-layout', paper, '-'], { encoding: 'utf8' });
  expect(words).toContain('Stair press');
  const last = await theirs
    .getByRole('listitem')
    .last()
    .textContent()
    .catch(() => null);
  if (last !== null) expect(words.replaceAll(/\s+/g, ' ')).toContain(last.slice(0, 8));
  expect(words).not.toContain('Read again');

  await theirs.goto(ofList);
  await expect(theirs.getByText(/ \d+ lines?$/)).toBeVisible();
  const first = theirs.getByText(/^\d+ × /).first();
  const line = (await first.textContent())!.replace(/^\d+ × /, '');
  await expect(page.getByText(line, { exact: true }).first()).toBeVisible();

  await page.getByRole('button', { name: 'Show to a helper …' }).click();
  for (const end = page.getByRole('button', { name: 'End it' }); (await end.count()) > 0;) {
    const before = await end.count();
    await end.first().click();
    await expect(end).toHaveCount(before - 1);
  }
  await theirs.goto(ofList);
  await expect(theirs.getByRole('alert')).toContainText('or it has ended');
  await theirs.goto(`${server.url}/look/${'A'.repeat(32)}`);
  await expect(theirs.getByRole('alert')).toContainText('There is nothing under this address');
  await stranger.close();
});

test('a bin goes from one space into another: dragged by mouse, by the keys, and by hand on a phone @wide', async ({
  page,
  server,
}, { project }) => {
  await openDemo(page, server);
  await goTo(page, 'Nooks');
  if (project.name === 'phone') {
    await page.getByRole('link', { name: /^Rack 1, / }).click();
    await page.getByRole('button', { name: /^Bin E2, / }).click();
    await page.getByTestId('nook-panel').getByRole('button', { name: 'Move' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('textbox').fill('Rack 2');
    await dialog
      .getByRole('button', { name: /Rack 2/ })
      .first()
      .click();
    await expect(page.getByText(/^Moved: .* Its label stays /)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Taken back.')).toBeVisible();
    return;
  }
  const [one, two] = ['Rack 1', 'Rack 2'].map((name) => page.getByRole('group', { name, exact: true })) as [
    Locator,
    Locator,
  ];
  const bin = one.getByRole('button', { name: /^Bin E2, / });
  await expect(bin).toHaveCount(1);
  const before = await one.getByRole('button', { name: /^Bin / }).count();
  const name = (await bin.getAttribute('aria-label'))!.split(', ')[1]!;
  const from = (await bin.boundingBox())!;
  // The lowest shelf of the other rack: what stands low there is high enough for it.
  const to = (await two.locator('[data-place]').last().boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 30, from.y + 10, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText(new RegExp(`^Moved: ${name} to Rack 2, `))).toBeVisible();
  await expect(two.getByRole('button', { name: new RegExp(`, ${name}, `) })).toHaveCount(1);
  await expect(one.getByRole('button', { name: /^Bin / })).toHaveCount(before - 1);
  await allSaved(page);
  await page.keyboard.press('Control+z');
  await expect(bin).toHaveCount(1);

  // By the keys: taken hold of, over to the nearest shelf at the right, set down.
  await bin.focus();
  await page.keyboard.press('Space');
  await expect(bin).toHaveAttribute('aria-pressed', 'true');
  const over = two.locator('[data-place][style*="3px solid"]');
  await expect(async () => {
    await page.keyboard.press('ArrowRight');
    await expect(over).toHaveCount(1, { timeout: 500 });
  }).toPass();
  await page.keyboard.press('Space');
  // One that is measured as too high for that shelf stays, and it says by how much.
  await expect(page.getByText(new RegExp(`^(Moved: ${name} to Rack 2, |It stays where it is)`)).first()).toBeVisible();
  await expect(page.getByText('Choose a bin to see what is in it.', { exact: false })).toBeVisible();
  await one.getByRole('button', { name: /^Bin / }).first().press('Enter');
  await expect(page.getByTestId('nook-panel')).toBeVisible();
});

test('a thing is kept in another unit, split in two, and found in the figures; the list for the insurer is a PDF @wide', async ({
  page,
  server,
}, info) => {
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Pantry');
  await page.getByLabel('In which room?').fill('Kitchen');
  await page.getByRole('button', { name: 'Add it' }).click();
  await goTo(page, 'Record');
  const line = page.getByTestId('record-line');
  await line.fill('1.5 kg rice');
  await expect(page.getByTestId('card-amount')).toHaveText('1.5 kg');
  const where = page.getByRole('button', { name: /Pantry/ }).first();
  if (await where.isVisible()) await where.click();
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await expect(page.getByText(/^Rice, 1\.5 kg/)).toBeVisible();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('rice');
  await page.getByTestId('answer').getByRole('heading').waitFor();
  await page.goto(`${server.url}/stock`);
  await page.getByText('Rice', { exact: true }).first().click();
  if (!(await page.getByRole('button', { name: 'About' }).isVisible())) {
    await page.keyboard.press('o');
  }
  await page.getByRole('button', { name: 'About' }).click();
  await page.getByRole('button', { name: /^Kept in another unit than kg/ }).click();
  await page.getByLabel('Kept in', { exact: true }).fill('grams');
  await expect(page.getByText(/^1\.5 kg are 1,?500 g from now on\./)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Rice is kept in another unit: g.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^1,?500 g$/ })).toBeVisible();
  await page.getByRole('button', { name: 'About' }).click();
  await page.getByRole('button', { name: 'These are two things …' }).click();
  await page.getByLabel('What the other one is called').fill('Rice, wild');
  await page.getByLabel(/^How much of the 1,?500 g in /).fill('400');
  await page.getByRole('button', { name: 'Two things', exact: true }).click();
  await expect(page.getByText('Two things now: Rice and Rice, wild.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^1,?100 g$/ })).toBeVisible();
  await allSaved(page);
  // What was written in kilograms is still told in kilograms.
  await page.getByRole('button', { name: 'Show what happened' }).click();
  await expect(page.getByText(/: 1\.5 kg put in$/)).toBeVisible();

  await page.goto(`${server.url}/figures`);
  await expect(page.getByRole('table', { name: 'Worth by room' })).toContainText('Kitchen');
  // Kept in another unit and split, nothing was carried anywhere.
  await expect(page.getByRole('region', { name: 'Moved most often' })).toContainText('Nothing was moved');
  await expect(page.getByRole('table', { name: 'Days opened, by space' })).toContainText('Pantry');
  await page.getByRole('button', { name: 'A list for insurers …' }).click();
  await page.getByRole('radio', { name: 'Everything' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  const file = info.outputPath('insurance.pdf');
  await download.saveAs(file);
  const words = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  for (const part of ['Ferry house: what there is', 'Kitchen', 'Rice, wild', '400 g', 'no price', '1 of 1'])
    expect(words).toContain(part);
});

test('a space as a drawing in a file, several lines onto the list at once, days of the home for a calendar @wide', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  await goTo(page, 'Nooks');
  await page.getByRole('link', { name: /^Rack 1, / }).click();
  await page.getByRole('button', { name: 'Drawing as a file …' }).click();
  const save = async (button: string, name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ]);
    const path = info.outputPath(name);
    await download.saveAs(path);
    return readFile(path);
  };
  const svg = (await save('Save SVG', 'rack.svg')).toString('utf8');
  expect(svg).toMatch(/^<svg[^>]* xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
  expect(svg).toContain('<title>Rack 1</title>');
  expect(svg).toContain('paper lanterns');
  // PNG, third edition, 5.2: its first eight bytes; the header's width and height follow at 16.
  const png = await save('Save PNG', 'rack.png');
  expect([...png.subarray(0, 8)]).toEqual([137, 80, 78, 71, 13, 10, 26, 10]);
  expect(png.readUInt32BE(16)).toBeGreaterThan(2000);
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();

  await goTo(page, 'Restock');
  const things = async (): Promise<number> =>
    Number(/(\d+) things$/.exec((await page.getByText(/ · \d+ things$/).textContent())!)![1]);
  const before = await things();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Several lines, or a table …' }).click();
  await page
    .getByLabel('One line each, or a table with its head')
    .fill('Artikel;Menge\nKreide;3\nSalz;viele\nHolzleim;1');
  await expect(page.getByText('“viele” is no number of packs', { exact: false })).toBeVisible();
  await expect(page.getByText('1 line is not read and left out.')).toBeVisible();
  await page.getByRole('button', { name: 'Add 2 lines' }).click();
  await expect(page.getByText('On the list: 2 lines.')).toBeVisible();
  await expect.poll(things).toBe(before + 2);

  await goTo(page, 'Rounds');
  await page.getByRole('button', { name: 'Rounds …' }).click();
  const calendar = page.getByRole('group', { name: 'In your calendar' });
  await calendar.getByRole('button', { name: 'Shop days' }).click();
  await calendar.getByRole('button', { name: 'What ends' }).click();
  const ics = (await save('As a calendar file (iCalendar)', 'home.ics')).toString('utf8');
  expect(ics).toContain('SUMMARY:Shopping: ');
  expect(ics).toMatch(/SUMMARY:Ends?: /);
});
