/** Cards beside the door card: what care symbols mean, what to do with a stain, in which order things are used. Millimetres. */
import { isChemical, purposeOf } from '../handling';
import type { HouseholdState } from '../household';
import { lotsWithin } from '../sort';
import { CARDS, headOf, type CardSize } from './doorCard';
import { cutTo, inTypeface, textWidth, type LabelMark } from './labelLayout';
import { sizeOfCap } from './letterHeight';

export const REFERENCE_CARDS = ['care', 'stains', 'order'] as const;
export type ReferenceCard = (typeof REFERENCE_CARDS)[number];

/** Which cards help at a space, by what lies there: cloth and laundry, food. */
export function cardsFor(state: HouseholdState, spaceId: string): ReferenceCard[] {
  const items = lotsWithin(state, spaceId).flatMap(({ itemId }) => state.get('item', itemId) ?? []);
  const purposes = new Set(items.map(purposeOf));
  const cloth = purposes.has('textile') || items.some((item) => isChemical(item) && /laundry|wash/i.test(item.name));
  return [...(cloth ? (['care', 'stains'] as const) : []), ...(purposes.has('food') ? (['order'] as const) : [])];
}

type Point = readonly [x: number, y: number];
/** Strokes of a sign in a square of 10 by 10, and a letter or figure in it. */
interface Sign {
  lines: readonly (readonly Point[])[];
  ring?: true;
  /** Filled dots. */
  dots?: readonly Point[];
  text?: string;
}
const TUB: readonly Point[] = [
  [0.5, 2.5],
  [1.7, 9],
  [8.3, 9],
  [9.5, 2.5],
];
const WATER: readonly Point[] = [
  [0.9, 3.8],
  [2.2, 3.1],
  [3.6, 3.8],
  [5, 3.1],
  [6.4, 3.8],
  [7.8, 3.1],
  [9.1, 3.8],
];
const TRIANGLE: readonly Point[] = [
  [5, 1],
  [9.5, 9],
  [0.5, 9],
  [5, 1],
];
const SQUARE: readonly Point[] = [
  [1, 1],
  [9, 1],
  [9, 9],
  [1, 9],
  [1, 1],
];
const IRON: readonly Point[] = [
  [0.5, 8.5],
  [9.5, 8.5],
  [8.6, 3.2],
  [3, 3.2],
];
const IRON_SIDE: readonly Point[] = [
  [0.5, 8.5],
  [2, 6],
  [9, 6],
];
const CROSS: readonly (readonly Point[])[] = [
  [
    [0.5, 0.5],
    [9.5, 9.5],
  ],
  [
    [9.5, 0.5],
    [0.5, 9.5],
  ],
];
const below = (y: number): readonly Point[] => [
  [1.5, y],
  [8.5, y],
];
const tub = (more: Partial<Sign> = {}, extra: readonly (readonly Point[])[] = []): Sign => ({
  lines: [TUB, WATER, ...extra],
  ...more,
});

/**
 * The signs of textile labels and what they mean, drawn by us from their plain shapes. Meanings, and the temperatures of iron and dryer:
 * ISO 3758 (from memory, edition not checked); what the label in the cloth says comes first.
 */
const CARE: readonly (readonly [sign: Sign, words: string])[] = [
  [tub({ text: '40' }), 'Wash, up to the figure in °C'],
  [tub({ text: '30' }, [below(9.8)]), 'A bar: gently; two bars: very gently'],
  [
    tub({}, [
      [
        [3, 1],
        [4.6, 5.6],
        [7, 5.6],
      ],
    ]),
    'Hand in it: wash by hand, no hotter than 40 °C',
  ],
  [tub({}, CROSS), 'Do not wash'],
  [{ lines: [TRIANGLE] }, 'Any bleach'],
  [
    {
      lines: [
        TRIANGLE,
        [
          [4.2, 8.9],
          [6.7, 4],
        ],
        [
          [6.2, 8.9],
          [7.7, 5.8],
        ],
      ],
    },
    'Bleach without chlorine only',
  ],
  [{ lines: [TRIANGLE, ...CROSS] }, 'No bleach'],
  [{ lines: [SQUARE], ring: true, dots: [[5, 5]] }, 'Tumble dry, low: up to 60 °C'],
  [
    {
      lines: [SQUARE],
      ring: true,
      dots: [
        [3.8, 5],
        [6.2, 5],
      ],
    },
    'Tumble dry, normal: up to 80 °C',
  ],
  [{ lines: [SQUARE, ...CROSS], ring: true }, 'Do not tumble dry'],
  [
    {
      lines: [
        SQUARE,
        [
          [5, 2.5],
          [5, 7.5],
        ],
      ],
    },
    'Dry on the line',
  ],
  [
    {
      lines: [
        SQUARE,
        [
          [2.5, 5],
          [7.5, 5],
        ],
      ],
    },
    'Dry flat',
  ],
  [{ lines: [IRON, IRON_SIDE], dots: [[5.4, 7.2]] }, 'Iron, in °C: 1 dot 110, 2 dots 150, 3 dots 200'],
  [{ lines: [IRON, IRON_SIDE, ...CROSS] }, 'Do not iron'],
  [{ lines: [], ring: true, text: 'P' }, 'Circle: for the cleaner’s; the letter is for them'],
  [{ lines: CROSS, ring: true }, 'Not for the cleaner’s'],
];

/** Common practice, no source. */
const STAINS: readonly string[] = [
  'At once: the sooner, the more comes out. Old stains take several rounds.',
  'Lift off what lies on it with a spoon. Blot with a white cloth, from the edge inwards. Do not rub.',
  'Blood, egg, milk: cold water only. Heat sets them.',
  'Grease and oil: a drop of washing-up liquid, let it work, rinse warm.',
  'Coffee, tea, wine, fruit: rinse with cold water from behind, then wash.',
  'Mud: let it dry, brush it off, then wash.',
  'Wax: let it harden, break it off, iron the rest out between paper if the cloth may be ironed.',
  'Try a remover on a seam that is not seen. Follow its label and the cloth’s.',
  'Never mix removers, above all no bleach with vinegar, acids or ammonia: the gas is poisonous.',
  'Look before it is dried or ironed: what is still there stays.',
];
/** Common practice, no source. */
const ORDER: readonly string[] = [
  'What is open before what is shut.',
  'Of what is shut, the date that ends first. Use-by is the last day; best-before is not.',
  'New ones go behind, what is there comes to the front.',
  'Without a date: the one that was put in first.',
  'Thawed once is used, not frozen again, unless it was cooked.',
  'What smells, looks or feels wrong is thrown away, whatever its date says. Bulging tins are not opened.',
];
const TITLES: Readonly<Record<ReferenceCard, string>> = {
  care: 'Care symbols',
  stains: 'Stains, step by step',
  order: 'Order of use',
};

const PAD = 9;
const TOP = 24;
const CAP = 3;
const LEAST_CAP = 1.7;

/** Lays one of the cards out, with the space's name and plate on it. */
export function layReferenceCard(
  kind: ReferenceCard,
  { size, title, plate }: { size: CardSize; title: string; plate: string },
): LabelMark[] {
  const { width, height } = CARDS[size];
  const head = headOf({ title: TITLES[kind], room: title, plate }, width);
  const area = { x: PAD, y: TOP, width: width - 2 * PAD, height: height - TOP - PAD };
  return [...head, ...(kind === 'care' ? careMarks(area) : stepMarks(kind === 'stains' ? STAINS : ORDER, area))];
}

interface Area {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Two columns of signs, each with its words. */
function careMarks({ x, y, width, height }: Area): LabelMark[] {
  const rows = Math.ceil(CARE.length / 2);
  const row = height / rows;
  const side = Math.min(row * 0.78, 14);
  const column = width / 2;
  return CARE.flatMap(([sign, words], at) => {
    const left = x + Math.floor(at / rows) * column;
    const top = y + (at % rows) * row;
    const beside = left + side + 4;
    const { lines, size } = wrapTo(words, column - side - 8, row);
    const first = top + side / 2 - ((lines.length - 1) * LEAD * size) / 2 + size * 0.35;
    return [
      ...signMarks(sign, left, top, side),
      ...lines.map((text, line): LabelMark => ({
        kind: 'text',
        x: beside,
        y: first + line * LEAD * size,
        size,
        font: 'regular',
        text,
      })),
    ];
  });
}

function signMarks({ lines, ring, dots = [], text }: Sign, x: number, y: number, side: number): LabelMark[] {
  const at = ([px, py]: Point): [number, number] => [x + (px * side) / 10, y + (py * side) / 10];
  const marks: LabelMark[] = lines.map((points) => ({ kind: 'line', points: points.map(at) }));
  if (ring)
    marks.push({ kind: 'ring', x: x + side / 2, y: y + side / 2, radius: side * (lines.length > 0 ? 0.33 : 0.43) });
  const dot = side * 0.09;
  for (const point of dots) {
    const [px, py] = at(point);
    marks.push({ kind: 'bar', x: px - dot / 2, y: py - dot / 2, width: dot, height: dot });
  }
  if (text) {
    const size = side * 0.42;
    marks.push({
      kind: 'text',
      x: x + (side - textWidth(text, 'bold', size)) / 2,
      y: y + side * (ring ? 0.65 : 0.8),
      size,
      font: 'bold',
      text,
    });
  }
  return marks;
}

/** Lines stand so many sizes apart. */
const LEAD = 1.2;

/** A sentence in as many lines as it needs, as large as there is room for; what finds none even small is cut. */
function wrapTo(words: string, width: number, height: number): { lines: string[]; size: number } {
  for (let cap = CAP; cap >= LEAST_CAP; cap -= 0.1) {
    const size = sizeOfCap(cap);
    const lines = linesOf(inTypeface(words), size, width);
    if (lines.length * LEAD * size <= height) return { lines, size };
  }
  const size = sizeOfCap(LEAST_CAP);
  return { lines: [cutTo(inTypeface(words), 'regular', size, width)], size };
}

function linesOf(text: string, size: number, width: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length === 0 ? word : `${lines.at(-1)} ${word}`;
    if (lines.length > 0 && textWidth(longer, 'regular', size) <= width) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** Numbered sentences, all of one size. */
function stepMarks(steps: readonly string[], { x, y, width, height }: Area): LabelMark[] {
  const indent = 8;
  let cap = CAP;
  const laid = (of: number) => steps.map((step) => linesOf(inTypeface(step), sizeOfCap(of), width - indent));
  const highOf = (of: number): number =>
    laid(of).reduce((sum, lines) => sum + (lines.length * LEAD + GAP) * sizeOfCap(of), 0);
  while (cap > LEAST_CAP && highOf(cap) > height) cap -= 0.1;
  const size = sizeOfCap(cap);
  let baseline = y + cap;
  return laid(cap).flatMap((lines, at) => {
    const marks: LabelMark[] = [{ kind: 'text', x, y: baseline, size, font: 'bold', text: `${at + 1}` }];
    for (const text of lines) {
      marks.push({ kind: 'text', x: x + indent, y: baseline, size, font: 'regular', text });
      baseline += LEAD * size;
    }
    baseline += GAP * size;
    return marks;
  });
}
/** Between two steps, sizes. */
const GAP = 0.45;
