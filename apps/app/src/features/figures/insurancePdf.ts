import { PAPERS, type InsuredThing } from '@ours/core';
import type { PDFFont, PDFImage, PDFPage } from 'pdf-lib';
import { amountWords } from '@/features/stock/words';
import { beginPdf } from '@/features/labels';
import { fetchLabelFonts } from '@/kit/printFonts';
import { costWords } from '@/features/restock/words';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { sinceWords } from './words';

/** Seen from there every day is said with its year. */
const WITH_YEAR = '0000-01-01';
const POINTS_A_MM = 72 / 25.4;
const mm = (millimetres: number): number => millimetres * POINTS_A_MM;
const MARGIN = mm(15);
const ROW = mm(24);
const ROW_BARE = mm(17);
const PICTURE = mm(20);
const HEAD = mm(14);
const WORTH_WIDTH = mm(34);

export interface InsurancePdf {
  bytes: Uint8Array;
  /** Pictures that could not be had or put in. */
  missing: number;
}

/** The list for the insurer: a row for each thing of a room, with its picture, amount, place, day and worth. */
export async function insurancePdf(
  lines: readonly InsuredThing[],
  about: { home: string; currency: string; today: string; paper: 'A4' | 'Letter' },
  pictureOf: (hash: string) => Promise<Uint8Array | null>,
  onPart: (share: number) => void,
): Promise<InsurancePdf> {
  const { pdf, embedded, ink } = await beginPdf(await fetchLabelFonts());
  const { bold, regular, mono } = embedded;
  const { width, height } = PAPERS[about.paper];
  const size: [number, number] = [mm(width), mm(height)];
  const money = (minor: number): string => costWords(minor, about.currency);
  let missing = 0;
  const pictures = new Map<string, PDFImage | null>();
  const picture = async (hash: string): Promise<PDFImage | null> => {
    const known = pictures.get(hash);
    if (known !== undefined) return known;
    const bytes = await pictureOf(hash).catch(() => null);
    const image = bytes === null ? null : await pdf.embedJpg(bytes).catch(() => null);
    if (image === null) missing++;
    pictures.set(hash, image);
    return image;
  };
  let page: PDFPage | null = null;
  let y = 0;
  const text = (words: string, x: number, at: number, font: PDFFont, points: number, most: number): void => {
    page!.drawText(cut(words, font, points, most), { x, y: at, size: points, font, color: ink });
  };
  const right = (words: string, at: number, font: PDFFont, points: number): void => {
    page!.drawText(words, {
      x: size[0] - MARGIN - font.widthOfTextAtSize(words, points),
      y: at,
      size: points,
      font,
      color: ink,
    });
  };
  const inside = size[0] - 2 * MARGIN;
  const newPage = (): void => {
    page = pdf.addPage(size);
    y = size[1] - MARGIN;
    text(`${about.home}: what there is`, MARGIN, y - 12, bold, 14, inside - mm(40));
    right(dayWords(about.today, WITH_YEAR), y - 12, regular, 10);
    y -= HEAD;
  };
  newPage();
  const sum = lines.reduce((total, { worthMinor }) => total + (worthMinor ?? 0), 0);
  const unpriced = lines.filter(({ worthMinor }) => worthMinor === null).length;
  const said = [
    `${counted(lines.length, { one: '# line', other: '# lines' })}, ${money(sum)} to buy again at the prices noted.`,
    unpriced === 0 ? '' : `Of ${unpriced} no price is known; they are not in the sum.`,
  ].filter((part) => part !== '');
  for (const words of said) {
    text(words, MARGIN, y - 10, regular, 10, inside);
    y -= 14;
  }
  let room: string | null = null;
  for (const [at, line] of lines.entries()) {
    const opens = line.roomName !== room;
    const image = line.photoHash === null ? null : await picture(line.photoHash);
    const row = image ? ROW : ROW_BARE;
    if (y - row - (opens ? HEAD : 0) < MARGIN + mm(6)) newPage();
    if (opens) {
      room = line.roomName;
      const own = lines.filter(({ roomName }) => roomName === room);
      const worth = own.reduce((total, { worthMinor }) => total + (worthMinor ?? 0), 0);
      text(room || 'No room', MARGIN, y - 20, bold, 13, inside - WORTH_WIDTH);
      right(money(worth), y - 20, bold, 11);
      y -= HEAD;
    }
    if (image) {
      const factor = Math.min(PICTURE / image.width, PICTURE / image.height);
      const [w, h] = [image.width * factor, image.height * factor];
      page!.drawImage(image, { x: MARGIN, y: y - row + (row - h) / 2, width: w, height: h });
    }
    const aside = image ? PICTURE + mm(4) : 0;
    const x = MARGIN + aside;
    const most = inside - aside - WORTH_WIDTH;
    text(line.item.name, x, y - mm(5.5), bold, 11, most);
    text(
      amountWords(line.thousandths, line.item.unit === 'piece' ? 'piece' : line.item.unit),
      x,
      y - mm(10),
      regular,
      10,
      most,
    );
    text(
      [sinceWords(line, WITH_YEAR), line.codes.join(', ')].filter((part) => part !== '').join(' · '),
      x,
      y - mm(14.5),
      regular,
      9,
      most,
    );
    right(line.worthMinor === null ? 'no price' : money(line.worthMinor), y - mm(5.5), mono, 10);
    page!.drawLine({
      start: { x: MARGIN, y: y - row },
      end: { x: size[0] - MARGIN, y: y - row },
      thickness: 0.5,
      color: ink,
    });
    y -= row;
    onPart((at + 1) / lines.length);
  }
  const pages = pdf.getPages();
  pages.forEach((one, at) => {
    const words = `${at + 1} of ${pages.length}`;
    one.drawText(words, {
      x: size[0] - MARGIN - regular.widthOfTextAtSize(words, 9),
      y: mm(8),
      size: 9,
      font: regular,
      color: ink,
    });
  });
  return { bytes: await pdf.save(), missing };
}

/** As much of a text as there is room for. */
function cut(words: string, font: PDFFont, points: number, most: number): string {
  if (font.widthOfTextAtSize(words, points) <= most) return words;
  let kept = words;
  while (kept.length > 1 && font.widthOfTextAtSize(`${kept}…`, points) > most) kept = kept.slice(0, -1);
  return `${kept.trimEnd()}…`;
}
