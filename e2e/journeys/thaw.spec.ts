import { expect, openDemo, recordIntoPantry, recordLines, startHome, test } from './home';

test('a frozen thing that leaves the freezer is asked once whether it thaws; then it has a day', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await page.getByTestId('find').fill('venison stew meat');
  await page.getByTestId('answer').getByRole('button', { name: 'Look inside' }).click();
  const soup = page.getByRole('button', { name: /^Venison stew meat/ });
  await soup.first().click();
  await page.getByRole('button', { name: 'Move …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox').last().fill('RE-F1');
  await dialog
    .getByText(/Refrigerator/)
    .first()
    .click();
  await expect(page.getByText(/is not set up as a freezer\. Does it thaw there\?/)).toBeVisible();
  await expect(page.getByText(/When in doubt, throw it out/)).toBeVisible();
  await page.getByRole('button', { name: 'It thaws, for use' }).click();
  await expect(page.getByText(/^Out to thaw/)).toBeVisible();
  await page.goto(`${server.url}/`);
  await page.getByTestId('find').fill('venison stew meat');
  await expect(page.getByTestId('answer')).toContainText(/4 packs in 2 places|thawed/);
});

test('lines said as people say them: taken, counted, none left, asked, and where each piece came from', async ({
  page,
  server,
}) => {
  await startHome(page, server);
  await recordIntoPantry(page, ['dry']);
  const line = page.getByTestId('record-line');
  await recordLines(page, ['12 eggs', '2 eggs used', 'eggs -1', 'only 4 eggs left', '2 kg rice', 'rice 500 g']);
  await line.fill('eggs 3');
  await expect(page.getByText(/known here · 4 in this place/)).toBeVisible();
  await line.fill('6 x 400 g rice');
  await expect(page.getByTestId('card-amount')).toHaveText('2.4 kg');
  await page.getByRole('button', { name: '6 x 400 g: how many' }).click();
  await expect(page.getByRole('button', { name: '6 x 400 g: how many' })).toHaveAttribute('aria-pressed', 'true');
  await line.fill('2-3 eggs');
  await page.getByRole('button', { name: '3 pieces' }).click();
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await recordLines(page, ['out of rice']);
  await page.goto(`${server.url}/`);
  await page.getByTestId('find').fill('rice');
  await expect(page.getByTestId('answer')).toContainText('none left');
  await page.getByTestId('find').fill('eggs');
  await expect(page.getByTestId('answer')).toContainText('7');
});
