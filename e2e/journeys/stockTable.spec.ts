import { allSaved, expect, openDemo, test } from './home';

const WORDS = 'with these words, also of its place';

test('all stock: filtered; wide it is counted, renamed, put on the list and taken back by the keyboard alone @wide', async ({
  page,
  server,
}, { project }) => {
  await openDemo(page, server);
  await page.goto(`${server.url}/stock`);
  await expect(page.getByText(/^(\d+) of \1, worth €/)).toBeVisible();
  if (project.name === 'phone') {
    // A phone has a list instead, each row of which opens the page of its thing.
    await page.getByLabel(WORDS).fill('cat food');
    await expect(page.getByText(/^2 of \d+, /)).toBeVisible();
    await page.getByRole('button', { name: /^Cat food, dry/ }).click();
    await expect(page.getByRole('button', { name: 'Change: buy' })).toBeVisible();
    return;
  }
  const grid = page.getByRole('grid', { name: 'Stock' });
  await grid.focus();
  await page.keyboard.press('f');
  await page.keyboard.type('cat food');
  await expect(page.getByText(/^2 of \d+, /)).toBeVisible();
  for (let tabs = 0; tabs < 30; tabs++) {
    if (await grid.evaluate((element) => element === document.activeElement)) break;
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await page.keyboard.type('some');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“some” is no amount');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.keyboard.press('Enter');
  await page.keyboard.type('1 1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Counted: 1\.5 /)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Taken back.')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Done again.')).toBeVisible();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText(/^2 selected, worth €/)).toBeVisible();
  await page.keyboard.press('l');
  await expect(page.getByText('On the list: 2 things.')).toBeVisible();
  await allSaved(page);
});

test('the table as a sentence: lots of a place, grouped; the view is kept by name and found again @wide', async ({
  page,
  server,
}, { project }) => {
  // A phone has a list, without columns.
  const wide = project.name === 'wide';
  await openDemo(page, server);
  await page.goto(`${server.url}/stock`);
  await page.getByRole('button', { name: 'A row for each: thing' }).click();
  await page.getByRole('button', { name: 'lot', exact: true }).click();
  await page.getByRole('button', { name: 'Place: all places' }).click();
  await page.getByRole('button', { name: 'Porch freezer', exact: false }).first().click();
  await page.getByRole('button', { name: 'Groups: in one list' }).click();
  await page.getByRole('button', { name: 'by category' }).click();
  if (wide) {
    await page.getByRole('button', { name: 'Columns …' }).click();
    await page.getByRole('button', { name: 'Counted', exact: true }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('columnheader', { name: 'Sort by Counted' })).toBeVisible();
  }
  await expect(page.getByText(/^\d+ rows?, worth €/).first()).toBeVisible();
  const name = `Freezer ${Date.now() % 100_000}`;
  await page.getByRole('button', { name: 'Views …' }).click();
  await page.getByLabel('Keep what is shown now as').fill(name);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(`Kept as ${name}.`)).toBeVisible();
  await allSaved(page);
  await page.goto(`${server.url}/stock`);
  await expect(page.getByRole('button', { name: 'Place: all places' })).toBeVisible();
  await page.getByRole('button', { name: 'Views …' }).click();
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('button', { name: 'Place: Porch freezer' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Groups: by category' })).toBeVisible();
  await expect(page.getByText(/^\d+ rows?, worth €/).first()).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Sort by Counted' })).toBeVisible({ visible: wide });
});

test('any action is found by its words, with the keyboard @wide', async ({ page, server }) => {
  await openDemo(page, server);
  await page.keyboard.press('Control+k');
  await expect(page.getByLabel('Words of an action, a space or a thing')).toBeFocused();
  await page.keyboard.type('labels rack 1');
  await expect(page.getByRole('button', { name: /^Labels of Rack 1/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('label-read')).toBeVisible();
  // Also from within a field.
  await page.locator('body').press('/');
  await expect(page.getByTestId('find')).toBeFocused();
  await page.keyboard.type('rice');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('heading', { name: 'What is to be done?' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'What is to be done?' })).toBeHidden();
  await page.locator('body').press('?');
  await expect(page.getByRole('heading', { name: 'All keys' })).toBeVisible();
});
