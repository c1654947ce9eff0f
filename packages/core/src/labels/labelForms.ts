/** Labels that are no plain rectangle with words: round ones, spines, cards to clip on, and a scan code alone. Millimetres. */
import {
  CODE_SIDE,
  cutTo,
  fitWords,
  inTypeface,
  LEADING,
  LEAST_CAP,
  LEAST_CODE,
  layLabel,
  PAD,
  PLATE_CAP,
  PLATE_PAD,
  textWidth,
  type LabelLayout,
  type LabelMark,
  type LabelWish,
} from './labelLayout';
import { readableFrom, sizeOfCap } from './letterHeight';
import type { LabelForm } from './sheets';

const PLATE_HEIGHT = PLATE_CAP + 2 * PLATE_PAD;
const PLATE_SIZE = sizeOfCap(PLATE_CAP);
const GAP = 1.5;
/** The hole for a peg or a string: its radius, and how far its middle is from the top. */
const HOLE_RADIUS = 2.5;
const HOLE_DOWN = 6;
const HOLE_ROOM = 8;
/** Nothing is printed so near to the edge of a round label. */
const RIM = 2;

/**
 * Lays a label of any form out.
 * @param words left out: the scan code and the plate alone, for where no words are wanted outside
 */
export function layForm(form: LabelForm, wish: LabelWish, words = true): LabelLayout {
  if (!words) return form === 'clip' ? withHole(wish, layCode) : layCode(wish);
  switch (form) {
    case 'plain':
      return layLabel(wish);
    case 'round':
      return layRound(wish);
    case 'spine':
      return laySpine(wish);
    case 'clip':
      return withHole(wish, layLabel);
  }
}

const plateWidth = (plate: string): number => textWidth(plate, 'mono', PLATE_SIZE) + 2 * PLATE_PAD;

/** The plate with its middle at x. */
function plateAt(plate: string, x: number, y: number): LabelMark[] {
  const width = plateWidth(plate);
  const left = x - width / 2;
  return [
    { kind: 'box', x: left, y, width, height: PLATE_HEIGHT },
    { kind: 'text', x: left + PLATE_PAD, y: y + PLATE_PAD + PLATE_CAP, size: PLATE_SIZE, font: 'mono', text: plate },
  ];
}

/** The scan code as large as there is room for, the plate below it. */
function layCode({ width, height, plate, address }: LabelWish): LabelLayout {
  const room = Math.min(width - 2 * PAD, height - 2 * PAD - GAP - PLATE_HEIGHT);
  const side = address !== null && room >= LEAST_CODE ? room : 0;
  const top = (height - side - (side > 0 ? GAP : 0) - PLATE_HEIGHT) / 2;
  const marks: LabelMark[] = [];
  if (side > 0) marks.push({ kind: 'code', x: (width - side) / 2, y: top, side, text: address! });
  marks.push(...plateAt(plate, width / 2, top + side + (side > 0 ? GAP : 0)));
  return { marks, capMm: PLATE_CAP, lines: [], readableFromMm: readableFrom(PLATE_CAP), codeSide: side, cut: false };
}

/** A card to be cut out: its outline, a hole, and below it what `lay` puts there. */
function withHole(wish: LabelWish, lay: (wish: LabelWish) => LabelLayout): LabelLayout {
  const { width, height } = wish;
  const laid = lay({ ...wish, height: height - HOLE_ROOM });
  return {
    ...laid,
    marks: [
      { kind: 'box', x: 0, y: 0, width, height },
      { kind: 'ring', x: width / 2, y: HOLE_DOWN, radius: HOLE_RADIUS },
      ...laid.marks.map((mark) => lowered(mark, HOLE_ROOM)),
    ],
  };
}

const lowered = (mark: LabelMark, by: number): LabelMark =>
  mark.kind === 'line'
    ? { ...mark, points: mark.points.map(([x, y]) => [x, y + by] as const) }
    : { ...mark, y: mark.y + by };

/** How wide a circle is between two heights over its middle. */
function chord(radius: number, from: number, to: number): number {
  const far = Math.max(Math.abs(from), Math.abs(to));
  return far >= radius ? 0 : 2 * Math.sqrt(radius * radius - far * far);
}

/** Words over the plate, in the middle of a circle, each line as wide as the circle is there; a code below where there is room. */
function layRound({ width, height, words, plate, address, capMm }: LabelWish): LabelLayout {
  const radius = Math.min(width, height) / 2 - RIM;
  const [cx, cy] = [width / 2, height / 2];
  const said = inTypeface(words.trim()).split(/\s+/);
  const codes = address !== null ? [Math.min(CODE_SIDE, radius * 0.8), LEAST_CODE, 0] : [0];
  for (const side of codes.filter((one) => one === 0 || one >= LEAST_CODE))
    for (let cap = capMm; cap >= LEAST_CAP; cap -= 0.1) {
      // Where the code is wanted, words need not be as large as without it.
      if (side > 0 && cap < Math.min(capMm, capMm / 2)) break;
      for (let count = 1; count <= Math.min(4, said.length); count++) {
        const size = sizeOfCap(cap);
        const textHeight = cap + (count - 1) * LEADING * size + 0.25 * size;
        const all = textHeight + GAP + PLATE_HEIGHT + (side > 0 ? GAP + side : 0);
        const top = -all / 2;
        const widths = Array.from({ length: count }, (_, at) => {
          const from = top + at * LEADING * size;
          return chord(radius, from, from + cap + 0.25 * size);
        });
        const lines = filled(said, size, widths);
        const plateTop = top + textHeight + GAP;
        const codeTop = plateTop + PLATE_HEIGHT + GAP;
        if (
          !lines ||
          plateWidth(plate) > chord(radius, plateTop, plateTop + PLATE_HEIGHT) ||
          (side > 0 && side > chord(radius, codeTop, codeTop + side))
        )
          continue;
        const marks = lines.map((text, at): LabelMark => ({
          kind: 'text',
          x: cx - textWidth(text, 'bold', size) / 2,
          y: cy + top + cap + at * LEADING * size,
          size,
          font: 'bold',
          text,
        }));
        marks.push(...plateAt(plate, cx, cy + plateTop));
        if (side > 0) marks.push({ kind: 'code', x: cx - side / 2, y: cy + codeTop, side, text: address! });
        return { marks, capMm: cap, lines, readableFromMm: readableFrom(cap), codeSide: side, cut: false };
      }
    }
  const size = sizeOfCap(LEAST_CAP);
  const line = cutTo(said.join(' '), 'bold', size, chord(radius, -LEAST_CAP * 2, 0));
  return {
    marks: [
      { kind: 'text', x: cx - textWidth(line, 'bold', size) / 2, y: cy - GAP, size, font: 'bold', text: line },
      ...plateAt(plate, cx, cy),
    ],
    capMm: LEAST_CAP,
    lines: [line],
    readableFromMm: readableFrom(LEAST_CAP),
    codeSide: 0,
    cut: false,
  };
}

/** Words into lines of given widths, all of them; null: they do not fit. */
function filled(words: readonly string[], size: number, widths: readonly number[]): string[] | null {
  const lines: string[] = [];
  let at = 0;
  for (const width of widths) {
    let line = '';
    while (at < words.length) {
      const longer = line === '' ? words[at]! : `${line} ${words[at]!}`;
      if (textWidth(longer, 'bold', size) > width) break;
      line = longer;
      at += 1;
    }
    if (line === '') return null;
    lines.push(line);
  }
  return at === words.length ? lines : null;
}

/** Words upwards along a spine, code and plate upright at its foot. */
function laySpine(wish: LabelWish): LabelLayout {
  const { width, height, words, contents, plate, address, capMm } = wish;
  const upright = plateWidth(plate) <= width - 2;
  const room = Math.min(CODE_SIDE, width - 2 * PAD);
  const side = address !== null && room >= LEAST_CODE ? room : 0;
  const plateRoom = upright ? PLATE_HEIGHT : plateWidth(plate);
  const foot = PAD + plateRoom + (side > 0 ? GAP + side : 0);
  const marks: LabelMark[] = [];
  if (upright) marks.push(...plateAt(plate, width / 2, height - PAD - PLATE_HEIGHT));
  else
    marks.push({
      kind: 'text',
      x: width / 2 + PLATE_CAP / 2,
      y: height - PAD,
      size: PLATE_SIZE,
      font: 'mono',
      text: plate,
      up: true,
    });
  if (side > 0)
    marks.push({ kind: 'code', x: (width - side) / 2, y: height - PAD - plateRoom - GAP - side, side, text: address! });
  const long = height - foot - 2 * PAD - GAP;
  const line = inTypeface(contents?.trim() ?? '');
  const small = sizeOfCap(2.2);
  const below = line === '' ? 0 : 1.35 * small;
  const { lines, cap } = fitWords(words, capMm, long, width - 2 * PAD - below);
  const size = sizeOfCap(cap);
  const start = height - foot - GAP - PAD;
  // With the tails of its letters.
  const block = cap + (lines.length - 1) * LEADING * size + 0.25 * size;
  const left = (width - block - below) / 2;
  lines.forEach((text, at) =>
    marks.push({ kind: 'text', x: left + cap + at * LEADING * size, y: start, size, font: 'bold', text, up: true }),
  );
  const said = line === '' ? '' : cutTo(line, 'regular', small, long);
  if (said !== '')
    marks.push({
      kind: 'text',
      x: left + block + 0.95 * small,
      y: start,
      size: small,
      font: 'regular',
      text: said,
      up: true,
    });
  return { marks, capMm: cap, lines, readableFromMm: readableFrom(cap), codeSide: side, cut: said !== line };
}
