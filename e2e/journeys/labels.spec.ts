import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Download, Page } from '@playwright/test';
import { allSaved, expect, goTo, openDemo, recordLines, test } from './home';

test.use({ homeOf: 'labels' });

const DPI = 300;
const toPixels = (mm: number): number => Math.round((mm / 25.4) * DPI);
interface Area {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A PDF's first page, or a part of it in mm, rendered by poppler, which knows nothing of how it was drawn. */
function rendered(pdf: string, area: Area | null, kind: 'png' | 'pgm'): string {
  const page = join(mkdtempSync(join(tmpdir(), 'labels-')), 'page');
  const part = area
    ? Object.entries({ '-x': area.x, '-y': area.y, '-W': area.width, '-H': area.height }).flatMap(([name, mm]) => [
        name,
        String(toPixels(mm)),
      ])
    : [];
  const format = kind === 'png' ? ['-png'] : [];
  execFileSync('pdftoppm', [
    '-r',
    String(DPI),
    '-gray',
    ...format,
    '-f',
    '1',
    '-l',
    '1',
    '-singlefile',
    ...part,
    pdf,
    page,
  ]);
  return `${page}.${kind}`;
}

/** The codes that zbar reads in a picture. */
function read(png: string): string[] {
  try {
    const args = ['--raw', '-q', '-Sdisable', '-Sqrcode.enable', png];
    return execFileSync('zbarimg', args, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] })
      .trim()
      .split('\n');
  } catch {
    // It ends with an error when it reads nothing.
    return [];
  }
}
const scanned = (pdf: string, area: Area | null = null): string[] => read(rendered(pdf, area, 'png'));

/** The middle of all that is dark in a part of the page, mm from the part's corner. */
function middleOfInk(pdf: string, area: Area): { x: number; y: number } {
  const file = readFileSync(rendered(pdf, area, 'pgm'));
  const [head, width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 40).toString('latin1'))!;
  const pixels = file.subarray(head.length);
  const [columns, rows] = [new Set<number>(), new Set<number>()];
  for (let y = 0; y < Number(height); y++)
    for (let x = 0; x < Number(width); x++)
      if (pixels[y * Number(width) + x]! < 128) {
        columns.add(x);
        rows.add(y);
      }
  const middle = (of: Set<number>): number => ((Math.min(...of) + Math.max(...of) + 1) / 2 / DPI) * 25.4;
  return { x: middle(columns), y: middle(rows) };
}

/** The labels of Rack 1. */
async function openLabels(page: Page): Promise<void> {
  await goTo(page, 'Nooks');
  await page.getByRole('link', { name: 'Rack 1' }).click();
  await page.getByRole('button', { name: 'Labels' }).click();
}

async function savedFile(page: Page, press: () => Promise<void>): Promise<string> {
  const [file]: [Download, void] = await Promise.all([page.waitForEvent('download'), press()]);
  return file.path();
}
async function saved(page: Page, press: () => Promise<void>): Promise<string> {
  const path = await savedFile(page, press);
  expect(readFileSync(path).subarray(0, 5).toString()).toBe('%PDF-');
  return path;
}

test('labels of a rack: 13 on a sheet, their codes read from the rendered page and where they should be; opened by a scan; changed ones are told @wide', async ({
  page,
  server,
}) => {
  // Every label is rendered and read by itself.
  test.setTimeout(90_000);
  await openDemo(page, server);
  await openLabels(page);
  await expect(page.getByTestId('labels-list')).toContainText('13 of 14 places');
  await expect(page.getByTestId('label-read')).toContainText(/^Read from [\d.]+ c?m, capitals [\d.]+ mm/);
  await page.getByRole('radio', { name: '3 × 8 of 70 × 37 mm' }).click();
  await page.getByRole('button', { name: 'One more used up' }).click();
  await page.getByRole('button', { name: 'One more used up' }).click();
  await expect(page.getByText('13 labels, 1 page, the first 2 are used up')).toBeVisible();

  const pdf = await saved(page, () => page.getByRole('button', { name: 'Print 13 labels' }).click());
  // By hand: three columns of 70 mm, rows of 37 from 0.5 mm; a code of 22 mm in the upper right corner, 3 mm from both edges.
  const address = new RegExp(`^${server.url.toUpperCase()}/N/BL1-[A-Z][0-9A-Z]+$`);
  const codes = Array.from({ length: 13 }, (_, nth): string => {
    const [column, row] = [(nth + 2) % 3, Math.floor((nth + 2) / 3)];
    const label = { x: column * 70, y: 0.5 + row * 37, width: 70, height: 37 };
    const read = scanned(pdf, label);
    expect(read).toEqual([expect.stringMatching(address)]);
    const corner = { x: label.x + 70 - 3 - 22 - 0.5, y: label.y + 2.5, width: 23, height: 23 };
    const ink = middleOfInk(pdf, corner);
    expect(Math.abs(ink.x - 11.5)).toBeLessThan(0.3);
    expect(Math.abs(ink.y - 11.5)).toBeLessThan(0.3);
    return read[0]!;
  });
  expect(new Set(codes).size).toBe(13);
  // What is used up stays free.
  expect(scanned(pdf, { x: 0, y: 0.5, width: 140, height: 37 })).toEqual([]);
  await allSaved(page);
  await expect(page.getByText('as printed').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Only the/ })).toHaveCount(0);

  // The scanned address opens the place, as the code has it: in capitals.
  await page.goto(codes[0]!.replace(server.url.toUpperCase(), server.url));
  await expect(page).toHaveURL(/\/nook\//);
  await page.getByRole('button', { name: 'Record' }).first().click();
  await recordLines(page, ['2 glass floats']);
  await allSaved(page);
  await page.goto(`${server.url}/n/BL9-A1X`);
  await expect(page.getByText(/^“BL9-A1X” was read; no place of this home has that code\./)).toBeVisible();

  await openLabels(page);
  await expect(page.getByText('1 label no longer fits what is there')).toBeVisible();
  await expect(page.getByText(/its contents changed/)).toBeVisible();
  const one = await saved(page, () => page.getByRole('button', { name: 'Only the 1 changed' }).click());
  expect(scanned(one)).toHaveLength(1);
  const proof = await saved(page, () => page.getByRole('button', { name: 'Test page' }).click());
  expect(scanned(proof)).toHaveLength(0);

  const card = await saved(page, () => page.getByRole('button', { name: 'Door card, A5' }).click());
  expect(scanned(card)).toEqual([expect.stringMatching(/\/N\/BL1-[0-9A-Z]+$/)]);
  const words = execFileSync('pdftotext', ['-layout', card, '-'], { encoding: 'utf8' });
  for (const said of ['Rack 1', 'Boat loft', 'BL1', 'Tea lights', 'Tent pegs', 'Glass holder'])
    expect(words).toContain(said);
});

test('labels of other forms: on lids, files and to clip on, the code alone, as SVG, and the dots of a label printer', async ({
  page,
  server,
}) => {
  test.setTimeout(90_000);
  await openDemo(page, server);
  await openLabels(page);
  const address = new RegExp(`^${server.url.toUpperCase()}/N/BL1-[A-Z][0-9A-Z]+$`);
  const print = page.getByRole('button', { name: 'Print 13 labels' });
  for (const [form, onFirst] of [
    ['Cards to clip on', 10],
    ['Backs of files', 3],
  ] as const) {
    await page.getByRole('radio', { name: form }).click();
    const codes = scanned(await saved(page, () => print.click()));
    expect(codes).toHaveLength(onFirst);
    for (const code of codes) expect(code).toMatch(address);
  }
  // A lid of 6 cm has room for a code, one of 4 cm has not, and says so.
  await page.getByRole('radio', { name: 'Lids, round' }).click();
  await expect(page.getByText('No room for a scan code on this label.')).toBeVisible();
  await page.getByRole('radio', { name: /⌀ 60 mm/ }).click();
  expect(scanned(await saved(page, () => print.click())).length).toBeGreaterThan(8);

  // Words by hand: on the label, while the place keeps its name.
  const list = page.getByTestId('labels-list');
  await list.getByRole('button', { name: /^Tea lights/ }).click();
  await page.getByRole('button', { name: 'Other words …' }).click();
  await page.getByLabel('Words on it').fill('Glow');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(list).toContainText('Glow');
  // Reference cards come with the door card, a page each.
  await page.getByRole('button', { name: 'Order of use' }).click();
  const cards = await saved(page, () => page.getByRole('button', { name: 'Door card, A5' }).click());
  const onCard = execFileSync('pdftotext', ['-layout', cards, '-'], { encoding: 'utf8' });
  for (const words of ['Glow', 'What is open before what is shut', 'Boat loft']) expect(onCard).toContain(words);

  // Without words the code is larger; as an SVG its letters are outlines, so that any program shows them.
  await page.getByRole('radio', { name: 'Bins', exact: true }).click();
  await page.getByRole('button', { name: 'Words', exact: true }).click();
  const file = readFileSync(
    await savedFile(page, () => page.getByRole('button', { name: 'This one as SVG' }).click()),
    'utf8',
  );
  expect(file).toMatch(/^<svg [^>]*width="70mm" height="37mm"/);
  expect(file).not.toContain('<text');
  const shown = await page.context().newPage();
  await shown.setContent(`<body style="margin:0;zoom:1.2">${file}</body>`);
  const picture = join(mkdtempSync(join(tmpdir(), 'labels-')), 'svg.png');
  await shown.screenshot({ path: picture });
  await shown.close();
  expect(read(picture)).toEqual([expect.stringMatching(address)]);
  await page.getByRole('button', { name: 'Words', exact: true }).click();

  await page.getByRole('button', { name: 'To the label printer (simulated)' }).click();
  const printed = page.getByTestId('printed-labels');
  await expect(printed.getByLabel('Printed label 13')).toBeVisible();
  const uri = await printed.getByLabel('Printed label 1', { exact: true }).locator('img').getAttribute('src');
  const dots = join(mkdtempSync(join(tmpdir(), 'labels-')), 'dots.png');
  writeFileSync(dots, Buffer.from(uri!.split(',')[1]!, 'base64'));
  expect(read(dots)).toEqual([expect.stringMatching(address)]);
  await page.getByRole('button', { name: 'Done' }).click();

  const card = await savedFile(page, () => page.getByRole('button', { name: 'As a picture' }).click());
  expect(read(card)).toEqual([expect.stringMatching(/\/N\/BL1-[0-9A-Z]+$/)]);
});
