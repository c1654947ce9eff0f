/** What the journeys have in common: a server per worker, and the first steps. */
import { expect, test as base, type Page } from '@playwright/test';
import { randomBytes } from 'node:crypto';
import { HomeServer } from '../HomeServer';

export const test = base.extend<object, { server: HomeServer; homeOf: string }>({
  /** Journeys that name another one get a server, and so a demo home, that the others have not lived in. */
  homeOf: ['everybody', { scope: 'worker', option: true }],
  server: [
    async ({ homeOf: _ }, use) => {
      const server = await HomeServer.create();
      await use(server);
      await server.stop();
    },
    { scope: 'worker', timeout: 90_000 },
  ],
});

/** Opens the demo home in one tap. */
export async function openDemo(page: Page, server: HomeServer): Promise<void> {
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await expect(page.getByTestId('sync-state').first()).toHaveText('All saved ✓');
}

/** A new account with a home of its own. */
export async function startHome(
  page: Page,
  server: HomeServer,
  name = 'Runa',
): Promise<{ email: string; password: string }> {
  const email = `${name.toLowerCase()}.${randomBytes(4).toString('hex')}@ferry-house.example`;
  const password = 'a ferry on the river';
  await page.goto(server.url);
  await page.getByRole('radio', { name: 'New home' }).click();
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Name of the home').fill('Ferry house');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Start the home' }).click();
  await expect(page.getByText('Start with one cupboard.')).toBeVisible();
  return { email, password };
}

/** A first cupboard with bins on its first shelf, and Record open for the first of them. */
export async function recordIntoPantry(page: Page, bins: readonly string[]): Promise<void> {
  await page.getByRole('button', { name: 'Set up a cupboard' }).click();
  await page.getByLabel('What is it called?').fill('Pantry');
  await page.getByLabel('In which room?').fill('Kitchen');
  await page.getByRole('button', { name: 'Add it' }).click();
  const field = page.getByLabel('New bins (comma between)').nth(0);
  await field.fill(bins.join(', '));
  await field.press('Enter');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: new RegExp(`^Bin .*${bins[0]}`) }).click();
  await page.getByTestId('nook-panel').getByRole('button', { name: 'Record' }).click();
}

/** Records lines one after the other; the place is chosen before. */
export async function recordLines(page: Page, lines: readonly string[]): Promise<void> {
  const field = page.getByTestId('record-line');
  for (const line of lines) {
    await field.fill(line);
    await field.press('Enter');
    await expect(field).toHaveValue('');
  }
}

/** Waits until this device has nothing left to send. */
export const allSaved = (page: Page): Promise<void> =>
  expect(page.getByTestId('sync-state').first()).toHaveText('All saved ✓');

/** Goes to one of the five places without reading the page anew. */
export async function goTo(page: Page, place: 'Find' | 'Nooks' | 'Record' | 'Restock' | 'Rounds'): Promise<void> {
  await page.getByRole('navigation').getByRole('link', { name: place }).click();
}

export { expect, type HomeServer };
