import type { DotPicture } from '@ours/core';

/** What comes out of a printer: a label as a picture of its dots, black or white. */
export function dotsAsPicture({ width, height, dots }: DotPicture): string {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser draws no pictures');
  const picture = pen.createImageData(width, height);
  dots.forEach((dark, at) => picture.data.set(dark ? [0, 0, 0, 255] : [255, 255, 255, 255], at * 4));
  pen.putImageData(picture, 0, 0);
  return canvas.toDataURL('image/png');
}
