import { readFile, writeFile } from 'node:fs/promises';
import { allSaved, expect, openDemo, startHome, test } from './home';
import type { Page } from '@playwright/test';

// Tables are read back into it whole.
test.use({ homeOf: 'formats' });

const save = async (page: Page, button: string, path: string): Promise<string> => {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  await download.saveAs(path);
  return path;
};
const choose = async (page: Page, path: string): Promise<void> => {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: /^(Choose a|Another) file …$/ }).click(),
  ]);
  await chooser.setFiles(path);
};
const goToPath = (page: Page, path: string) => page.goto(new URL(page.url()).origin + path);

test('stock as a table, out in two habits and in again: every row is as it is @wide', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  for (const style of ['1.5 and commas', '1,5 and semicolons']) {
    await goToPath(page, '/data');
    await page.getByRole('radio', { name: style }).click();
    const file = await save(page, 'Save stock', info.outputPath('stock.csv'));
    await goToPath(page, '/data/table');
    await choose(page, file);
    const same = page.getByRole('radio', { name: /^same [\d,]+$/ });
    await expect(same).toBeVisible();
    await expect(page.getByText('Nothing changes; nothing is written yet.')).toBeVisible();
    await expect(page.getByRole('radio', { name: /^(new|changed|not read)/ })).toHaveCount(0);
  }
});

test('a table as a German spreadsheet writes it: seen row by row, written, and found', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  await goToPath(page, '/data');
  const out = await readFile(await save(page, 'Save stock', info.outputPath('stock.csv')), 'utf8');
  const code = /,([1-9A-Z]{2,3}-[1-9A-Z]+),/.exec(out)![1]!;
  const rows = [
    'Bezeichnung;Menge;Einheit;Ort;MHD',
    `Grünkern;1,5;kg;${code};27.11.2027`,
    `Lorbeer;3;Stück;${code};3/2028`,
    `Kümmel;drei;;${code};`,
    `Kümmel;1;;${code};31.2.2028`,
    'Kümmel;1;;nirgends;',
  ];
  // As spreadsheets of the West save it: one byte a letter (ü is FC in Windows-1252).
  const file = info.outputPath('bestand.csv');
  await writeFile(file, Buffer.from(rows.join('\r\n'), 'latin1'));
  await goToPath(page, '/data/table');
  await choose(page, file);
  await expect(page.getByText(/5 rows, parted by semicolons, letters in Windows-1252/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'new 2' })).toBeVisible();
  await page.getByRole('radio', { name: 'not read 3' }).click();
  const list = page.getByTestId('import-rows');
  await expect(list).toContainText('“drei” is no amount; a number from 0 is taken.');
  await expect(list).toContainText('“31.2.2028” is no day for until; day, month and year are taken.');
  await expect(list).toContainText('“nirgends” is no place of this home; a code or a name is taken.');
  await page.getByRole('button', { name: 'Write 2 rows' }).click();
  await expect(page.getByText('2 rows were written.')).toBeVisible();
  await allSaved(page);
  // Read once more, they are as they are.
  await choose2(page, file);
  await expect(page.getByRole('radio', { name: 'same 2' })).toBeVisible();
  await goToPath(page, '/');
  await page.getByTestId('find').fill('Grünkern');
  await expect(page.getByText(/1\.5 kg/).first()).toBeVisible();
});
const choose2 = async (page: Page, path: string): Promise<void> => {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Another table …' }).click(),
  ]);
  await chooser.setFiles(path);
};

// UTF-8 with its mark, as spreadsheets save it; semicolons where the comma is the decimal mark.
const MARK = '\uFEFF';
const HABITS: [language: string, head: string, row: (name: string, code: string) => string][] = [
  [
    'French',
    'Désignation;Quantité;Unité;Emplacement;Date de péremption',
    (name, code) => `${name};2,5;kg;${code};27/11/2027`,
  ],
  ['American', 'Item,Qty,Unit,Location,Expiration Date', (name, code) => `${name},2.5,kg,${code},11/27/2027`],
  ['Swedish', 'Benämning;Antal;Enhet;Plats;Bäst före', (name, code) => `${name};2,5;kg;${code};2027-11-27`],
];

test('tables as spreadsheets of three more languages write them: the same amount and the same day @wide', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  await goToPath(page, '/data');
  const out = await readFile(await save(page, 'Save stock', info.outputPath('stock.csv')), 'utf8');
  const code = /,([1-9A-Z]{2,3}-[1-9A-Z]+),/.exec(out)![1]!;
  for (const [language, head, row] of HABITS) {
    const file = info.outputPath(`${language}.csv`);
    await writeFile(file, `${MARK}${head}\r\n${row('Buckwheat', code)}\r\n`);
    await goToPath(page, '/data/table');
    await choose(page, file);
    await expect(page.getByRole('radio', { name: 'new 1' })).toBeVisible();
    const list = page.getByTestId('import-rows');
    await expect(list).toContainText('2.5 kg');
    await expect(list).toContainText('27 Nov 2027');
  }
});

test('what is no table is said in one sentence; a pasted table is written and taken back as one', async ({
  page,
  server,
}, info) => {
  await openDemo(page, server);
  await goToPath(page, '/data/table');
  const wrong: [string, Buffer, string][] = [
    [
      'book.xlsx.csv',
      Buffer.from([0x50, 0x4b, 3, 4, 0]),
      'This is a spreadsheet’s own file; a table as text (CSV) is taken: save it as CSV.',
    ],
    ['empty.csv', Buffer.from(''), 'The file is empty; a table with at least one row is taken.'],
    [
      'mixed.csv',
      Buffer.from([0xd6, 0x6c, 0x0a, 0xc3, 0x96]),
      'Letters are written in two ways in this file, the first other one in line 2; save it as UTF-8.',
    ],
    ['large.csv', Buffer.alloc(33 * 1024 * 1024, 'a'), 'The file has 33 MB; up to 32 MB are read.'],
  ];
  for (const [name, content, sentence] of wrong) {
    const path = info.outputPath(name);
    await writeFile(path, content);
    await choose(page, path);
    await expect(page.getByRole('alert')).toHaveText(sentence);
  }
  await goToPath(page, '/data/table');
  await page.getByLabel('Or paste rows from a spreadsheet').fill('what\thow many\nLentils, red\t4\nLentils, green\t2');
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(page.getByRole('radio', { name: 'not read 2' })).toBeVisible();
  await page.getByRole('button', { name: 'nowhere: choose …' }).click();
  await page.getByLabel('Their place').fill('mending');
  await page
    .getByRole('button', { name: /^mending/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Write 2 rows' }).click();
  await expect(page.getByText('2 rows were written.')).toBeVisible();
  await page.getByRole('button', { name: 'Take all of it back' }).click();
  await expect(page.getByText('All of it was taken back.')).toBeVisible();
  await allSaved(page);
});

interface Exported {
  rows: { entity: string; row: { id: string } }[];
  events: unknown[];
  commands: { id: string }[];
}
const exported = (page: Page): Promise<Exported> =>
  page.evaluate(async () => {
    const me = (await (await fetch('/api/me')).json()) as { householdId: string };
    return (await (await fetch('/api/home-file', { headers: { 'nook-household': me.householdId } })).json()) as never;
  });

test('a whole home moves into an empty one and is the same, row by row; over another home it says what is lost @wide', async ({
  page,
  server,
  browser,
}, info) => {
  test.setTimeout(120_000);
  await openDemo(page, server);
  await goToPath(page, '/data');
  const file = await save(page, 'Save home', info.outputPath('home.zip'));
  const before = await exported(page);
  const other = await (await browser.newContext({ viewport: page.viewportSize()! })).newPage();
  await startHome(other, server, 'Eskil');
  await goToPath(other, '/data/home');
  await choose(other, file);
  await expect(other.getByTestId('in-the-file')).toContainText(/\d+ things/);
  await expect(other.getByTestId('what-is-lost')).toHaveText('This home is empty: nothing is lost.');
  await other.getByRole('button', { name: 'Make this home so' }).click();
  await expect(other.getByText(/^This home is now as it was on/)).toBeVisible({ timeout: 60_000 });
  const after = await exported(other);
  const plain = ({ rows }: Exported) =>
    rows.filter(({ entity }) => entity !== 'household').map(({ entity, row }) => ({ entity, ...row, seq: 0 }));
  expect(plain(after)).toEqual(plain(before));
  expect(after.events).toEqual(before.events);
  // The device shows it, too.
  await goToPath(other, '/nooks');
  await expect(other.getByText('Stair press').first()).toBeVisible();

  await goToPath(other, '/data/home');
  await choose(other, file);
  await expect(other.getByTestId('what-is-lost')).toContainText('it is replaced, and cannot be undone');
  await expect(other.getByRole('button', { name: 'Replace this home' })).toBeVisible();
  await other.context().close();
});

test('the same thing under two names is made one, and taken back as one', async ({ page, server }) => {
  await openDemo(page, server);
  await goToPath(page, '/data/table');
  await page
    .getByLabel('Or paste rows from a spreadsheet')
    .fill('what\tcategory\nQuince jelly bags\tKitchen\nQuinze jelly bags\tKitchen');
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await page.getByRole('button', { name: 'Write 2 rows' }).click();
  await expect(page.getByText('2 rows were written.')).toBeVisible();
  await goToPath(page, '/doubles');
  const pair = page.getByRole('group', { name: /^Quin[cz]e jelly bags and Quin[cz]e jelly bags$/ });
  await expect(pair).toContainText('their names differ by one letter');
  await pair.getByRole('button', { name: 'One: Quince jelly bags' }).click();
  await expect(pair).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(pair).toHaveCount(1);
  await allSaved(page);
});

test('places of another home and its past come in from tables; a second time nothing is made twice @wide', async ({
  page,
  server,
}, info) => {
  // A home of its own: what the one size makes is not there for the other.
  await startHome(page, server);
  await goToPath(page, '/data');
  const places = info.outputPath('places.csv');
  const lines = [
    'kind;name;in;width',
    'bin;jars;top;30,5',
    'shelf;top;Pantry;90',
    'cupboard;Pantry;Kitchen;92',
    'bin;x;Attic;',
  ];
  await writeFile(places, lines.join('\r\n'));
  const readPlaces = async (): Promise<void> => {
    await page.getByRole('button', { name: /^Places …/ }).click();
    await choose(page, places);
  };
  await readPlaces();
  await expect(page.getByText('new cupboard “Pantry” in new room Kitchen; width 92 cm')).toBeVisible();
  await expect(page.getByText(/^not read: “Attic” is not known as what it can be in/)).toBeVisible();
  await page.getByRole('button', { name: 'Write 3 rows' }).click();
  await expect(page.getByText('3 places written as the table says.')).toBeVisible();
  await readPlaces();
  await expect(
    page.getByText('None is new, none changes, 3 are the same, 1 was not read. Nothing is written yet.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  // What this home then writes is read back as the same.
  const saved = await save(page, 'Save places', info.outputPath('saved.csv'));
  await page.getByRole('button', { name: /^Places …/ }).click();
  await choose(page, saved);
  await expect(
    page.getByText('None is new, none changes, 3 are the same, all were read. Nothing is written yet.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  // A thing in the new bin, then ten weeks of its past: one a day.
  await goToPath(page, '/data/table');
  const stock = info.outputPath('own.csv');
  await writeFile(stock, 'what,how many,where\r\nSoap bars,12,jars\r\n');
  await choose(page, stock);
  await page.getByRole('button', { name: 'Write 1 row' }).click();
  await expect(page.getByText('1 row was written.')).toBeVisible();
  await allSaved(page);
  const day = (ago: number): string => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10);
  const past = info.outputPath('past.csv');
  const uses = Array.from({ length: 70 }, (_, at) => `${day(at + 2)},Soap bars,1`);
  await writeFile(past, `date,item,quantity\r\n${uses.join('\r\n')}\r\n${day(-3)},Soap bars,1\r\n`);
  const readPast = async (): Promise<void> => {
    await goToPath(page, '/data');
    await page.getByRole('button', { name: /^Past use …/ }).click();
    await choose(page, past);
  };
  await readPast();
  await expect(
    page.getByText('70 rows are new, none is known already, none is left out, 1 was not read. Nothing is written yet.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Add 70 rows' }).click();
  await expect(page.getByText('70 rows of the past added. The stock of today is as it was.')).toBeVisible();
  await allSaved(page);
  await readPast();
  await expect(
    page.getByText('Nothing is new, 70 are known already, none is left out, 1 was not read. Nothing is written yet.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  // The pace is known, and twelve are there as before.
  await goToPath(page, '/');
  await page.getByTestId('find').fill('soap');
  await expect(page.getByTestId('answer')).toContainText('12');
  await page
    .getByTestId('answer')
    .getByRole('button', { name: /Soap bars|About it/ })
    .first()
    .click();
  await expect(page.getByText(/^About \d+(\.\d)? a (day|week), from \d+ uses/).first()).toBeVisible();
});
