import { allSaved, expect, goTo, openDemo, recordLines, test } from './home';

test('with the server stopped the app opens, finds and records; everything is sent once when it is back @wide', async ({
  page,
  server,
  browser,
}) => {
  await openDemo(page, server);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await server.stop();
  try {
    await page.reload();
    await expect(page.getByTestId('sync-state').first()).toHaveText('Offline, all saved here');
    await page.getByTestId('find').fill('tea lights');
    await expect(page.getByTestId('answer').getByRole('heading')).toHaveText('Tea lights');
    await page.getByTestId('find').fill('BL1-D1');
    await page.getByRole('button', { name: 'Record here' }).click();
    await recordLines(page, ['3 river stones', '2 smoke glasses', '-1 river stones']);
    await expect(page.getByTestId('sync-state').first()).toHaveText('3 waiting');
    await page.reload();
    await expect(page.getByTestId('sync-state').first()).toHaveText('3 waiting');
  } finally {
    await server.start();
  }
  await expect(page.getByTestId('sync-state').first()).toHaveText('All saved ✓', { timeout: 40_000 });

  const other = await (await browser.newContext()).newPage();
  await openDemo(other, server);
  for (const [name, left] of [
    ['river stones', '2'],
    ['smoke glasses', '2'],
  ] as const) {
    await other.getByTestId('find').fill(name);
    await expect(other.getByTestId('answer')).toContainText(left);
    await expect(other.getByTestId('answer')).not.toContainText('places');
  }
  await other.context().close();
});

test('a change on one screen shows on another within a second', async ({ page, server, browser }) => {
  await openDemo(page, server);
  const context = await browser.newContext();
  const other = await context.newPage();
  await openDemo(other, server);
  await other.getByTestId('find').fill('wooden train');
  const answer = other.getByTestId('answer');
  await expect(answer.getByRole('heading')).toHaveText('Wooden train');
  await page.getByTestId('find').fill('wooden train');
  const was = Date.now();
  await page.getByTestId('answer').getByRole('button', { name: 'Take one' }).click();
  await expect(answer).toContainText('none left', { timeout: 1000 });
  expect(Date.now() - was).toBeLessThan(2000);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(answer).not.toContainText('none left', { timeout: 1000 });
  await context.close();
});

test('history tells who did what, and takes it back', async ({ page, server }) => {
  await openDemo(page, server);
  await page.getByTestId('find').fill('mallet');
  await page.getByTestId('answer').getByRole('button', { name: 'Take one' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  await allSaved(page);
  await goTo(page, 'Nooks');
  await page.goto(`${server.url}/history`);
  await expect(page.getByText(/^Mallet −1 piece/)).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).first().click();
  await goTo(page, 'Find');
  await page.getByTestId('find').fill('mallet');
  await expect(page.getByTestId('answer')).not.toContainText('none left');
});
