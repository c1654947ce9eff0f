import { writeCode } from '../base/nookCode';
import { seededRandom } from '../base/seededRandom';
import { layOutFront } from '../drawing';
import type { BinRow, ShelfRow, SpaceRow } from '../household';
import { binFields, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { CARDS, layDoorCard, type CardSize, type DoorCard } from './doorCard';
import { textWidth, type LabelMark } from './labelLayout';

const base = (id: string) => ({ id, seq: 1, retired: false });
const space: SpaceRow = { ...base('rack'), ...spaceFields() };
const shelves: ShelfRow[] = ['A', 'B', 'C'].map((letter, at) => ({
  ...base(letter),
  ...shelfFields({ code: writeCode('BL1', letter), sort: at }),
}));
const bin = (shelf: string, nth: number): BinRow => ({
  ...base(`${shelf}${nth}`),
  ...binFields({ shelfId: shelf, name: `tins ${nth}`, code: writeCode('BL1', `${shelf}${nth}`), sort: nth }),
});
const front = layOutFront(space, shelves, (id) => [1, 2, 3].map((nth) => bin(id, nth)));
const card = (rows: number, more: Partial<DoorCard> = {}): DoorCard => ({
  size: 'A5',
  title: 'Rack 1',
  room: 'Boat loft',
  plate: 'BL1',
  front,
  rows: Array.from({ length: rows }, (_, at) => ({
    code: writeCode('BL1', `A${(at % 9) + 1}`),
    words: `Paper lanterns ${at}`,
    contents: 'Lantern frames, spare bulbs, hooks',
  })),
  address: 'HTTPS://HOME.EXAMPLE/N/BL1-X',
  ...more,
});
const texts = (marks: readonly LabelMark[]): string[] =>
  marks.flatMap((one) => (one.kind === 'text' ? [one.text] : []));

it('one page: title, plate, a tag in every bin of the drawing, a row for each place, the code', () => {
  const [page, ...others] = layDoorCard(card(9));
  expect(others).toEqual([]);
  const said = texts(page!);
  expect(said).toEqual(expect.arrayContaining(['Rack 1', 'Boat loft', 'BL1', 'A1', 'C3', 'Paper lanterns 8']));
  expect(said.filter((text) => text.startsWith('Paper lanterns'))).toHaveLength(9);
  expect(page!.filter(({ kind }) => kind === 'code')).toHaveLength(1);
  // Nine bins and the plate.
  expect(page!.filter(({ kind }) => kind === 'box')).toHaveLength(10);
});

it('many places: smaller rows, then more pages, none left out and none twice', () => {
  const pages = layDoorCard(card(120));
  expect(pages.length).toBeGreaterThan(1);
  const rows = pages.flatMap(texts).filter((text) => text.startsWith('Paper lanterns'));
  expect(new Set(rows).size).toBe(120);
  expect(rows).toHaveLength(120);
  expect(pages.flat().filter(({ kind }) => kind === 'code')).toHaveLength(1);
});

it('on every size, with long words: nothing sticks out of the card', () => {
  const random = seededRandom(8);
  for (const size of Object.keys(CARDS) as CardSize[])
    for (const rows of [0, 1, 14, 60]) {
      const long = 'Midsummer decoration '.repeat(1 + Math.floor(random() * 12));
      const given = card(rows, {
        size,
        title: long,
        room: long,
        rows: card(rows).rows.map((row) => ({ ...row, words: long, contents: long })),
      });
      const { width, height } = CARDS[size];
      for (const page of layDoorCard(given))
        for (const mark of page) {
          const wide =
            mark.kind === 'text'
              ? textWidth(mark.text, mark.font, mark.size)
              : mark.kind === 'code'
                ? mark.side
                : mark.width;
          const below = mark.kind === 'text' ? 0.25 * mark.size : mark.kind === 'code' ? mark.side : mark.height;
          expect(mark.x).toBeGreaterThanOrEqual(5);
          expect(mark.x + wide).toBeLessThanOrEqual(width - 5);
          expect(mark.y).toBeGreaterThanOrEqual(5);
          expect(mark.y + below).toBeLessThanOrEqual(height - 5);
        }
    }
});
