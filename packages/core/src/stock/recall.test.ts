import { lotRow, sampleHome } from '../household/sampleHome.test-support';
import { batchKey } from './batch';
import { recalledLots } from './recall';

function home() {
  const state = sampleHome();
  state.put({ entity: 'lot', row: lotRow('marked', { batch: 'L 2047-B' }) });
  state.put({ entity: 'lot', row: lotRow('other', { batch: 'L 2048' }) });
  state.put({ entity: 'lot', row: lotRow('gone', { batch: 'L2047B', quantityThousandths: 0 }) });
  return state;
}
const ids = (batch: string, itemId: string | null): string[] =>
  recalledLots(home(), batch, itemId).map(({ lot }) => lot.id);

describe('a recall', () => {
  it('finds a batch however it is written, and not what is used up', () => {
    expect(ids('l2047b', null)).toEqual(['marked']);
    expect(batchKey(' l.2047/b ')).toBe('L2047B');
  });
  it('of a thing and a batch also shows those whose batch nobody wrote down, after it', () => {
    expect(ids('L2047B', 'lanterns')).toEqual(['marked', 'lot']);
  });
  it('of a thing shows all of it; of nothing, nothing', () => {
    expect(ids('', 'lanterns').sort()).toEqual(['lot', 'marked', 'other']);
    expect(ids(' - ', null)).toEqual([]);
    expect(ids('L9', 'unknown')).toEqual([]);
  });
});
