import { HouseholdState, type RationRow } from '../household';
import { itemFields, lotRow } from '../household/sampleHome.test-support';
import { OFFERED_RATIONS, peopleOf, reserveDays } from './reserveDays';

const TODAY = '2026-11-24';
const water: RationRow = {
  ...OFFERED_RATIONS[0]!,
  words: [...OFFERED_RATIONS[0]!.words],
  nookId: null,
  id: 'r',
  seq: 1,
  retired: false,
};

function home(): HouseholdState {
  const state = new HouseholdState();
  const person = { seq: 1, retired: false, ageYears: null, reachTenthMm: null, note: '' };
  for (const [id, role] of [
    ['a', 'adult'],
    ['b', 'adult'],
    ['c', 'child'],
    ['h', 'helper'],
  ] as const)
    state.put({ entity: 'person', row: { ...person, id, name: id, role } as never });
  const thing = (id: string, name: string, unit: string, lots: Parameters<typeof lotRow>[1][]): void => {
    state.put({ entity: 'item', row: { ...itemFields({ name, unit, category: '' }), id, seq: 1, retired: false } });
    lots.forEach((lot, at) => state.put({ entity: 'lot', row: lotRow(`${id}${at}`, { itemId: id, ...lot }) }));
  };
  thing('bottles', 'Mineral water', 'bottle', [
    {
      quantityThousandths: 24_000,
      packSize: { amountThousandths: 1500, unit: 'l' },
      expiresOn: '2027-03-01',
      dateKind: 'best_before',
    },
  ]);
  thing('can', 'Tap waters', 'l', [{ quantityThousandths: 10_000, nookId: 'cellar' }]);
  thing('cups', 'Water cups', 'piece', [{ quantityThousandths: 6000 }]);
  thing('wine', 'White wine', 'l', [{ quantityThousandths: 9000 }]);
  return state;
}

it('days of water for the people who live here', () => {
  const answer = reserveDays(home(), water, TODAY);
  // 24 x 1.5 l and 10 l for three at 3.8 l: 46 / 11.4 = 4.03.
  expect(answer).toMatchObject({ people: 3, thousandths: 46_000, days: 4, firstEnd: '2027-03-01' });
  expect(answer.counted.map(({ item }) => item.id)).toEqual(['bottles', 'can']);
  expect(answer.notCounted.map(({ id }) => id)).toEqual(['cups']);
  expect(peopleOf(home())).toBe(3);
});

it('counts only what is in a place, and nothing past a date of safety', () => {
  const state = home();
  expect(reserveDays(state, { ...water, nookId: 'cellar' }, TODAY)).toMatchObject({ thousandths: 10_000, days: 0 });
  state.put({ entity: 'lot', row: { ...state.get('lot', 'bottles0')!, expiresOn: '2026-11-23', dateKind: 'use_by' } });
  expect(reserveDays(state, water, TODAY)).toMatchObject({ thousandths: 10_000, pastThousandths: 36_000 });
  // A best-before date is quality: past it, it still counts.
  state.put({
    entity: 'lot',
    row: { ...state.get('lot', 'bottles0')!, expiresOn: '2026-11-23', dateKind: 'best_before' },
  });
  expect(reserveDays(state, water, TODAY)).toMatchObject({ thousandths: 46_000, pastThousandths: 0 });
});

it('says nothing of days where nobody lives', () => {
  const state = new HouseholdState();
  expect(reserveDays(state, water, TODAY)).toMatchObject({ people: 0, days: null, thousandths: 0 });
});
