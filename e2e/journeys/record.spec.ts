import { expect, goTo, openDemo, recordIntoPantry, recordLines, startHome, test } from './home';

test('a line is read back as a card; what is unclear is asked; what cannot be read is kept', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await page.getByTestId('find').fill('PA-C1');
  await page.getByRole('button', { name: 'Record here' }).click();
  const line = page.getByTestId('record-line');

  await line.fill('6 tins tomatoes chopped 400 g exp 3/28');
  await expect(page.getByTestId('card-amount')).toHaveText('6 tins');
  await expect(page.getByTestId('card-name')).toHaveText('Tomatoes, chopped');
  await expect(page.getByTestId('card-expiresOn')).toHaveText('31 Mar 2028');
  await expect(page.getByText('month given, so its last day')).toBeVisible();
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await expect(page.getByText('Tomatoes, chopped, 7 tins', { exact: true })).toBeVisible();

  await line.fill('oat flakes exp mar 27');
  await expect(page.getByText('“mar 27” can be read in more than one way.')).toBeVisible();
  await page.getByRole('button', { name: /^31 Mar/ }).click();
  await expect(page.getByTestId('card-expiresOn')).toHaveText(/^31 Mar/);
  await page.getByRole('button', { name: 'Save and go on' }).click();

  await line.fill('??? 12');
  await page.getByRole('button', { name: 'Keep as typed' }).click();
  await expect(page.getByText('“??? 12”', { exact: true })).toBeVisible();
  await goTo(page, 'Rounds');
  await expect(page.getByText('“??? 12”', { exact: true })).toBeVisible();
});

test('taking, counting, opening, moving and throwing out, each with undo', async ({ page, server }) => {
  await startHome(page, server);
  await recordIntoPantry(page, ['tins', 'jars']);
  await recordLines(page, ['6 tins beans', '-2 beans', '=5 beans']);
  await page.goBack();
  await page.getByRole('button', { name: /^Bin .*tins/ }).click();
  await page.getByTestId('nook-panel').getByRole('button', { name: 'Look inside' }).click();

  const rows = page.getByRole('button', { name: /^Beans/ });
  await expect(rows).toHaveText(/5 tins/);
  await page.getByRole('button', { name: 'Take one Beans' }).click();
  await expect(rows).toHaveText(/4 tins/);
  await rows.click();
  await page.getByRole('button', { name: 'Open 1' }).click();
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText('opened');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows).toHaveCount(1);
  await rows.click();
  await page.getByRole('button', { name: 'Discard …' }).click();
  await page.getByRole('radio', { name: 'spoiled' }).click();
  await expect(rows).toHaveText(/3 tins/);
  await rows.click();
  await page.getByRole('button', { name: 'Move …' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /^jars/ }).click();
  await expect(rows).toHaveText(/2 tins/);
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('beans');
  await expect(page.getByTestId('answer')).toContainText('3 tins in 2 places');
});

test('the sides of a thing are read from its line; where it would belong is said and taken with one tap @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await goTo(page, 'Record');
  const line = page.getByTestId('record-line');
  await line.fill('2 spare paddles 150 x 20 x 8 cm #boat');
  await expect(page.getByTestId('card-name')).toHaveText('spare paddles');
  await expect(page.getByTestId('card-sides')).toHaveText('150 × 20 × 8 cm');
  // Where nothing is typed any more it is looked up; the reason names what is there.
  const belongs = page.getByTestId('belongs');
  await expect(belongs).toContainText('Rack 2');
  await expect(belongs).toContainText(/in (its|their) name|#boat/);
  await belongs.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText('into Boat loft › Rack 2')).toBeVisible();
  await expect(belongs).toHaveCount(0);
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await expect(page.getByText(/^Spare paddles, 2/)).toBeVisible();

  // The thing has its sides: the home is asked for room with them.
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('spare paddles');
  await page.getByTestId('answer').first().waitFor();
  await goTo(page, 'Record');
  await line.fill('spare paddles 160 x 20 x 8 cm');
  await expect(page.getByText('instead of 150 × 20 × 8 cm')).toBeVisible();
  await page.getByRole('button', { name: 'Is there room for it?' }).click();
  await expect(page.getByLabel('Wide')).toHaveValue('160 cm');
  await expect(page.getByRole('region', { name: 'Where it fits' })).toBeVisible();
});
