import { allSaved, expect, goTo, openDemo, recordLines, test } from './home';

test.use({ homeOf: 'where' });

test('the moves of the whole home, the medicine first; a chain is accepted, walked and put back as one @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await goTo(page, 'Nooks');
  await page.getByRole('button', { name: 'Where things go' }).click();
  await expect(page.getByText(/^\d+ moves, about [\d.]+ min once$/)).toBeVisible();
  await expect(page.getByText(/^(Best found .* at most [\d.]+ min a month|With these, nothing better)/)).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^1 Plasters: a child gets at it here; there it is locked/ }),
  ).toBeVisible();
  await expect(page.getByTestId('reach-wall')).toBeVisible();
  const alma = page.getByRole('button', { name: /^\d+ Alma: taken about \d+ times a month; above reach for Alma/ });
  await alma.click();
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByText('On the walk list.')).toBeVisible();
  await expect(alma).toHaveCount(0);
  await page.getByRole('button', { name: 'Walk list, 2' }).click();
  await expect(page.getByText('0 of 2 carried')).toBeVisible();
  const boxes = page.getByRole('checkbox');
  await boxes.nth(0).click();
  await expect(page.getByText(/^Carried: /)).toBeVisible();
  await boxes.nth(1).click();
  await expect(page.getByText('2 of 2 carried')).toBeVisible();
  await allSaved(page);
  // It stands there now, for everybody.
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('blood-pressure');
  await expect(page.getByTestId('answer').first()).toContainText('second shelf from top');
  await page.goto(`${server.url}/where/walk`);
  await page.getByRole('button', { name: 'Put back as it was' }).click();
  await expect(page.getByText(/^Nothing is to be carried/)).toBeVisible();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('blood-pressure');
  await expect(page.getByTestId('answer').first()).toContainText('› top shelf');
});

test('what is left as it is, is not proposed again; how a bin is used is said where it matters', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await page.goto(`${server.url}/where`);
  const mittens = page.getByRole('button', { name: /^\d+ Mittens: the rest of it is there/ });
  await mittens.click();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText('Left as it is; not proposed again.')).toBeVisible();
  await expect(mittens).toHaveCount(0);
  await allSaved(page);
  await page.reload();
  await expect(page.getByText(/^\d+ moves, about/)).toBeVisible();
  await expect(mittens).toHaveCount(0);
  await page.getByRole('button', { name: /^\d+ Alma: / }).click();
  await page.getByRole('button', { name: 'How it is used' }).click();
  await page.getByRole('radio', { name: 'hardly ever' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^\d+ Alma: / })).toHaveCount(0);
  await page.getByRole('button', { name: 'How far the rooms are' }).click();
  const paces = page.getByLabel('Paces to Kitchen');
  await paces.fill('many');
  await expect(page.getByText(/“many” is not a whole number from 0 to 999/)).toBeVisible();
  await paces.fill('60');
  await page.getByRole('button', { name: 'Done' }).click();
});

test('only one space, the three moves that help most; what a shelf is for, and what breaks it', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await goTo(page, 'Nooks');
  await page.getByRole('link', { name: 'Stair press' }).click();
  const purpose = page.getByTestId('purpose');
  await expect(purpose).toContainText('For guests: guest.');
  await expect(purpose).not.toContainText('Not what it is for');
  await page.goto(`${server.url}/where`);
  const all = page.getByText(/^\d+ moves, about [\d.]+ min once$/);
  await expect(page.getByText(/^(Best found .* at most [\d.]+ min a month|With these, nothing better)/)).toBeVisible();
  const count = Number((await all.textContent())!.split(' ')[0]);
  await page.getByRole('radio', { name: 'Rack 2' }).click();
  await expect(page.getByText(/^(\d+) moves?, about/)).not.toHaveText(new RegExp(`^${count} moves`));
  // Other journeys have carried or left some: there are two at least, so that the one that helps most is not all.
  await page.goto(`${server.url}/where?first=1`);
  await expect(page.getByText(/^1 move, about/)).toBeVisible();
  await page.getByRole('button', { name: `Show all ${count}` }).click();
  await expect(page.getByText(new RegExp(`^${count} moves, about`))).toBeVisible();

  // What is put on the guests' shelf and is not theirs is pointed out.
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('guest quilts');
  await page.getByRole('button', { name: 'Record here' }).first().click();
  await expect(page.getByText('into Stairs › Stair press')).toBeVisible();
  await recordLines(page, ['1 cordless drill']);
  await expect(page.getByText(/^Cordless drill, 1/)).toBeVisible();
  await allSaved(page);
  await page.goto(`${server.url}/where`);
  await expect(page.getByText('Not what its shelf is for')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Cordless drill/ })).toContainText('The shelf is for guests.');
});
