import { HOME_FORMAT, HOME_VERSION, type HomeFileHead } from '@ours/contracts';
import { entityKinds, type EntityKind } from '@ours/core';
import { inScope, ONE_MOMENT, type Database, type Transaction } from '../db/connect';
import { wireColumns } from '../db/rowSql';

const PAGE = 2000;
const FIRST_ID = '00000000-0000-0000-0000-000000000000';
const INSTANT = (column: string): string => `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

/** Lines of JSON after an id, in the order of ids: each with its id. */
const rowsOf = (kind: EntityKind): string => `
  select id, '{"entity":"${kind}","row":' || row_to_json(r)::text || '}' as line
  from (select ${wireColumns(kind)} from "${kind}" where household_id = $1 and id > $2 order by id limit ${PAGE}) r order by id`;
const EVENTS = `
  select id, row_to_json(r)::text as line
  from (select id, lot_id as "lotId", command_id as "commandId", kind, quantity_thousandths as "quantityThousandths",
      ${INSTANT('occurred_at')} as "occurredAt", reason, voids
    from ledger_event where household_id = $1 and id > $2 order by id limit ${PAGE}) r order by id`;
const COMMANDS = `
  select id, row_to_json(r)::text as line
  from (select c.id, c.seq, c.intent, ${INSTANT('c.occurred_at')} as "occurredAt", ${INSTANT('c.received_at')} as "receivedAt",
      coalesce(c.by_name, a.name, '') as by, c.undoes, c.summary
    from command_log c left join account a on a.id = c.account_id
    where c.household_id = $1 and c.seq is not null and c.id > $2 order by c.id limit ${PAGE}) r order by id`;

/**
 * Writes a whole home as JSON, one row a line, as it is at one moment. What is written is not waited for: a reader who is slow does not
 * hold the database, and a home of 25,000 lots takes some tens of megabytes.
 */
export async function writeHome(
  db: Database,
  householdId: string,
  madeAt: Date,
  write: (text: string) => void,
): Promise<void> {
  await inScope(
    db,
    { householdId },
    async (tx) => {
      const count = async (from: string): Promise<number> => {
        const { rows } = await tx.$client.query<{ n: number }>(
          `select count(*)::int as n from ${from} where household_id = $1`,
          [householdId],
        );
        return rows[0]!.n;
      };
      let rows = 0;
      for (const kind of entityKinds()) rows += await count(`"${kind}"`);
      const head: HomeFileHead = {
        format: HOME_FORMAT,
        version: HOME_VERSION,
        madeAt: madeAt.toISOString(),
        householdId,
        counts: {
          rows,
          events: await count('ledger_event'),
          commands: await count('(select household_id from command_log where seq is not null) c'),
        },
      };
      write(`${JSON.stringify(head).slice(0, -1)},\n"rows":[\n`);
      await writeLines(tx, householdId, entityKinds().map(rowsOf), write);
      write('],\n"events":[\n');
      await writeLines(tx, householdId, [EVENTS], write);
      write('],\n"commands":[\n');
      await writeLines(tx, householdId, [COMMANDS], write);
      write(']}\n');
    },
    ONE_MOMENT,
  );
}

async function writeLines(
  tx: Transaction,
  householdId: string,
  statements: readonly string[],
  write: (text: string) => void,
): Promise<void> {
  let first = true;
  for (const statement of statements) {
    let after = FIRST_ID;
    for (;;) {
      const { rows } = await tx.$client.query<{ id: string; line: string }>(statement, [householdId, after]);
      if (rows.length === 0) break;
      write(`${first ? '' : ',\n'}${rows.map(({ line }) => line).join(',\n')}`);
      first = false;
      after = rows.at(-1)!.id;
      if (rows.length < PAGE) break;
    }
  }
  if (!first) write('\n');
}
