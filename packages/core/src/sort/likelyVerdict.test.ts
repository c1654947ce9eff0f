import { HouseholdState } from '../household';
import { binFields, itemFields, lotRow, sampleRows, spaceFields } from '../household/sampleHome.test-support';
import type { LotRow } from '../household';
import { likelyVerdict } from './likelyVerdict';

const TODAY = '2026-11-26';

function home(lot: Partial<LotRow>, item: Parameters<typeof itemFields>[0] = {}, elsewhere = false) {
  const state = new HouseholdState();
  for (const row of sampleRows()) if (row.entity !== 'lot') state.put(row);
  state.put({ entity: 'item', row: { ...itemFields(item), id: 'lanterns', seq: 1, retired: false } });
  const stray = lotRow('stray', lot);
  state.put({ entity: 'lot', row: stray });
  if (elsewhere) {
    const base = { seq: 1, retired: false };
    state.put({ entity: 'space', row: { ...spaceFields({ name: 'Other', code: 'XX-1' }), id: 'far', ...base } });
    state.put({
      entity: 'bin',
      row: { ...binFields({ shelfId: 'nowhere', code: 'XX-A11' }), id: 'far-bin', ...base },
    });
    state.put({ entity: 'lot', row: lotRow('more', { nookId: 'far-bin', quantityThousandths: 3000 }) });
  }
  return likelyVerdict(state, stray, 'rack', TODAY);
}

describe('the answer to offer first', () => {
  it.each<[string, Partial<LotRow>, boolean, string, string]>([
    ['nothing against it', {}, false, 'keep', 'nothing_against'],
    ['past its use-by date', { expiresOn: '2026-11-25', dateKind: 'use_by' }, false, 'throw_out', 'past_use_by'],
    ['its use-by date is today', { expiresOn: TODAY, dateKind: 'use_by' }, false, 'keep', 'nothing_against'],
    ['safety before tidiness', { expiresOn: '2026-11-25', dateKind: 'use_by' }, true, 'throw_out', 'past_use_by'],
    [
      'a little past best before',
      { expiresOn: '2026-09-30', dateKind: 'best_before' },
      false,
      'keep',
      'nothing_against',
    ],
    [
      'long past best before',
      { expiresOn: '2025-11-30', dateKind: 'best_before' },
      false,
      'throw_out',
      'long_past_date',
    ],
    ['more of it is elsewhere', {}, true, 'elsewhere', 'more_elsewhere'],
  ])('%s', (_, lot, elsewhere, verdict, because) =>
    expect(home(lot, {}, elsewhere)).toMatchObject({ verdict, because: { kind: because } }),
  );

  it('says where more of it is', () => expect(home({}, {}, true).toNookId).toBe('far-bin'));

  it('a guess about what keeps once opened throws nothing out', () => {
    const opened = { openedOn: '2026-10-01' };
    expect(home(opened, { name: 'Milk', category: 'dairy', openedDays: null }).verdict).toBe('keep');
    expect(home(opened, { name: 'Milk', category: 'dairy', openedDays: 3 }).verdict).toBe('throw_out');
  });
});
