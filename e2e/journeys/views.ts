/** The main views of the demo home and how one gets to each, from the one before it. */
import type { Page } from '@playwright/test';
import { expect, goTo, type HomeServer } from './home';

export const VIEWS: [name: string, open: (page: Page, server: HomeServer) => Promise<void>][] = [
  ['find', (page) => goTo(page, 'Find')],
  [
    'an answer',
    async (page) => {
      await goTo(page, 'Find');
      await page.getByTestId('find').fill('lantern');
      await expect(page.getByTestId('answer')).toBeVisible();
    },
  ],
  ['nooks', (page) => goTo(page, 'Nooks')],
  [
    'a space',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Rack 1' }).click();
      await page.getByRole('button', { name: /^Bin B3/ }).click();
      await expect(page.getByTestId('nook-panel')).toBeVisible();
    },
  ],
  [
    'a bin',
    async (page) => {
      await page.getByTestId('nook-panel').getByRole('button', { name: 'Look inside' }).click();
      await expect(page.getByText('In it')).toBeVisible();
    },
  ],
  [
    'record',
    async (page) => {
      await goTo(page, 'Record');
      await page.getByTestId('record-line').fill('6 tins tomatoes 400 g exp mar 27');
      await expect(page.getByTestId('record-card')).toBeVisible();
    },
  ],
  [
    'plan',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Rack 2' }).click();
      await page.getByRole('button', { name: 'Plan' }).click();
      const find = page.getByRole('button', { name: /Find/ });
      await find.click();
      await expect(page.getByTestId('floor-board')).toBeVisible();
    },
  ],
  ...(['Measure', 'Sort', 'Try', 'Get'] as const).map((step): (typeof VIEWS)[number] => [
    step,
    async (page) => {
      await page.getByRole('navigation', { name: 'Setting up' }).getByRole('link', { name: step }).click();
      if (step === 'Try') await page.getByRole('button', { name: /^lid box/ }).click();
    },
  ]),
  [
    'labels',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Rack 1' }).click();
      await page.getByRole('button', { name: 'Labels' }).click();
      await expect(page.getByTestId('label-read')).toBeVisible();
    },
  ],
  [
    'a new space',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('button', { name: 'Space', exact: true }).click();
      await expect(page.getByTestId('growing-space')).toBeVisible();
    },
  ],
  [
    'restock',
    async (page) => {
      await goTo(page, 'Restock');
      await expect(page.getByText('Not bought this time')).toBeVisible();
    },
  ],
  [
    'the shop',
    async (page) => {
      await page.getByRole('button', { name: /shopping$/ }).click();
      // The view may have been looked at before, in the other theme.
      await page.getByRole('checkbox').first().check();
    },
  ],
  ['putting away', (page) => page.getByRole('button', { name: 'Put away' }).click()],
  ['the refill round', (page) => page.getByRole('link', { name: 'Refill' }).click()],
  [
    'without cold',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Porch freezer' }).click();
      await page.getByRole('button', { name: 'It was without cold …' }).click();
      await page.getByRole('radio', { name: 'was opened' }).click();
      await expect(page.getByText('Look at each')).toBeVisible();
    },
  ],
  [
    'a recall',
    async (page) => {
      await goTo(page, 'Rounds');
      await page.getByRole('button', { name: 'Recall' }).click();
      await expect(page.getByLabel('Batch, as printed')).toBeVisible();
    },
  ],
  [
    'use first',
    async (page, server) => {
      await page.goto(`${server.url}/use-first`);
      await expect(page.getByText(/lost at the present pace/).first()).toBeVisible();
    },
  ],
  [
    'a thing',
    async (page) => {
      await page.getByRole('button', { name: 'About it' }).first().click();
      await expect(page.getByRole('button', { name: 'Change: buy' })).toBeVisible();
    },
  ],
  ['rounds', (page) => goTo(page, 'Rounds')],
  [
    'a round',
    async (page) => {
      await page.getByRole('button', { name: /^Expiry round/ }).click();
      await expect(page.getByTestId('round-steps')).toBeVisible();
    },
  ],
  ...(['Kits', 'Out and waiting', 'Care'] as const).map((name): (typeof VIEWS)[number] => [
    name,
    async (page) => {
      await goTo(page, 'Rounds');
      await page.getByTestId('keep-links').getByRole('button', { name, exact: true }).click();
      await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    },
  ]),
  [
    'what one person was given',
    async (page) => {
      await page.getByRole('button', { name: /^Pim/ }).click();
      await expect(page.getByTestId('by-the-package')).toBeVisible();
    },
  ],
  [
    'a kit',
    async (page) => {
      await goTo(page, 'Rounds');
      await page.getByTestId('keep-links').getByRole('button', { name: 'Kits', exact: true }).click();
      await page.getByRole('button', { name: /^Van first-aid kit/ }).click();
      await expect(page.getByTestId('kit-figures')).toBeVisible();
    },
  ],
  [
    'pictures of a space',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Stair press' }).click();
      await page.getByTestId('photo-strip').getByRole('button', { name: 'Before and after …' }).click();
      await expect(page.getByRole('button', { name: 'From a file' })).toBeVisible();
    },
  ],
  [
    'a tour',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Stair press' }).click();
      await page.getByRole('button', { name: 'Tour' }).click();
      await expect(page.getByText(/^Stop 1 of/)).toBeVisible();
    },
  ],
  [
    'a freezer as a board',
    async (page) => {
      await goTo(page, 'Nooks');
      await page.getByRole('link', { name: 'Porch freezer' }).click();
      await page.getByRole('button', { name: 'What is frozen' }).click();
      await page
        .getByRole('button', { name: /^Blueberries, / })
        .first()
        .click();
    },
  ],
  [
    'all stock',
    async (page, server) => {
      await page.goto(`${server.url}/stock`);
      await expect(page.getByText(/^(\d+) of \1, worth €/)).toBeVisible();
    },
  ],
  [
    'any action by its words',
    async (page) => {
      await page.keyboard.press('Control+k');
      await page.getByLabel('Words of an action, a space or a thing').fill('labels');
      await expect(page.getByRole('button', { name: /^Labels of/ }).first()).toBeVisible();
    },
  ],
  [
    'all keys',
    async (page) => {
      await page.keyboard.press('Escape');
      await page.keyboard.press('?');
      await expect(page.getByRole('heading', { name: 'All keys' })).toBeVisible();
    },
  ],
  [
    'where things go',
    async (page, server) => {
      await page.goto(`${server.url}/where`);
      await expect(page.getByText(/^(Best found|With these, nothing better)/)).toBeVisible();
    },
  ],
  [
    'before you leave',
    async (page, server) => {
      await page.goto(`${server.url}/restock/leaving`);
      await expect(page.getByRole('heading', { name: 'Is there room for it?' })).toBeVisible();
    },
  ],
  [
    'how long things keep',
    async (page, server) => {
      await page.goto(`${server.url}/keeping`);
      await expect(page.getByRole('heading', { name: 'As published' })).toBeVisible();
    },
  ],
  [
    'the reserve in days',
    async (page, server) => {
      await page.goto(`${server.url}/reserve`);
      await expect(page.getByText(/a person and day/).first()).toBeVisible();
    },
  ],
  [
    'is there room for it',
    async (page, server) => {
      await page.goto(`${server.url}/restock/room-for`);
      for (const side of ['Wide', 'Deep', 'High']) await page.getByLabel(side).fill('20');
      await expect(page.getByText('It fits here')).toBeVisible();
    },
  ],
  [
    'out and in',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/data`);
      await expect(page.getByRole('button', { name: 'Save stock' })).toBeVisible();
    },
  ],
  [
    'places from a table',
    async (page) => {
      await page.getByRole('button', { name: /^Places …/ }).click();
      const file = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Choose a file …' }).click();
      const csv = 'kind,name,in\ncupboard,Attic press,Attic\nbin,jars,nowhere\n';
      await (await file).setFiles({ name: 'places.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
      await expect(page.getByRole('button', { name: 'Write 1 row' })).toBeVisible();
    },
  ],
  [
    'past use from a table',
    async (page) => {
      await page.getByRole('button', { name: 'Cancel' }).click();
      await page.getByRole('button', { name: /^Past use …/ }).click();
      const file = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Choose a file …' }).click();
      const csv = 'date,item,quantity\n3.5.2026,Rolled oats,1\n3.5.2026,Hourglass,1\n';
      await (await file).setFiles({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
      await expect(page.getByRole('button', { name: 'Add 1 row' })).toBeVisible();
    },
  ],
  [
    'a table of stock, read',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/data/table`);
      await page.getByLabel('Or paste rows from a spreadsheet').fill('what\thow many\twhere\nRice\t3\tnowhere');
      await page.getByRole('button', { name: 'Read what is pasted' }).click();
      await expect(page.getByRole('radio', { name: 'not read 1' })).toBeVisible();
    },
  ],
  [
    'a whole home, to be read',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/data/home`);
      await expect(page.getByRole('button', { name: 'Choose a file …' })).toBeVisible();
    },
  ],
  [
    'devices',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/devices`);
      await expect(page.getByRole('group', { name: 'Scanner' })).toBeVisible();
    },
  ],
  [
    'likely the same',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/doubles`);
      await expect(page.getByText(/^(no|\d+) pairs?$/)).toBeVisible();
    },
  ],
  [
    'figures',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/figures`);
      await expect(page.getByRole('table', { name: 'Days opened, by space' })).toBeVisible();
    },
  ],
  [
    'a list for insurers',
    async (page) => {
      await page.getByRole('button', { name: 'A list for insurers …' }).click();
      await expect(page.getByRole('button', { name: 'Save as PDF' })).toBeVisible();
    },
  ],
  [
    'several lines for the list',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/restock`);
      await page.getByRole('button', { name: 'Add', exact: true }).click();
      await page.getByRole('button', { name: 'Several lines, or a table …' }).click();
      await page.getByLabel('One line each, or a table with its head').fill('2 bread\nsoap');
      await expect(page.getByRole('button', { name: 'Add 2 lines' })).toBeVisible();
    },
  ],
  [
    'another unit',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/use-first`);
      await page.getByRole('button', { name: 'About it' }).first().click();
      await page.getByRole('button', { name: 'About', exact: true }).click();
      await page.getByRole('button', { name: /^Kept in another unit than / }).click();
      await expect(page.getByLabel('Kept in', { exact: true })).toBeVisible();
    },
  ],
  [
    'the drawing as a file',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/nooks`);
      await page.getByRole('link', { name: 'Rack 1' }).click();
      await page.getByRole('button', { name: 'Drawing as a file …' }).click();
      await expect(page.getByRole('button', { name: 'Save SVG' })).toBeVisible();
    },
  ],
  [
    'an address for a helper',
    async (page) => {
      await page.getByRole('button', { name: 'Done' }).last().click();
      await page.getByRole('button', { name: 'Show to a helper …' }).click();
      await page.getByRole('button', { name: 'Make an address' }).click();
      await expect(page.getByLabel('Address', { exact: true })).toBeVisible();
    },
  ],
  [
    'what a helper sees',
    async (page) => {
      await page.goto(await page.getByLabel('Address', { exact: true }).inputValue());
      await expect(page.getByTestId('open-door')).toBeVisible();
    },
  ],
  [
    'scanning',
    async (page) => {
      await page.goto(`${new URL(page.url()).origin}/record`);
      await page.getByRole('button', { name: 'Scan a code' }).click();
      await expect(page.getByLabel('Or type what stands below it')).toBeVisible();
    },
  ],
];
