import { belongsWords } from './belongsWords';

test.each([
  [{ kind: 'like', by: 'tag', word: 'boat', count: 3, of: 3 }, '3 of 3 things there are #boat.'],
  [{ kind: 'like', by: 'tag', word: 'boat', count: 1, of: 4 }, '1 of 4 things there is #boat.'],
  [{ kind: 'like', by: 'name', word: 'mitten', count: 1, of: 4 }, '1 of 4 things there has “mitten” in its name.'],
  [{ kind: 'like', by: 'name', word: 'towel', count: 2, of: 4 }, '2 of 4 things there have “towel” in their name.'],
  [{ kind: 'like', by: 'kind', word: 'medicine', count: 9, of: 10 }, '9 of 10 things there are medicine.'],
  [{ kind: 'itself', lots: 2 }, 'Most of it is there.'],
  [{ kind: 'purpose', words: 'guests' }, 'The shelf is for guests.'],
] as const)('%j', (why, words) => {
  expect(belongsWords({ why, locked: false })).toBe(words);
  expect(belongsWords({ why, locked: true })).toBe(`${words} It is locked, and a child should not get at this.`);
});
