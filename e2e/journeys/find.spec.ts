import { expect, openDemo, test } from './home';

test('open the demo home, find a thing despite a typing error, see where it is, take one and take it back @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await page.getByTestId('find').fill('papr lantrn');
  const answer = page.getByTestId('answer');
  await expect(answer.getByRole('heading')).toHaveText('Paper lantern, midsummer');
  await expect(answer.getByTestId('way')).toHaveText(
    'Boat loft › Rack 1 › second shelf from top › paper lanterns, left',
  );
  await expect(answer.getByTestId('open-door')).toBeVisible();
  await expect(answer).toContainText('24');
  await answer.getByRole('button', { name: 'Take one' }).click();
  await expect(answer).toContainText('23');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(answer).toContainText('24');
});

test('finds by second name, tag, word order and the beginning of a code', async ({ page, server }) => {
  await openDemo(page, server);
  const heading = page.getByTestId('answer').getByRole('heading');
  for (const [query, want] of [
    ['lampion', 'Paper lantern, midsummer'],
    ['white towel bath', 'Bath towel, white'],
    ['#fragile carafe', 'Water carafe'],
    ['tomatos chopped', 'Tomatoes, chopped'],
  ] as const) {
    await page.getByTestId('find').fill(query);
    await expect(heading).toHaveText(want);
  }
  await page.getByTestId('find').fill('BL1-B3');
  await expect(heading).toHaveText('tea lights');
  await page.getByTestId('find').fill('xylophonq');
  await expect(page.getByText('Nothing is called “xylophonq”.')).toBeVisible();
});

test('the keyboard alone finds and opens @wide', async ({ page, server }) => {
  await openDemo(page, server);
  await page.keyboard.press('/');
  await page.keyboard.type('rye bread');
  await expect(page.getByTestId('answer').getByRole('heading')).toHaveText('Rye bread');
  const inside = page.getByRole('button', { name: 'Look inside' });
  await inside.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('bread, ice, berries');
});
