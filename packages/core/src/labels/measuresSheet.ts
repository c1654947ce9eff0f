/** A drawing with all measures of a space, to take to the shop. Millimetres from the top left corner. */
import type { Box, FrontView } from '../drawing';
import { CARDS, drawingOf, headOf, type CardSize } from './doorCard';
import { cutTo, inTypeface, textWidth, type LabelMark } from './labelLayout';
import { sizeOfCap } from './letterHeight';

export interface MeasuresSheet {
  size: CardSize;
  title: string;
  room: string;
  plate: string;
  front: FrontView;
  /** A length as the home says it, from tenths of a millimetre. */
  says: (tenthMm: number) => string;
  /** What is beside the drawing, a line each: shelf by shelf, what to get. */
  lines: readonly string[];
}

const PAD = 9;
const HEAD = 15;
/** Beside the drawing for measures. */
const MEASURE = 16;
const GAP = 6;
const DRAWING_SHARE = 0.5;
const CAP = 2.3;
const SMALL_CAP = 2;
const ROW = 1.9;
const THIN = 0.2;
const TICK = 1.2;

/** @returns for each page its marks; the drawing is on the first */
export function layMeasures({ size, title, room, plate, front, says, lines }: MeasuresSheet): LabelMark[][] {
  const { width, height } = CARDS[size];
  const first: LabelMark[] = [...headOf({ title, room, plate }, width)];
  const whole = front.doorOuter ? front.doorOuter.x + front.doorOuter.width : front.outer.width;
  const area: Box = {
    x: PAD + MEASURE,
    y: PAD + HEAD + 6,
    width: width * DRAWING_SHARE - PAD - 2 * MEASURE,
    height: height - 2 * PAD - HEAD - 8,
  };
  const scale = Math.min(area.width / whole, area.height / front.outer.height);
  first.push(...drawingOf(front, area));
  const x = (at: number): number => area.x + at * scale;
  const y = (at: number): number => area.y + at * scale;
  const { outer } = front;
  first.push(...across(x(outer.x), x(outer.x + outer.width), area.y - 2.5, says(outer.width)));
  first.push(...along(x(outer.x) - 3, y(outer.y), y(outer.y + outer.height), says(outer.height), 'before'));
  const right = x(whole) + 3;
  for (const { clear } of front.shelves)
    first.push(...along(right, y(clear.y), y(clear.y + clear.height), says(clear.height), 'behind'));

  const text = sizeOfCap(CAP);
  const list = { x: width * DRAWING_SHARE + GAP, y: PAD + HEAD };
  const wide = width - PAD - list.x;
  const onPage = Math.max(1, Math.floor((height - PAD - list.y) / (CAP * ROW)));
  const pages = [first];
  lines.forEach((line, at) => {
    const page = Math.floor(at / onPage);
    while (pages.length <= page) pages.push([]);
    pages[page]!.push({
      kind: 'text',
      x: list.x,
      y: list.y + CAP + (at % onPage) * CAP * ROW,
      size: text,
      font: 'regular',
      text: cutTo(inTypeface(line), 'regular', text, wide),
    });
  });
  return pages;
}

function across(from: number, to: number, y: number, words: string): LabelMark[] {
  const size = sizeOfCap(SMALL_CAP);
  return [
    { kind: 'bar', x: from, y, width: to - from, height: THIN },
    { kind: 'bar', x: from, y: y - TICK / 2, width: THIN, height: TICK },
    { kind: 'bar', x: to - THIN, y: y - TICK / 2, width: THIN, height: TICK },
    {
      kind: 'text',
      x: (from + to) / 2 - textWidth(words, 'mono', size) / 2,
      y: y - TICK,
      size,
      font: 'mono',
      text: words,
    },
  ];
}

function along(x: number, from: number, to: number, words: string, side: 'before' | 'behind'): LabelMark[] {
  const size = sizeOfCap(SMALL_CAP);
  const wide = textWidth(words, 'mono', size);
  return [
    { kind: 'bar', x, y: from, width: THIN, height: to - from },
    { kind: 'bar', x: x - TICK / 2, y: from, width: TICK, height: THIN },
    { kind: 'bar', x: x - TICK / 2, y: to - THIN, width: TICK, height: THIN },
    {
      kind: 'text',
      x: side === 'before' ? x - 1.2 - wide : x + 1.2,
      y: (from + to) / 2 + SMALL_CAP / 2,
      size,
      font: 'mono',
      text: words,
    },
  ];
}
