import {
  LABEL_LINE_MM,
  labelPlaces,
  PAPERS,
  type LabelFont,
  type LabelLayout,
  type LabelMark,
  type LabelSheet,
} from '@ours/core';
import type { Color, PDFFont, PDFPage, Rotation } from 'pdf-lib';
import type { LabelFonts } from '@/kit/printFonts';
import { scanCode } from './scanCode';

export interface Shift {
  right: number;
  down: number;
}

/** pdf-lib's own, without loading it: a quarter turn to the left. */
const UPWARDS = { type: 'degrees', angle: 90 } as Rotation;
const POINTS_A_MM = 72 / 25.4;
const pt = (mm: number): number => mm * POINTS_A_MM;

/** Draws in millimetres from the top left corner of a page; a PDF counts points from its bottom. */
class Pen {
  private readonly top: number;
  constructor(
    private readonly page: PDFPage,
    private readonly fonts: Readonly<Record<LabelFont, PDFFont>>,
    private readonly ink: Color,
  ) {
    this.top = page.getHeight();
  }
  /** @param x of what it is a mark on */
  mark(mark: LabelMark, x = 0, y = 0): void {
    switch (mark.kind) {
      case 'text':
        return this.text(mark.text, x + mark.x, y + mark.y, mark.size, mark.font, mark.up === true);
      case 'ring':
        return this.ring(x + mark.x, y + mark.y, mark.radius, LABEL_LINE_MM);
      case 'box':
        return this.frame(x + mark.x, y + mark.y, mark.width, mark.height, LABEL_LINE_MM);
      case 'line':
        return mark.points.forEach(([toX, toY], at) => {
          const from = mark.points[at - 1];
          if (from) this.line(x + from[0], y + from[1], x + toX, y + toY, LABEL_LINE_MM);
        });
      case 'bar':
        return this.bar(x + mark.x, y + mark.y, mark.width, mark.height);
      case 'code':
        return this.code(mark.text, x + mark.x, y + mark.y, mark.side);
    }
  }
  bar(x: number, y: number, width: number, height: number): void {
    const [w, h] = [pt(width), pt(height)];
    this.page.drawRectangle({ x: pt(x), y: this.top - pt(y) - h, width: w, height: h, color: this.ink });
  }
  text(text: string, x: number, baseline: number, size: number, font: LabelFont, up = false): void {
    const at = { x: pt(x), y: this.top - pt(baseline), size: pt(size), font: this.fonts[font] };
    this.page.drawText(text, up ? { ...at, rotate: UPWARDS } : at);
  }
  ring(x: number, y: number, radius: number, thick: number): void {
    this.page.drawCircle({
      x: pt(x),
      y: this.top - pt(y),
      size: pt(radius),
      borderWidth: pt(thick),
      borderColor: this.ink,
    });
  }
  line(x1: number, y1: number, x2: number, y2: number, thick: number): void {
    const [start, end] = [
      { x: pt(x1), y: this.top - pt(y1) },
      { x: pt(x2), y: this.top - pt(y2) },
    ];
    this.page.drawLine({ start, end, thickness: pt(thick) });
  }
  frame(x: number, y: number, width: number, height: number, thick: number): void {
    this.line(x, y, x + width, y, thick);
    this.line(x + width, y, x + width, y + height, thick);
    this.line(x + width, y + height, x, y + height, thick);
    this.line(x, y + height, x, y, thick);
  }
  code(text: string, x: number, y: number, side: number): void {
    const { size, dark } = scanCode(text);
    const module = pt(side / size);
    // One path: its corner is the top left of the code, its y goes down.
    const d = dark.map((one) => `M${one.x} ${one.y}h${one.width}v1h${-one.width}z`).join('');
    this.page.drawSvgPath(d, { x: pt(x), y: this.top - pt(y), scale: module, color: this.ink });
  }
}

/** A document with the shipped typefaces in it. */
export async function beginPdf(fonts: LabelFonts) {
  const [{ PDFDocument, rgb }, { default: fontkit }] = await Promise.all([
    import('pdf-lib'),
    import('@pdf-lib/fontkit'),
  ]);
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const embed = (bytes: Uint8Array): Promise<PDFFont> => pdf.embedFont(bytes, { subset: true });
  const embedded = {
    bold: await embed(fonts.bold),
    regular: await embed(fonts.regular),
    mono: await embed(fonts.mono),
  };
  return { pdf, embedded, ink: rgb(0, 0, 0) };
}

/**
 * Labels on their sheets, true to size.
 * @param used labels of the first page that are used up already
 */
export async function labelsPdf(
  sheet: LabelSheet,
  labels: readonly LabelLayout[],
  used: number,
  shift: Shift,
  fonts: LabelFonts,
): Promise<Uint8Array> {
  const { pdf, embedded, ink } = await beginPdf(fonts);
  const paper = PAPERS[sheet.paper];
  const pens: Pen[] = [];
  labelPlaces(sheet, labels.length, used, shift).forEach(({ page, x, y }, at) => {
    while (pens.length <= page) pens.push(new Pen(pdf.addPage([pt(paper.width), pt(paper.height)]), embedded, ink));
    const pen = pens[page]!;
    for (const mark of labels[at]!.marks) pen.mark(mark, x, y);
  });
  return pdf.save();
}

/** Pages of marks, such as a door card or a sheet of measures, true to size. */
export async function pagesPdf(
  pages: readonly (readonly LabelMark[])[],
  { width, height }: { width: number; height: number },
  fonts: LabelFonts,
): Promise<Uint8Array> {
  const { pdf, embedded, ink } = await beginPdf(fonts);
  for (const marks of pages) {
    const pen = new Pen(pdf.addPage([pt(width), pt(height)]), embedded, ink);
    for (const mark of marks) pen.mark(mark);
  }
  return pdf.save();
}

/** Every label's outline, and a ruler of 100 mm to measure: what the printer is off is seen, and entered as the shift. */
export async function testPagePdf(sheet: LabelSheet, shift: Shift, fonts: LabelFonts): Promise<Uint8Array> {
  const { pdf, embedded, ink } = await beginPdf(fonts);
  const paper = PAPERS[sheet.paper];
  const pen = new Pen(pdf.addPage([pt(paper.width), pt(paper.height)]), embedded, ink);
  labelPlaces(sheet, sheet.columns * sheet.rows, 0, shift).forEach(({ x, y }, at) => {
    if (sheet.form === 'round') pen.ring(x + sheet.width / 2, y + sheet.height / 2, sheet.width / 2, 0.15);
    else pen.frame(x, y, sheet.width, sheet.height, 0.15);
    pen.text(String(at + 1), x + 2.5, y + 5.5, 3.6, 'regular');
  });
  // In the lower half of a row, clear of the labels' numbers.
  const [left, top] = [(paper.width - 100) / 2, sheet.top + (Math.floor(sheet.rows / 2) + 0.65) * sheet.pitchY];
  pen.line(left, top, left + 100, top, 0.3);
  for (let mm = 0; mm <= 100; mm += 5) pen.line(left + mm, top, left + mm, top - (mm % 10 === 0 ? 4 : 2.5), 0.25);
  pen.text('This line is 100 mm long. Print at full size, not “fit to page”.', left, top + 5, 3.4, 'regular');
  return pdf.save();
}
