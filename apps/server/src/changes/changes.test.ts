import type { TaggedRow } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { Caller, command, smallHome, startServer, type TestServer } from '../testHome.test-support';
import { PAGE_ROWS } from './changeService';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

describe('the change feed', () => {
  it('is complete and in order, page by page, whole commands only', async () => {
    const caller = new Caller(server.base);
    await caller.signUp('runa@ferry.example');
    const { item } = smallHome();
    const sizes = Array.from({ length: 9 }, (_, i) => 200 + i * 30);
    for (const size of sizes) {
      await caller.send(
        command(
          Array.from({ length: size }, (_, i) => ({
            op: 'create' as const,
            entity: 'item' as const,
            id: uuidv7(),
            fields: { ...item, name: `Thing ${i}` },
          })),
        ),
      );
    }
    const wanted = sizes.reduce((a, b) => a + b, 0);
    expect(wanted).toBeGreaterThan(PAGE_ROWS);
    const rows: TaggedRow[] = [];
    const pages: number[] = [];
    for (let since = 0; ;) {
      const page = await caller.changes(since);
      expect(page.seq).toBeGreaterThan(since);
      rows.push(...page.rows);
      pages.push(page.seq);
      since = page.seq;
      if (!page.more) break;
    }
    expect(pages.length).toBeGreaterThan(1);
    expect(rows.filter(({ entity }) => entity === 'item')).toHaveLength(wanted);
    expect(new Set(rows.map(({ row }) => row.id)).size).toBe(wanted + 1);
    expect((await caller.changes(pages.at(-1))).rows).toEqual([]);
  }, 60_000);

  it.each(['-1', 'x', '1.5'])('says what is wrong with since=%s', async (since) => {
    const caller = new Caller(server.base);
    await caller.signUp(`${uuidv7()}@ferry.example`);
    expect(await caller.call('GET', `/changes?since=${since}`)).toMatchObject({
      status: 400,
      body: { code: 'bad_request' },
    });
  });
});
