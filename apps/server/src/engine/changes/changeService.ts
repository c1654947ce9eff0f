import { definitionOf, entityKinds, type EntityKind } from '@ours/core';
import type pg from 'pg';
import { wireColumns } from '../../db/rowSql';
import { scopeStatement, together, type Statement } from '../../db/together';
import { ProblemError } from '../../problems/catalogue';

/** Rows in a page. A home of 10,000 items and 25,000 lots is read in ten pages. */
export const PAGE_ROWS = 4000;

/**
 * Where a page goes on: after this row, in the order (number, kind, id). `base` is the newest number when the device
 * started from nothing: what was retired up to then it never had, and gets no tombstone for.
 */
interface Cursor {
  base: number;
  seq: number;
  kind: number;
  id: string;
}
const FIRST_ID = '00000000-0000-0000-0000-000000000000';
const CURSOR = /^(\d{1,15})\.(\d{1,15})\.(\d{1,4})\.([0-9a-f-]{36})$/;
const writeCursor = ({ base, seq, kind, id }: Cursor): string => `${base}.${seq}.${kind}.${id}`;
function readCursor(text: string): Cursor {
  const [, base, seq, kind, id] = CURSOR.exec(text) ?? [];
  if (id === undefined)
    throw new ProblemError('bad_request', `“cursor” is not one of ours; read: ${text.slice(0, 60)}.`);
  return { base: Number(base), seq: Number(seq), kind: Number(kind), id };
}

/** What only some roles may read is left out for the others ($7: the account). */
function readableBy(kind: EntityKind): string {
  const { readBy } = definitionOf(kind);
  if (!readBy) return '';
  const roles = readBy.map((role) => `'${role}'`).join(', ');
  return ` and exists (select from membership m where m.household_id = $1 and m.account_id = $7 and m.role in (${roles}))`;
}

/** The rows of one kind after the cursor ($2 number, $3 kind, $4 id), without old tombstones ($5), in order. */
const partOf = (kind: EntityKind, at: number): string => `(
  select seq, ${at} as kind, id, '{"entity":"${definitionOf(kind).kind}","row":' || row_to_json(r)::text || '}' as body
  from (select ${wireColumns(kind)} from "${kind}"
        where household_id = $1${readableBy(kind)} and seq >= $2 and (seq > $2 or ${at} > $3 or (${at} = $3 and id > $4)) and (not retired or seq > coalesce($5::bigint, (select seq from household_seq where household_id = $1)))
        order by seq, id limit $6) r)`;

const page = (): string => `
  with part as (${entityKinds().map(partOf).join(' union all ')}), page as (select * from part order by seq, kind, id limit $6)
  select coalesce(string_agg(body, ',' order by seq, kind, id), '') as rows, count(*)::int as count,
    (array_agg(seq order by seq desc, kind desc, id desc))[1] as seq,
    (array_agg(kind order by seq desc, kind desc, id desc))[1] as kind,
    (array_agg(id order by seq desc, kind desc, id desc))[1] as id
  from page`;

export interface ChangesAsked {
  since: number;
  cursor?: string;
}

interface Head {
  seq: number;
  generation: string;
}

/** The newest number, and which data this is: its own mark, and the database and cluster that hold it. */
const headStatement = (householdId: string, accountId: string): Statement => ({
  text: `select s.seq, md5(concat(g.id, d.oid, c.system_identifier)) as generation
    from household_seq s cross join generation g cross join pg_control_system() c
    join pg_database d on d.datname = current_database()
    join membership m on m.household_id = s.household_id and m.account_id = $2
    where s.household_id = $1`,
  values: [householdId, accountId],
});

/**
 * What changed after `since`, as the text of a change page: rows go from the database to the wire without being taken
 * apart. A page may end in the middle of a command of any size; the device is at a number only with the last page.
 */
export async function readChanges(
  pool: pg.Pool,
  who: { householdId: string; accountId: string },
  { since, cursor }: ChangesAsked,
  now: string,
): Promise<string> {
  const { householdId, accountId } = who;
  const client = await pool.connect();
  let broken: Error | undefined;
  const read = async (...more: Statement[]): Promise<[Head, ...pg.QueryResult[]]> => {
    const [, , head, ...results] = await together(client, [
      'begin isolation level repeatable read read only',
      scopeStatement(householdId, accountId),
      headStatement(householdId, accountId),
      ...more,
      'commit',
    ]);
    if (head!.rows.length === 0) throw new ProblemError('not_signed_in');
    return [head!.rows[0] as Head, ...results];
  };
  const answer = (seq: number, next: string | null, generation: string, rows: string): string =>
    `{"seq":${seq},"cursor":${JSON.stringify(next)},"generation":"${generation}","now":"${now}","rows":[${rows}]}`;
  try {
    if (cursor === undefined && since > 0) {
      const [{ seq, generation }] = await read();
      // A device that is ahead of us was answered by data that is gone: it hears another generation and starts anew.
      if (since > seq) return answer(seq, null, `${generation}-before-${since}`, '');
      if (since === seq) return answer(seq, null, generation, '');
    }
    const from = cursor === undefined ? null : readCursor(cursor);
    // From nothing, what was retired up to now is left out; from a number, everything after it counts.
    const after = from ?? { base: since === 0 ? null : 0, seq: since + 1, kind: -1, id: FIRST_ID };
    const values = [householdId, after.seq, after.kind, after.id, after.base, PAGE_ROWS, accountId];
    const [head, found] = await read({ text: page(), values });
    const last = found!.rows[0] as { rows: string; count: number; seq: number; kind: number; id: string };
    const more = last.count === PAGE_ROWS;
    const base = after.base ?? head.seq;
    const next = more ? writeCursor({ base, seq: last.seq, kind: last.kind, id: last.id }) : null;
    // On the way the device stays where it was: only the last page brings it up to the newest number.
    return answer(more ? since : head.seq, next, head.generation, last.rows);
  } catch (error) {
    await client.query('rollback').catch((failed: Error) => (broken = failed));
    throw error;
  } finally {
    client.release(broken);
  }
}
