import { HouseholdState } from './HouseholdState';
import { lotRow, sampleHome, sampleRows } from './sampleHome.test-support';

/** The kept-up look-ups must always equal those of a state built anew from the same rows. */
function rebuilt(state: HouseholdState): HouseholdState {
  const fresh = new HouseholdState();
  for (const kind of ['room', 'space', 'shelf', 'bin', 'item', 'lot'] as const) {
    for (const row of state.all(kind)) fresh.put({ entity: kind, row } as never);
  }
  return fresh;
}

describe('HouseholdState', () => {
  it('answers the same after moves as when built anew', () => {
    const state = sampleHome();
    const bin = state.get('bin', 'bin')!;
    state.put({ entity: 'bin', row: { ...bin, shelfId: 'low' } });
    state.put({ entity: 'lot', row: lotRow('lot', { nookId: 'bin2' }) });
    state.put({ entity: 'lot', row: lotRow('lot9', { nookId: 'bin' }) });
    for (const id of ['top', 'low', 'bin', 'bin2']) {
      expect(state.binsIn(id)).toEqual(rebuilt(state).binsIn(id));
      expect(state.lotsIn(id)).toEqual(rebuilt(state).lotsIn(id));
    }
    expect(
      state
        .lotsOf('lanterns')
        .map((lot) => lot.id)
        .sort(),
    ).toEqual(['lot', 'lot9']);
  });

  it('leaves out what is used up or retired, but not what asks for a count', () => {
    const state = sampleHome();
    state.put({ entity: 'lot', row: lotRow('empty', { quantityThousandths: 0 }) });
    state.put({ entity: 'lot', row: lotRow('odd', { quantityThousandths: 0, pleaseCount: true }) });
    state.put({ entity: 'lot', row: lotRow('gone', { retired: true }) });
    expect(
      state
        .lotsIn('bin')
        .map((lot) => lot.id)
        .sort(),
    ).toEqual(['lot', 'odd']);
  });

  it('forgets a row with its look-ups', () => {
    const state = sampleHome();
    state.forget('bin', 'bin2');
    expect(state.nook('bin2')).toBeUndefined();
    expect(state.binsIn('top').map((bin) => bin.id)).toEqual(['bin']);
    expect(sampleRows().length).toBe(8);
  });
});
