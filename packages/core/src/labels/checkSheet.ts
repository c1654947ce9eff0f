/** A list to tick by hand: the steps of a round, what a kit needs. Upright pages, in millimetres from the top left corner. */
import { CARDS, headOf, type CardSize } from './doorCard';
import { cutTo, inTypeface, textWidth, type LabelMark } from './labelLayout';
import { sizeOfCap } from './letterHeight';

export interface CheckLine {
  words: string;
  /** At the right: how many, where. */
  remark: string;
}
export interface CheckSheet {
  size: CardSize;
  title: string;
  /** Below the title: for which day, for whom. */
  sub: string;
  lines: readonly CheckLine[];
  /** At the foot of the last page. */
  foot: string;
}

const PAD = 14;
const HEAD = 17;
const CAP = 3;
const SMALL_CAP = 2.3;
const ROW = 9;
const SQUARE = 5;
const GAP = 4;

/** The pages of a list stand upright: narrower than they are high. */
export const uprightCard = (size: CardSize): { width: number; height: number } => ({
  width: Math.min(CARDS[size].width, CARDS[size].height),
  height: Math.max(CARDS[size].width, CARDS[size].height),
});

/** @returns for each page its marks; an empty list is one page with its head */
export function layCheckSheet({ size, title, sub, lines, foot }: CheckSheet): LabelMark[][] {
  const { width, height } = uprightCard(size);
  const [text, small] = [sizeOfCap(CAP), sizeOfCap(SMALL_CAP)];
  const top = PAD + HEAD;
  const onPage = Math.floor((height - PAD - ROW - top) / ROW);
  const pages: LabelMark[][] = [[...headOf({ title, room: sub, plate: '' }, width)]];
  const put = (page: number, x: number, y: number, words: string, set: number, room: number): void => {
    pages[page]!.push({
      kind: 'text',
      x,
      y,
      size: set,
      font: 'regular',
      text: cutTo(inTypeface(words), 'regular', set, room),
    });
  };
  lines.forEach(({ words, remark }, at) => {
    const page = Math.floor(at / onPage);
    while (pages.length <= page) pages.push([]);
    const y = top + (at % onPage) * ROW;
    pages[page]!.push({ kind: 'box', x: PAD, y, width: SQUARE, height: SQUARE });
    const right = Math.min(textWidth(inTypeface(remark), 'regular', small), (width - 2 * PAD) / 2);
    const base = y + SQUARE / 2 + CAP / 2;
    put(page, PAD + SQUARE + GAP, base, words, text, width - 2 * PAD - SQUARE - 2 * GAP - right);
    if (remark !== '') put(page, width - PAD - right, base, remark, small, right);
  });
  if (foot !== '') put(pages.length - 1, PAD, height - PAD, foot, small, width - 2 * PAD);
  return pages;
}
