import type { ChangePage } from '@ours/contracts';
import type { Op, TaggedRow } from '@ours/core';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { asOp, Caller, command, event, smallHome, startServer, type TestServer } from '../../testHome.test-support';
import { writeRows } from '../commands/writeRows';
import { drizzle } from 'drizzle-orm/node-postgres';
import { PAGE_ROWS } from './changeService';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

async function newHome(): Promise<Caller> {
  const caller = new Caller(server.base);
  await caller.signUp(`${uuidv7()}@ferry.example`);
  return caller;
}
const pageAfter = async (caller: Caller, since: number, cursor: string | null): Promise<ChangePage> =>
  (await caller.call('GET', `/changes?since=${since}${cursor === null ? '' : `&cursor=${cursor}`}`)).body;
const room = (id: string, name = 'Shed'): Op => ({ op: 'create', entity: 'room', id, fields: { name, sort: 0 } });

/** Many rooms under one number, as a command of any size would leave them. */
async function writeRooms(caller: Caller, ids: readonly string[], seq: number): Promise<void> {
  const client = new pg.Client({ connectionString: server.ownerUrl });
  await client.connect();
  const rows = ids.map((id) => ({ entity: 'room', row: { id, seq, retired: false, name: 'r', sort: 0 } }) as TaggedRow);
  await writeRows(drizzle(client) as never, caller.home, rows);
  await client.query('update household_seq set seq = $2 where household_id = $1', [caller.home, seq]);
  await client.end();
}

describe('the change feed', () => {
  it('is complete and in order, page by page, in the middle of one command too', async () => {
    const caller = await newHome();
    const ids = Array.from({ length: PAGE_ROWS * 2 + 5 }, () => uuidv7());
    await writeRooms(caller, ids, 2);
    const pages: ChangePage[] = [];
    for (let cursor: string | null = null; pages.length === 0 || cursor !== null;) {
      const page = await pageAfter(caller, 0, cursor);
      pages.push(page);
      cursor = page.cursor;
    }
    expect(pages.map(({ rows }) => rows.length)).toEqual([PAGE_ROWS, PAGE_ROWS, 6]);
    expect(pages.map(({ seq }) => seq)).toEqual([0, 0, 2]);
    const seen = pages.flatMap(({ rows }) => rows.map(({ row }) => row.id));
    expect(new Set(seen)).toEqual(new Set([...ids, caller.home]));
    expect(seen).toHaveLength(ids.length + 1);
    expect((await caller.changes(2)).rows).toEqual([]);
  }, 60_000);

  it('a device that starts anew gets no old tombstones on any page, and those made meanwhile', async () => {
    const caller = await newHome();
    const [gone, stays] = [uuidv7(), uuidv7()];
    await caller.send(command([room(gone), room(stays)]), command([{ op: 'retire', entity: 'room', id: gone }]));
    const first = Array.from({ length: PAGE_ROWS + 1 }, () => uuidv7());
    await writeRooms(caller, first, 4);
    const page = await pageAfter(caller, 0, null);
    const had = page.rows.filter(({ entity }) => entity === 'room').map(({ row }) => row.id);
    expect(had).not.toContain(gone);
    // Between the pages: one that the device has, and one that it does not have yet, are retired.
    const notYet = first.find((id) => !had.includes(id))!;
    const retire = (id: string): Op => ({ op: 'retire', entity: 'room', id });
    await caller.send(command([retire(stays), retire(notYet)]));
    const rest = await pageAfter(caller, 0, page.cursor);
    const state = new Map([...page.rows, ...rest.rows].map(({ row }) => [row.id, row.retired]));
    expect(state.get(stays)).toBe(true);
    expect(state.get(notYet)).not.toBe(false);
    expect(state.has(gone)).toBe(false);
    expect(rest.cursor).toBeNull();
    // One that is up to date gets the tombstone.
    const tombstones = (await caller.changes(4)).rows.filter(({ row }) => row.retired);
    expect(tombstones.map(({ row }) => row.id).sort()).toEqual([stays, notYet].sort());
  }, 60_000);

  it('a device that is ahead of the data hears another generation and can start anew', async () => {
    const caller = await newHome();
    const now = await caller.changes();
    const ahead = await pageAfter(caller, now.seq + 7, null);
    expect(ahead.generation).not.toBe(now.generation);
    expect((await caller.changes(now.seq)).generation).toBe(now.generation);
  });

  it('data put back from a backup has another generation', async () => {
    const caller = await newHome();
    const before = (await caller.changes()).generation;
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    await owner.query('select begin_new_generation()');
    await owner.end();
    expect((await caller.changes()).generation).not.toBe(before);
  });

  it('rows come back as they were sent', async () => {
    const caller = await newHome();
    const home = smallHome();
    await caller.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 2.5, 3))]));
    const { rows } = await caller.changes();
    const lot = rows.find(({ row }) => row.id === home.id.lot)!.row;
    // Fields that came later and were left out are empty.
    expect(lot).toEqual({
      ...home.lot,
      bookThousandths: 2500,
      condition: null,
      thawedOn: null,
      decantedOn: null,
      inUseOn: null,
      madeOn: null,
      madeKind: null,
      batch: null,
      id: home.id.lot,
      seq: 3,
      retired: false,
      quantityThousandths: 2500,
      pleaseCount: false,
      countedAt: null,
      lastAt: { id: expect.any(String), occurredAt: '2026-11-24T08:03:00.000Z' },
    });
    const bin = rows.find(({ row }) => row.id === home.id.bin)!.row;
    expect(bin).toMatchObject({ ...home.bin, containerId: null, standing: null });
  });

  it.each(['since=-1', 'since=x', 'since=1.5', 'since=0&cursor=nonsense', 'since=0&cursor=1.2.3.x'])(
    'says what is wrong with %s',
    async (query) => {
      const caller = await newHome();
      expect(await caller.call('GET', `/changes?${query}`)).toMatchObject({
        status: 400,
        body: { code: 'bad_request' },
      });
    },
  );
});
