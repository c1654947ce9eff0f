import fc from 'fast-check';
import { itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { HouseholdState } from '../household/HouseholdState';
import type { TaggedRow } from '../household/registry';
import { HouseholdFinder } from './HouseholdFinder';
import { seededRandom } from '../base/seededRandom';
import { TrigramIndex, trigramsOf } from './trigramIndex';
import { foldText } from '../base/foldText';

const names = [
  'Paper lanterns, midsummer',
  'Storm lantern',
  'Lantern wire hooks',
  'Bath towel, white',
  'Rolled oats',
  'Crème fraîche',
  'Rødgrød jelly',
  'Tea lights',
];

function home(): HouseholdFinder {
  const state = new HouseholdState();
  const finder = new HouseholdFinder(state);
  const rows: TaggedRow[] = [
    ...sampleRows().filter((row) => row.entity !== 'item'),
    ...names.map((name, at): TaggedRow => ({
      entity: 'item',
      row: {
        ...itemFields({
          name,
          tags: at < 3 ? ['Midsummer'] : [],
          synonyms: name === 'Bath towel, white' ? ['Frottee'] : [],
        }),
        id: at === 0 ? 'lanterns' : `i${at}`,
        seq: 1,
        retired: false,
      },
    })),
    { entity: 'lot', row: lotRow('x', { itemId: 'i7' }) },
  ];
  for (const row of rows) {
    state.put(row);
    finder.update(row);
  }
  return finder;
}
const first = (query: string): string | undefined => {
  const found = home().find(query)[0];
  return found?.kind === 'item' ? found.item.name : found?.nookId;
};

describe('finding as people type', () => {
  it.each([
    ['lantrn', 'Paper lanterns, midsummer'],
    ['midsumer lanterns', 'Paper lanterns, midsummer'],
    ['towels white', 'Bath towel, white'],
    ['white bath towl', 'Bath towel, white'],
    ['frotee', 'Bath towel, white'],
    ['creme fraiche', 'Crème fraîche'],
    ['rodgrod', 'Rødgrød jelly'],
    ['oats', 'Rolled oats'],
    ['r', 'Rolled oats'],
    ['st', 'Storm lantern'],
    ['hooks lantern', 'Lantern wire hooks'],
    ['BL1-A2', 'bin2'],
    ['bl1a2', 'bin2'],
    ['BL1-', 'rack'],
    ['#midsummer storm', 'Storm lantern'],
  ])('%s', (query, want) => {
    expect(first(query)).toBe(want);
  });

  it('finds everything with a tag, and nothing for an empty query', () => {
    expect(home().find('#midsummer')).toHaveLength(3);
    expect(home().find('#mids')).toHaveLength(3);
    expect(home().find('')).toEqual([]);
    expect(home().find('zzzzqq')).toEqual([]);
  });

  it('finds a name with one typing error first, nine times in ten', () => {
    const letters = 'abcdefghijklmnopqrstuvwxyz';
    const random = fc.sample(fc.tuple(fc.nat(), fc.nat(), fc.nat(25)), { seed: 11, numRuns: 200 });
    const long = names.filter((name) => name.length > 9);
    const right = random.filter(([a, b, c]) => {
      const name = long[a % long.length]!;
      const at = 1 + (b % (name.length - 2));
      return first(name.slice(0, at) + letters[c] + name.slice(at + 1)) === name;
    });
    expect(right.length).toBeGreaterThanOrEqual(180);
  });
});

describe('TrigramIndex', () => {
  // Outside check: PostgreSQL's documentation of pg_trgm gives the trigrams of "cat" as "  c"," ca","cat","at ".
  it('pads words as pg_trgm documents', () => {
    expect([...trigramsOf(['cat'])]).toEqual(['  c', ' ca', 'cat', 'at ']);
  });

  it('after changes answers like one built anew', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.option(fc.constantFrom(...names)))),
        fc.constantFrom('lantern', 'towel', 'r'),
        (changes, query) => {
          const index = new TrigramIndex();
          const texts = new Map<string, string>();
          for (const [id, text] of changes) {
            if (text === null) {
              index.delete(id);
              texts.delete(id);
            } else {
              index.set(id, text);
              texts.set(id, text);
            }
          }
          const fresh = new TrigramIndex();
          for (const [id, text] of texts) fresh.set(id, text);
          expect(index.search(query, 10)).toEqual(fresh.search(query, 10));
          expect(index.size).toBe(texts.size);
        },
      ),
      { seed: 13, numRuns: 300 },
    );
  });

  it('folds accents and case', () => {
    expect(foldText('  Crème—Brûlée, Ø! ')).toBe('creme brulee o');
  });
});

describe('a text index over years of changes', () => {
  it('grows with the texts it holds, not with how often they change, and answers like a fresh one', () => {
    const random = seededRandom(5);
    const words = ['tea', 'lights', 'lantern', 'rope', 'tar', 'oats', 'rye', 'bread', 'towel', 'blue'];
    const text = (): string =>
      Array.from({ length: 1 + Math.floor(random() * 3) }, () => words[Math.floor(random() * 10)]!).join(' ');
    const index = new TrigramIndex();
    const now = new Map<string, string>();
    for (let at = 0; at < 5000; at++) {
      const id = `i${Math.floor(random() * 60)}`;
      if (random() < 0.2) {
        index.delete(id);
        now.delete(id);
      } else {
        now.set(id, text());
        index.set(id, now.get(id)!);
      }
    }
    const fresh = new TrigramIndex();
    for (const [id, one] of now) fresh.set(id, one);
    expect(index.slots).toBeLessThanOrEqual(60);
    expect(index.size).toBe(now.size);
    for (const word of words) expect(index.search(word, 100)).toEqual(fresh.search(word, 100));
  });
});
