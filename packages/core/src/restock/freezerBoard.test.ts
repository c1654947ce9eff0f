import { applyCommand, HouseholdState, type LotRow, type Op, type PickRow } from '../household';
import { AS_ADULT, idMaker, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { freezerBoard, openPicks, opsForPicking, opsForTakingOut, pickedOf, thawPlaceOf } from './freezerBoard';

const TODAY = '2026-11-24';
const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: TODAY };

/** The sample rack as a freezer with stew (4 tubs, frozen in August) and bought peas in it. */
function freezer(more: Partial<LotRow> = {}): { state: HouseholdState; shelfId: string; spaceId: string } {
  const state = new HouseholdState();
  for (const tagged of sampleRows()) if (tagged.entity !== 'lot' && tagged.entity !== 'item') state.put(tagged);
  const space = state.all('space')[0]!;
  state.put({ entity: 'space', row: { ...space, kind: 'chest_freezer' } });
  const shelf = state.shelvesOf(space.id)[0]!;
  for (const [id, name] of [
    ['stew', 'Bean stew'],
    ['peas', 'Peas'],
  ] as const)
    state.put({ entity: 'item', row: { ...itemFields({ name, unit: 'tub' }), id, seq: 1, retired: false } });
  const lot = { nookId: shelf.id, quantityThousandths: 4000, bookThousandths: 4000 };
  state.put({ entity: 'lot', row: lotRow('s', { ...lot, itemId: 'stew', frozenOn: '2026-08-21', ...more }) });
  state.put({
    entity: 'lot',
    row: lotRow('p', { ...lot, itemId: 'peas', expiresOn: '2027-05-01', dateKind: 'best_before' }),
  });
  return { state, shelfId: shelf.id, spaceId: space.id };
}
const run = (state: HouseholdState, ops: readonly Op[]): void => {
  const outcome = applyCommand(
    state,
    { id: context.newId(), intent: 'x', occurredAt: context.now, ops: [...ops] },
    AS_ADULT,
  );
  if (!outcome.ok) throw new Error(JSON.stringify(outcome));
  for (const tagged of outcome.changed) state.put(tagged);
};

it('shows each layer, what should be eaten first on top, and how long it is in', () => {
  const { state, shelfId, spaceId } = freezer();
  const [layer, ...others] = freezerBoard(state, spaceId, TODAY);
  expect(others).toEqual([]);
  expect(layer!.nookId).toBe(shelfId);
  // Stews keep 2 months of quality by the published table: 21 August to 21 October.
  expect(layer!.lots.map(({ item, days, due }) => [item.name, days, due?.on])).toEqual([
    ['Bean stew', 95, '2026-10-21'],
    ['Peas', null, '2027-05-01'],
  ]);
});

it('what is picked for a day comes out the day before, and then has its day', () => {
  const { state, spaceId } = freezer();
  run(state, opsForPicking(state.get('lot', 's')!, 1000, '2026-11-26', context));
  run(state, opsForPicking(state.get('lot', 's')!, 2000, '2026-11-25', context));
  const picks = openPicks(state);
  expect(picks.map(({ thawOn, pick }) => [thawOn, pick.amountThousandths])).toEqual([
    ['2026-11-24', 2000],
    ['2026-11-25', 1000],
  ]);
  expect(pickedOf(picks, 's')).toBe(3000);
  run(state, opsForTakingOut(picks[0]!, spaceId, state.lotsIn(spaceId), context));
  expect(openPicks(state)).toHaveLength(1);
  const out = state.lotsIn(spaceId).find(({ itemId }) => itemId === 'stew')!;
  expect([out.quantityThousandths, out.thawedOn, state.get('lot', 's')!.quantityThousandths]).toEqual([
    2000,
    TODAY,
    2000,
  ]);
  expect(thawPlaceOf(state)).toBeNull();
});

it('what was bought frozen thaws as well, and is not mixed with what did not', () => {
  const { state, spaceId, shelfId } = freezer();
  state.put({ entity: 'lot', row: { ...state.get('lot', 'p')!, id: 'q', nookId: spaceId } });
  run(state, opsForPicking(state.get('lot', 'p')!, 1000, '2026-11-25', context));
  run(state, opsForTakingOut(openPicks(state)[0]!, spaceId, state.lotsIn(spaceId), context));
  expect(
    state.lotsIn(spaceId).map(({ thawedOn, quantityThousandths }) => [thawedOn ?? null, quantityThousandths]),
  ).toEqual([
    [null, 4000],
    [TODAY, 1000],
  ]);
  expect(state.lotsIn(shelfId).find(({ id }) => id === 'p')!.quantityThousandths).toBe(3000);
});

it('picks say what is no longer there, and share what is', () => {
  const { state } = freezer({ quantityThousandths: 1500, bookThousandths: 1500 });
  const pick = (id: string, forDay: string): PickRow => ({
    id,
    seq: 1,
    retired: false,
    lotId: 's',
    amountThousandths: 1000,
    forDay,
    thawedOn: null,
  });
  state.put({ entity: 'pick', row: pick('a', '2026-11-25') });
  state.put({ entity: 'pick', row: pick('b', '2026-11-26') });
  expect(openPicks(state).map(({ shortThousandths }) => shortThousandths)).toEqual([0, 500]);
  state.put({ entity: 'lot', row: { ...state.get('lot', 's')!, quantityThousandths: 0, retired: true } });
  const gone = openPicks(state);
  expect(gone.map(({ lot, shortThousandths }) => [lot, shortThousandths])).toEqual([
    [null, 1000],
    [null, 1000],
  ]);
  expect(opsForTakingOut(gone[0]!, 'x', [], context)).toEqual([]);
});
