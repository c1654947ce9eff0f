import type { LabelFont } from '@ours/core';

/** The shipped typefaces as files that a PDF or a drawing can hold. */
export type LabelFonts = Readonly<Record<LabelFont, Uint8Array>>;

/** Fetches the typefaces; kept for offline use with the app. */
export async function fetchLabelFonts(): Promise<LabelFonts> {
  const one = async (name: LabelFont): Promise<Uint8Array> => {
    const answer = await fetch(`/print/${name}.ttf`);
    if (!answer.ok) throw new Error(`The typeface ${name} answered ${answer.status}`);
    return new Uint8Array(await answer.arrayBuffer());
  };
  const [bold, regular, mono] = await Promise.all([one('bold'), one('regular'), one('mono')]);
  return { bold, regular, mono };
}
