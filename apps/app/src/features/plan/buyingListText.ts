import { codeTail, formatLength, formatMoney, type BuyingList, type LengthUnit } from '@ours/core';
import { sizeWords } from '@/features/fit/words';

const holes = (from: number | null, to: number | null): string =>
  from === null || to === null ? '' : `, from hole ${from} to hole ${to} (counted from below)`;

/** A shelf's move in one line: where from, where to, by which holes. */
export const moveWords = (move: BuyingList['moves'][number], unit: LengthUnit): string =>
  `Shelf ${codeTail(move.code)}: surface from ${formatLength(move.fromTenthMm, unit)} to ${formatLength(move.toTenthMm, unit)}${holes(move.fromHole, move.toHole)}`;

/** The list as a text to hand on. */
export function buyingListText(title: string, list: BuyingList, unit: LengthUnit, currency: string): string {
  const lines = [title, ''];
  if (list.lines.length > 0) {
    lines.push('To buy:');
    for (const { container, count, bought, costMinor } of list.lines)
      lines.push(
        `- ${count - bought} × ${container.name}, ${sizeWords(container, unit)}${costMinor === null ? '' : `, ${formatMoney(container.priceMinor! * (count - bought), currency)}`}`,
      );
    lines.push(`Total ${formatMoney(list.openMinor, currency)}`, '');
  }
  if (list.pool.length > 0) {
    lines.push('From what is in the house:');
    for (const { container, count } of list.pool) lines.push(`- ${count} × ${container.name}`);
    lines.push('');
  }
  if (list.moves.length > 0) {
    lines.push('Shelves to move:');
    for (const move of list.moves) lines.push(`- ${moveWords(move, unit)}`);
  }
  return lines.join('\n').trimEnd();
}

/** The same as rows of a table. */
export function buyingListRows(list: BuyingList): string[][] {
  const cm = (value: number): string => String(value / 100);
  return [
    ['what', 'number', 'bought', 'width cm', 'depth cm', 'height cm', 'price each', 'price'],
    ...list.lines.map(({ container, count, bought, costMinor }) => [
      container.name,
      String(count),
      String(bought),
      cm(container.topWidthTenthMm),
      cm(container.topDepthTenthMm),
      cm(container.heightTenthMm),
      container.priceMinor === null ? '' : (container.priceMinor / 100).toFixed(2),
      costMinor === null ? '' : (costMinor / 100).toFixed(2),
    ]),
  ];
}

/** Plain pages of text as a PDF, A4, Helvetica; characters that the font has not are written as a question mark. */
export async function textAsPdf(text: string): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts } = await import('pdf-lib');
  const pdf = await PDFDocument.create();
  const [body, bold] = [await pdf.embedFont(StandardFonts.Helvetica), await pdf.embedFont(StandardFonts.HelveticaBold)];
  const [size, step, margin] = [11, 16, 56];
  let page = pdf.addPage([595.28, 841.89]);
  let y = page.getHeight() - margin;
  const known = new Set(body.getCharacterSet());
  const written = (line: string): string =>
    [...line].map((sign) => (known.has(sign.codePointAt(0)!) ? sign : '?')).join('');
  text.split('\n').forEach((line, at) => {
    for (const part of wrapped(
      written(line),
      (one) => body.widthOfTextAtSize(one, size),
      page.getWidth() - 2 * margin,
    )) {
      if (y < margin) {
        page = pdf.addPage([595.28, 841.89]);
        y = page.getHeight() - margin;
      }
      page.drawText(part, {
        x: margin,
        y,
        size: at === 0 ? 15 : size,
        font: at === 0 || /:$/.test(line) ? bold : body,
      });
      y -= at === 0 ? step * 1.5 : step;
    }
  });
  return pdf.save();
}

function wrapped(line: string, widthOf: (text: string) => number, most: number): string[] {
  const parts: string[] = [];
  let open = '';
  for (const word of line.split(' ')) {
    const longer = open === '' ? word : `${open} ${word}`;
    if (open !== '' && widthOf(longer) > most) {
      parts.push(open);
      open = word;
    } else open = longer;
  }
  return [...parts, open];
}
