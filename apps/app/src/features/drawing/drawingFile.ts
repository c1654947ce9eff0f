/** A drawing on the page as a file of its own, with the typefaces it is written in. */

import { PRINTED } from '@/kit/theme/palette';

const SVG = 'http://www.w3.org/2000/svg';
/** How many dots of a picture are one of the drawing. */
const DOTS = 3;
const MARGIN = 12;

export interface DrawingText {
  svg: string;
  width: number;
  height: number;
}

/**
 * The SVG text of a drawing, on white, with its typefaces inside.
 * @param fonts the families that it names, as files
 */
export function drawingText(drawn: SVGSVGElement, title: string, fonts: ReadonlyMap<string, Uint8Array>): DrawingText {
  const [wide, high] = [Number(drawn.getAttribute('width')), Number(drawn.getAttribute('height'))];
  const [width, height] = [wide + 2 * MARGIN, high + 2 * MARGIN];
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  copy.removeAttribute('aria-hidden');
  copy.setAttribute('xmlns', SVG);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  copy.setAttribute('viewBox', `${-MARGIN} ${-MARGIN} ${width} ${height}`);
  const make = (name: string, attributes: Record<string, string>, text = ''): SVGElement => {
    const element = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
    element.textContent = text;
    return element;
  };
  const faces = [...fonts]
    .map(([family, bytes]) => `@font-face{font-family:'${family}';src:url(data:font/ttf;base64,${base64Of(bytes)})}`)
    .join('');
  copy.prepend(
    make('title', {}, title),
    make('style', {}, faces),
    make('rect', {
      ...{ x: String(-MARGIN), y: String(-MARGIN), width: String(width), height: String(height), fill: PRINTED.paper },
    }),
  );
  return { svg: new XMLSerializer().serializeToString(copy), width, height };
}

const PART = 0x8000;
function base64Of(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += PART) text += String.fromCharCode(...bytes.subarray(at, at + PART));
  return btoa(text);
}

/** The same as a picture of dots. @throws Error when the browser cannot draw it */
export async function drawingPng({ svg, width, height }: DrawingText): Promise<Uint8Array> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(width * DOTS), Math.round(height * DOTS)];
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (blob === null) throw new Error('The picture could not be drawn.');
    return new Uint8Array(await blob.arrayBuffer());
  } finally {
    URL.revokeObjectURL(url);
  }
}
