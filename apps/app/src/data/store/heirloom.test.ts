import { heirloomFields } from '../../../../../packages/core/src/household/heirloom.test-support';
import 'fake-indexeddb/auto';
import type { Op } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { forgetDeviceDb } from './deviceDb';
import { HouseholdStore } from './HouseholdStore';
import { feedPage, ID, sampleRows } from './sampleRows.test-support';

describe('a kind that was defined a moment ago, on the device', () => {
  it('is received, made, kept over closing and taken back', async () => {
    const home = uuidv7();
    let store = await HouseholdStore.open(home);
    const received = { entity: 'heirloom', row: { ...heirloomFields(ID.lot), id: uuidv7(), seq: 1, retired: false } };
    await store.receive(feedPage(1, [...sampleRows(), received as never]));
    const id = uuidv7();
    const make = { op: 'create', entity: 'heirloom', id, fields: heirloomFields(ID.lot) } as never as Op;
    const done = await store.run('heirloom_added', [make]);
    if (!done.ok) throw new Error(JSON.stringify(done.refusal));
    store.close();
    store = await HouseholdStore.open(home);
    expect(store.state.all('heirloom' as never)).toHaveLength(2);
    await store.run('undone', done.undo.ops, done.undo.undoes);
    expect(store.state.all('heirloom' as never)).toHaveLength(1);
    const wrong = { ...heirloomFields(ID.lot), name: '' };
    const refused = await store.run('heirloom_added', [{ ...(make as object), id: uuidv7(), fields: wrong } as never]);
    expect(refused).toMatchObject({ ok: false, refusal: { kind: 'not_accepted' } });
    store.close();
    await forgetDeviceDb(home);
  });
});
