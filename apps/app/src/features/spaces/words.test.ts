import { shelfKindsOf, type NookSummary, type SpaceKind } from '@ours/core';
import { addedSpaceWords, againstWords, heldWords, purposeWords, shelfFieldWords, spaceSizeWords } from './words';

describe('what is said about a space', () => {
  const summary: NookSummary = { lots: 0, itemNames: [], late: 0, soon: 0, low: 0, pleaseCount: 0 };
  it.each<[Partial<NookSummary>, string]>([
    [{}, 'empty'],
    [{ lots: 1 }, '1 thing'],
    [{ lots: 34, late: 1, soon: 2 }, '34 things, 1 too late, 2 soon'],
  ])('%j', (held, words) => expect(heldWords({ ...summary, ...held })).toBe(words));

  it('says its size in the home’s unit, or that it was not measured', () => {
    const size = { widthTenthMm: 9144, heightTenthMm: 20320 };
    expect(spaceSizeWords(size, 'metric')).toBe('91.4 × 203.2 cm');
    expect(spaceSizeWords(size, 'inch')).toBe('36" × 80"');
    expect(spaceSizeWords({ ...size, heightTenthMm: null }, 'metric')).toBe('not measured');
  });

  it.each<[SpaceKind, number, readonly string[]]>([
    ['closet', 3, ['Top shelf', 'Shelf 2', 'Bottom shelf']],
    ['drawer_unit', 2, ['Top drawer', 'Bottom drawer']],
    ['cupboard', 1, ['Shelf']],
    ['chest_freezer', 1, ['Hanging basket 1', 'Hanging basket 2', 'Floor']],
  ])('%s with %i', (kind, count, words) => {
    const shelves = shelfKindsOf(kind, count);
    expect(shelves.map((shelf, at) => shelfFieldWords(shelf, at, shelves))).toEqual(words);
  });

  it.each<[SpaceKind, number, string[][], string]>([
    ['closet', 1, [], 'Added: New with 1 shelf.'],
    ['drawer_unit', 2, [['socks'], []], 'Added: New with 2 drawers and 1 bin.'],
    ['vehicle', 1, [['a', 'b']], 'Added: New with 1 floor place and 2 bins.'],
  ])('%s of %i with %j', (kind, count, bins, words) =>
    expect(addedSpaceWords('New', { kind, count, bins })).toBe(words),
  );
});

test('what a shelf is for, and what breaks it', () => {
  expect(purposeWords({ words: 'guests', takes: ['towel', 'guest'] })).toBe('For guests: towel, guest.');
  expect(purposeWords({ words: 'guests', takes: [] })).toBe('For guests.');
  expect(againstWords(['Drill', 'Drill', 'Saw'])).toBe('Not what it is for: Drill, Saw.');
  expect(againstWords(['a', 'b', 'c', 'd', 'e', 'f'])).toBe('Not what it is for: a, b, c, d and 2 more.');
});
