import { seededRandom } from '../base/seededRandom';
import { capHeightFor, readableFrom } from './letterHeight';
import { inTypeface, layLabel, type LabelLayout, type LabelWish } from './labelLayout';
import { boxOf } from './marks.test-support';
import { codeAddress } from './labelled';
import { LABEL_SHEETS, labelPlaces, labelsOnPage, PAPERS } from './sheets';

describe('letters', () => {
  // Heights at 20 minutes of arc, worked out by hand from h = 2·d·tan(θ/2); the angle is ISO 9241-303's, from memory.
  it.each([
    [0.5, 2.9],
    [1, 5.8],
    [1.5, 8.7],
    [2, 11.6],
    [3, 17.5],
  ])('to be read from %f m they are %f mm high', (metres, height) => {
    expect(capHeightFor(metres * 1000)).toBeCloseTo(height, 1);
    expect(readableFrom(capHeightFor(metres * 1000))).toBeCloseTo(metres * 1000, 6);
  });
});

describe('sheets', () => {
  // Usual label sheets by their outer measures.
  it.each(LABEL_SHEETS.map((sheet) => [sheet.id, sheet] as const))(
    '%s: every label lies on the page, none on another',
    (_, sheet) => {
      const paper = PAPERS[sheet.paper];
      const places = labelPlaces(sheet, labelsOnPage(sheet));
      expect(new Set(places.map(({ page }) => page))).toEqual(new Set([0]));
      for (const { x, y } of places) {
        expect(x).toBeGreaterThanOrEqual(-1e-9);
        expect(y).toBeGreaterThanOrEqual(-1e-9);
        expect(x + sheet.width).toBeLessThanOrEqual(paper.width + 1e-9);
        expect(y + sheet.height).toBeLessThanOrEqual(paper.height + 1e-9);
      }
      places.forEach((a, at) =>
        places.slice(at + 1).forEach((b) => {
          const apart = Math.abs(a.x - b.x) >= sheet.width - 1e-9 || Math.abs(a.y - b.y) >= sheet.height - 1e-9;
          expect(apart).toBe(true);
        }),
      );
    },
  );
  it('begins where the sheet is used up to, goes on to the next page, and follows the printer shift', () => {
    const sheet = LABEL_SHEETS.find(({ id }) => id === 'A4 3x7')!;
    const places = labelPlaces(sheet, 20, 4, { right: 0.5, down: -1 });
    expect(places[0]).toEqual({ page: 0, x: sheet.left + 66 + 0.5, y: sheet.top + 38.1 - 1 });
    expect(places.filter(({ page }) => page === 1)).toHaveLength(3);
    expect(places[17]).toMatchObject({ page: 1, x: sheet.left + 0.5, y: sheet.top - 1 });
  });
});

const wish: LabelWish = {
  width: 70,
  height: 37,
  words: 'Tea lights',
  contents: 'Glass holders, long matches',
  plate: 'BL1-B3 K',
  address: 'HTTPS://HOME.EXAMPLE/N/BL1-B3K',
  capMm: 8.7,
};
const texts = ({ marks }: LabelLayout): string[] => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));

describe('a label', () => {
  it('words at the height that was asked for, in two lines, with contents, code and plate', () => {
    const laid = layLabel(wish);
    expect(laid.lines).toEqual(['Tea', 'lights']);
    expect(laid.capMm).toBe(8.7);
    expect(laid.readableFromMm).toBeCloseTo(1495, 0);
    expect(laid.codeSide).toBeGreaterThanOrEqual(18.5);
    expect(texts(laid)).toContain('Glass holders, long matches');
    expect(laid.cut).toBe(false);
  });
  it('what is too long becomes smaller, what cannot be cut is cut and says so', () => {
    const long = layLabel({ ...wish, words: 'Summer camping, garden and harvest decoration' });
    expect(long.capMm).toBeLessThan(8.7);
    expect(long.lines.join(' ')).toBe('Summer camping, garden and harvest decoration');
    const lines = layLabel({ ...wish, contents: 'Glass holders for long evenings, long matches, candle snuffers' });
    expect(lines.cut).toBe(true);
    const endless = layLabel({ ...wish, words: 'x'.repeat(120) });
    expect(endless.lines[0]).toMatch(/…$/);
  });
  it('has no code where its modules would be too small, and none when there is no address', () => {
    expect(layLabel({ ...wish, height: 20 }).codeSide).toBe(0);
    expect(layLabel({ ...wish, address: null }).codeSide).toBe(0);
  });
  it('what the typeface does not have is a question mark', () => expect(inTypeface('Käse → 漢')).toBe('Käse ? ?'));
  it('400 random ones on every sheet: nothing sticks out, nothing lies over anything else', () => {
    const random = seededRandom(3);
    const word = (): string => 'aMwiltgöQ'.repeat(3).slice(0, 1 + Math.floor(random() * 14));
    for (let run = 0; run < 400; run++) {
      const sheet = LABEL_SHEETS[run % LABEL_SHEETS.length]!;
      const laid = layLabel({
        ...wish,
        width: sheet.width,
        height: sheet.height,
        words: Array.from({ length: 1 + Math.floor(random() * 5) }, word).join(' '),
        contents: random() < 0.3 ? null : Array.from({ length: 6 }, word).join(', '),
        capMm: 2 + random() * 20,
      });
      const boxes = laid.marks.map(boxOf);
      boxes.forEach(([left, top, right, bottom], at) => {
        expect(Math.min(left, top)).toBeGreaterThanOrEqual(2.9);
        expect(right).toBeLessThanOrEqual(sheet.width - 2.9);
        expect(bottom).toBeLessThanOrEqual(sheet.height - 2.5);
        boxes.slice(at + 1).forEach(([l, t, r, b], later) => {
          // The plate's words lie in its box; lines of words may touch with tails and capitals.
          const other = laid.marks[at + 1 + later]!;
          if (laid.marks[at]!.kind === 'box' && other.kind === 'text' && other.font === 'mono') return;
          const apart = r <= left + 0.01 || l >= right - 0.01 || b <= top + 0.6 || t >= bottom - 0.6;
          expect(apart).toBe(true);
        });
      });
    }
  });
});

it('a code says a short address in capitals', () =>
  expect(codeAddress('http://127.0.0.1:4310', 'BL1-B3K')).toBe('HTTP://127.0.0.1:4310/N/BL1-B3K'));
