import { layForm } from './labelForms';
import { type LabelWish } from './labelLayout';
import { boxOf } from './marks.test-support';
import { LABEL_SHEETS, type LabelForm } from './sheets';

const wish = (more: Partial<LabelWish> = {}): LabelWish => ({
  width: 60,
  height: 60,
  words: 'Tea lights',
  contents: 'Glass holders, long matches',
  plate: 'BL1-B3 K',
  address: 'HTTPS://HOME.EXAMPLE/N/BL1-B3K',
  capMm: 8.7,
  ...more,
});
const WORDS = [
  'Tea lights',
  'Jam',
  'Candles and light for the garden house',
  'Insurance and contracts 2019 to 2026',
  'Öl',
];

const sheets = LABEL_SHEETS.filter(({ form }) => form !== 'plain');
describe.each(sheets.map((sheet) => [sheet.id, sheet] as const))('%s', (_, { form, width, height }) => {
  it.each(WORDS)('%s: all of it lies on the label', (words) => {
    for (const shown of [true, false]) {
      const laid = layForm(form, wish({ width, height, words }), shown);
      for (const [left, top, right, bottom] of laid.marks.map(boxOf)) {
        expect(left).toBeGreaterThanOrEqual(-0.01);
        expect(top).toBeGreaterThanOrEqual(-0.01);
        expect(right).toBeLessThanOrEqual(width + 0.01);
        expect(bottom).toBeLessThanOrEqual(height + 0.01);
        if (form !== 'round' || !shown) continue;
        const r = Math.min(width, height) / 2;
        for (const x of [left, right])
          for (const y of [top, bottom]) expect(Math.hypot(x - width / 2, y - height / 2)).toBeLessThanOrEqual(r);
      }
      // Text lies in the plate's box and in a card's outline, and on nothing else.
      const solid = laid.marks.filter(({ kind }) => kind === 'text' || kind === 'code').map(boxOf);
      solid.forEach((one, at) =>
        solid.slice(at + 1).forEach((other) => {
          const apart = Math.max(one[0] - other[2], other[0] - one[2], one[1] - other[3], other[1] - one[3]);
          expect(apart).toBeGreaterThan(-0.01);
        }),
      );
      if (shown) expect(laid.lines.join(' ').replace(/…$/, '').length).toBeGreaterThan(1);
    }
  });
});

test('words alone are as large as without a code, and the code stands where there is room for it', () => {
  expect(layForm('round', wish({ width: 60, height: 60 })).codeSide).toBeGreaterThanOrEqual(18.5);
  expect(layForm('round', wish({ width: 40, height: 40 })).codeSide).toBe(0);
  expect(layForm('spine', wish({ width: 38, height: 192 })).codeSide).toBe(22);
});

test('no words outside: the code as large as there is room for, with its plate', () => {
  const forms: LabelForm[] = ['plain', 'round', 'spine', 'clip'];
  for (const form of forms) {
    const laid = layForm(form, wish({ width: 70, height: 50 }), false);
    expect(laid.lines).toEqual([]);
    expect(laid.codeSide).toBeGreaterThan(28);
    expect(laid.marks.filter(({ kind }) => kind === 'text')).toHaveLength(1);
  }
  expect(layForm('plain', wish({ address: null }), false).codeSide).toBe(0);
  // Too low for modules of half a millimetre.
  expect(layForm('plain', wish({ height: 25 }), false).codeSide).toBe(0);
});

test('a spine is read upwards; a card to clip on has an outline and a hole above its words', () => {
  const spine = layForm('spine', wish({ width: 61, height: 192 }));
  expect(spine.marks.filter((mark) => mark.kind === 'text' && mark.font === 'bold').every((mark) => 'up' in mark)).toBe(
    true,
  );
  const clip = layForm('clip', wish({ width: 90, height: 52 }));
  expect(clip.marks[0]).toEqual({ kind: 'box', x: 0, y: 0, width: 90, height: 52 });
  const hole = clip.marks.find((mark) => mark.kind === 'ring')!;
  const words = clip.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.y - mark.size * 0.72] : []));
  expect(Math.min(...words)).toBeGreaterThan(hole.y + 2);
});
