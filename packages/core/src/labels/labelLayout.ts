/** What stands on a label, and where: words as large as they may be, a line of contents, the plate, the scan code. Millimetres. */
import { MONO_WIDTH, WIDTHS } from './fontWidths';
import { readableFrom, sizeOfCap } from './letterHeight';

export type LabelFont = 'bold' | 'regular' | 'mono';
/** A mark on a label, from its top left corner; the text's y is its baseline. */
export type LabelMark =
  | {
      kind: 'text';
      x: number;
      y: number;
      size: number;
      font: LabelFont;
      text: string;
      /** Runs upwards from there. */
      up?: true;
    }
  /** A circle, its middle. */
  | { kind: 'ring'; x: number; y: number; radius: number }
  /** A line from point to point. */
  | { kind: 'line'; points: readonly (readonly [x: number, y: number])[] }
  | { kind: 'box'; x: number; y: number; width: number; height: number }
  /** Filled. */
  | { kind: 'bar'; x: number; y: number; width: number; height: number }
  | { kind: 'code'; x: number; y: number; side: number; text: string };

export interface LabelWish {
  width: number;
  height: number;
  words: string;
  /** A line below; null: none. */
  contents: string | null;
  /** As on the plate: `BL1-B3K`. */
  plate: string;
  /** What the scan code says; null: there is none. */
  address: string | null;
  /** Capitals no higher than this. */
  capMm: number;
}
export interface LabelLayout {
  marks: LabelMark[];
  /** Of the words, as they came to stand. */
  capMm: number;
  lines: string[];
  /** From how far the words are read comfortably, mm. */
  readableFromMm: number;
  /** The side of the scan code with its quiet zone; 0: none. */
  codeSide: number;
  /** Of the contents not all is said. */
  cut: boolean;
}

/** Boxes and rings are drawn so thick. */
export const LABEL_LINE_MM = 0.35;

export const PAD = 3;
const GAP = 2.5;
/** Lines stand so much of the size apart. */
export const LEADING = 1.1;
/** The line of contents, and how small it becomes before it is cut. */
const CONTENTS_CAP = 2.2;
const LEAST_CONTENTS_CAP = 1.5;
export const PLATE_CAP = 2.6;
export const PLATE_PAD = 1.1;
/** Smaller words are no words. */
export const LEAST_CAP = 1.6;
/**
 * A scan code of version 3 has 29 modules and four quiet ones on each side (ISO/IEC 18004); a module is at least half a millimetre.
 */
const MODULES = 29 + 8;
const LEAST_MODULE = 0.5;
/** No smaller code is drawn, mm. */
export const LEAST_CODE = MODULES * LEAST_MODULE;
export const CODE_SIDE = 22;
/** Of the label's width that the code and the plate may take. */
const CODE_SHARE = 0.45;

const widths: Readonly<Record<'bold' | 'regular', ReadonlyMap<string, number>>> = {
  bold: new Map(WIDTHS.bold.flatMap(([width, signs]) => [...signs].map((sign) => [sign, width] as const))),
  regular: new Map(WIDTHS.regular.flatMap(([width, signs]) => [...signs].map((sign) => [sign, width] as const))),
};
/** What the typeface does not have is written as a question mark. */
export const inTypeface = (text: string): string =>
  [...text.normalize('NFC')].map((sign) => (widths.bold.has(sign) ? sign : '?')).join('');

/** How wide a text is, mm; nothing is drawn closer together. @param size of the typeface, mm */
export function textWidth(text: string, font: LabelFont, size: number): number {
  if (font === 'mono') return ([...text].length * MONO_WIDTH * size) / 1000;
  let sum = 0;
  for (const sign of text) sum += widths[font].get(sign) ?? widths[font].get('?')!;
  return (sum * size) / 1000;
}

/** Lines no wider than that; null: a word is wider. */
export function wrapped(words: readonly string[], size: number, width: number): string[] | null {
  const lines: string[] = [];
  for (const word of words) {
    if (textWidth(word, 'bold', size) > width) return null;
    const last = lines.at(-1);
    const longer = `${last} ${word}`;
    if (last !== undefined && textWidth(longer, 'bold', size) <= width) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** The words as large as they may be and fit. */
export function fitWords(text: string, capMm: number, width: number, height: number): { lines: string[]; cap: number } {
  const words = inTypeface(text.trim()).split(/\s+/);
  for (let cap = capMm; cap >= LEAST_CAP; cap -= 0.1) {
    const size = sizeOfCap(cap);
    const lines = wrapped(words, size, width);
    // Below the last line hang the tails of letters.
    if (lines && cap + (lines.length - 1) * LEADING * size + 0.25 * size <= height) return { lines, cap };
  }
  return { lines: [cutTo(words.join(' '), 'bold', sizeOfCap(LEAST_CAP), width)], cap: LEAST_CAP };
}

/** The size of the line of contents. */
function sizeToFit(line: string, width: number): number {
  const full = sizeOfCap(CONTENTS_CAP);
  const wanted = textWidth(line, 'regular', full);
  return wanted <= width ? full : Math.max(sizeOfCap(LEAST_CONTENTS_CAP), (full * width) / wanted);
}

/** As much of a text as fits, with an ellipsis. */
export function cutTo(text: string, font: LabelFont, size: number, width: number): string {
  if (textWidth(text, font, size) <= width + 1e-6) return text;
  const signs = [...text];
  while (signs.length > 0 && textWidth(`${signs.join('').trimEnd()}…`, font, size) > width) signs.pop();
  return `${signs.join('').trimEnd()}…`;
}

/**
 * Lays a label out. Words, plate and code always find room: the words become smaller, the code is left out where its modules would be
 * smaller than half a millimetre.
 */
export function layLabel({ width, height, words, contents, plate, address, capMm }: LabelWish): LabelLayout {
  const marks: LabelMark[] = [];
  const plateSize = sizeOfCap(PLATE_CAP);
  const plateWidth = textWidth(plate, 'mono', plateSize) + 2 * PLATE_PAD;
  const plateHeight = PLATE_CAP + 2 * PLATE_PAD;
  const room = Math.min(CODE_SIDE, height - 2 * PAD - plateHeight - 1, width * CODE_SHARE);
  const codeSide = address !== null && room >= LEAST_CODE ? room : 0;
  const column = Math.max(plateWidth, codeSide);
  const right = width - PAD - column;
  if (codeSide > 0)
    marks.push({ kind: 'code', x: right + (column - codeSide) / 2, y: PAD, side: codeSide, text: address! });
  const plateY = height - PAD - plateHeight;
  marks.push({ kind: 'box', x: right + (column - plateWidth) / 2, y: plateY, width: plateWidth, height: plateHeight });
  marks.push({
    kind: 'text',
    x: right + (column - plateWidth) / 2 + PLATE_PAD,
    y: plateY + PLATE_PAD + PLATE_CAP,
    size: plateSize,
    font: 'mono',
    text: plate,
  });

  const line = inTypeface(contents?.trim() ?? '');
  const wide = right - GAP - PAD;
  const contentsSize = sizeToFit(line, wide);
  const below = line === '' ? 0 : 1.35 * contentsSize;
  const { lines, cap } = fitWords(words, capMm, wide, height - 2 * PAD - below);
  const size = sizeOfCap(cap);
  lines.forEach((text, at) =>
    marks.push({ kind: 'text', x: PAD, y: PAD + cap + at * LEADING * size, size, font: 'bold', text }),
  );
  const said = line === '' ? '' : cutTo(line, 'regular', contentsSize, wide);
  if (said !== '')
    marks.push({
      kind: 'text',
      x: PAD,
      y: height - PAD - 0.25 * contentsSize,
      size: contentsSize,
      font: 'regular',
      text: said,
    });
  return {
    marks,
    capMm: cap,
    lines,
    readableFromMm: readableFrom(cap),
    codeSide,
    cut: said !== line,
  };
}
