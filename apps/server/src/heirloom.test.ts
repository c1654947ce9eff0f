import { heirloomFields } from '../../../packages/core/src/household/heirloom.test-support';
import type { Op } from '@ours/core';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { createTable } from './db/rowSql';
import { asOp, Caller, command, event, smallHome, startServer, type TestServer } from './testHome.test-support';

/** A kind defined a moment ago, with a table and its protection, is sent, refused, stored, fed and read like any other. */
let server: TestServer;
let owner: pg.Client;
beforeAll(async () => {
  server = await startServer();
  owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
  await owner.query(createTable('heirloom' as never));
  await owner.query("select protect_household_table('heirloom')");
}, 60_000);
afterAll(async () => {
  await owner.end();
  await server.close();
});

describe('a new kind of row', () => {
  it('goes through command, feed and history, and nobody else sees it', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa@ferry.example');
    const home = smallHome();
    await runa.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 1, 1))]));
    const id = uuidv7();
    const fields = heirloomFields(home.id.lot);
    const create = (more: object = {}): Op =>
      ({ op: 'create', entity: 'heirloom', id, fields: { ...fields, ...more } }) as never;
    const [gone] = await runa.send(command([create({ lotId: uuidv7() })]));
    expect(gone).toMatchObject({ status: 'refused', refusal: { kind: 'parent_missing', entity: 'heirloom' } });
    const wrong = await runa.call('POST', '/commands', { commands: [command([create({ givenOn: '1998-02-30' })])] });
    expect(wrong).toMatchObject({ status: 400, body: { detail: expect.stringMatching(/givenOn/) } });
    const [made] = await runa.send(command([create()]));
    expect(made).toMatchObject({ status: 'applied' });
    const found = (await runa.changes()).rows.find(({ row }) => row.id === id);
    expect(found).toEqual({
      entity: 'heirloom',
      row: { ...fields, id, seq: (made as { seq: number }).seq, retired: false },
    });
    const stranger = new Caller(server.base);
    await stranger.signUp('stranger@ferry.example');
    expect((await stranger.changes()).rows.map(({ entity }) => entity)).toEqual(['household']);
    const { entries } = (await runa.call('GET', '/history')).body as { entries: { summary: string[] }[] };
    expect(entries[0]!.summary).toEqual(['Brass compass']);
  });
});
