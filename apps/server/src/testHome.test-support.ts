/** A server on a database of its own, for one suite. */
import {
  writeCode,
  type BinFields,
  type Command,
  type ItemFields,
  type LedgerEvent,
  type LotFields,
  type Op,
} from '@ours/core';
import { HOME_HEADER, type CommandAnswer, type ChangePage } from '@ours/contracts';
import { randomBytes } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { createServer } from './app';
import { createContext } from './createContext';
import { migrateDatabase } from './db/migrate';

export interface TestServer {
  base: string;
  databaseUrl: string;
  ownerUrl: string;
  close: () => Promise<void>;
}

const inDatabase = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

export async function startServer(): Promise<TestServer> {
  const [owner, app] = [process.env.TEST_OWNER_URL!, process.env.TEST_DATABASE_URL!];
  const name = `suite_${randomBytes(6).toString('hex')}`;
  const admin = new pg.Client({ connectionString: owner });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await migrateDatabase(inDatabase(owner, name), `${__dirname}/../drizzle`);
  const databaseUrl = inDatabase(app, name);
  const context = await createContext({
    databaseUrl,
    log: pino({ level: 'silent' }),
    signInTriesPerMinute: 1000,
    requestsPerMinute: 1e9,
  });
  const server = createServer(context, null).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  return {
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`,
    databaseUrl,
    ownerUrl: inDatabase(owner, name),
    close: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await context.close();
      await admin.query(`drop database ${name} with (force)`);
      await admin.end();
    },
  };
}

export class Caller {
  cookie = '';
  /** The home that requests name. */
  home = '';
  constructor(private readonly base: string) {}

  async call(method: string, path: string, body?: unknown, headers: Record<string, string> = {}) {
    const response = await fetch(this.base + path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        cookie: this.cookie,
        [HOME_HEADER]: this.home,
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const set = response.headers.get('set-cookie');
    if (set) this.cookie = set.split(';')[0]!;
    const text = await response.text();
    const named = /"householdId":"([0-9a-f-]+)"/.exec(text)?.[1];
    if (named && response.ok && !path.startsWith('/homes')) this.home = named;
    return {
      status: response.status,
      body: (text === '' ? null : JSON.parse(text)) as never,
      type: response.headers.get('content-type'),
      set,
    };
  }

  async signUp(email: string, more: object = { householdName: 'Ferry house' }): Promise<void> {
    const answer = await this.call('POST', '/accounts', {
      name: email.split('@')[0],
      email,
      password: 'a ferry on the river',
      ...more,
    });
    if (answer.status !== 201) throw new Error(JSON.stringify(answer));
  }

  async send(...commands: Command[]): Promise<CommandAnswer[]> {
    const answer = await this.call('POST', '/commands', { commands });
    if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
    return (answer.body as { answers: CommandAnswer[] }).answers;
  }

  /** Everything that changed, through all pages. */
  async changes(since = 0): Promise<ChangePage> {
    const rows: ChangePage['rows'] = [];
    for (let cursor: string | null = null; ;) {
      const page: ChangePage = (
        await this.call('GET', `/changes?since=${since}${cursor === null ? '' : `&cursor=${cursor}`}`)
      ).body;
      rows.push(...page.rows);
      cursor = page.cursor;
      if (cursor === null) return { ...page, rows };
    }
  }
}

export const at = (minute: number): string => new Date(Date.UTC(2026, 10, 24, 8, minute)).toISOString();
export const command = (ops: Op[], more: Partial<Command> = {}): Command => ({
  id: uuidv7(),
  intent: 'tested',
  occurredAt: at(0),
  ops,
  ...more,
});
export const event = (
  lotId: string,
  kind: LedgerEvent['kind'],
  quantity: number,
  minute: number,
  voids: string | null = null,
): LedgerEvent => ({
  id: uuidv7(),
  lotId,
  kind,
  quantityThousandths: quantity * 1000,
  occurredAt: at(minute),
  reason: null,
  voids,
});
export const asOp = (one: LedgerEvent): Op => ({ op: 'event', event: one });

/** A room with a rack, a shelf, a bin, an item and an empty lot. */
export function smallHome() {
  const id = { room: uuidv7(), space: uuidv7(), shelf: uuidv7(), bin: uuidv7(), item: uuidv7(), lot: uuidv7() };
  const unmeasured = { leftTenthMm: null, widthTenthMm: null, heightTenthMm: null, depthTenthMm: null };
  const bin: BinFields = {
    shelfId: id.shelf,
    parentBinId: null,
    name: 'lanterns',
    look: 'see_through',
    hasLid: true,
    code: writeCode('BL1', 'A1'),
    sort: 0,
    tags: [],
    ...unmeasured,
  };
  const item: ItemFields = {
    name: 'Paper lanterns',
    category: '',
    unit: 'piece',
    synonyms: [],
    tags: [],
    lowAtThousandths: null,
    openedDays: null,
    freezerMonths: null,
  };
  const lot: LotFields = {
    itemId: id.item,
    nookId: id.bin,
    packSize: null,
    expiresOn: null,
    dateKind: null,
    openedOn: null,
    frozenOn: null,
    note: '',
  };
  const ops: Op[] = [
    { op: 'create', entity: 'room', id: id.room, fields: { name: 'Boat loft', sort: 0 } },
    {
      op: 'create',
      entity: 'space',
      id: id.space,
      fields: {
        roomId: id.room,
        name: 'Rack 1',
        kind: 'storage_rack',
        code: writeCode('BL1', ''),
        widthTenthMm: 18000,
        heightTenthMm: null,
        depthTenthMm: null,
        postWidthTenthMm: null,
        locked: false,
        note: '',
        sort: 0,
      },
    },
    {
      op: 'create',
      entity: 'shelf',
      id: id.shelf,
      fields: {
        spaceId: id.space,
        name: '',
        kind: 'shelf',
        code: writeCode('BL1', 'A'),
        sort: 0,
        bottomTenthMm: null,
        ...unmeasured,
      },
    },
    { op: 'create', entity: 'bin', id: id.bin, fields: bin },
    { op: 'create', entity: 'item', id: id.item, fields: item },
    { op: 'create', entity: 'lot', id: id.lot, fields: lot },
  ];
  return { id, bin, item, lot, ops };
}

/** What a device that follows the feed from the start has of one lot. */
export async function quantityOf(caller: Caller, lotId: string): Promise<{ quantity: number; pleaseCount: boolean }> {
  const { rows } = await caller.changes();
  const found = rows.find(({ row }) => row.id === lotId)?.row as unknown as {
    quantityThousandths: number;
    pleaseCount: boolean;
  };
  return { quantity: found.quantityThousandths / 1000, pleaseCount: found.pleaseCount };
}
