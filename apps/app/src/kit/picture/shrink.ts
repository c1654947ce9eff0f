import { fittedSize, PHOTO_LONGEST_SIDE, PHOTO_MOST_BYTES, PHOTO_MOST_READ_BYTES, pictureType } from '@ours/core';

/** A picture as it is kept: small, and without what a camera writes beside it (time, place, device). */
export interface SmallPicture {
  blob: Blob;
  width: number;
  height: number;
}
export type PictureProblem = 'too_large' | 'no_picture' | 'unreadable';

const QUALITIES = [0.85, 0.75, 0.65, 0.55, 0.45];
/** When the least quality is still too much the picture is made smaller by this. */
const SMALLER = 0.8;
const LEAST_SIDE = 200;
const FIRST_BYTES = 16;

/**
 * Makes a picture small on this device: its longest side at most 1600, at most 250 KB, drawn anew and so without any metadata.
 * It stands upright as the camera meant it.
 */
export async function shrinkPicture(file: Blob): Promise<SmallPicture | PictureProblem> {
  if (file.size > PHOTO_MOST_READ_BYTES) return 'too_large';
  const head = new Uint8Array(await file.slice(0, FIRST_BYTES).arrayBuffer());
  if (pictureType(head) === null) return 'no_picture';
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return 'unreadable';
  }
  try {
    for (let longest = PHOTO_LONGEST_SIDE; longest >= LEAST_SIDE; longest = Math.round(longest * SMALLER)) {
      const { width, height } = fittedSize(bitmap.width, bitmap.height, longest);
      const canvas = drawn(bitmap, width, height);
      for (const quality of QUALITIES) {
        const blob = await encoded(canvas, quality);
        if (blob && blob.size <= PHOTO_MOST_BYTES) return { blob, width, height };
      }
    }
    return 'unreadable';
  } finally {
    bitmap.close();
  }
}

function drawn(bitmap: ImageBitmap, width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d')!;
  // A picture with holes in it stands on white: what is kept has none.
  context.fillStyle = 'white';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  return canvas;
}

const encoded = (canvas: HTMLCanvasElement, quality: number): Promise<Blob | null> =>
  new Promise((done) => canvas.toBlob(done, 'image/jpeg', quality));
