import { validate, version } from 'uuid';
import { idOfWords } from './idOfWords';

it('is the same for the same words, another for others, and an id that the server takes', () => {
  const ids = ['a', 'b', 'round r, 2026-11-29, r salt'].map(idOfWords);
  expect(new Set(ids).size).toBe(3);
  expect(ids).toEqual(['a', 'b', 'round r, 2026-11-29, r salt'].map(idOfWords));
  for (const id of ids) expect([validate(id), version(id)]).toEqual([true, 4]);
});
