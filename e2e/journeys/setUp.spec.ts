import { allSaved, expect, goTo, recordLines, startHome, test } from './home';

const CLOSET = [
  '2 bath towels white',
  '6 hand towels',
  '3 guest towels #guest',
  '4 double sheets',
  '8 single sheets',
  '12 pillowcases',
  '1 set cot covers',
  '2 wool blankets',
  '1 throw',
  '5 lavender sachets exp 3/28',
];

test('an empty home: a space with three shelves and four bins, ten things recorded and found @wide', async ({
  page,
  server,
}) => {
  const started = Date.now();
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Linen closet');
  await page.getByLabel('In which room?').fill('Stairs');
  await page.getByRole('radio', { name: 'Closet', exact: true }).click();
  await expect(page.getByTestId('shelf-count')).toHaveText('5');
  await page.getByRole('button', { name: 'Fewer' }).click();
  await page.getByRole('button', { name: 'Fewer' }).click();
  await expect(page.getByTestId('shelf-count')).toHaveText('3');
  await page.getByLabel('Wide').fill('36 1/4"');
  await page.getByLabel('High').fill('2.04 m');
  await page.getByRole('button', { name: 'Add it' }).click();

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Linen closet');
  const newBins = page.getByLabel('New bins (comma between)');
  await expect(newBins).toHaveCount(3);
  await newBins.nth(0).fill('towels, guests');
  await newBins.nth(0).press('Enter');
  await newBins.nth(1).fill('sheets');
  await newBins.nth(1).press('Enter');
  await newBins.nth(2).fill('blankets');
  await newBins.nth(2).press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Bin / })).toHaveCount(4);

  await page.getByRole('button', { name: /^Bin .*towels/ }).click();
  await page.getByTestId('nook-panel').getByRole('button', { name: 'Record' }).click();
  await expect(page.getByText('into Stairs › Linen closet')).toBeVisible();
  await recordLines(page, CLOSET.slice(0, 5));
  await recordLines(page, CLOSET.slice(5));
  await expect(page.getByText('Just now, here')).toBeVisible();
  await allSaved(page);

  await goTo(page, 'Find');
  await page.getByTestId('find').fill('lavendr');
  await expect(page.getByTestId('answer').getByRole('heading')).toHaveText('Lavender sachets');
  await expect(page.getByTestId('way')).toHaveText('Stairs › Linen closet › top shelf › towels, left');
  await expect(page.getByTestId('answer')).toContainText('best before 31 Mar 2028');
  expect(Date.now() - started).toBeLessThan(5 * 60_000);
});

test('a newcomer: from an empty home to ten things in a new closet with few taps', async ({ page, server }) => {
  await startHome(page, server);
  let taps = 0;
  const tap = async (name: string | RegExp, role: 'button' | 'radio' = 'button'): Promise<void> => {
    taps++;
    await page.getByRole(role, { name }).first().click();
  };
  /** Into a field by a tap; what is typed is the line itself. */
  const write = async (label: string, text: string): Promise<void> => {
    taps++;
    await page.getByLabel(label).click();
    await page.keyboard.type(text);
  };
  await tap('Set up a cupboard');
  await write('What is it called?', 'Linen closet');
  await write('In which room?', 'Stairs');
  await tap('Closet', 'radio');
  await write('Top shelf', 'towels, guests');
  await write('Shelf 2', 'sheets');
  await tap('Add it');
  await tap(/^Bin .*towels/);
  await tap('Record');
  await expect(page.getByText('into Stairs › Linen closet')).toBeVisible();
  for (const [at, line] of CLOSET.entries()) {
    if (at === 0) await page.getByTestId('record-line').click();
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
    taps += at === 0 ? 2 : 1;
    await expect(page.getByTestId('record-line')).toHaveValue('');
  }
  await expect(page.getByText('10 lines')).toBeVisible();
  await allSaved(page);
  expect(taps).toBeLessThanOrEqual(40);
  test.info().annotations.push({ type: 'taps and keys besides the lines', description: String(taps) });
});

test('a measure that cannot be read gets one sentence and loses nothing', async ({ page, server }) => {
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Linen closet');
  await page.getByLabel('In which room?').fill('Stairs');
  await page.getByLabel('Wide').fill('about two hands');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('“about two hands” is not a length; write for example');
  await expect(page.getByLabel('What is it called?')).toHaveValue('Linen closet');
});

test('moving and removing: a bin goes with what is in it; what a removed bin holds goes where one says', async ({
  page,
  server,
}) => {
  await startHome(page, server);
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Linen closet');
  await page.getByLabel('In which room?').fill('Stairs');
  await page.getByRole('button', { name: 'Add it' }).click();
  const newBins = page.getByLabel('New bins (comma between)');
  await newBins.nth(0).fill('towels, sheets');
  await newBins.nth(0).press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: /^Bin .*towels/ }).click();
  const panel = page.getByTestId('nook-panel');
  await panel.getByRole('button', { name: 'Record' }).click();
  await recordLines(page, ['6 hand towels']);
  await page.goBack();

  await page.getByRole('button', { name: /^Bin .*towels/ }).click();
  await panel.getByRole('button', { name: 'Move' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /bottom shelf/ })
    .click();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('hand towel');
  await expect(page.getByTestId('way')).toHaveText('Stairs › Linen closet › bottom shelf › towels');

  await page.getByRole('button', { name: 'Look inside' }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await panel.getByRole('button', { name: 'Edit' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove this bin' }).click();
  await expect(page.getByText('It still holds things. Where do they go?')).toBeVisible();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^sheets/ })
    .click();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('hand towel');
  await expect(page.getByTestId('way')).toContainText('sheets');
  await allSaved(page);
});
