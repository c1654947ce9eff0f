import { LABEL_LINE_MM, type LabelFont, type LabelLayout, type LabelMark } from '@ours/core';
import { PRINTED } from '@/kit/theme/palette';
import type { LabelFonts } from '@/kit/printFonts';
import { scanCode } from './scanCode';

interface Glyph {
  path: { toSVG(): string };
  advanceWidth: number;
}
interface Face {
  unitsPerEm: number;
  layout(text: string): { glyphs: Glyph[]; positions: { xAdvance: number; xOffset: number }[] };
}
const round = (value: number): string => String(Math.round(value * 1000) / 1000);

/** A label as an SVG file, true to size in millimetres; letters are outlines, so that no typeface is needed. */
export async function labelSvg(
  { marks }: Pick<LabelLayout, 'marks'>,
  width: number,
  height: number,
  fonts: LabelFonts,
): Promise<string> {
  const { default: fontkit } = await import('@pdf-lib/fontkit');
  const faces = new Map<LabelFont, Face>();
  const faceOf = (font: LabelFont): Face => {
    const known = faces.get(font) ?? (fontkit.create(fonts[font]) as unknown as Face);
    faces.set(font, known);
    return known;
  };
  const drawn = marks.map((mark) => markSvg(mark, faceOf)).join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}"><rect width="${round(width)}" height="${round(height)}" fill="${PRINTED.paper}"/>${drawn}</svg>`;
}

function markSvg(mark: LabelMark, faceOf: (font: LabelFont) => Face): string {
  const lines = `fill="none" stroke="${PRINTED.ink}" stroke-width="${LABEL_LINE_MM}"`;
  switch (mark.kind) {
    case 'text': {
      const face = faceOf(mark.font);
      const scale = mark.size / face.unitsPerEm;
      const { glyphs, positions } = face.layout(mark.text);
      let along = 0;
      const letters = glyphs.map((glyph, at) => {
        const { xAdvance, xOffset } = positions[at]!;
        const d = glyph.path.toSVG();
        const letter = d === '' ? '' : `<path transform="translate(${round(along + xOffset)} 0)" d="${d}"/>`;
        along += xAdvance;
        return letter;
      });
      const turn = mark.up ? ' rotate(-90)' : '';
      // A typeface counts upwards.
      return `<g fill="${PRINTED.ink}" transform="translate(${round(mark.x)} ${round(mark.y)})${turn} scale(${scale} ${-scale})">${letters.join('')}</g>`;
    }
    case 'box':
      return `<rect x="${round(mark.x)}" y="${round(mark.y)}" width="${round(mark.width)}" height="${round(mark.height)}" ${lines}/>`;
    case 'ring':
      return `<circle cx="${round(mark.x)}" cy="${round(mark.y)}" r="${round(mark.radius)}" ${lines}/>`;
    case 'line':
      return `<polyline points="${mark.points.map(([x, y]) => `${round(x)},${round(y)}`).join(' ')}" stroke-linejoin="round" ${lines}/>`;
    case 'bar':
      return `<rect x="${round(mark.x)}" y="${round(mark.y)}" width="${round(mark.width)}" height="${round(mark.height)}" fill="${PRINTED.ink}"/>`;
    case 'code': {
      const { size, dark } = scanCode(mark.text);
      const d = dark.map(({ x, y, width }) => `M${x} ${y}h${width}v1h${-width}z`).join('');
      return `<path fill="${PRINTED.ink}" transform="translate(${round(mark.x)} ${round(mark.y)}) scale(${mark.side / size})" d="${d}"/>`;
    }
  }
}
