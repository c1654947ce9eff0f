import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { forgetDeviceDb } from './deviceDb';
import { HouseholdStore } from './HouseholdStore';
import { feedPage, ID, sampleRows } from './sampleRows.test-support';

let home = '';
let store: HouseholdStore;
beforeEach(async () => {
  home = uuidv7();
  store = await HouseholdStore.open(home);
  await store.receive(feedPage(1, sampleRows()));
});
afterEach(async () => {
  store.close();
  await forgetDeviceDb(home);
});

describe('what a person may read', () => {
  const medicine: TaggedRow = {
    entity: 'medicine',
    row: {
      id: uuidv7(),
      seq: 2,
      retired: false,
      itemId: ID.item,
      ingredient: null,
      forWhat: [],
      personIds: [],
      limits: [],
    },
  } as TaggedRow;
  const openAs = async (role: 'adult' | 'helper' | 'child'): Promise<void> => {
    store.close();
    store = await HouseholdStore.open(home, { role, personId: null });
  };
  it('goes from the device with the role that read it, and is read anew with a role that reads it again', async () => {
    await store.receive(feedPage(2, [medicine]));
    await openAs('adult');
    expect(store.state.all('medicine')).toHaveLength(1);
    const { seq } = store;
    await openAs('helper');
    expect(store.state.all('medicine')).toEqual([]);
    expect(store.state.get('item', ID.item)).toBeDefined();
    expect(store.seq).toBe(seq);
    await openAs('child');
    expect(store.seq).toBe(seq);
    // What came in the meantime was not sent to the helper: everything is asked for again.
    await openAs('adult');
    expect(store.seq).toBe(0);
    await openAs('adult');
    expect(store.state.all('medicine')).toEqual([]);
  });
});
