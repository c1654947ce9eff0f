/** A label printer of a home: a stand-in that shows the dots it would burn. The screens say that it is simulated. */
export const LABEL_PRINTER = {
  /** Dots an inch and the width of the tape, mm: usual ones, common practice, no source; it is cut so that a scan code has room. */
  dpi: 300,
  width: 62,
  height: 40,
} as const;

/** What comes out of it: each label as a picture of its dots, black or white. */
export function printedBy(labels: readonly { width: number; height: number; dots: readonly boolean[] }[]): string[] {
  return labels.map(({ width, height, dots }) => {
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('This browser draws no pictures');
    const picture = pen.createImageData(width, height);
    dots.forEach((dark, at) => picture.data.set(dark ? [0, 0, 0, 255] : [255, 255, 255, 255], at * 4));
    pen.putImageData(picture, 0, 0);
    return canvas.toDataURL('image/png');
  });
}
