import { allSaved, expect, goTo, recordLines, startHome, test } from './home';

test('two adults share a home by an invitation; sign-out forgets it on the device; a device can be signed out from afar', async ({
  page,
  server,
  browser,
}) => {
  const { email, password } = await startHome(page, server, 'Runa');
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Hall cupboard');
  await page.getByLabel('In which room?').fill('Hall');
  await page.getByRole('button', { name: 'Add it' }).click();
  await goTo(page, 'Record');
  await recordLines(page, ['2 boat keys']);
  await allSaved(page);
  await page.goto(`${server.url}/household`);
  await page.getByRole('button', { name: 'Invite another adult' }).click();
  const code = await page.getByTestId('invitation').innerText();

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const other = await context.newPage();
  await other.goto(server.url);
  await other.getByRole('radio', { name: 'Join a home' }).click();
  await other.getByLabel('Your name').fill('Eskil');
  await other.getByLabel('Invitation code').fill(code);
  await other.getByLabel('E-mail').fill(email.replace('runa', 'eskil'));
  await other.getByLabel('Password').fill(password);
  await other.getByRole('button', { name: 'Join the home' }).click();
  await other.getByTestId('find').fill('boat key');
  await expect(other.getByTestId('answer').getByRole('heading')).toHaveText('Boat keys');

  await other.goto(`${server.url}/household`);
  await other.getByRole('button', { name: 'Sign out' }).click();
  await expect(other.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(await other.evaluate(async () => (await indexedDB.databases()).length)).toBe(0);

  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill('not the password');
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(other.getByRole('alert')).toHaveText('E-mail or password is not right.');
  await other.getByLabel('Password').fill(password);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(other.getByTestId('find')).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Sign it out' }).click();
  await expect(page.getByRole('button', { name: 'Sign it out' })).toHaveCount(0);
  await other.reload();
  await expect(other.getByTestId('sync-state').first()).toHaveText('signed out');
  await context.close();
});
