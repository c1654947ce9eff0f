import fc from 'fast-check';
import { SortedRows } from './SortedRows';

interface Entry {
  id: string;
  rank: number;
}
const compare = (a: Entry, b: Entry): number => a.rank - b.rank || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
const change = fc.record({ id: fc.integer({ min: 0, max: 60 }), rank: fc.option(fc.integer({ min: 0, max: 9 })) });

it('is what sorting all entries gives, whatever was added, changed and taken out between two looks', () => {
  fc.assert(
    fc.property(fc.array(fc.array(change, { maxLength: 60 }), { maxLength: 8 }), (batches) => {
      const rows = new SortedRows<Entry>(compare);
      const all = new Map<string, Entry>();
      for (const batch of batches) {
        for (const { id, rank } of batch) {
          const key = `e${id}`;
          const entry = rank === null ? null : { id: key, rank };
          rows.set(key, entry);
          if (entry) all.set(key, entry);
          else all.delete(key);
        }
        expect(rows.list()).toEqual([...all.values()].sort(compare));
      }
    }),
    { numRuns: 300, seed: 11 },
  );
});

it('gives the same array while nothing changes, and leaves the one it gave as it was', () => {
  const rows = new SortedRows<Entry>(compare);
  rows.set('a', { id: 'a', rank: 1 });
  const first = rows.list();
  expect(rows.list()).toBe(first);
  rows.set('b', { id: 'b', rank: 0 });
  expect(rows.list().map(({ id }) => id)).toEqual(['b', 'a']);
  expect(first.map(({ id }) => id)).toEqual(['a']);
});
