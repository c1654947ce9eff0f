import type { Page } from '@playwright/test';
import { allSaved, expect, goTo, openDemo, test, type HomeServer } from './home';

// Nobody else lends its things or fills its kits.
test.use({ homeOf: 'kept' });

const keptPage = async (page: Page, label: string): Promise<void> => {
  await goTo(page, 'Rounds');
  await page.getByTestId('keep-links').getByRole('button', { name: label, exact: true }).click();
};
const openSpace = async (page: Page, name: string): Promise<void> => {
  await goTo(page, 'Nooks');
  await page.getByText(name, { exact: true }).first().click();
};
/** Another phone of the same home. */
async function otherPhone(page: Page, server: HomeServer): Promise<Page> {
  const browser = page.context().browser()!;
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await openDemo(other, server);
  return other;
}

test('the van kit: what is missing is filled from the cupboard, what ends soon exchanged, the rest goes on the list', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await keptPage(page, 'Kits');
  await page.getByRole('button', { name: /^Van first-aid kit/ }).click();
  const parts = page.getByTestId('kit-parts');
  const figures = page.getByTestId('kit-figures');
  await expect(figures).toContainText('ends soon');
  const complete = async (): Promise<number> => Number(/^\d+/.exec((await figures.textContent())!)![0]);
  const before = await complete();

  await page
    .getByRole('button', { name: /^Put .+ on the list$/ })
    .first()
    .click();
  await expect(parts).toContainText('on the shopping list');
  await parts.getByRole('button', { name: 'Swap' }).click();
  await expect(parts.getByRole('button', { name: 'Swap' })).toHaveCount(0);
  const filled = await parts.getByRole('button', { name: /^Fill \d/ }).count();
  expect(filled).toBeGreaterThan(0);
  await page.getByRole('button', { name: /^Fill \d things?$/ }).click();
  await expect(parts.getByRole('button', { name: /^Fill \d/ })).toHaveCount(0);
  expect(await complete()).toBe(before + filled + 1);

  await page.getByRole('button', { name: 'Take it out …' }).click();
  await page.getByRole('radio', { name: 'Taken along' }).click();
  await page.getByLabel('Where').fill('in the van, to the coast');
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(page.getByText('in the van, to the coast since today').first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'Foil blanket packed' }).click();
  await expect(page.getByTestId('packing')).toContainText(/1 of \d+/);
  await page.getByRole('button', { name: 'It is back …' }).click();
  await page.getByRole('button', { name: 'One more used, Foil blanket' }).click();
  await page.getByRole('button', { name: 'It is back', exact: true }).click();
  await expect(parts).toContainText('Foil blanket1 missing');
  await allSaved(page);
});

test('a bin goes to the kitchen table and comes back; Find says where it is, on the other phone too', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  const other = await otherPhone(page, server);
  const find = async (one: Page, what: string): Promise<void> => {
    await goTo(one, 'Find');
    await one.getByRole('searchbox').fill(what);
  };
  await find(page, 'punch bowl');
  await page.getByTestId('answer').getByRole('button', { name: 'Look inside' }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: 'Lend it, take it out …' }).click();
  await page.getByRole('radio', { name: 'Taken along' }).click();
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(page.getByText('Where is it taken?')).toBeVisible();
  await page.getByLabel('Where').fill('on the kitchen table');
  await page.getByRole('button', { name: 'Take it out', exact: true }).click();
  await expect(page.getByText('on the kitchen table since today', { exact: true })).toBeVisible();
  await allSaved(page);

  await find(other, 'punch bowl');
  await expect(other.getByTestId('answer')).toContainText('on the kitchen table since today');
  await other.getByTestId('answer').getByRole('button', { name: 'It is back' }).click();
  await expect(other.getByTestId('answer')).not.toContainText('on the kitchen table');
  await expect(page.getByText('on the kitchen table since today', { exact: true })).toHaveCount(0);
  await other.context().close();
});

test('medicine log: two phones see each other’s entries, and say when they cannot', async ({ page, server }) => {
  test.setTimeout(90_000);
  await openDemo(page, server);
  const other = await otherPhone(page, server);
  for (const one of [page, other]) {
    await keptPage(one, 'Care');
    await one.getByRole('button', { name: /^Pim/ }).click();
    await expect(one.getByTestId('by-the-package')).toContainText('Paracetamol syrup, child');
  }
  await expect(page.getByText('This is a log; it advises no dose.')).toBeVisible();
  await page.getByRole('button', { name: 'Record what was given' }).click();
  await page.getByLabel('How much was given').fill('5 ml');
  await page.getByRole('textbox', { name: /^Temperature before/ }).fill('38.9');
  await page.getByRole('button', { name: 'Record it' }).click();
  await expect(page.getByTestId('by-the-package')).toContainText('By the package: not before');
  await expect(other.getByTestId('by-the-package')).toContainText('By the package: not before');
  await expect(other.getByTestId('care-log')).toContainText('38.9 °C before');

  // One phone goes out of sight: it says so itself, and after some minutes the other one says so of it.
  await other.context().setOffline(true);
  await other.evaluate(() => window.dispatchEvent(new Event('offline')));
  await expect(other.getByTestId('phones')).toContainText('This phone has no signal now.');
  await other.getByRole('button', { name: 'Temperature' }).click();
  await other.getByRole('textbox', { name: /^Temperature/ }).fill('39.4');
  await other.getByRole('button', { name: 'Record it' }).click();
  await expect(other.getByTestId('care-log')).toContainText('39.4 °C');
  await expect(page.getByTestId('care-log')).not.toContainText('39.4 °C');
  server.phonesWereSeen(12);
  await page.reload();
  await expect(page.getByTestId('phones')).toContainText(/phone was last in touch 1[0-3] min ago/);

  await other.context().setOffline(false);
  await allSaved(other);
  await expect(page.getByTestId('care-log')).toContainText('39.4 °C');
  await other.context().close();
});

test('before and after: made small here, sent after all else, seen on the other phone; what is no picture is refused @wide', async ({
  page,
  server,
}) => {
  await openDemo(page, server);
  await openSpace(page, 'Rack 2');
  await page.getByTestId('photo-strip').getByRole('button', { name: 'Before and after …' }).click();
  const large = await page.screenshot({ type: 'png', scale: 'device' });
  const take = async (moment: string, name: string, mimeType: string, buffer: Buffer): Promise<void> => {
    await page.getByRole('radio', { name: moment }).click();
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'From a file' }).click();
    await (await choosing).setFiles({ name, mimeType, buffer });
  };
  await take('Before', 'notes.jpg', 'image/jpeg', Buffer.from('this is no picture'));
  await expect(page.getByText('That file is no picture that is read here')).toBeVisible();
  const sent = page.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.url().includes('/api/photos/'),
  );
  await take('Before', 'before.png', 'image/png', large);
  expect((await sent).status()).toBe(204);
  await expect(page.getByText('Picture kept: Rack 2, before.')).toBeVisible();
  await take('After', 'after.png', 'image/png', await page.screenshot({ type: 'png' }));
  await expect(page.getByTestId('before-after')).toBeVisible();
  const slider = page.getByRole('slider', { name: 'How much of before is shown' });
  await slider.press('ArrowRight');
  await expect(slider).toHaveValue('51');
  await allSaved(page);

  const other = await otherPhone(page, server);
  const fetched = other.waitForResponse((answer) => answer.url().includes('/api/photos/'));
  await openSpace(other, 'Rack 2');
  await other
    .getByTestId('photo-strip')
    .getByRole('button', { name: /^After, / })
    .click();
  const shown = other.getByTestId('before-after').getByRole('img').first();
  await expect(shown).toBeVisible();
  const picture = await fetched;
  expect(picture.headers()).toMatchObject({ 'content-type': 'image/jpeg', 'x-content-type-options': 'nosniff' });
  expect((await picture.body()).length).toBeLessThanOrEqual(250 * 1024);
  await other.context().close();
});

test('a tour of the stair press: a line, a count, what was skipped is remembered', async ({ page, server }) => {
  await openDemo(page, server);
  await openSpace(page, 'Stair press');
  await page.getByRole('button', { name: 'Tour' }).click();
  await expect(page.getByText(/^Stop 1 of \d+$/)).toBeVisible();
  await page.getByRole('button', { name: 'Skip' }).click();
  await expect(page.getByText(/^Stop 2 of \d+$/)).toBeVisible();
  const line = page.getByLabel('What else is in it? One line each');
  await line.fill('3 sauna towels');
  await line.press('Enter');
  await expect(page.getByText('Just now, here')).toBeVisible();
  await page.getByRole('button', { name: 'Right, next' }).click();
  await expect(page.getByText(/^Stop 3 of \d+$/)).toBeVisible();
  await allSaved(page);

  await page.reload();
  await expect(page.getByText(/^Stop 3 of (\d+)$/)).toBeVisible();
  const stops = Number(/of (\d+)$/.exec((await page.getByText(/^Stop 3 of \d+$/).textContent())!)![1]);
  for (let stop = 3; stop <= stops; stop++) {
    await expect(page.getByText(`Stop ${stop} of ${stops}`, { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Right, next' }).click();
  }
  await expect(page.getByText(`${stops - 1} of ${stops} places seen, 1 skipped.`).first()).toBeVisible();
  await page.getByRole('button', { name: 'Go there' }).click();
  await page.getByRole('button', { name: 'Right, next' }).click();
  await page.getByRole('button', { name: 'End the tour' }).click();
  await expect(page).toHaveURL(/\/space\/[^/]+$/);
  await allSaved(page);
});
