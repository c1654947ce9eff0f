import { HouseholdState, type BinRow, type LotRow } from '../household';
import { binFields, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { groupUses } from './groupUse';

const TODAY = '2026-11-27';
const base = (id: string) => ({ id, seq: 1, retired: false });
const person = (id: string, role: 'adult' | 'child', reachTenthMm: number | null) => ({
  entity: 'person' as const,
  row: { ...base(id), name: id, role, ageYears: role === 'child' ? 6 : null, reachTenthMm, colour: '' } as never,
});
function home(
  bin: Partial<BinRow> = {},
  lots: LotRow[] = [lotRow('lot', { quantityThousandths: 2000 })],
): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({ entity: 'bin', row: { ...base('bin'), ...binFields(), ...bin } });
  for (const row of lots) state.put({ entity: 'lot', row });
  return state;
}
const usesOf = (state: HouseholdState, lots = state.lotsIn('bin')) =>
  groupUses(state, [{ id: 'own:lanterns', lots, binIds: ['bin'] }], TODAY)['own:lanterns']!;

it('of which nothing is known: a monthly taking, as a guess, by somebody of ordinary reach', () => {
  expect(usesOf(home())).toMatchObject({
    uses: 1,
    usesFrom: 'guess',
    who: [{ reachMm: 1900, steps: true, share: 1 }],
  });
});

it('the home’s word on the bin wins; the grown people take alike, or those who are named', () => {
  const state = home({ handling: { often: 'daily', personIds: null, roomId: null } as never });
  for (const one of [person('Ada', 'adult', 20_000), person('Bo', 'adult', null), person('Kim', 'child', null)])
    state.put(one);
  expect(usesOf(state)).toMatchObject({ uses: 30, usesFrom: 'said' });
  expect(usesOf(state).who).toEqual([
    { reachMm: 2000, steps: true, share: 0.5 },
    { reachMm: 1900, steps: true, share: 0.5 },
  ]);
  const named = home({ handling: { often: null, personIds: ['Kim'], roomId: null } as never });
  named.put(person('Ada', 'adult', null));
  named.put(person('Kim', 'child', null));
  expect(usesOf(named).who).toEqual([{ reachMm: 1200, steps: false, share: 1 }]);
});

it('its largest thing, and the volume of one where all are alike and known', () => {
  const traits = (volumeMl: number) => ({ weightGrams: 900, volumeMl, textile: null, groups: {} });
  const state = home();
  state.put({ entity: 'item', row: { ...base('lanterns'), ...itemFields({ traits: traits(7000) }) } });
  expect(usesOf(state)).toMatchObject({ largestMl: 7000, pieceMl: 7000 });
  state.put({ entity: 'item', row: { ...base('large'), ...itemFields({ traits: traits(12_000) }) } });
  state.put({ entity: 'item', row: { ...base('unknown'), ...itemFields() } });
  const lots = [...state.lotsIn('bin'), lotRow('b', { itemId: 'large' }), lotRow('c', { itemId: 'unknown' })];
  expect(usesOf(state, lots)).toMatchObject({ largestMl: 12_000, pieceMl: null });
});

it('its bins of now are known by the containers they are', () => {
  expect(usesOf(home())).not.toHaveProperty('now');
  expect(usesOf(home({ containerId: 'crate' })).now).toEqual([{ containerId: 'crate', shelfId: 'top' }]);
});
