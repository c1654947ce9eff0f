import { HouseholdState } from '@ours/core';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { ordinalWords, shelfPlaceWords, wayTo } from './placeWords';

const shelf = { name: '', kind: 'shelf' as const };

it.each([
  [1, 'first'],
  [10, 'tenth'],
  [11, '11th'],
  [12, '12th'],
  [21, '21st'],
  [22, '22nd'],
  [23, '23rd'],
  [111, '111th'],
])('%d in order is %s', (count, words) => expect(ordinalWords(count)).toBe(words));

it.each([
  [{ at: 0, of: 1 }, 'shelf'],
  [{ at: 0, of: 3 }, 'top shelf'],
  [{ at: 1, of: 3 }, 'second shelf from top'],
  [{ at: 2, of: 3 }, 'bottom shelf'],
])('a shelf without a name at %j', (among, words) => expect(shelfPlaceWords(shelf, among)).toBe(words));

it('a shelf’s own name goes first', () => {
  expect(shelfPlaceWords({ name: 'guest linen', kind: 'shelf' }, { at: 1, of: 3 })).toBe('guest linen');
  expect(shelfPlaceWords({ name: '', kind: 'door_rack' }, { at: 1, of: 2 })).toBe('bottom door rack');
});

describe('the way to a nook', () => {
  const home = (bins: number): HouseholdState => {
    const state = new HouseholdState();
    for (const row of sampleRows()) state.put(row);
    const bin = state.get('bin', ID.bin)!;
    for (let at = 1; at < bins; at++) state.put({ entity: 'bin', row: { ...bin, id: `bin-${at}`, sort: at } });
    state.put({ entity: 'bin', row: { ...bin, id: 'inner', name: 'wicks', parentBinId: ID.bin } });
    return state;
  };
  it.each([
    [1, ID.bin, 'paper lanterns'],
    [3, ID.bin, 'paper lanterns, left'],
    [3, 'bin-1', 'paper lanterns, middle'],
    [4, 'bin-1', 'paper lanterns, second from left'],
    [4, 'bin-3', 'paper lanterns, right'],
  ])('with %d bins on the shelf', (bins, id, last) => {
    expect(wayTo(home(bins), id)!.steps).toEqual(['Boat loft', 'Rack 1', 'shelf', last]);
  });
  it('goes into bins in bins, ends at a space, and is null for what is not known', () => {
    expect(wayTo(home(1), 'inner')!.steps.slice(-2)).toEqual(['paper lanterns', 'wicks']);
    expect(wayTo(home(1), ID.rack)!.steps).toEqual(['Boat loft', 'Rack 1']);
    expect(wayTo(home(1), 'nowhere')).toBeNull();
  });
});
