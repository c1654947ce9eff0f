import type { Page } from '@playwright/test';
import { allSaved, expect, openDemo, startHome, test } from './home';

const MOST_TABS = 160;

/** Goes with Tab to what is called so, as somebody does who has no mouse. */
async function tabTo(page: Page, name: RegExp | string): Promise<void> {
  const seen: string[] = [];
  for (let tabs = 0; tabs < MOST_TABS; tabs++) {
    await page.keyboard.press('Tab');
    const words = await page.evaluate(() => {
      const at = document.activeElement;
      return at === null || at === document.body ? '' : (at.getAttribute('aria-label') ?? at.textContent ?? '');
    });
    if (typeof name === 'string' ? words === name : name.test(words)) {
      // Whoever tabs has to see where they are.
      const outlined = await page.evaluate(() => {
        const style = getComputedStyle(document.activeElement!);
        return style.outlineStyle !== 'none' || Number.parseFloat(style.borderTopWidth) >= 2;
      });
      expect(outlined, `${words} shows that it has the focus`).toBe(true);
      return;
    }
    seen.push(words);
  }
  throw new Error(`No ${String(name)} by Tab; there were: ${seen.slice(-40).join(' | ')}`);
}
async function enter(page: Page, name: RegExp | string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press('Enter');
}
async function write(page: Page, label: RegExp | string, text: string): Promise<void> {
  await tabTo(page, label);
  await page.keyboard.type(text);
}
/** Through the field that knows every action by its words. */
async function act(page: Page, words: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.type(words);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

test('the main job by the keyboard alone: a place, what is in it, found, used, taken back, listed @wide', async ({
  page,
  server,
}) => {
  // Only the account is made by hand.
  await startHome(page, server);
  await act(page, 'set up a new space');
  await expect(page.getByLabel('What is it called?')).toBeVisible();
  await write(page, 'What is it called?', 'Pantry');
  await write(page, 'In which room?', 'Kitchen');
  await enter(page, 'Add it');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pantry');
  await write(page, 'New bins (comma between)', 'jars, tins');
  await page.keyboard.press('Enter');
  await expect(
    page
      .getByText(/^(Added|Two|2) /)
      .or(page.getByRole('button', { name: /jars/ }))
      .first(),
  ).toBeVisible();
  await enter(page, 'Done');
  // Over the drawing by the arrows.
  await tabTo(page, /^Bin .*jars/);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Bin .*tins/ })).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Bin .*jars/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('nook-panel')).toBeVisible();
  await enter(page, 'Record');
  const line = page.getByTestId('record-line');
  await expect(line).toBeVisible();
  await write(page, /^What is it\? One line/, '6 jars plum jam exp 3/28');
  await expect(page.getByTestId('card-amount')).toHaveText('6 jars');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('');

  // A key on its own is heard outside of a field.
  await page.keyboard.press('Tab');
  await page.keyboard.press('/');
  await expect(page.getByTestId('find')).toBeFocused();
  await page.keyboard.type('plum jam');
  await expect(page.getByTestId('answer').getByRole('heading')).toHaveText('Plum jam');
  await expect(page.getByTestId('way')).toContainText('Pantry');
  await enter(page, /^Take (one|1)/);
  await expect(page.getByTestId('answer')).toContainText('5 jars');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('answer')).toContainText('6 jars');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByTestId('answer')).toContainText('5 jars');

  await act(page, 'restock the list');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Restock');
  await enter(page, 'Add');
  await expect(page.getByRole('dialog')).toBeVisible();
  await write(page, 'What, and how many', '2 chalk');
  await enter(page, 'Add');
  await expect(page.getByText(/^On the list: /)).toBeVisible();
  await allSaved(page);
});

test('the main job by roles and names alone, as a screen reader tells them @wide', async ({ page, server }) => {
  await openDemo(page, server);
  const find = page
    .getByRole('textbox', { name: 'What are you looking for?' })
    .or(page.getByRole('searchbox', { name: 'What are you looking for?' }));
  await find.fill('spaghetti');
  await expect(page.getByRole('heading', { name: 'Spaghetti' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Take (one|some|1)/ })
    .first()
    .click();
  await expect(page.getByRole('status').filter({ hasText: /^Taken/ })).toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Taken back.' })).toBeVisible();

  const places = page.getByRole('navigation', { name: 'Places' });
  await places.getByRole('link', { name: 'Nooks' }).click();
  await expect(places.getByRole('link', { name: 'Nooks' })).toHaveAttribute('aria-current', 'page');
  await page.getByRole('link', { name: /^Rack 1, / }).click();
  await page.getByRole('button', { name: /^Bin D2, / }).click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await page.getByRole('textbox', { name: /^What is it\? One line/ }).fill('3 candle plates');
  await page.getByRole('button', { name: 'Save and go on' }).click();
  await expect(page.getByText(/^Candle plates, 3/)).toBeVisible();

  await places.getByRole('link', { name: 'Restock' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'What, and how many' }).fill('2 chalk');
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('chalk').first()).toBeVisible();
  await places.getByRole('link', { name: 'Rounds' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Rounds' })).toBeVisible();

  // Every control of the pages of the main job has a name.
  for (const path of ['/', '/nooks', '/record', '/restock', '/rounds', '/stock', '/figures']) {
    await page.goto(server.url + path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.getByText('Opening …').first().waitFor({ state: 'detached' });
    const tree = await page.getByRole('main').ariaSnapshot();
    const nameless = tree
      .split('\n')
      .filter((one) => /^\s*- (button|link|textbox|checkbox|radio|tab)( \[|:?$)/.test(one));
    expect(nameless, `${path}: controls without a name`).toEqual([]);
  }
});
