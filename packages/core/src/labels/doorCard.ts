/** The card inside a door: the space from the front and what is where, shelf by shelf. Millimetres from the top left corner. */
import { codeTail } from '../base';
import type { Box, FrontView } from '../drawing';
import type { Labelled } from './labelled';
import { cutTo, inTypeface, type LabelMark, textWidth } from './labelLayout';
import { sizeOfCap } from './letterHeight';

/** ISO 216 A4 and A5, ANSI Letter and half of it, lying. */
export const CARDS = {
  A5: { width: 210, height: 148 },
  A4: { width: 297, height: 210 },
  'half Letter': { width: 215.9, height: 139.7 },
  Letter: { width: 279.4, height: 215.9 },
} as const;
export type CardSize = keyof typeof CARDS;

export interface DoorCard {
  size: CardSize;
  title: string;
  room: string;
  /** The space's, as on its plate. */
  plate: string;
  front: FrontView;
  /** In walking order. */
  rows: readonly Pick<Labelled, 'code' | 'words' | 'contents'>[];
  /** What the scan code says; null: there is none. */
  address: string | null;
  /** When what is to be done, a line each, below the list. */
  notes?: readonly string[];
}

const PAD = 9;
const GAP = 6;
const HEAD = 15;
const BOARD = 0.9;
const WALL = 1.2;
/** The drawing takes at most so much of the card's width. */
const DRAWING_SHARE = 0.42;
const CODE_SIDE = 22;
/** Capitals of a row of the list: as large as there is room for, between these. */
const MOST_CAP = 3;
const LEAST_CAP = 1.7;
/** Rows stand so many capitals apart. */
const ROW = 1.9;
const TAG_CAP = 2.2;
const TAG_PAD = 0.6;

/**
 * Lays the card out on as many pages as its list needs; the drawing, the title and the code stand on the first.
 * @returns for each page its marks
 */
export function layDoorCard(card: DoorCard): LabelMark[][] {
  const { width, height } = CARDS[card.size];
  const first: LabelMark[] = [...headOf(card, width)];
  const box = { x: PAD, y: PAD + HEAD, width: width * DRAWING_SHARE - PAD, height: height - 2 * PAD - HEAD };
  first.push(...drawingOf(card.front, box));
  const code = card.address === null ? null : { x: width - PAD - CODE_SIDE, y: height - PAD - CODE_SIDE };
  if (code) first.push({ kind: 'code', ...code, side: CODE_SIDE, text: card.address! });

  const left = width * DRAWING_SHARE + GAP;
  const list = { x: left, y: PAD + HEAD, width: width - PAD - left, height: height - 2 * PAD - HEAD };
  // The code stands below the list's end.
  const room = list.height - (code ? CODE_SIDE + 2 : 0);
  const cap = Math.min(MOST_CAP, Math.max(LEAST_CAP, room / Math.max(1, card.rows.length) / ROW));
  const onFirst = Math.max(1, Math.floor(room / (cap * ROW)));
  const pages = [[...first, ...listOf(card.rows.slice(0, onFirst), list, cap)]];
  const whole = { x: PAD, y: PAD, width: width - 2 * PAD, height: height - 2 * PAD };
  const onOthers = Math.floor(whole.height / (cap * ROW));
  for (let at = onFirst; at < card.rows.length; at += onOthers)
    pages.push(listOf(card.rows.slice(at, at + onOthers), whole, cap));
  const notes = card.notes ?? [];
  if (notes.length === 0) return pages;
  const onLast = pages.length === 1 ? card.rows.length : (card.rows.length - onFirst) % onOthers || onOthers;
  const area = pages.length === 1 ? { ...list, height: room } : whole;
  // A line between, then the notes; those that find no room begin a page of their own.
  const used = (onLast + 1) * cap * ROW;
  const free = Math.max(0, Math.floor((area.height - used) / (cap * ROW)));
  const here = notes.length <= free ? notes : [];
  pages.at(-1)!.push(...notesOf(here, { ...area, y: area.y + used }, cap));
  const rest = notes.slice(here.length);
  for (let at = 0; at < rest.length; at += onOthers) pages.push(notesOf(rest.slice(at, at + onOthers), whole, cap));
  return pages;
}

/** Lines below each other, with a rule over them. */
function notesOf(notes: readonly string[], { x, y, width }: Pick<Box, 'x' | 'y' | 'width'>, cap: number): LabelMark[] {
  if (notes.length === 0) return [];
  const size = sizeOfCap(cap);
  return [
    { kind: 'bar', x, y: y - cap * 0.6, width, height: 0.3 },
    ...notes.map((note, at): LabelMark => ({
      kind: 'text',
      x,
      y: y + cap + at * cap * ROW,
      size,
      font: 'regular',
      text: cutTo(inTypeface(note), 'regular', size, width),
    })),
  ];
}

export function headOf({ title, room, plate }: Pick<DoorCard, 'title' | 'room' | 'plate'>, width: number): LabelMark[] {
  const size = sizeOfCap(5);
  const plateSize = sizeOfCap(4);
  const plateWidth = plate === '' ? 0 : textWidth(plate, 'mono', plateSize) + 3;
  const most = width - 2 * PAD - plateWidth - GAP;
  const words = cutTo(inTypeface(title), 'bold', size, most);
  const after = textWidth(words, 'bold', size) + 3;
  const small = sizeOfCap(3);
  const where = most - after > 12 ? cutTo(inTypeface(room), 'regular', small, most - after) : '';
  return [
    { kind: 'text', x: PAD, y: PAD + 6, size, font: 'bold', text: words },
    ...(where === ''
      ? []
      : [{ kind: 'text' as const, x: PAD + after, y: PAD + 6, size: small, font: 'regular' as const, text: where }]),
    ...(plate === ''
      ? []
      : [
          { kind: 'box' as const, x: width - PAD - plateWidth, y: PAD, width: plateWidth, height: 7 },
          {
            kind: 'text' as const,
            x: width - PAD - plateWidth + 1.5,
            y: PAD + 5.5,
            size: plateSize,
            font: 'mono' as const,
            text: plate,
          },
        ]),
  ];
}

/** The space to scale: walls, boards, bins with their tags. */
export function drawingOf(front: FrontView, into: Box): LabelMark[] {
  const whole = front.doorOuter ? front.doorOuter.x + front.doorOuter.width : front.outer.width;
  const scale = Math.min(into.width / whole, into.height / front.outer.height);
  const place = ({ x, y, width, height }: Box): Box => ({
    x: into.x + x * scale,
    y: into.y + y * scale,
    width: width * scale,
    height: height * scale,
  });
  const bar = (x: number, y: number, width: number, height: number): LabelMark => ({
    kind: 'bar',
    x,
    y,
    width,
    height,
  });
  const marks: LabelMark[] = [];
  for (const body of [front.outer, front.doorOuter]) {
    if (!body) continue;
    const { x, y, width, height } = place(body);
    marks.push(bar(x, y, width, WALL), bar(x, y + height - WALL, width, WALL));
    marks.push(bar(x, y, WALL, height), bar(x + width - WALL, y, WALL, height));
  }
  for (const { clear, bins } of [...front.shelves, ...front.doorShelves]) {
    const room = place(clear);
    marks.push(bar(room.x, room.y + room.height, room.width, BOARD));
    for (const { bin, box } of bins) {
      const own = place(box);
      marks.push({ kind: 'box', ...own });
      marks.push(...tagOf(codeTail(bin.code), own));
    }
  }
  return marks;
}

/** As large as the bin lets it be; a bin too small for it stays without. */
function tagOf(tag: string, { x, y, width, height }: Box): LabelMark[] {
  if (tag === '') return [];
  const full = sizeOfCap(TAG_CAP);
  const size = Math.min(
    full,
    (full * (width - 2 * TAG_PAD)) / textWidth(tag, 'mono', full),
    sizeOfCap(height - 2 * TAG_PAD),
  );
  if (size < sizeOfCap(1.1)) return [];
  const wide = textWidth(tag, 'mono', size);
  return [
    {
      kind: 'text',
      x: x + (width - wide) / 2,
      y: y + height / 2 + (TAG_CAP / full) * (size / 2),
      size,
      font: 'mono',
      text: tag,
    },
  ];
}

/** Tag, name and what is in it, a row each. */
function listOf(rows: DoorCard['rows'], { x, y, width }: Box, cap: number): LabelMark[] {
  const size = sizeOfCap(cap);
  const tags = rows.map(({ code }) => codeTail(code));
  const column = Math.max(0, ...tags.map((tag) => textWidth(tag, 'mono', size))) + 3;
  return rows.flatMap(({ words, contents }, at): LabelMark[] => {
    const baseline = y + cap + at * cap * ROW;
    const name = cutTo(inTypeface(words), 'bold', size, width - column);
    const after = column + textWidth(name, 'bold', size) + 2.5;
    const small = size * 0.8;
    const rest =
      contents !== '' && width - after > 12 ? cutTo(inTypeface(contents), 'regular', small, width - after) : '';
    return [
      { kind: 'text', x, y: baseline, size, font: 'mono', text: tags[at]! },
      { kind: 'text', x: x + column, y: baseline, size, font: 'bold', text: name },
      ...(rest === ''
        ? []
        : [{ kind: 'text' as const, x: x + after, y: baseline, size: small, font: 'regular' as const, text: rest }]),
    ];
  });
}
