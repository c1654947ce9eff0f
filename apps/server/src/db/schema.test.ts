import { CODE_ALPHABET, codeShape, ENTITIES, entityKinds, writeCode } from '@ours/core';
import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative, resolve } from 'node:path';
import fc from 'fast-check';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { startServer, type TestServer } from '../testHome.test-support';
import { migrateDatabase } from './migrate';
import { CODE_SHAPE, columnName } from './rowSql';

let server: TestServer;
let owner: pg.Client;
beforeAll(async () => {
  server = await startServer();
  owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
}, 60_000);
afterAll(async () => {
  await owner.end();
  await server.close();
});

/** Found by its secret token before any home is known, so it cannot be a home's row. */
const NOT_OF_A_HOME = ['session'];

describe('the database', () => {
  it('forces row-level security on every table with a household_id', async () => {
    const { rows } = await owner.query<{ relname: string; forced: boolean }>(
      `select c.relname, c.relrowsecurity and c.relforcerowsecurity as forced from pg_class c
       join pg_namespace n on n.oid = c.relnamespace
       where c.relkind in ('r', 'p') and n.nspname = 'public'
         and exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'household_id')`,
    );
    const open = rows.filter(({ forced }) => !forced).map(({ relname }) => relname);
    expect(open).toEqual(NOT_OF_A_HOME);
    const names = rows.map(({ relname }) => relname);
    expect(names).toEqual(expect.arrayContaining(entityKinds()));
  });

  it('lets nobody delete a household’s rows, and the server own nothing', async () => {
    const { rows } = await owner.query<{ table_name: string }>(
      `select table_name from information_schema.role_table_grants where grantee = 'every_nook_app' and privilege_type = 'DELETE'`,
    );
    expect(rows.map(({ table_name }) => table_name)).toEqual(['session']);
    const owned = await owner.query(
      `select relname from pg_class where relowner = (select oid from pg_roles where rolname = 'every_nook_app')`,
    );
    expect(owned.rowCount).toBe(0);
  });

  it('has what the definitions say: another migration would be empty', () => {
    const root = resolve(__dirname, '../..');
    const out = mkdtempSync(join(tmpdir(), 'nook-drizzle-'));
    cpSync(join(root, 'drizzle'), out, { recursive: true });
    const config = ['--dialect', 'postgresql', '--schema', './src/db/schema.ts', '--out', relative(root, out)];
    const said = execFileSync('npx', ['drizzle-kit', 'generate', ...config], { cwd: root, encoding: 'utf8' });
    rmSync(out, { recursive: true });
    expect(said).toMatch(/No schema changes/);
  }, 60_000);

  it('has a column for every field', async () => {
    const { rows } = await owner.query<{ table_name: string; column_name: string }>(
      `select table_name, column_name from information_schema.columns where table_schema = 'public'`,
    );
    const there = new Set(rows.map(({ table_name, column_name }) => `${table_name}.${column_name}`));
    for (const [kind, { fields }] of Object.entries(ENTITIES)) {
      for (const key of Object.keys(fields)) expect(there).toContain(`${kind}.${columnName(key)}`);
    }
  });

  it('finds codes that read alike as core does', async () => {
    const part = fc.array(fc.constantFrom(...CODE_ALPHABET), { minLength: 1, maxLength: 4 });
    const codes = fc
      .sample(fc.tuple(part, part), { seed: 3, numRuns: 200 })
      .map(([prefix, tail]) => writeCode(prefix.join(''), tail.join('')));
    const { rows } = await owner.query<{ shape: string }>(
      `select ${CODE_SHAPE} as shape from unnest($1::text[]) with ordinality as given("code", at) order by at`,
      [codes],
    );
    expect(rows.map(({ shape }) => shape)).toEqual(codes.map(codeShape));
  });

  it('brings a home of the version before along: its first member is the owner, the others are adults', async () => {
    const root = resolve(__dirname, '../..');
    const folder = mkdtempSync(join(tmpdir(), 'nook-former-'));
    cpSync(join(root, 'drizzle'), folder, { recursive: true });
    const journal = join(folder, 'meta/_journal.json');
    const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] };
    writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.filter(({ idx }) => idx <= 2) }));
    const name = `former_${uuidv7().replace(/-/g, '')}`;
    await owner.query(`create database ${name}`);
    const url = server.ownerUrl.replace(/\/[^/]*$/, `/${name}`);
    await migrateDatabase(url, folder);
    const former = new pg.Client({ connectionString: url });
    await former.connect();
    const [home, first, second] = [uuidv7(), uuidv7(), uuidv7()];
    for (const [account, day] of [
      [second, '2026-11-02'],
      [first, '2026-11-01'],
    ] as const) {
      await former.query(
        "insert into account (id, name, email, password_hash, created_at) values ($1::uuid, 'x', $1::text, 'x', now())",
        [account],
      );
      await former.query('insert into membership (household_id, account_id, joined_at) values ($1, $2, $3)', [
        home,
        account,
        day,
      ]);
    }
    await former.query(
      `insert into shelf (household_id, id, seq, space_id, name, kind, code, sort) values ($1, $1, 1, $1, '', 'shelf', $2, 0)`,
      [home, writeCode('BL1', 'B')],
    );
    await migrateDatabase(url, join(root, 'drizzle'));
    const roles = await former.query('select account_id, role from membership order by joined_at');
    expect(roles.rows).toEqual([
      { account_id: first, role: 'owner' },
      { account_id: second, role: 'adult' },
    ]);
    const shelves = await former.query('select code_shape from shelf');
    expect(shelves.rows).toEqual([{ code_shape: codeShape(writeCode('BL1', 'B')) }]);
    await former.end();
    await owner.query(`drop database ${name} with (force)`);
    rmSync(folder, { recursive: true });
  }, 60_000);
});
