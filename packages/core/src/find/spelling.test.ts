import fc from 'fast-check';
import { seededRandom } from '../base/seededRandom';
import { itemFields } from '../household/sampleHome.test-support';
import { HouseholdState } from '../household/HouseholdState';
import { HouseholdFinder } from './HouseholdFinder';
import { isOneMistake, SpellingIndex } from './SpellingIndex';

/** Optimal string alignment by the textbook's table, as the outside check of the short form. */
function distance(a: string, b: string): number {
  const d = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (__, j) => (i === 0 ? j : j === 0 ? i : 0)),
  );
  for (let i = 1; i <= a.length; i++) {
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      d[i]![j] = Math.min(d[i - 1]![j]! + 1, d[i]![j - 1]! + 1, d[i - 1]![j - 1]! + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        d[i]![j] = Math.min(d[i]![j]!, d[i - 2]![j - 2]! + 1);
    }
  }
  return d[a.length]![b.length]!;
}

describe('one mistake', () => {
  it('is what the table of distances says', () => {
    const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 6 });
    fc.assert(
      fc.property(word, word, (a, b) => expect(isOneMistake(a, b)).toBe(distance(a, b) === 1)),
      { seed: 3, numRuns: 3000 },
    );
  });

  it('is found among all words, and words that went are not', () => {
    const index = new SpellingIndex();
    const words = ['rope', 'ripe', 'tarp', 'towel', 'tower', 'bread'];
    words.forEach((word, at) => index.set(`w${at}`, [word]));
    for (const typed of ['rpoe', 'roope', 'rop', 'towe', 'toewl', 'braed', 'brea', 'xxxx']) {
      const all = words.filter((word) => distance(typed, word) === 1);
      expect(index.near(typed).sort()).toEqual(all.sort());
    }
    index.set('w0', []);
    expect(index.near('rpoe')).toEqual([]);
    expect([index.hasPrefix('rop'), index.hasPrefix('rip')]).toEqual([false, true]);
  });
});

/** Names of our own, with many short words close to each other. */
const NAMES =
  'rope, tarp, soap, salt, rice, oats, beans, milk, eggs, tape, glue, nails, bolts, hooks, lamp, candle, torch, towel, tower ' +
  'block, sheet, cover, quilt, broom, brush, mop, pail, bread, flour, yeast, honey, jam, tea, coffee, cocoa, peas, corn, soup, stew, ' +
  'fish, prawn, ham, bacon, apple, pears, plums, berry, lemon, olive, sugar, syrup, spice, thyme, basil, cumin, anise, mace';
const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

function mistyped(word: string, random: () => number): string {
  const at = Math.floor(random() * word.length);
  const letter = LETTERS[Math.floor(random() * 26)]!;
  const how = Math.floor(random() * 4);
  if (how === 0) return word.slice(0, at) + letter + word.slice(at + 1);
  if (how === 1) return word.slice(0, at) + word.slice(at + 1);
  if (how === 2) return word.slice(0, at) + letter + word.slice(at);
  const swap = Math.min(at, word.length - 2);
  return word.slice(0, swap) + word[swap + 1]! + word[swap]! + word.slice(swap + 2);
}

describe('finding short words that were mistyped', () => {
  const names = NAMES.split(', ');
  const state = new HouseholdState();
  const finder = new HouseholdFinder(state);
  names.forEach((name, at) => {
    const tagged = { entity: 'item' as const, row: { ...itemFields({ name }), id: `i${at}`, seq: 1, retired: false } };
    state.put(tagged);
    finder.update(tagged);
  });

  it('the right one is among the first three in at least 98 of 100', () => {
    const random = seededRandom(12);
    let [asked, right] = [0, 0];
    for (const [at, name] of names.entries()) {
      for (const word of name.split(' ').filter(({ length }) => length === 4 || length === 5)) {
        for (let times = 0; times < 12; times++) {
          const typed = mistyped(word, random);
          // What happens to be another word says that word.
          if (typed.length < 4 || names.some((other) => other.split(' ').some((one) => one.startsWith(typed))))
            continue;
          asked++;
          if (finder.find(typed, 3).some((found) => found.kind === 'item' && found.item.id === `i${at}`)) right++;
        }
      }
    }
    expect(asked).toBeGreaterThan(400);
    expect(right / asked).toBeGreaterThanOrEqual(0.98);
  });

  it.each([
    ['towel', 'towel'],
    ['twoel', 'towel'],
    ['block tower', 'tower block'],
    ['blcok toewr', 'tower block'],
  ])('%s finds %s first', (query, name) => {
    const [first] = finder.find(query, 3);
    expect(first?.kind === 'item' ? first.item.name : null).toBe(name);
  });
});
