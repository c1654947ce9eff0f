import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fontkit from '@pdf-lib/fontkit';
import {
  CAP_SHARE,
  capHeightFor,
  CARDS,
  LABEL_SHEETS,
  layDoorCard,
  layLabel,
  textWidth,
  type LabelFont,
} from '@ours/core';
import { PDFDocument } from 'pdf-lib';
import type { LabelFonts } from '@/kit/printFonts';
import { labelsPdf, pagesPdf, testPagePdf } from './labelsPdf';
import { labelSvg } from './labelSvg';
import { scanCode } from './scanCode';
import { changedWords, codeWords, distanceWords, pagesWords, readableWords, sheetWords, shiftWords } from './words';

const require = createRequire(__filename);
const FILES: Readonly<Record<LabelFont, string>> = {
  bold: '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  regular: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  mono: '@expo-google-fonts/atkinson-hyperlegible-mono/700Bold/AtkinsonHyperlegibleMono_700Bold.ttf',
};
const bytesOf = (font: LabelFont): Uint8Array => new Uint8Array(readFileSync(require.resolve(FILES[font])));
const FONTS: LabelFonts = { bold: bytesOf('bold'), regular: bytesOf('regular'), mono: bytesOf('mono') };

describe('the shipped typeface', () => {
  it.each(['bold', 'regular', 'mono'] as const)('%s: capitals and widths are as its file says', (font) => {
    const read = fontkit.create(Buffer.from(FONTS[font])) as unknown as {
      unitsPerEm: number;
      capHeight: number;
      glyphForCodePoint: (point: number) => { advanceWidth: number };
    };
    expect(read.capHeight / read.unitsPerEm).toBe(CAP_SHARE);
    for (const sign of 'ABCXYZabcgjlmwz0189 .,-–’äöüßéñłőÅ&…')
      expect(textWidth(sign, font, 1000)).toBeCloseTo(
        (read.glyphForCodePoint(sign.codePointAt(0)!).advanceWidth * 1000) / read.unitsPerEm,
        0,
      );
  });
});

it('a code of a short address in capitals has 25 or 29 modules, its quiet zone is light, its corners are dark', () => {
  const { size, dark } = scanCode('HTTP://127.0.0.1:4310/N/BL1-B3K');
  expect([33, 37]).toContain(size);
  expect(Math.min(...dark.map(({ x, y }) => Math.min(x, y)))).toBe(4);
  expect(Math.max(...dark.map(({ x, width }) => x + width))).toBe(size - 4);
  expect(dark[0]).toEqual({ x: 4, y: 4, width: 7 });
});

describe('the PDF', () => {
  const sheet = LABEL_SHEETS.find(({ id }) => id === 'A4 3x7')!;
  const label = layLabel({
    width: sheet.width,
    height: sheet.height,
    words: 'Tea lights',
    contents: 'Glass holders',
    plate: 'BL1-B3 K',
    address: 'HTTP://127.0.0.1:4310/N/BL1-B3K',
    capMm: capHeightFor(1500),
  });
  it('has as many pages of the paper as the labels need', async () => {
    const bytes = await labelsPdf(
      sheet,
      Array.from({ length: 20 }, () => label),
      4,
      { right: 0, down: 0 },
      FONTS,
    );
    const pdf = await PDFDocument.load(bytes);
    expect(pdf.getPageCount()).toBe(2);
    // A4 in points.
    expect(pdf.getPage(0).getSize()).toEqual({ width: expect.closeTo(595.28, 1), height: expect.closeTo(841.89, 1) });
  });
  it('a door card is a page of its size', async () => {
    const front = { outer: { x: 0, y: 0, width: 100, height: 200 }, inner: { x: 0, y: 0, width: 100, height: 200 } };
    const rows = [{ code: 'BL1-A15', words: 'Paper lanterns', contents: 'spare bulbs' }];
    const view = { ...front, shelves: [], doorShelves: [], doorOuter: null, step: null, hasLid: false, assumed: false };
    const card = {
      size: 'A5' as const,
      title: 'Rack 1',
      room: 'Loft',
      plate: 'BL1',
      front: view,
      rows,
      address: 'HTTP://A/N/BL1',
    };
    const pdf = await PDFDocument.load(await pagesPdf(layDoorCard(card), CARDS.A5, FONTS));
    expect(pdf.getPageCount()).toBe(1);
    expect(pdf.getPage(0).getSize().width).toBeCloseTo((210 * 72) / 25.4, 1);
  });
  it('a label as SVG is true to size, its letters outlines, also where they run upwards', async () => {
    const marks = [
      { kind: 'text' as const, x: 3, y: 10, size: 6, font: 'bold' as const, text: 'Tea' },
      { kind: 'text' as const, x: 30, y: 30, size: 4, font: 'regular' as const, text: 'up', up: true as const },
      { kind: 'box' as const, x: 1, y: 1, width: 20, height: 5 },
      { kind: 'ring' as const, x: 35, y: 6, radius: 2.5 },
      { kind: 'code' as const, x: 40, y: 3, side: 22, text: 'HTTP://A/N/BL1' },
    ];
    const svg = await labelSvg({ marks }, 70, 37, FONTS);
    expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="70mm" height="37mm" viewBox="0 0 70 37">/);
    // Three letters and two, each an outline.
    expect(svg.match(/<path transform="translate\([\d.]+ 0\)" d="M/g)).toHaveLength(5);
    expect(svg).toContain('translate(30 30) rotate(-90) scale(');
    expect(svg).toContain('<circle cx="35" cy="6" r="2.5"');
    expect(svg).toContain('<rect x="1" y="1" width="20" height="5"');
    expect(svg).not.toContain('<text');
  });
  it('a test page is one page', async () => {
    const pdf = await PDFDocument.load(await testPagePdf(sheet, { right: 0.5, down: 0 }, FONTS));
    expect(pdf.getPageCount()).toBe(1);
  });
});

describe('words', () => {
  const laid = (capMm: number, codeSide = 20) => ({
    marks: [],
    capMm,
    lines: [],
    readableFromMm: capMm * 171.9,
    codeSide,
    cut: false,
  });
  it.each([
    [500, 'metric', '50 cm'],
    [1500, 'metric', '1.5 m'],
    [1524, 'inch', '5 ft'],
    [610, 'inch', '2 ft'],
  ] as const)('%f mm in %s are %s', (mm, unit, words) => expect(distanceWords(mm, unit)).toBe(words));
  it('what does not fit as large says so', () => {
    expect(readableWords(laid(8.7), 1500, 'metric')).toBe('Read from 1.5 m, capitals 8.7 mm.');
    expect(readableWords(laid(4), 1500, 'metric')).toBe(
      'Read from 70 cm, capitals 4.0 mm: these words do not fit larger on this label.',
    );
    expect(codeWords(laid(4, 0), true)).toBe('No room for a scan code on this label.');
    expect(codeWords(laid(4, 20), true)).toBe('Scan code 20 mm, read from about 20 cm.');
    expect(codeWords(laid(4), false)).toBe('');
  });
  it('counts', () => {
    expect(changedWords(1)).toBe('1 label no longer fits what is there');
    expect(changedWords(3)).toBe('3 labels no longer fit what is there');
    expect(pagesWords(13, 1, 4)).toBe('13 labels, 1 page, the first 4 are used up');
    expect(pagesWords(1, 1, 1)).toBe('1 label, 1 page, the first one is used up');
    expect(shiftWords(0.5)).toBe('+0.5 mm');
    expect(shiftWords(-1)).toBe('-1.0 mm');
    expect(sheetWords(LABEL_SHEETS[0]!)).toBe('3 × 8 of 70 × 37 mm');
    expect(sheetWords(LABEL_SHEETS[4]!)).toBe('four to a page, 105 × 148.5 mm');
  });
});
