import { LABEL_LINE_MM, type LabelFont, type LabelMark } from '@ours/core';
import { PRINTED } from '@/kit/theme/palette';
import type { LabelFonts } from '@/kit/printFonts';
import { scanCode } from './scanCode';

const FACES: Readonly<Record<LabelFont, string>> = { bold: 'print-bold', regular: 'print-regular', mono: 'print-mono' };
let loaded: Promise<unknown> | null = null;

/** The shipped typefaces, ready to be drawn with. */
function facesReady(fonts: LabelFonts): Promise<unknown> {
  loaded ??= Promise.all(
    (Object.keys(FACES) as LabelFont[]).map(async (font) => {
      const face = new FontFace(FACES[font], fonts[font] as BufferSource);
      (document.fonts as unknown as { add(face: FontFace): void }).add(await face.load());
    }),
  );
  return loaded;
}

/** Marks as a picture of so many dots a millimetre, on white. */
async function painted(
  marks: readonly LabelMark[],
  width: number,
  height: number,
  dotsAMm: number,
  fonts: LabelFonts,
): Promise<HTMLCanvasElement> {
  await facesReady(fonts);
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * dotsAMm);
  canvas.height = Math.round(height * dotsAMm);
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser draws no pictures');
  pen.fillStyle = PRINTED.paper;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.fillStyle = PRINTED.ink;
  pen.strokeStyle = PRINTED.ink;
  for (const mark of marks) paint(pen, mark, dotsAMm);
  return canvas;
}

function paint(pen: CanvasRenderingContext2D, mark: LabelMark, dots: number): void {
  switch (mark.kind) {
    case 'text': {
      pen.save();
      pen.translate(mark.x * dots, mark.y * dots);
      if (mark.up) pen.rotate(-Math.PI / 2);
      pen.font = `${mark.size * dots}px "${FACES[mark.font]}"`;
      pen.fillText(mark.text, 0, 0);
      pen.restore();
      return;
    }
    case 'box':
      pen.lineWidth = LABEL_LINE_MM * dots;
      pen.strokeRect(mark.x * dots, mark.y * dots, mark.width * dots, mark.height * dots);
      return;
    case 'ring':
      pen.lineWidth = LABEL_LINE_MM * dots;
      pen.beginPath();
      pen.arc(mark.x * dots, mark.y * dots, mark.radius * dots, 0, 2 * Math.PI);
      pen.stroke();
      return;
    case 'line':
      pen.lineWidth = LABEL_LINE_MM * dots;
      pen.beginPath();
      mark.points.forEach(([x, y], at) => (at === 0 ? pen.moveTo(x * dots, y * dots) : pen.lineTo(x * dots, y * dots)));
      pen.stroke();
      return;
    case 'bar':
      pen.fillRect(mark.x * dots, mark.y * dots, mark.width * dots, mark.height * dots);
      return;
    case 'code': {
      const { size, dark } = scanCode(mark.text);
      // Whole dots a module: a code whose modules differ by a dot is read worse.
      const module = Math.max(1, Math.floor((mark.side * dots) / size));
      const [left, top] = [mark.x * dots, mark.y * dots].map((at) =>
        Math.round(at + (mark.side * dots - module * size) / 2),
      ) as [number, number];
      for (const { x, y, width } of dark) pen.fillRect(left + x * module, top + y * module, width * module, module);
    }
  }
}

/** Every page as a PNG of 300 dots an inch. */
export async function pagesAsPng(
  pages: readonly (readonly LabelMark[])[],
  width: number,
  height: number,
  fonts: LabelFonts,
): Promise<Uint8Array[]> {
  const all: Uint8Array[] = [];
  for (const marks of pages) {
    const canvas = await painted(marks, width, height, PRINT_DPI / MM_AN_INCH, fonts);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new Error('This browser writes no pictures');
    all.push(new Uint8Array(await blob.arrayBuffer()));
  }
  return all;
}
const MM_AN_INCH = 25.4;
const PRINT_DPI = 300;
/** Darker than this is a dot: a label printer knows no grey. */
const DARK = 128;

/** A label as the dots of a label printer, row by row, true where it is black. */
export async function dotsOf(
  marks: readonly LabelMark[],
  width: number,
  height: number,
  dpi: number,
  fonts: LabelFonts,
): Promise<{ width: number; height: number; dots: boolean[] }> {
  const canvas = await painted(marks, width, height, dpi / MM_AN_INCH, fonts);
  const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
  const dots = Array.from({ length: canvas.width * canvas.height }, (_, at) => data[at * 4]! < DARK);
  return { width: canvas.width, height: canvas.height, dots };
}
