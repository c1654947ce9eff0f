import { writeCode, type Op, type TaggedRow } from '@ours/core';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { writeRows } from '../engine/commands/writeRows';
import { asOp, Caller, command, event, smallHome, startServer, type TestServer } from '../testHome.test-support';

/** Every statement that the server runs, explained on a filled database: none reads a whole big table. */
interface Ran {
  text: string;
  values: unknown[];
}
const MANY = 3000;

let server: TestServer;
let owner: pg.Client;
const ran = new Map<string, Ran>();
const original = pg.Client.prototype.query;

beforeAll(async () => {
  server = await startServer();
  owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
}, 60_000);
afterAll(async () => {
  pg.Client.prototype.query = original;
  await owner.end();
  await server.close();
});

/** Notes each statement once, the first time it runs. */
function watch(): void {
  pg.Client.prototype.query = function (this: pg.Client, ...args: never[]) {
    const [first, second] = args as unknown as [string | { text?: string; values?: unknown[] }, unknown];
    const text = typeof first === 'string' ? first : (first.text ?? '');
    const given = typeof first === 'string' ? undefined : first.values;
    const values = Array.isArray(second) ? second : (given ?? []);
    if (!ran.has(text)) ran.set(text, { text, values });
    return (original as (...all: never[]) => unknown).apply(this, args);
  } as never;
}

async function fill(home: string, account: string): Promise<void> {
  const { bin, item, lot } = smallHome();
  const base = () => ({ id: uuidv7(), seq: 2, retired: false });
  const rows: TaggedRow[] = [];
  const prefix = 'ABCDEFGHJKLMNPRSTVWXYZ123456789';
  for (let at = 0; at < MANY; at++) {
    const letters = [at % 31, Math.floor(at / 31) % 31, Math.floor(at / 961) % 31].map((n) => prefix[n]).join('');
    rows.push({ entity: 'room', row: { ...base(), name: `Room ${at}`, sort: at } } as never);
    const space = {
      ...base(),
      roomId: rows.at(-1)!.row.id,
      name: 's',
      kind: 'other',
      code: writeCode(letters, ''),
      locked: false,
    };
    const size = { widthTenthMm: null, heightTenthMm: null, depthTenthMm: null, postWidthTenthMm: null };
    rows.push({ entity: 'space', row: { ...space, ...size, note: '', sort: at } } as never);
    const inSpace = { spaceId: space.id, name: '', kind: 'shelf', code: writeCode(letters, 'A'), sort: 0 };
    rows.push({ entity: 'shelf', row: { ...base(), ...inSpace, leftTenthMm: null, bottomTenthMm: null } } as never);
    const shelfId = rows.at(-1)!.row.id;
    rows.push({ entity: 'bin', row: { ...base(), ...bin, shelfId, code: writeCode(letters, 'A1') } } as never);
    const nookId = rows.at(-1)!.row.id;
    rows.push({ entity: 'item', row: { ...base(), ...item, name: `Thing ${at}` } } as never);
    const itemId = rows.at(-1)!.row.id;
    const amount = { quantityThousandths: 1000, pleaseCount: false, countedAt: null, lastAt: null };
    rows.push({ entity: 'lot', row: { ...base(), ...lot, nookId, itemId, ...amount } } as never);
  }
  await writeRows(drizzle(owner) as never, home, rows);
  await owner.query(
    `insert into ledger_event (household_id, id, lot_id, command_id, kind, quantity_thousandths, occurred_at)
     select $1, gen_random_uuid(), id, gen_random_uuid(), 'put_in', 1000, now() from lot, generate_series(1, 3) where household_id = $1`,
    [home],
  );
  await owner.query(
    `insert into command_log (household_id, id, seq, account_id, intent, occurred_at, received_at, undoes, summary, inverse)
     select $1, gen_random_uuid(), 2, $2, 'x', now(), now(), gen_random_uuid(), '{}', '{}' from generate_series(1, $3)`,
    [home, account, MANY * 3],
  );
  for (const table of ['membership', 'session']) {
    await owner.query(`alter table ${table} drop constraint ${table}_account_id_account_id_fk`);
  }
  for (const [table, columns, values] of [
    [
      'session',
      'id, token_hash, account_id, household_id, device, created_at, last_seen_at, expires_at',
      "gen_random_uuid(), gen_random_uuid()::text, gen_random_uuid(), $1, 'x', now(), now(), now() + interval '9 days'",
    ],
    [
      'account',
      'id, name, email, password_hash, created_at',
      "gen_random_uuid(), 'x', gen_random_uuid()::text, 'x', now()",
    ],
    ['membership', 'household_id, account_id, joined_at', '$1, gen_random_uuid(), now()'],
    ['household_seq', 'household_id, seq', 'gen_random_uuid(), 1'],
    ['device_clock', 'household_id, device_id, last_at', '$1, gen_random_uuid(), now()'],
    [
      'invitation',
      'code_hash, household_id, created_by, expires_at',
      'gen_random_uuid()::text, $1, gen_random_uuid(), now()',
    ],
  ] as const) {
    const from = `from generate_series(1, ${MANY * 2})`;
    const uses = values.includes('$1');
    await owner.query(`insert into ${table} (${columns}) select ${values} ${from}`, uses ? [home] : []);
  }
  await owner.query('update household_seq set seq = 2 where household_id = $1', [home]);
  await owner.query('analyze');
}

/** The tables that a plan reads from end to end. */
function scansIn(plan: Record<string, unknown>): string[] {
  const own = plan['Node Type'] === 'Seq Scan' ? [String(plan['Relation Name'])] : [];
  const inner = (plan.Plans ?? []) as Record<string, unknown>[];
  return [...own, ...inner.flatMap(scansIn)];
}

describe('the plans of all statements', () => {
  it('read no big table from end to end', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa@ferry.example');
    const home = smallHome();
    await runa.send(command(home.ops));
    const { accountId } = (await runa.call('GET', '/me')).body as { accountId: string };
    await fill(runa.home, accountId);
    watch();
    const { id } = home;
    const inner = uuidv7();
    const put = event(id.lot, 'put_in', 3, 5);
    const all: Op[][] = [
      [asOp(put)],
      [asOp(event(id.lot, 'counted', 3, 1))],
      [asOp(event(id.lot, 'voided', -3, 9, put.id))],
      [
        {
          op: 'create',
          entity: 'bin',
          id: inner,
          fields: { ...home.bin, parentBinId: id.bin, code: writeCode('BL1', 'A1A') },
        },
      ],
      [{ op: 'change', entity: 'bin', id: inner, fields: { parentBinId: null } }],
      [{ op: 'retire', entity: 'bin', id: inner }],
      [{ op: 'restore', entity: 'bin', id: inner }],
      [{ op: 'retire', entity: 'item', id: id.item }],
      [{ op: 'retire', entity: 'room', id: id.room }],
      [{ op: 'change', entity: 'household', id: runa.home, fields: { name: 'Mill' } }],
      [{ op: 'create', entity: 'line', id: uuidv7(), fields: { text: '??', nookId: id.bin } }],
    ];
    for (const ops of all) {
      const batch = { now: new Date().toISOString(), device: uuidv7(), commands: [command(ops)] };
      expect((await runa.call('POST', '/commands', batch)).status).toBe(200);
    }
    // A first reading reads everything, so the feed is looked at where there is little news.
    await runa.changes(2);
    expect((await runa.changes()).rows.length).toBeGreaterThan(MANY);
    const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
    for (const path of ['/history', '/sessions', '/homes', '/me', '/status']) await runa.call('GET', path);
    const other = new Caller(server.base);
    await other.signUp('eskil@ferry.example', { invitation: code });
    await other.call('DELETE', '/sessions/current');
    await other.call('POST', '/sessions', { email: 'eskil@ferry.example', password: 'a ferry on the river' });
    await other.call('POST', '/sessions/current/home', { householdId: other.home });
    pg.Client.prototype.query = original;

    const sizes = await owner.query<{ relname: string }>(
      `select relname from pg_class where relkind = 'r' and reltuples >= 2000`,
    );
    const big = new Set(sizes.rows.map(({ relname }) => relname));
    expect([...big].sort()).toEqual(
      expect.arrayContaining([
        'account',
        'bin',
        'command_log',
        'item',
        'ledger_event',
        'lot',
        'membership',
        'session',
        'shelf',
        'space',
      ]),
    );
    const statements = [...ran.values()].filter(({ text }) => /^\s*(select|insert|update|delete|with)/i.test(text));
    expect(statements.length).toBeGreaterThan(25);
    const found: string[] = [];
    const app = new pg.Client({ connectionString: server.databaseUrl });
    await app.connect();
    for (const { text, values } of statements) {
      await app.query('begin');
      await app.query("select set_config('app.household', $1, true), set_config('app.account', $2, true)", [
        runa.home,
        accountId,
      ]);
      const { rows } = await app.query<{ 'QUERY PLAN': { Plan: Record<string, unknown> }[] }>(
        `explain (format json) ${text}`,
        values as never[],
      );
      await app.query('rollback');
      const scanned = scansIn(rows[0]!['QUERY PLAN'][0]!.Plan).filter((table) => big.has(table));
      if (scanned.length > 0) found.push(`${[...new Set(scanned)].join(', ')}: ${text.slice(0, 200)}`);
    }
    await app.end();
    expect(found).toEqual([]);
  }, 120_000);
});
