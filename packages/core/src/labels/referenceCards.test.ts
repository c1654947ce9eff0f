import { HouseholdState, type TaggedRow } from '../household';
import { itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { CARDS, type CardSize } from './doorCard';
import { labelledIn } from './labelled';
import { boxOf } from './marks.test-support';
import { cardsFor, layReferenceCard, REFERENCE_CARDS } from './referenceCards';

const SIZES = Object.keys(CARDS) as CardSize[];
const base = (id: string) => ({ id, seq: 1, retired: false });

it.each(REFERENCE_CARDS.flatMap((kind) => SIZES.map((size) => [kind, size] as const)))(
  'the card %s on %s: all is on the paper, no two lines of writing lie over each other, nothing is cut',
  (kind, size) => {
    const marks = layReferenceCard(kind, { size, title: 'Stair press', plate: 'SP' });
    const { width, height } = CARDS[size];
    for (const mark of marks) {
      const [left, top, right, bottom] = boxOf(mark);
      expect(left).toBeGreaterThanOrEqual(0);
      expect(top).toBeGreaterThanOrEqual(0);
      expect(right).toBeLessThanOrEqual(width);
      expect(bottom).toBeLessThanOrEqual(height);
    }
    const words = marks.flatMap((mark) => (mark.kind === 'text' ? [{ text: mark.text, box: boxOf(mark) }] : []));
    expect(words.some(({ text }) => text.includes('…'))).toBe(false);
    words.forEach(({ box: [l, t, r, b] }, at) =>
      words.slice(at + 1).forEach(({ box: [ol, ot, or, ob] }) => {
        expect(Math.min(r, or) - Math.max(l, ol) > 0.1 && Math.min(b, ob) - Math.max(t, ot) > 0.1).toBe(false);
      }),
    );
  },
);

it('says the cautions that hurt when they are missed', () => {
  const said = (kind: 'stains' | 'order'): string =>
    layReferenceCard(kind, { size: 'A4', title: '', plate: 'X' })
      .flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []))
      .join(' ');
  expect(said('stains')).toContain('no bleach with vinegar, acids or ammonia');
  expect(said('order')).toContain('Use-by is the last day');
});

function home(rows: readonly TaggedRow[]): HouseholdState {
  const state = new HouseholdState();
  for (const row of [...sampleRows(), ...rows]) state.put(row);
  return state;
}
it('cloth asks for care and stains, food for its order, lanterns for nothing', () => {
  const spaceId = home([]).get('shelf', 'top')!.spaceId;
  expect(cardsFor(home([]), spaceId)).toEqual([]);
  const thing = (name: string, category: string, more = {}): TaggedRow[] => [
    { entity: 'item', row: { ...base(name), ...itemFields({ name, category, ...more }) } },
    { entity: 'lot', row: lotRow(`lot ${name}`, { itemId: name, nookId: 'bin' }) },
  ];
  expect(cardsFor(home(thing('Bath towel', 'Linen')), spaceId)).toEqual(['care', 'stains']);
  expect(cardsFor(home(thing('Beans', 'Dry goods', { openedDays: 3 })), spaceId)).toEqual(['order']);
});

it('words by hand stand on the label in place of the name', () => {
  const state = home([]);
  const { spaceId } = state.get('shelf', 'top')!;
  expect(labelledIn(state, spaceId).find(({ nookId }) => nookId === 'bin')?.words).toBe('Paper lanterns');
  state.put({ entity: 'bin', row: { ...state.get('bin', 'bin')!, labelWords: 'lanterns!' } });
  expect(labelledIn(state, spaceId).find(({ nookId }) => nookId === 'bin')?.words).toBe('lanterns!');
});
