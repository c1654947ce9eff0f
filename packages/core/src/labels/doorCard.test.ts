import { writeCode } from '../base/nookCode';
import { seededRandom } from '../base/seededRandom';
import { layOutFront } from '../drawing';
import type { BinRow, ShelfRow, SpaceRow } from '../household';
import { binFields, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { CARDS, layDoorCard, type CardSize, type DoorCard } from './doorCard';
import { type LabelMark } from './labelLayout';
import { boxOf } from './marks.test-support';
import { layMeasures } from './measuresSheet';

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
          const [left, top, right, bottom] = boxOf(mark);
          expect(left).toBeGreaterThanOrEqual(5);
          expect(right).toBeLessThanOrEqual(width - 5);
          expect(top).toBeGreaterThanOrEqual(5);
          expect(bottom).toBeLessThanOrEqual(height - 5);
        }
    }
});

test('when what is to be done stands below the list, or on a page of its own; nothing lies on anything', () => {
  const notes = ['Top shelf: for guests', 'Sundays: fill Flour up to 2 kg', 'Use first: Milk, until 3 Dec'];
  for (const count of [4, 12, 30, 90])
    for (const size of ['A5', 'Letter'] as const) {
      const pages = layDoorCard(card(count, { size, notes }));
      const plain = layDoorCard(card(count, { size }));
      expect(pages.length - plain.length).toBeLessThanOrEqual(1);
      const said = texts(pages.flat());
      for (const note of notes) expect(said).toContain(note);
      for (const page of pages) {
        const boxes = page.flatMap((mark) => (mark.kind === 'text' || mark.kind === 'code' ? [boxOf(mark)] : []));
        for (const [at, a] of boxes.entries())
          for (const b of boxes.slice(at + 1)) {
            const apart = Math.max(a[0] - b[2], b[0] - a[2], a[1] - b[3], b[1] - a[3]);
            expect(apart).toBeGreaterThan(-0.9);
          }
      }
    }
});

describe('the sheet of measures', () => {
  const says = (tenthMm: number): string => `${Math.round(tenthMm / 100)} cm`;
  const given = (lines: number, size: CardSize = 'A4') => ({
    size,
    title: 'Rack 1',
    room: 'Boat loft',
    plate: 'BL1',
    front,
    says,
    lines: Array.from({ length: lines }, (_, at) => `line ${at}`),
  });
  it('says the width, the height and every clear height; lines go on to further pages, none twice', () => {
    const pages = layMeasures(given(90));
    const said = texts(pages[0]!);
    expect(said).toEqual(expect.arrayContaining([says(front.outer.width), says(front.outer.height)]));
    for (const { clear } of front.shelves) expect(said).toContain(says(clear.height));
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.flatMap(texts).filter((text) => text.startsWith('line '))).toHaveLength(90);
  });
  it('on every size nothing sticks out, and a measure is as long as what it measures', () => {
    for (const size of Object.keys(CARDS) as CardSize[]) {
      const { width, height } = CARDS[size];
      const [page] = layMeasures(given(5, size));
      for (const mark of page!) {
        const [left, top, right, bottom] = boxOf(mark);
        expect(Math.min(left, top)).toBeGreaterThanOrEqual(3);
        expect(right).toBeLessThanOrEqual(width - 3);
        expect(bottom).toBeLessThanOrEqual(height - 3);
      }
      // The drawing's outline and the measure along it.
      const bars = page!.flatMap((mark) => (mark.kind === 'bar' && mark.width < 0.3 ? [mark.height] : []));
      const walls = page!.flatMap((mark) =>
        mark.kind === 'bar' && mark.width > 1 && mark.width < 1.3 ? [mark.height] : [],
      );
      expect(Math.max(...bars)).toBeCloseTo(Math.max(...walls), 6);
    }
  });
});
