import { HouseholdState } from '../household';
import { itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { recordedOfKind } from './backlog';

it('what is called so or is of that kind, in the singular and the plural; nothing that is only spelled alike', () => {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  const thing = (id: string, more: Parameters<typeof itemFields>[0], count = 1): void => {
    state.put({ entity: 'item', row: { id, seq: 1, retired: false, ...itemFields({ name: id, ...more }) } });
    state.put({
      entity: 'lot',
      row: lotRow(`lot ${id}`, { itemId: id, nookId: 'bin', quantityThousandths: count * 1000 }),
    });
  };
  thing('hammer', { category: 'Tools' });
  thing('Multi-tool', {});
  thing('pliers', { tags: ['tool'] });
  thing('Wool jumper', {});
  thing('used up saw', { category: 'Tools' }, 0);
  const found = (words: string) => recordedOfKind(state, words).map(({ item }) => item.name);
  expect(found('tools')).toEqual(['Multi-tool', 'hammer', 'pliers']);
  expect(found('multi tool')).toEqual(['Multi-tool']);
  expect(found('  ')).toEqual([]);
});
