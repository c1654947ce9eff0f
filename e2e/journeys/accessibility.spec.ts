import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './home';
import { VIEWS } from './views';

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** The themes differ in their colours only: what is named, ordered and large enough in the one is so in the other. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block'];

async function serious(page: Page, rules: 'all' | 'of colour'): Promise<string[]> {
  // There are no frames within the page: it is looked through in one go. What passes is not listed, which takes most of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations } = await (rules === 'all' ? axe.withTags(STANDARDS) : axe.withRules(OF_COLOUR)).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map((node) => node.html.slice(0, 160))
          .join(' | ')}`,
    );
}

/** Puts the page into a theme, and waits until it is drawn so. */
async function inTheme(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme });
  await expect(page.locator(`.t_${colorScheme}`).first()).toBeVisible();
  await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
}

test('no serious findings of axe on the main views, in both themes @wide', async ({ page, server }) => {
  // More than fifty views, each looked through as a whole.
  test.setTimeout(480_000);
  await page.goto(server.url);
  await expect(page.getByRole('button', { name: 'Open the demo home' })).toBeVisible();
  const found: Record<string, string[]> = {};
  const look = async (name: string): Promise<void> => {
    const light = await serious(page, 'all');
    if (light.length > 0) found[`${name}, light`] = light;
    await inTheme(page, 'dark');
    const dark = await serious(page, 'of colour');
    if (dark.length > 0) found[`${name}, dark`] = dark;
    await inTheme(page, 'light');
  };
  await inTheme(page, 'light');
  await look('sign-in');
  await openDemo(page, server);
  for (const [name, open] of VIEWS) {
    await open(page, server);
    await page.waitForTimeout(300);
    await look(name);
  }
  await page.goto(`${server.url}/household`);
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  await look('household');
  await page.goto(`${server.url}/containers`);
  await expect(page.getByText('In the house and for sale')).toBeVisible();
  await look('containers');
  expect(found).toEqual({});
});
