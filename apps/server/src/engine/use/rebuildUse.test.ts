import { readDigest, bookOf, useIdOf } from '@ours/core';
import pg from 'pg';
import { asOp, Caller, command, event, smallHome, startServer, type TestServer } from '../../testHome.test-support';
import { upgradeHomes } from './rebuildUse';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

describe('a home of before its use was kept', () => {
  it('gets its rows of use and the books of its lots once, and devices hear of them', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa@ferry.example');
    const home = smallHome();
    const put = event(home.id.lot, 'put_in', 6, 1);
    await runa.send(command([...home.ops, asOp(put)]), command([asOp(event(home.id.lot, 'taken', 8, 2))]));
    const before = await runa.changes();
    const use = before.rows.find(({ entity }) => entity === 'use')!;
    expect(use.row.id).toBe(useIdOf(home.id.item));
    expect(bookOf(readDigest((use.row as { digest: string }).digest))).toBe(-2000);
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    await owner.query(`select set_config('app.household', $1, false)`, [runa.home]);
    await owner.query('delete from "use"');
    await owner.query('update lot set book_thousandths = null');
    await owner.end();
    expect(await upgradeHomes(server.ownerUrl)).toBe(1);
    const after = await runa.changes(before.seq);
    expect(after.seq).toBe(before.seq + 1);
    const rowsAfter = after.rows.map(({ entity, row }) => [entity, { ...row, seq: 0 }]);
    const rowsBefore = before.rows.flatMap(({ entity, row }) =>
      entity === 'lot' || entity === 'use' ? [[entity, { ...row, seq: 0 }]] : [],
    );
    expect(rowsAfter).toEqual(rowsBefore);
    expect(await upgradeHomes(server.ownerUrl)).toBe(0);
  });
});
